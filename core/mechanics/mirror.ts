import { mirrorMove } from '../moves/move';
import type { Combination, Item } from '../notation/combination';

function mirrorItem(item: Item): Item {
  switch (item.kind) {
    case 'move':
      return mirrorMove(item);
    case 'pair':
      return { ...item, moves: [mirrorMove(item.moves[0]), mirrorMove(item.moves[1])] };
    case 'group':
      return { ...item, items: item.items.map(mirrorItem) };
    case 'turns':
      return { ...item, options: item.options.map((option) => option.map(mirrorItem)) };
    case 'slot':
    case 'freestyle':
      return item;
  }
}

/**
 * The combination for somebody who stands the other way round. Lead stays lead; only the athlete's own left and right
 * steps trade places. Twice is the same again.
 */
export function mirrorCombination(combination: Combination): Combination {
  return { ...combination, items: combination.items.map(mirrorItem) };
}
