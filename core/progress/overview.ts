import { bookRow, type BookRow } from '../book/search';
import type { Level } from '../bags/kind-names';
import { calibrate, countsIn, type Calibration, type Estimate } from '../log/calibration';
import { aimsMet, coverageOf, sayNeglected, type AimMet, type Coverage, type OwnAims } from '../log/coverage';
import { firstDayOf, weekOf, type Day, type Week } from '../log/day';
import type { Digest } from '../log/digest';
import { riseOf, sayWeek, weekLoads, type EmptyDays, type WeekLoad } from '../log/load';
import type { BookEntry } from '../sheet/book';
import { dueOf } from './due';
import { suggestDue, suggestForFaults, suggestForLacks, suggestHarder, type Suggestion } from './next-steps';

/** What is asked of the log. */
export interface ProgressQuestion {
  readonly today: Day;
  /** Days looked back, today among them; null for all there is. */
  readonly days: number | null;
  /** One class; null for all of them. */
  readonly group: string | null;
  readonly level: Level;
  readonly aims: OwnAims;
  readonly emptyDays: EmptyDays;
}

/** A week with what is to be said of it. */
export interface SaidWeek extends WeekLoad {
  readonly rise: number | null;
  readonly said: readonly string[];
}

/** Counted against planned at a moment: what was taken for true after the counts up to then. */
export interface CountedPoint {
  readonly day: Day;
  readonly ratio: number;
  readonly sd: number;
}

/** How one class or one person throws against what is planned. */
export interface OwnRatio extends Estimate {
  readonly of: 'class' | 'person';
  readonly name: string;
}

/** Left and right, and faults, of a week. */
export interface WeekShares {
  readonly week: Week;
  readonly left: number;
  readonly right: number;
  readonly faults: Readonly<Record<string, number>>;
}

/** Everything that the log tells. */
export interface Overview {
  readonly sessions: number;
  readonly from: Day;
  readonly groups: readonly string[];
  readonly weeks: readonly SaidWeek[];
  /** Single counts as ratios to their plan. */
  readonly counts: readonly { readonly day: Day; readonly ratio: number }[];
  readonly counted: readonly CountedPoint[];
  /** Classes and people of whom something was counted, those with the most counts first. */
  readonly ratios: readonly OwnRatio[];
  readonly coverage: Coverage;
  readonly met: readonly AimMet[];
  readonly neglected: string;
  readonly shares: readonly WeekShares[];
  readonly next: readonly Suggestion[];
}

/** Points of the line of counts, at the most: of a longer span every so many weeks one. */
const mostPoints = 40;
/** Suggestions of one kind. */
const mostOfAKind = 5;

function pointsOf(digests: readonly Digest[], from: Day, today: Day, group: string | null): CountedPoint[] {
  const counts = countsIn(digests);
  const estimateOf = ({ groups, everybody }: Calibration): { ratio: number; sd: number } =>
    (group === null ? undefined : groups.get(group)) ?? everybody;
  const weeks = Math.max(1, Math.ceil((today - from + 1) / 7));
  const every = Math.ceil(weeks / mostPoints) * 7;
  const points: CountedPoint[] = [];
  for (let day = today; day >= from; day -= every) {
    const { ratio, sd } = estimateOf(calibrate(counts, day));
    points.unshift({ day, ratio, sd });
  }
  return points;
}

function ratiosOf(digests: readonly Digest[], today: Day): OwnRatio[] {
  const { groups, athletes } = calibrate(countsIn(digests), today);
  const named = (of: OwnRatio['of'], all: ReadonlyMap<string, Estimate>): OwnRatio[] =>
    [...all].map(([name, estimate]) => ({ ...estimate, of, name }));
  return [...named('class', groups), ...named('person', athletes)].sort(
    (a, b) => b.counts - a.counts || (a.name < b.name ? -1 : 1),
  );
}

function sharesOf(digests: readonly Digest[], from: Day, today: Day): WeekShares[] {
  const weeks = new Map<Week, { left: number; right: number; faults: Record<string, number> }>();
  for (let week = weekOf(from); week <= weekOf(today); week += 1) weeks.set(week, { left: 0, right: 0, faults: {} });
  for (const { learns, day, left, right, faults } of digests) {
    const week = weeks.get(weekOf(day));
    if (!learns || !week || day < from || day > today) continue;
    week.left += left;
    week.right += right;
    for (const fault of faults) week.faults[fault] = (week.faults[fault] ?? 0) + 1;
  }
  return [...weeks].map(([week, sums]) => ({ week, ...sums }));
}

/** What to do next, the due first; of each kind a few. `whatNext(digests, rows, met, today)[0]?.kind` → `due` */
export function whatNext(
  digests: readonly Digest[],
  rows: readonly BookRow[],
  met: readonly AimMet[],
  today: Day,
): Suggestion[] {
  const due = dueOf(digests);
  return [
    ...suggestDue(due, rows, today).slice(0, mostOfAKind),
    ...suggestForFaults(digests, today).slice(0, mostOfAKind),
    ...suggestForLacks(met, rows).slice(0, mostOfAKind),
    ...suggestHarder(due, rows, today).slice(0, mostOfAKind),
  ];
}

/**
 * Everything that the log tells of a span, from the digests of its entries and the book.
 * @example overview(digests, book, { today, days: 84, group: null, level: 'beginner', aims: {}, emptyDays: 'rest' }).neglected
 */
export function overview(
  digests: readonly Digest[],
  book: readonly BookEntry[],
  { today, days, group, level, aims, emptyDays }: ProgressQuestion,
): Overview {
  const own = digests.filter((digest) => (group === null || digest.group === group) && digest.day <= today);
  const first = own.reduce((least, { day, learns }) => (learns ? Math.min(least, day) : least), today);
  // Whole weeks: half a one would look like a poor one.
  const from = firstDayOf(weekOf(days === null ? first : Math.max(first, today - days + 1)));
  const weeks = weekLoads(own, emptyDays, today);
  const coverage = coverageOf(own, from, today);
  const met = aimsMet(coverage, level, aims);
  const rows = book.flatMap((entry) => bookRow(entry) ?? []);
  return {
    sessions: coverage.sessions,
    from,
    groups: [...new Set(digests.map((digest) => digest.group))].sort(),
    weeks: weeks.flatMap((week, at) =>
      week.week < weekOf(from) ? [] : [{ ...week, rise: riseOf(weeks, at), said: sayWeek(weeks, at) }],
    ),
    counts: countsIn(own).flatMap(({ day, ratio }) => (day < from ? [] : [{ day, ratio }])),
    counted: pointsOf(own, from, today, group),
    ratios: ratiosOf(own, today),
    coverage,
    met,
    neglected: sayNeglected(met),
    shares: sharesOf(own, from, today),
    next: whatNext(own, rows, met, today),
  };
}
