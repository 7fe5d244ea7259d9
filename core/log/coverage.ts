import type { Level } from '../bags/kind-names';
import { strikeGroups, targets, type Side, type StrikeGroup, type Target } from '../moves/kind';
import type { Combination } from '../notation/combination';
import { countCombination } from '../tally/counts';
import type { Milliseconds, Percent } from '../units';
import type { Day } from './day';
import { addCells, type Cell, type Digest } from './digest';

/** How far off the bag a strike works. */
export type Range = 'long' | 'middle' | 'close';

/** The range of each group of strikes; null where it may be any (common practice, no source). */
export const rangeOf: Readonly<Record<StrikeGroup, Range | null>> = {
  straights: 'long',
  hooks: 'middle',
  uppercuts: 'middle',
  'other punches': 'middle',
  elbows: 'close',
  knees: 'close',
  kicks: 'long',
  teeps: 'long',
  free: null,
};

/** What was worked on over a span. */
export interface Coverage {
  readonly sessions: number;
  readonly strikes: number;
  /** Strikes of whose side, height and kind something is known. */
  readonly aimed: number;
  readonly free: number;
  readonly defences: number;
  readonly left: number;
  readonly right: number;
  readonly cells: Readonly<Partial<Record<Cell, number>>>;
  readonly bySide: Readonly<Record<Side, number>>;
  readonly byTarget: Readonly<Record<Target, number>>;
  readonly byGroup: Readonly<Record<StrikeGroup, number>>;
  readonly byRange: Readonly<Record<Range, number>>;
  readonly msByBag: Readonly<Record<string, Milliseconds>>;
  readonly msByStance: Readonly<Record<string, Milliseconds>>;
  /** Sessions in which a fault was seen, by id. */
  readonly faults: Readonly<Record<string, number>>;
  /** Combinations with the sessions they were in, the most frequent first. */
  readonly combinations: readonly { readonly text: string; readonly sessions: number; readonly repetitions: number }[];
}

function add(sums: Record<string, number>, more: Readonly<Record<string, number>>): void {
  for (const [key, value] of Object.entries(more)) sums[key] = (sums[key] ?? 0) + value;
}

/** The parts of a cell's name. `partsOfCell('lead head straights')` → `["lead", "head", "straights"]` */
export function partsOfCell(cell: Cell): readonly [Side, Target, StrikeGroup] {
  const [side, target, ...group] = cell.split(' ');
  return [side as Side, target as Target, group.join(' ') as StrikeGroup];
}

/**
 * Adds up what was worked on from a day to a day, both of them in it; rehearsals are left out.
 * @example coverageOf(digests, today - 27, today).byTarget.body
 */
export function coverageOf(digests: readonly Digest[], from: Day, to: Day): Coverage {
  const cells: Record<string, number> = {};
  const msByBag: Record<string, number> = {};
  const msByStance: Record<string, number> = {};
  const faults: Record<string, number> = {};
  const combinations = new Map<string, { text: string; sessions: number; repetitions: number }>();
  let [sessions, strikes, free, defences, left, right] = [0, 0, 0, 0, 0, 0];
  for (const digest of digests) {
    if (!digest.learns || digest.day < from || digest.day > to) continue;
    sessions += 1;
    strikes += digest.strikes;
    free += digest.free;
    defences += digest.defences;
    left += digest.left;
    right += digest.right;
    add(cells, digest.cells as Record<string, number>);
    add(msByBag, digest.msByBag);
    add(msByStance, digest.msByStance as Record<string, number>);
    for (const fault of digest.faults) add(faults, { [fault]: 1 });
    for (const { text, repetitions, ms } of digest.worked) {
      if (ms === 0) continue;
      const known = combinations.get(text) ?? { text, sessions: 0, repetitions: 0 };
      combinations.set(text, { text, sessions: known.sessions + 1, repetitions: known.repetitions + repetitions });
    }
  }
  return gathered({
    ...{ sessions, strikes, free, defences, left, right, cells, msByBag, msByStance, faults },
    combinations: [...combinations.values()].sort(
      (a, b) => b.sessions - a.sessions || b.repetitions - a.repetitions || (a.text < b.text ? -1 : 1),
    ),
  });
}

/** What one repetition of a combination covers, done by an orthodox athlete. `coverageOfCombination(combination).byTarget.body` */
export function coverageOfCombination(combination: Combination): Coverage {
  const cells: Partial<Record<Cell, number>> = {};
  addCells(cells, combination, 1, 1);
  const { strikes, defences } = countCombination(combination);
  const lead = Object.entries(cells).reduce((sum, [cell, count]) => sum + (cell.startsWith('lead') ? count : 0), 0);
  return gathered({
    ...{
      sessions: 1,
      strikes,
      free: 0,
      defences,
      left: lead,
      right: strikes - lead,
      cells,
      msByBag: {},
      msByStance: {},
    },
    ...{ faults: {}, combinations: [] },
  });
}

/** Sums with what follows from the cells. */
function gathered(sums: Omit<Coverage, 'aimed' | 'bySide' | 'byTarget' | 'byGroup' | 'byRange'>): Coverage {
  const zero = <Key extends string>(keys: readonly Key[]): Record<Key, number> =>
    Object.fromEntries(keys.map((key) => [key, 0])) as Record<Key, number>;
  const bySide = zero(['lead', 'rear']);
  const byTarget = zero(targets);
  const byGroup = zero(strikeGroups);
  const byRange = zero(['long', 'middle', 'close']);
  let aimed = 0;
  for (const [cell, count] of Object.entries(sums.cells) as [Cell, number][]) {
    const [side, target, group] = partsOfCell(cell);
    aimed += count;
    bySide[side] += count;
    byTarget[target] += count;
    byGroup[group] += count;
    const range = rangeOf[group];
    if (range) byRange[range] += count;
  }
  return { ...sums, aimed, bySide, byTarget, byGroup, byRange };
}

/** Something that a coach wants to have its share. */
export interface Aim {
  readonly id: string;
  /** What there is to be enough of, as it stands in a sentence. */
  readonly name: string;
  /** Of what it is a share. */
  readonly of: string;
  /** The least share by level (house values, editable); 0 where it is not asked for. */
  readonly least: Readonly<Record<Level, Percent>>;
  readonly part: (coverage: Coverage) => number;
  readonly whole: (coverage: Coverage) => number;
  /** What to do about it. */
  readonly mend: string;
}

const aimed = ({ aimed: all }: Coverage): number => all;
const sides = ({ left, right }: Coverage): number => left + right;
const percent = (beginner: Percent, intermediate: Percent, advanced: Percent): Aim['least'] => ({
  beginner,
  intermediate,
  advanced,
});

/** What a coach's level and aims want (house values, no source). A new one is a line here. */
export const aims: readonly Aim[] = [
  {
    ...{ id: 'body', name: 'to the body', of: 'strikes', least: percent(10, 15, 20), whole: aimed },
    part: ({ byTarget }) => byTarget.body,
    mend: 'put a body strike into each combination',
  },
  {
    ...{ id: 'hooks', name: 'hooks', of: 'strikes', least: percent(15, 20, 20), whole: aimed },
    part: ({ byGroup }) => byGroup.hooks,
    mend: 'end combinations on a hook',
  },
  {
    ...{ id: 'uppercuts', name: 'uppercuts', of: 'strikes', least: percent(5, 8, 10), whole: aimed },
    part: ({ byGroup }) => byGroup.uppercuts,
    mend: 'add a combination with 5 or 6 in it',
  },
  {
    ...{ id: 'lead', name: 'with the lead side', of: 'strikes', least: percent(35, 40, 40), whole: aimed },
    part: ({ bySide }) => bySide.lead,
    mend: 'double up on the lead hand',
  },
  {
    ...{ id: 'rear', name: 'with the rear side', of: 'strikes', least: percent(30, 35, 35), whole: aimed },
    part: ({ bySide }) => bySide.rear,
    mend: 'end combinations on the rear hand',
  },
  {
    ...{ id: 'left', name: 'with the left', of: 'strikes', least: percent(45, 45, 45), whole: sides },
    part: ({ left }) => left,
    mend: 'switch stance for a round',
  },
  {
    ...{ id: 'right', name: 'with the right', of: 'strikes', least: percent(45, 45, 45), whole: sides },
    part: ({ right }) => right,
    mend: 'switch stance for a round',
  },
  {
    ...{ id: 'defences', name: 'defences', of: 'strikes', least: percent(5, 10, 15), whole: aimed },
    part: ({ defences }) => defences,
    mend: 'put a slip or a roll between the strikes',
  },
  {
    ...{ id: 'middle', name: 'at mid-range', of: 'strikes', least: percent(20, 25, 30), whole: aimed },
    part: ({ byRange }) => byRange.middle,
    mend: 'step in for a hook or an uppercut',
  },
  {
    ...{ id: 'legs', name: 'kicks, knees and teeps', of: 'strikes', least: percent(0, 0, 0), whole: aimed },
    part: ({ byGroup }) => byGroup.kicks + byGroup.knees + byGroup.teeps,
    mend: 'end combinations on a kick',
  },
  {
    ...{ id: 'other stance', name: 'in the opposite stance', of: 'working time', least: percent(0, 5, 15) },
    part: ({ msByStance }) => Math.min(msByStance['orthodox'] ?? 0, msByStance['southpaw'] ?? 0),
    whole: ({ msByStance }) => Object.values(msByStance).reduce((sum, ms) => sum + ms, 0),
    mend: 'switch the class’s stance halfway',
  },
];

/** An aim with what it has got. */
export interface AimMet {
  readonly aim: Aim;
  readonly least: Percent;
  /** Null where there is nothing to have a share of. */
  readonly got: Percent | null;
  /** How much of what is wanted is missing, 0 to 1. */
  readonly missing: number;
}

/** A share is short from so much missing on (house value). `isShort({ missing: 0.04 })` → `false` */
export const isShort = ({ missing }: Pick<AimMet, 'missing'>): boolean => missing >= 0.05;

/** A coach's own least shares, by the aim's id. */
export type OwnAims = Readonly<Record<string, Percent>>;

/** How a span meets what is wanted at a level, what is missing most first. `aimsMet(coverage, 'beginner', {})[0].aim.id` */
export function aimsMet(coverage: Coverage, level: Level, own: OwnAims): AimMet[] {
  return aims
    .map((aim): AimMet => {
      const least = own[aim.id] ?? aim.least[level];
      const whole = aim.whole(coverage);
      const got = whole > 0 ? (aim.part(coverage) / whole) * 100 : null;
      return { aim, least, got, missing: got === null || least === 0 ? 0 : Math.max(0, 1 - got / least) };
    })
    .sort((a, b) => b.missing - a.missing);
}

/**
 * What was neglected, in one sentence; that all has its share where it has.
 * @example sayNeglected(aimsMet(coverage, 'beginner', {})) // "3 % of strikes are to the body, where 10 % are wanted: …"
 */
export function sayNeglected(met: readonly AimMet[]): string {
  const [first] = met;
  if (!first || met.every(({ got }) => got === null))
    return 'No sessions in this period, so there is nothing to compare.';
  if (!isShort(first)) return 'Everything is on target.';
  const { aim, got, least } = first;
  return `${Math.round(got ?? 0)}% of ${aim.of} are ${aim.name}; the target is ${Math.round(least)}%: ${aim.mend}.`;
}
