import { compile } from '../timeline/compile';
import type { Timeline } from '../timeline/leaf';
import { passesOf, type Pass } from '../timeline/passes';
import type { Sheet } from '../sheet/schema';
import type { Milliseconds, SessionTime } from '../units';
import { isOnLanes } from '../timeline/bags-of';
import { blockName } from '../timeline/names';
import { lanesOf } from './lanes';
import { rotate } from './rotation';

/** Time a group needs to change lanes unless the sheet says another (house value). */
export const usualChangeOverMs: Milliseconds = 20_000;

/** Where one group works in a turn. */
export interface Station {
  /** From 1. */
  readonly group: number;
  readonly people: number;
  readonly bag: string;
  /** The group was there before: there are more rounds than kinds. */
  readonly again: boolean;
}

/** One work round with the lane of each group. */
export interface Turn {
  readonly round: number;
  readonly blockId: string;
  readonly at: SessionTime;
  readonly label: string;
  readonly stations: readonly Station[];
  /** Time to change lanes before this turn; null before the first and after an open break. */
  readonly changeOver: Milliseconds | null;
}

/** Who works where, round by round. */
export interface Board {
  /** People in each group; 0 where nobody said how many come. */
  readonly groups: readonly number[];
  readonly kinds: readonly string[];
  readonly turns: readonly Turn[];
  /** Time that a change of lanes needs. */
  readonly needsMs: Milliseconds;
  /** Kinds that not every group meets. */
  readonly missed: readonly string[];
  /** Kinds where a group is larger than the places, with how many are too many. */
  readonly crowded: readonly { readonly bag: string; readonly people: number; readonly places: number }[];
}

/** People in groups as even as can be. `groupSizes(9, 4)` → `[3, 2, 2, 2]` */
export function groupSizes(people: number, groups: number): number[] {
  return Array.from({ length: groups }, (_, at) => Math.floor(people / groups) + (at < people % groups ? 1 : 0));
}

function turnPasses(
  sheet: Sheet,
  timeline: Timeline,
): { readonly pass: Pass; readonly changeOver: Milliseconds | null }[] {
  const blocks = new Map(sheet.blocks.map((block) => [block.id, block]));
  const found: { pass: Pass; changeOver: Milliseconds | null }[] = [];
  let since: SessionTime | null = null;
  for (const pass of passesOf(timeline)) {
    if (pass.open) since = null;
    const block = blocks.get(pass.leaves[0]?.blockId ?? '');
    if (pass.block !== 'round' || !block || !isOnLanes(block)) continue;
    found.push({ pass, changeOver: since === null ? null : pass.at - since });
    since = pass.end;
  }
  return found;
}

/**
 * The rotation of a sheet: one turn for each work round on the lanes, groups as even as can be, one for each kind unless
 * the sheet says another number or there are fewer people. Null where the sheet has fewer than two lanes.
 * @example rotationBoard(sheet)?.turns[0].stations[0].bag // "heavy"
 */
export function rotationBoard(sheet: Sheet, timeline: Timeline = compile(sheet)): Board | null {
  const lanes = lanesOf(sheet);
  if (lanes.length < 2) return null;
  const kinds = lanes.map(({ bag }) => bag);
  const people = sheet.class.people ?? 0;
  const wished = sheet.groups ?? kinds.length;
  const count = people > 0 ? Math.min(people, wished) : wished;
  const groups = groupSizes(people, count);
  const { turns: rows } = rotate(count, kinds);
  const met = groups.map(() => new Set<string>());
  const turns = turnPasses(sheet, timeline).map(({ pass, changeOver }, at): Turn => {
    const row = rows[at % rows.length] ?? [];
    const stations = row.map((bag, group): Station => {
      const again = met[group]?.has(bag) ?? false;
      met[group]?.add(bag);
      return { group: group + 1, people: groups[group] ?? 0, bag, again };
    });
    const leaf = pass.leaves[0];
    return {
      round: leaf?.round ?? 0,
      blockId: leaf?.blockId ?? '',
      at: pass.at,
      label: leaf ? blockName(leaf) : '',
      stations,
      changeOver,
    };
  });
  /** Groups that meet at a kind in one turn need the places of all of them. */
  const most = (kind: string): number =>
    Math.max(
      0,
      ...turns.map(({ stations }) =>
        stations.reduce((sum, { bag, people: here }) => sum + (bag === kind ? here : 0), 0),
      ),
    );
  return {
    groups,
    kinds,
    turns,
    needsMs: sheet.changeOverMs ?? usualChangeOverMs,
    missed: kinds.filter((kind) => turns.length > 0 && met.some((each) => !each.has(kind))),
    crowded: lanes.flatMap(({ bag, places }) => (most(bag) > places ? [{ bag, people: most(bag), places }] : [])),
  };
}
