import { isStrike } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { flatten, rides } from '../progressions/flat';

/** Most strikes of an item in any of its turns; a slot counts its fullest. */
function strikesOfItem(item: Item): number {
  switch (item.kind) {
    case 'move':
      return isStrike(item) ? 1 : 0;
    case 'slot':
      return item.most;
    case 'pair':
      return item.moves.filter(isStrike).length;
    case 'group':
      return item.times * strikesIn(item.items);
    case 'turns':
      return Math.max(...item.options.map(strikesIn));
    case 'freestyle':
      return 0;
  }
}

/** Most strikes in any turn of some items. `(1 2)x3` → `6` */
export function strikesIn(items: readonly Item[]): number {
  return items.reduce((sum, item) => sum + strikesOfItem(item), 0);
}

/**
 * The opening of a combination with at most so many strikes; a slot that is too full is narrowed, and moves that ride with a
 * strike that is gone go with it. Itself where it is short enough.
 */
export function shortenTo(combination: Combination, most: number): Combination {
  if (strikesIn(combination.items) <= most) return combination;
  const kept: Item[] = [];
  let left = most;
  for (const item of flatten(combination.items)) {
    const strikes = strikesOfItem(item);
    if (strikes <= left) {
      kept.push(item);
      left -= strikes;
      continue;
    }
    if (item.kind === 'slot' && left > 0) kept.push({ ...item, least: Math.min(item.least, left), most: left });
    break;
  }
  while (kept.length > 1 && rides(kept.at(-1) as Item)) kept.pop();
  const ends = combination.stageEnds?.filter((end) => end < kept.length);
  const flat = combination.items.every((item) => item.kind !== 'group');
  return flat && ends && ends.length > 0 ? { items: kept, stageEnds: ends } : { items: kept };
}
