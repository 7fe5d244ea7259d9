import { familyOf, moveName, type Move } from '../moves/move';
import type { Combination, Item, Slot } from '../notation/combination';
import { isStrikeSlot, slotNature, type SlotCount } from '../notation/slot-kinds';

/** What one repetition holds; halves come from ranges and from taking turns. */
export interface Counts {
  readonly punches: number;
  readonly elbows: number;
  readonly knees: number;
  readonly kicks: number;
  readonly teeps: number;
  /** Punches, elbows, knees, kicks and teeps together. */
  readonly strikes: number;
  readonly defences: number;
  readonly feet: number;
  readonly moves: number;
}

/** Counts that are still being added up. */
export type GrowingCounts = { -readonly [Key in keyof Counts]: number };

/** Nothing at all. */
export function noCounts(): GrowingCounts {
  return { punches: 0, elbows: 0, knees: 0, kicks: 0, teeps: 0, strikes: 0, defences: 0, feet: 0, moves: 0 };
}

/** Adds `times` × `more` to a sum of one's own. `addTo(sum, countCombination(combination), 9)` */
export function addTo(sum: GrowingCounts, more: Counts, times = 1): void {
  sum.punches += more.punches * times;
  sum.elbows += more.elbows * times;
  sum.knees += more.knees * times;
  sum.kicks += more.kicks * times;
  sum.teeps += more.teeps * times;
  sum.strikes += more.strikes * times;
  sum.defences += more.defences * times;
  sum.feet += more.feet * times;
  sum.moves += more.moves * times;
}

const kindOf = { punch: 'punches', elbow: 'elbows', knee: 'knees', kick: 'kicks', teep: 'teeps' } as const;

function countMove(counts: GrowingCounts, move: Move, weight: number): void {
  const family = familyOf(move);
  counts.moves += weight;
  if (family === 'punch' || family === 'elbow' || family === 'knee' || family === 'kick' || family === 'teep') {
    counts[kindOf[family]] += weight;
    counts.strikes += weight;
  } else if (family === 'defence') counts.defences += weight;
  else if (family === 'feet') counts.feet += weight;
}

function countSlot(counts: GrowingCounts, slot: Slot, weight: number): void {
  const free = (slot.least + slot.most) / 2 - (slot.end ? 1 : 0);
  counts.moves += free * weight;
  if (isStrikeSlot(slot.of)) counts.strikes += free * weight;
  for (const [what, share] of Object.entries(slotNature(slot.of).counts) as [SlotCount, number][])
    counts[what] += free * weight * share;
  if (slot.end) countMove(counts, slot.end, weight);
}

/** Which option counts where moves take turns: the mean of all, or the one of a repetition. */
type Turn = number | 'mean';

/** The options of a turn that count, with the weight of each. */
function chosen(
  options: readonly (readonly Item[])[],
  turn: Turn,
): { readonly items: readonly Item[]; readonly share: number }[] {
  if (turn === 'mean') return options.map((items) => ({ items, share: 1 / options.length }));
  return [{ items: options[turn % options.length] ?? [], share: 1 }];
}

function countItems(counts: GrowingCounts, items: readonly Item[], weight: number, turn: Turn): void {
  for (const item of items) {
    switch (item.kind) {
      case 'move':
        countMove(counts, item, weight);
        break;
      case 'slot':
        countSlot(counts, item, weight);
        break;
      case 'freestyle':
        counts.moves += weight;
        counts.strikes += weight;
        counts.punches += weight;
        break;
      case 'pair':
        for (const move of item.moves) countMove(counts, move, weight);
        break;
      case 'group':
        countItems(counts, item.items, weight * item.times, turn);
        break;
      case 'turns':
        for (const option of chosen(item.options, turn)) countItems(counts, option.items, weight * option.share, turn);
    }
  }
}

/**
 * Counts one repetition (trade page, section 10) without unfolding it: slots as their number, ranges as their middle,
 * turns as the mean over one full turn, or as the given repetition (from 0) has them.
 * @example countCombination(combination).punches
 */
export function countCombination(combination: Combination, turn: Turn = 'mean'): Counts {
  const counts = noCounts();
  countItems(counts, combination.items, 1, turn);
  return counts;
}

/** How often each move stands in one repetition, by its name; what a slot holds by the kind of the slot. */
export function countByMove(combination: Combination, turn: Turn = 'mean'): Record<string, number> {
  const byMove: Record<string, number> = {};
  const add = (name: string, count: number): void => {
    if (count > 0) byMove[name] = (byMove[name] ?? 0) + count;
  };
  const visit = (items: readonly Item[], weight: number): void => {
    for (const item of items) {
      if (item.kind === 'move') add(moveName(item), weight);
      else if (item.kind === 'pair') visit(item.moves, weight);
      else if (item.kind === 'group') visit(item.items, weight * item.times);
      else if (item.kind === 'turns')
        for (const option of chosen(item.options, turn)) visit(option.items, weight * option.share);
      else if (item.kind === 'slot') {
        add(`any ${item.of}`, ((item.least + item.most) / 2 - (item.end ? 1 : 0)) * weight);
        if (item.end) visit([item.end], weight);
      }
    }
  };
  visit(combination.items, 1);
  return byMove;
}

/** How often each turn of a combination is done in so many repetitions. `timesOfTurns(5, 2)` → `[3, 2]` */
export function timesOfTurns(repetitions: number, turns: number): number[] {
  return Array.from({ length: turns }, (_, turn) => Math.max(0, Math.floor((repetitions - 1 - turn) / turns) + 1));
}
