// How good a combination is: one mark for each move, by itself and by how it follows the one before, and one for both sides alike.
import { study } from '../mechanics/study';
import type { Judgement } from '../mechanics/seams';
import { leadingMove } from '../mechanics/steps';
import { moveKind } from '../moves/catalogue';
import { isStrike, type Move } from '../moves/move';
import type { Combination } from '../notation/combination';
import { alphabet, letterOf, type Letter } from './alphabet';

/** What a coach has had, and what is wanted; with neither, everything is new and nothing is lacking. */
export interface Liking {
  /** How often a move has followed another, by `pairOf`. */
  readonly seen: ReadonlyMap<number, number>;
  /** Moves that were neglected; null where nothing is. */
  readonly lacks: ReadonlySet<Letter> | null;
}

/** Whoever says nothing likes everything that is new. */
export const anyLiking: Liking = { seen: new Map(), lacks: null };

/** Two letters that follow each other, as one number. `pairOf(jab, cross)` */
export const pairOf = (from: Letter, to: Letter): number => from * alphabet.length + to;

/** How much of the score what has, 100 in all (house values). `even` is of the whole combination, the others of each move. */
const worth = { flow: 30, sides: 20, heights: 10, fresh: 15, lacking: 10, quick: 5, even: 10 } as const;

/** Both sides alike, out of 100. */
export const evenWorth = worth.even;

/** Moves and seams as long as these are as quick or slow as the score knows them, in milliseconds (house values). */
const quickest = 300;
const slowest = 1500;

/** What the score knows of a seam. */
type Flow = Pick<Judgement, 'level' | 'cost'>;

/**
 * The mark of a move after another, 0 to 90: how it flows, whether strikes change sides and heights, whether the book and the last
 * weeks had this pair, whether it was lacking, how quick it is. The first move of a combination follows nothing.
 * @example markOf(jab, cross, { level: 'none', cost: 0 }, anyLiking) // 80: both at the head
 */
export function markOf(before: Move | null, move: Move, seam: Flow | null, { seen, lacks }: Liking): number {
  const strikes = before && isStrike(before) && isStrike(move) ? before : null;
  const flow = { none: 1, note: 0.5, warning: 0 }[seam?.level ?? 'none'];
  // Where no two strikes meet, hands neither change nor stay: that is worth something between.
  const sides = strikes ? Number(strikes.side !== move.side) : before ? 0.7 : 1;
  const heights = strikes ? Number(strikes.target !== move.target) : before ? 0.7 : 1;
  const fresh = before ? 1 / (1 + (seen.get(pairOf(letterOf(before), letterOf(move))) ?? 0)) : 1;
  const lacking = lacks ? Number(lacks.has(letterOf(move))) : 1;
  const ms = moveKind(move.id).ms + (seam?.cost ?? 0);
  const quick = Math.min(1, Math.max(0, (slowest - ms) / (slowest - quickest)));
  return (
    worth.flow * flow +
    worth.sides * sides +
    worth.heights * heights +
    worth.fresh * fresh +
    worth.lacking * lacking +
    worth.quick * quick
  );
}

/** What a strike adds to the lead side over the rear one; nothing for what is no strike. `leanOf(jab)` → `1` */
export const leanOf = (move: Move): number => (isStrike(move) ? (move.side === 'lead' ? 1 : -1) : 0);

/**
 * How even a combination of so many moves is, 0 to 1: one strike more on one side costs nothing, since an odd number of strikes has
 * to have it.
 * @example evenness(1, 5) // 1
 */
export const evenness = (lean: number, length: number): number => 1 - Math.max(0, Math.abs(lean) - 1) / length;

/** A whole score out of its parts: the marks' sum, the lean to the lead side, the number of moves. `scoreFrom(170, 0, 2)` → `95` */
export const scoreFrom = (marks: number, lean: number, length: number): number =>
  marks / length + worth.even * evenness(lean, length);

/**
 * How good a combination is, 0 to 100 (house values): the mean mark of its moves, and both sides alike. Slots have no mark of
 * their own.
 * @example scoreOf(combination, anyLiking) // 87
 */
export function scoreOf({ items }: Combination, liking: Liking = anyLiking): number {
  const [turn] = study({ items }).turns;
  const moves = turn?.walk.steps.map(({ step }) => leadingMove(step)) ?? [];
  let [marks, lean, length] = [0, 0, 0];
  for (const [at, move] of moves.entries()) {
    if (move.kind !== 'move') continue;
    const before = at > 0 ? moves[at - 1] : undefined;
    const seam = before ? turn?.seams[at - 1] : undefined;
    marks += markOf(before?.kind === 'move' ? before : null, move, seam ?? null, liking);
    lean += leanOf(move);
    length += 1;
  }
  return length === 0 ? 0 : Math.round(scoreFrom(marks, lean, length));
}
