import { familyOf, moveName, type Move } from '../moves/move';
import type { Combination, Item, Slot } from '../notation/combination';

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

type Writable = { -readonly [Key in keyof Counts]: number };

/** Nothing at all. */
export function noCounts(): Counts {
  return { punches: 0, elbows: 0, knees: 0, kicks: 0, teeps: 0, strikes: 0, defences: 0, feet: 0, moves: 0 };
}

/** `sum` with `times` × `more` added. */
export function addCounts(sum: Counts, more: Counts, times = 1): Counts {
  return {
    punches: sum.punches + more.punches * times,
    elbows: sum.elbows + more.elbows * times,
    knees: sum.knees + more.knees * times,
    kicks: sum.kicks + more.kicks * times,
    teeps: sum.teeps + more.teeps * times,
    strikes: sum.strikes + more.strikes * times,
    defences: sum.defences + more.defences * times,
    feet: sum.feet + more.feet * times,
    moves: sum.moves + more.moves * times,
  };
}

const kindOf = { punch: 'punches', elbow: 'elbows', knee: 'knees', kick: 'kicks', teep: 'teeps' } as const;

function countMove(counts: Writable, move: Move, weight: number): void {
  const family = familyOf(move);
  counts.moves += weight;
  if (family === 'punch' || family === 'elbow' || family === 'knee' || family === 'kick' || family === 'teep') {
    counts[kindOf[family]] += weight;
    counts.strikes += weight;
  } else if (family === 'defence') counts.defences += weight;
  else if (family === 'feet') counts.feet += weight;
}

function countSlot(counts: Writable, slot: Slot, weight: number): void {
  const free = (slot.least + slot.most) / 2 - (slot.end ? 1 : 0);
  counts.moves += free * weight;
  counts.strikes += free * weight;
  if (slot.of === 'kicks') counts.kicks += free * weight;
  else if (slot.of !== 'strikes') counts.punches += free * weight;
  if (slot.end) countMove(counts, slot.end, weight);
}

function countItems(counts: Writable, items: readonly Item[], weight: number): void {
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
        countItems(counts, item.items, weight * item.times);
        break;
      case 'turns':
        for (const option of item.options) countItems(counts, option, weight / item.options.length);
    }
  }
}

/**
 * Counts one repetition (trade page, section 10) without unfolding it: slots as their number, ranges as their middle,
 * turns as the mean over one full turn.
 * @example countCombination(combination).punches
 */
export function countCombination(combination: Combination): Counts {
  const counts: Writable = { ...noCounts() };
  countItems(counts, combination.items, 1);
  return counts;
}

/** How often each move stands in one repetition, by its name. */
export function countByMove(combination: Combination): Record<string, number> {
  const byMove: Record<string, number> = {};
  const visit = (items: readonly Item[], weight: number): void => {
    for (const item of items) {
      if (item.kind === 'move') byMove[moveName(item)] = (byMove[moveName(item)] ?? 0) + weight;
      else if (item.kind === 'pair') visit(item.moves, weight);
      else if (item.kind === 'group') visit(item.items, weight * item.times);
      else if (item.kind === 'turns') for (const option of item.options) visit(option, weight / item.options.length);
      else if (item.kind === 'slot' && item.end) visit([item.end], weight);
    }
  };
  visit(combination.items, 1);
  return byMove;
}
