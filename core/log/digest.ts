// What an entry of the log comes to, in few figures: whoever adds weeks up reads these and no whole sheets. A digest is
// derived and can be made anew at any time. Begin with `digestOf`.
import type { BagKind } from '../bags/kind-names';
import { unfold } from '../mechanics/steps';
import type { Stance } from '../mechanics/walk';
import { moveKind } from '../moves/catalogue';
import type { Side, StrikeGroup, Target } from '../moves/kind';
import { isStrike, type Move } from '../moves/move';
import { fullTurn, type Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { stretchesOf, timesRun } from '../run/done';
import type { BlockKind } from '../sheet/schema';
import { timesOfTurns } from '../tally/counts';
import { planLeaf } from '../tally/planned';
import { tally } from '../tally/tally';
import { facingOf } from '../tally/sides';
import type { Doing, Leaf, Timeline } from '../timeline/leaf';
import type { Milliseconds, PaceFactor } from '../units';
import { dayOf, type Day, type WallTime } from './day';
import type { LogEntry } from './log-entry';

/** What kind of work a count was of: the way in which plans and people differ goes by it. */
export type WorkKind = 'combination' | 'build' | 'free' | 'calls' | 'rhythm';

/** A place on the staff: which side, how high, what kind of strike. `lead head straights` */
export type Cell = `${Side} ${Target} ${StrikeGroup}`;

/** A combination as it was worked on in a session. */
export interface Worked {
  /** Canonical text. */
  readonly text: string;
  readonly repetitions: number;
  readonly plannedMs: Milliseconds;
  /** Time that was done of it; repeats count again. */
  readonly ms: Milliseconds;
  readonly pace: PaceFactor;
}

/** One round as planned and as done. */
export interface RoundDigest {
  readonly round: number;
  readonly plannedMs: Milliseconds;
  readonly ms: Milliseconds;
  /** Punches planned for what was done of it. */
  readonly punches: number;
  readonly counted: number | null;
  readonly effort: number | null;
  readonly kind: WorkKind;
  readonly pace: PaceFactor;
}

/** The figures of an entry. What nobody knows is null, and never nothing. */
export interface Digest {
  readonly id: string;
  readonly startedAt: WallTime;
  readonly day: Day;
  readonly sheetId: string;
  readonly title: string;
  /** The class: what it is called, else its level, else `any`. */
  readonly group: string;
  readonly bag: BagKind;
  /** Whether anything is learnt from it: not from rehearsals. */
  readonly learns: boolean;
  readonly finished: boolean;
  readonly plannedMs: Milliseconds;
  readonly ms: Milliseconds;
  readonly plannedRounds: number;
  readonly rounds: number;
  /** Punches planned for what was done. */
  readonly punches: number;
  readonly counted: number | null;
  /** Whose the count is, where it was one person's that is named. */
  readonly athlete: string | null;
  readonly effort: number | null;
  readonly people: number | null;
  readonly byRound: readonly RoundDigest[];
  readonly worked: readonly Worked[];
  readonly cells: Readonly<Partial<Record<Cell, number>>>;
  readonly strikes: number;
  readonly free: number;
  readonly defences: number;
  readonly left: number;
  readonly right: number;
  readonly msByBag: Readonly<Record<string, Milliseconds>>;
  readonly msByStance: Readonly<Partial<Record<Stance, Milliseconds>>>;
  readonly msByBlock: Readonly<Partial<Record<BlockKind, Milliseconds>>>;
  /** Ids of the fault list. */
  readonly faults: readonly string[];
}

const workKinds: Readonly<Partial<Record<Doing, WorkKind>>> = {
  combination: 'combination',
  'own-time': 'free',
  calls: 'calls',
  rhythm: 'rhythm',
};

/** The kind of work of a leaf; null where nothing is struck. `workKindOf(leaf)` → `build` */
export function workKindOf(leaf: Pick<Leaf, 'doing' | 'combination' | 'stage'>): WorkKind | null {
  if (leaf.doing === 'combination' && leaf.combination?.items[0]?.kind === 'freestyle') return 'free';
  return leaf.stage ? 'build' : (workKinds[leaf.doing] ?? null);
}

/** Punches that are planned, by the kind of work and the pace they are planned at. */
export interface PlannedPart {
  readonly planned: number;
  readonly kind: WorkKind;
  readonly pace: PaceFactor;
}

/** What a session plans, leaf by leaf. `plannedParts(compile(sheet)).reduce((sum, { planned }) => sum + planned, 0)` */
export function plannedParts({ leaves }: Timeline): PlannedPart[] {
  return leaves.flatMap((leaf): PlannedPart[] => {
    const [kind, planned] = [workKindOf(leaf), planLeaf(leaf).counts.punches];
    return kind === null || planned === 0 ? [] : [{ planned, kind, pace: leaf.pace }];
  });
}

interface Sums {
  readonly cells: Partial<Record<Cell, number>>;
  readonly worked: Map<string, Worked>;
  readonly msByBag: Record<string, Milliseconds>;
  readonly msByStance: Record<Stance, Milliseconds>;
  readonly msByBlock: Partial<Record<BlockKind, Milliseconds>>;
  strikes: number;
  free: number;
  defences: number;
  left: number;
  right: number;
}

/** Adds what so many repetitions of a combination strike, place by place; `share` of each. `addCells(cells, combination, 12, 0.5)` */
export function addCells(
  cells: Partial<Record<Cell, number>>,
  combination: Combination,
  repetitions: number,
  share: number,
): void {
  timesOfTurns(repetitions, fullTurn(combination.items)).forEach((times, turn) => {
    for (const { content } of unfold(combination, turn))
      for (const each of content) if (each.kind === 'move') addMove(cells, each, times * share);
  });
}

function addMove(cells: Sums['cells'], move: Move, times: number): void {
  const { group } = moveKind(move.id);
  if (!isStrike(move) || group === null || move.side === null || move.target === null) return;
  const cell: Cell = `${move.side} ${move.target} ${group}`;
  cells[cell] = (cells[cell] ?? 0) + times;
}

function addLeaf(sums: Sums, leaf: Leaf, share: number, stance: Stance): void {
  const ms = leaf.ms * share;
  sums.msByBlock[leaf.block] = (sums.msByBlock[leaf.block] ?? 0) + ms;
  const plan = planLeaf(leaf);
  if (plan.counts.moves === 0) return;
  for (const bag of leaf.bags) sums.msByBag[bag] = (sums.msByBag[bag] ?? 0) + ms / leaf.bags.length;
  sums.msByStance[facingOf(leaf, stance)] += ms;
  const { counts, bySide, byKind } = tally({ ms: leaf.ms, openBreaks: 0, rounds: 0, leaves: [leaf] }, stance);
  sums.strikes += counts.strikes * share;
  sums.free += (byKind.free.left + byKind.free.right) * share;
  sums.defences += counts.defences * share;
  sums.left += bySide.left * share;
  sums.right += bySide.right * share;
  if (plan.repetitions === 0 || !leaf.combination) return;
  addCells(sums.cells, leaf.combination, plan.repetitions, share);
  if (leaf.block === 'warm-up' || leaf.block === 'cool-down') return;
  const text = writeCombination(leaf.combination);
  const before = sums.worked.get(text);
  sums.worked.set(text, {
    text,
    repetitions: (before?.repetitions ?? 0) + plan.repetitions * share,
    plannedMs: (before?.plannedMs ?? 0) + leaf.ms,
    ms: (before?.ms ?? 0) + ms,
    pace: leaf.pace,
  });
}

/** What most of a round is of. */
function mostly<T extends string | number>(all: readonly (readonly [T, number])[], usual: T): T {
  const sums = new Map<T, number>();
  for (const [value, weight] of all) sums.set(value, (sums.get(value) ?? 0) + weight);
  return [...sums].sort((a, b) => b[1] - a[1])[0]?.[0] ?? usual;
}

function roundsOf(entry: LogEntry, ran: Timeline, shareOf: (leaf: Leaf) => number): RoundDigest[] {
  const numbers = [...new Set(ran.leaves.flatMap(({ round }) => (round === null ? [] : [round])))];
  return numbers.map((round): RoundDigest => {
    const leaves = ran.leaves.filter((leaf) => leaf.round === round);
    const said = entry.rounds?.find((each) => each.round === round);
    const sum = (of: (leaf: Leaf) => number): number => leaves.reduce((total, leaf) => total + of(leaf), 0);
    return {
      round,
      plannedMs: sum(({ ms }) => ms),
      ms: Math.round(sum((leaf) => leaf.ms * shareOf(leaf))),
      punches: Math.round(sum((leaf) => planLeaf(leaf).counts.punches * shareOf(leaf))),
      counted: entry.count?.by === 'simulated' ? null : (said?.counted ?? null),
      effort: said?.effort ?? null,
      kind: mostly(
        leaves.map((leaf) => [workKindOf(leaf) ?? 'combination', planLeaf(leaf).counts.punches] as const),
        'combination',
      ),
      pace: mostly(
        leaves.map((leaf) => [leaf.pace, planLeaf(leaf).counts.punches] as const),
        1,
      ),
    };
  });
}

/** In whole figures, without what is nothing. */
const whole = (sums: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(
    Object.entries(sums).flatMap(([key, value]) => (Math.round(value) === 0 ? [] : [[key, Math.round(value)]])),
  );

/**
 * The figures of an entry; `ran` is its timeline with what was changed on the way, `seen` the faults that were marked then.
 * Of a session that was not run here, its sheet counts by the share of it that was done.
 * @example digestOf(entry, liveTimeline(compile(entry.sheet), entry.changes ?? []), [])
 */
export function digestOf(entry: LogEntry, ran: Timeline, seen: readonly string[]): Digest {
  const { sheet, planned, done, who, count } = entry;
  const stretches = stretchesOf(entry.deeds);
  const byHandShare = planned.ms > 0 ? Math.min(1, done.ms / planned.ms) : 0;
  const shareOf = (leaf: Leaf): number => (entry.byHand ? byHandShare : timesRun(stretches, leaf));
  const sums: Sums = {
    ...{
      cells: {},
      worked: new Map(),
      msByBag: {},
      msByBlock: {},
      msByStance: { orthodox: 0, southpaw: 0, square: 0 },
    },
    ...{ strikes: 0, free: 0, defences: 0, left: 0, right: 0 },
  };
  for (const leaf of ran.leaves) addLeaf(sums, leaf, shareOf(leaf), sheet.stance);
  return {
    id: entry.id,
    startedAt: entry.startedAt,
    day: dayOf(entry.startedAt),
    sheetId: entry.sheetId,
    title: entry.title,
    group: who?.group ?? sheet.class.level ?? 'any',
    bag: sheet.bag,
    learns: !entry.rehearsal,
    finished: done.finished,
    plannedMs: planned.ms,
    ms: done.ms,
    plannedRounds: planned.rounds,
    rounds: done.rounds,
    punches: Math.round(done.punches),
    counted: count?.by === 'simulated' ? null : entry.counted,
    athlete: count?.of === 'one' ? (count.name ?? null) : null,
    effort: entry.effort,
    people: who ? (who.people ?? (who.names.length > 0 ? who.names.length : null)) : (sheet.class.people ?? null),
    byRound: roundsOf(entry, ran, shareOf),
    worked: [...sums.worked.values()].map((each) => ({
      ...each,
      ms: Math.round(each.ms),
      repetitions: Math.round(each.repetitions),
    })),
    cells: whole(sums.cells) as Digest['cells'],
    strikes: Math.round(sums.strikes),
    free: Math.round(sums.free),
    defences: Math.round(sums.defences),
    left: Math.round(sums.left),
    right: Math.round(sums.right),
    msByBag: whole(sums.msByBag),
    msByStance: whole(sums.msByStance) as Digest['msByStance'],
    msByBlock: whole(sums.msByBlock as Record<string, number>) as Digest['msByBlock'],
    faults: [...new Set([...(entry.faults ?? []), ...seen])],
  };
}
