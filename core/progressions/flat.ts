import { isStrike, familyOf } from '../moves/move';
import type { Combination, Item } from '../notation/combination';

/** Top-level items with groups written out; pairs, slots and turns stay whole. Builds count in these. */
export function flatten(items: readonly Item[]): Item[] {
  return items.flatMap((item) =>
    item.kind === 'group' ? Array.from({ length: item.times }, () => flatten(item.items)).flat() : [item],
  );
}

/** How many moves an item is when drawn or listed: a pair is two, turns show their first. */
export function listedMoves(item: Item): number {
  switch (item.kind) {
    case 'pair':
      return 2;
    case 'group':
      return item.times * item.items.reduce((sum, each) => sum + listedMoves(each), 0);
    case 'turns':
      return (item.options[0] ?? []).reduce((sum, each) => sum + listedMoves(each), 0);
    default:
      return 1;
  }
}

/** Hand-marked stage ends, counted in flattened items instead of written ones. */
export function flatStageEnds(combination: Combination): number[] {
  return (combination.stageEnds ?? []).map((end) => flatten(combination.items.slice(0, end)).length);
}

/** Rides with what follows in a build: a defence, a foot move, a feint or a held beat. */
export function rides(item: Item): boolean {
  if (item.kind === 'pair') return item.moves.every((each) => rides(each));
  if (item.kind !== 'move' || isStrike(item)) return false;
  const family = familyOf(item);
  return family === 'defence' || family === 'feet' || family === 'wait';
}
