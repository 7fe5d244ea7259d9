import type { Sheet } from '../sheet/schema';
import type { Timeline } from './leaf';
import { blockName } from './names';

/** Each block's name with the number of its first round, by id. `blockNames(sheet, compile(sheet)).get('b3')` → `"Round 2 · Hands"` */
export function blockNames(sheet: Sheet, timeline: Timeline): Map<string, string> {
  const rounds = new Map<string, number | null>();
  for (const leaf of timeline.leaves)
    if (leaf.block === 'round' && !rounds.has(leaf.blockId)) rounds.set(leaf.blockId, leaf.round);
  return new Map(
    sheet.blocks.map(({ id, kind, title }) => [
      id,
      blockName({ block: kind, round: rounds.get(id) ?? null, title: title ?? null }),
    ]),
  );
}
