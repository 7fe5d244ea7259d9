import type { Move } from '../moves/move';
import type { SlotKind } from './slot-kinds';

/** A stretch left to the athlete: `any 2-5 hooks end 3 different`. */
export interface Slot {
  readonly kind: 'slot';
  readonly least: number;
  readonly most: number;
  readonly of: SlotKind;
  /** Asked for hard (`any 1!`). */
  readonly force?: 'hard';
  /** The move it must finish on; it is one of the counted ones. */
  readonly end?: Move;
  /** Must vary from repetition to repetition. */
  readonly different?: true;
}

/** The whole combination is the athlete's: `freestyle`. */
export interface Freestyle {
  readonly kind: 'freestyle';
}

/** Two moves at the same time: `in+1`. */
export interface Pair {
  readonly kind: 'pair';
  readonly moves: readonly [Move, Move];
}

/** Repeated moves: `(1 2)x3`. */
export interface Group {
  readonly kind: 'group';
  readonly items: readonly Item[];
  readonly times: number;
}

/** Alternates from repetition to repetition: `[rbk / swk]`. */
export interface Turns {
  readonly kind: 'turns';
  readonly options: readonly (readonly Item[])[];
}

export type Item = Move | Slot | Freestyle | Pair | Group | Turns;

/** A combination as it was written, groups and all. */
export interface Combination {
  readonly items: readonly Item[];
  /** Stage ends marked by hand with `|`: how many of `items` stand before each. */
  readonly stageEnds?: readonly number[];
}

/** Limits of the notation (trade page, section 3). */
export const limits = { repeats: 99, moves: 10_000, characters: 100_000, depth: 24, slot: 99, fullTurn: 64 } as const;

/** Moves when unfolded, taking the longest turn and the fullest slot; counted without unfolding. `(1 2)x3` → `6` */
export function unfoldedLength(items: readonly Item[]): number {
  let sum = 0;
  for (const item of items) {
    switch (item.kind) {
      case 'move':
      case 'freestyle':
        sum += 1;
        break;
      case 'slot':
        sum += item.most;
        break;
      case 'pair':
        sum += 2;
        break;
      case 'group':
        sum += item.times * unfoldedLength(item.items);
        break;
      case 'turns':
        sum += Math.max(...item.options.map(unfoldedLength));
    }
  }
  return sum;
}

/** How deep groups and turns stand in one another. `((1))` → `2` */
export function nesting(items: readonly Item[]): number {
  let deepest = 0;
  for (const item of items) {
    if (item.kind === 'group') deepest = Math.max(deepest, 1 + nesting(item.items));
    if (item.kind === 'turns') deepest = Math.max(deepest, 1 + Math.max(...item.options.map(nesting)));
  }
  return deepest;
}

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

/** Repetitions until everything that takes turns is back at its first. `[rbk / swk] 1` → `2` */
export function fullTurn(items: readonly Item[]): number {
  let turns = 1;
  for (const item of items) {
    const inner = item.kind === 'group' ? fullTurn(item.items) : item.kind === 'turns' ? item.options.length : 1;
    turns = (turns * inner) / greatestCommonDivisor(turns, inner);
  }
  return turns;
}
