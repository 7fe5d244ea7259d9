import type { Block, Sheet } from '../sheet/schema';

/** Whether a block's work is done on the lanes: rounds and shows that are not set to one bag. */
export function isOnLanes(block: Block): boolean {
  return (block.kind === 'round' || block.kind === 'show') && block.bag === undefined;
}

/**
 * The kinds of bag a block is done on: its own, those of the lanes that are not down, or the sheet's; none where the block
 * is no work on a bag.
 * @example bagsOf(sheet, block) // ["heavy"]
 */
export function bagsOf(sheet: Sheet, block: Block): readonly string[] {
  if (block.bag) return [block.bag];
  if (!isOnLanes(block)) return [];
  const lanes = (sheet.lanes ?? []).filter(({ places }) => places > 0);
  return lanes.length > 0 ? lanes.map(({ bag }) => bag) : [sheet.bag];
}
