import type { Level } from '../bags/kind-names';
import { emptySheet, freshBlock, type FreshId } from '../sheet/fresh';
import type { Piece, Sheet } from '../sheet/schema';
import { buildRound } from './build-round';

/**
 * A short session for one combination: warm-up, a round that builds it up, a round of it, cool-down; to be gone on with.
 * @example practiceSheet('1 2 3b', 'Ladder truck', 'beginner', freshId).blocks.length // 5
 */
export function practiceSheet(text: string, name: string, level: Level, freshId: FreshId): Sheet {
  const whole = freshBlock('round', freshId);
  const piece: Piece = { kind: 'combination', id: freshId(), ms: whole.ms ?? 0, effort: 'steady', text };
  return {
    ...emptySheet(freshId, name.slice(0, 200)),
    ...{ bag: 'heavy', class: { level } },
    blocks: [
      freshBlock('warm-up', freshId),
      buildRound(text, freshId),
      freshBlock('rest', freshId),
      { ...whole, pieces: [piece] },
      freshBlock('cool-down', freshId),
    ],
  };
}
