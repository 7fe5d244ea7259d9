import { fullMoveName } from '../moves/move';
import { isWorthSaying, type KickSchool } from './seams';
import type { Study } from './study';
import type { Combination, Item } from '../notation/combination';
import { writeSlot } from '../notation/write';

function describeItem(item: Item): string {
  switch (item.kind) {
    case 'move':
      return fullMoveName(item);
    case 'pair':
      return item.moves.map((move) => fullMoveName(move)).join(' with ');
    case 'slot':
      return `${writeSlot(item)}, athlete’s choice`;
    case 'freestyle':
      return 'freestyle, athlete’s choice';
    case 'group':
      return item.times > 1
        ? `${item.times} times: ${item.items.map(describeItem).join(', ')}; end of repeat`
        : item.items.map(describeItem).join(', ');
    case 'turns':
      return `alternating: ${item.options.map((option) => option.map(describeItem).join(', ')).join('; or ')}; end of turns`;
  }
}

/**
 * The whole staff in words, for those who do not see it: moves in order, what is new, and where it sticks.
 * @example describeCombination(combination) // "jab, cross, lead hook to the body. Flows all the way through."
 */
export function describeCombination(
  combination: Combination,
  added: readonly number[] = [],
  study: Study | null = null,
  school: KickSchool = 'opposite',
): string {
  const moves = combination.items.map(describeItem).join(', ');
  const fresh =
    added.length > 0
      ? ` New: ${added.length === 1 ? `move ${(added[0] ?? 0) + 1}` : `moves ${added.map((index) => index + 1).join(', ')}`}.`
      : '';
  if (!study) return `${moves}.${fresh}`;
  const stuck = [
    ...new Set(
      study.turns.flatMap((turn) =>
        turn.seams
          .filter((seam) => isWorthSaying(seam, school))
          .map((seam) => `after move ${seam.after + 1}${seam.loop ? ', on repeat' : ''}: ${seam.reason}`),
      ),
    ),
  ];
  return `${moves}.${fresh} ${stuck.length > 0 ? stuck.map((each) => `${each}.`).join(' ') : 'Flows all the way through.'}`;
}
