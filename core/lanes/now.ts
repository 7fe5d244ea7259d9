import type { Schools } from '../bags/conditions';
import type { Sheet } from '../sheet/schema';
import type { Leaf, Timeline } from '../timeline/leaf';
import { rotationBoard } from './board';
import { lanesOf, leafLanes, type LaneVersion } from './lanes';

/** What a lane does at a moment, and who is on it. */
export interface LaneNow extends LaneVersion {
  /** Groups by their numbers; none where nobody rotates. */
  readonly groups: readonly number[];
}

/**
 * What each lane does in a leaf, with the groups that are there in its round.
 * @example lanesNow(sheet, timeline, leaf)[0].groups // [1]
 */
export function lanesNow(sheet: Sheet, timeline: Timeline, leaf: Leaf, schools?: Schools): LaneNow[] {
  const turn = rotationBoard(sheet, timeline)?.turns.find(({ round }) => round === leaf.round);
  return leafLanes(sheet, leaf, lanesOf(sheet, schools)).map((version) => ({
    ...version,
    groups: turn?.stations.filter(({ bag }) => bag === version.bag).map(({ group }) => group) ?? [],
  }));
}

/** Groups in words. `sayGroups([1, 3])` → `"group 1 and 3"` */
export const sayGroups = (groups: readonly number[]): string =>
  groups.length > 0 ? `group ${groups.join(' and ')}` : '';
