import type { Level } from '../bags/kind-names';
import { emptySheet, freshBlock, type FreshId } from '../sheet/fresh';
import type { Block, Sheet } from '../sheet/schema';

/** A round for each combination, rests between them. `themeBlocks(['1 2', '1 2 3'], freshId).length` → `3` */
export function themeBlocks(texts: readonly string[], freshId: FreshId): Block[] {
  return texts.flatMap((text, at) => {
    const round = freshBlock('round', freshId);
    const piece = { kind: 'combination', id: freshId(), ms: round.ms ?? 0, effort: 'steady', text } as const;
    return [...(at > 0 ? [freshBlock('rest', freshId)] : []), { ...round, pieces: [piece] }];
  });
}

/**
 * A sheet of rounds with a theme: warm-up, a round for each combination, cool-down.
 * @example themeSheet(['1 2 3', '1 2 5'], 'beginner', freshId).blocks.length // 5
 */
export function themeSheet(texts: readonly string[], level: Level, freshId: FreshId): Sheet {
  return {
    ...emptySheet(freshId, `${texts.length} rounds: ${texts.join(' · ')}`.slice(0, 200)),
    ...{ bag: 'heavy', class: { level } },
    blocks: [freshBlock('warm-up', freshId), ...themeBlocks(texts, freshId), freshBlock('cool-down', freshId)],
  };
}
