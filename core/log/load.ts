import type { BlockKind } from '../sheet/schema';
import type { emptyDays } from '../sheet/settings';
import type { Kilograms, Milliseconds } from '../units';
import { firstDayOf, weekOf, type Day, type Week } from './day';
import type { Digest } from './digest';

/** Arbitrary units: how hard (0 to 10) times minutes. */
export type Load = number;

/**
 * The load of a session: session RPE × minutes (Foster et al. 2001, "A new approach to monitoring exercise training"). Null
 * where nobody has said how hard it was: that is not nothing.
 * @example sessionLoad(6, 40 * 60_000) // 240
 */
export function sessionLoad(effort: number | null, ms: Milliseconds): Load | null {
  return effort === null ? null : (effort * ms) / 60_000;
}

/** A day of a week: its load, 0 where it is known to be rest, null where nobody knows. */
export type DayLoad = Load | null;

/** A week in loads. */
export interface WeekLoad {
  readonly week: Week;
  readonly days: readonly DayLoad[];
  /** The sum of what is known. */
  readonly sum: Load;
  /** Sessions whose effort nobody has said: the sum is at least that much. */
  readonly unsaid: number;
  readonly sessions: number;
  /** Mean over standard deviation of the daily loads; null where days are missing or there is no spread. */
  readonly monotony: number | null;
  /** Sum × monotony; null where there is no monotony. */
  readonly strain: number | null;
}

/**
 * Monotony of daily loads: mean over standard deviation (Foster 1998, "Monitoring training in athletes with reference to
 * overtraining syndrome"; the standard deviation of a sample, as spreadsheets have it: the paper does not say which). Null
 * where a day is missing, or where there is no spread.
 * @example monotonyOf([600, 0, 600, 0, 600, 0, 0]) // 0.8018
 */
export function monotonyOf(days: readonly DayLoad[]): number | null {
  const known = days.filter((load) => load !== null);
  if (known.length < days.length || known.length < 2) return null;
  const mean = known.reduce((sum, load) => sum + load, 0) / known.length;
  const sd = Math.sqrt(known.reduce((sum, load) => sum + (load - mean) ** 2, 0) / (known.length - 1));
  return sd < 1e-9 ? null : mean / sd;
}

/** What is known of days without an entry: that they were rest, or nothing. */
export type EmptyDays = (typeof emptyDays)[number];

/**
 * Weeks from the first to the last of some sessions, those without any as well; `today` and what lies behind it is not known
 * yet. A day with several sessions has the sum of them.
 * @example weekLoads(digests, 'rest', today).at(-1)?.strain
 */
export function weekLoads(digests: readonly Digest[], unsaidDays: EmptyDays, today: Day): WeekLoad[] {
  const counted = digests.filter(({ learns, day }) => learns && day <= today);
  const first = counted.reduce((least, { day }) => Math.min(least, day), Infinity);
  if (first === Infinity) return [];
  const byDay = new Map<Day, Digest[]>();
  for (const digest of counted) byDay.set(digest.day, [...(byDay.get(digest.day) ?? []), digest]);
  const weeks: WeekLoad[] = [];
  for (let week = weekOf(first); week <= weekOf(today); week += 1) {
    const dates = Array.from({ length: 7 }, (_, at) => firstDayOf(week) + at);
    const held = dates.flatMap((day) => byDay.get(day) ?? []);
    const loads = held.map(({ effort, ms }) => sessionLoad(effort, ms));
    const days = dates.map((day): DayLoad => {
      const here = (byDay.get(day) ?? []).map(({ effort, ms }) => sessionLoad(effort, ms));
      if (here.length === 0) return unsaidDays === 'rest' && day < today ? 0 : null;
      return here.reduce<DayLoad>((sum, load) => (sum === null || load === null ? null : sum + load), 0);
    });
    const sum = loads.reduce<number>((total, load) => total + (load ?? 0), 0);
    const monotony = monotonyOf(days);
    weeks.push({
      ...{ week, days, sum, monotony, sessions: held.length },
      unsaid: loads.filter((load) => load === null).length,
      strain: monotony === null ? null : sum * monotony,
    });
  }
  return weeks;
}

/** A week's load above this times the mean of the four before it is a jump (house value), as is a monotony above this (Foster 1998: 2). */
export const loadBounds = { rise: 1.3, monotony: 2 } as const;

/** Weeks that a week is held against. */
const before = 4;

/** By how much a week is above the mean of the four before it, as far as those have loads; null where none has. `riseOf(weeks, 5)` → `1.2` */
export function riseOf(weeks: readonly WeekLoad[], at: number): number | null {
  const past = weeks.slice(Math.max(0, at - before), at).filter(({ sum }) => sum > 0);
  const here = weeks[at];
  if (!here || past.length === 0) return null;
  return here.sum / (past.reduce((total, { sum }) => total + sum, 0) / past.length);
}

/**
 * What a coach should know of a week, in plain words; no medical claim. `sayWeek(weeks, 3)` → `["…"]`
 */
export function sayWeek(weeks: readonly WeekLoad[], at: number): string[] {
  const here = weeks[at];
  if (!here) return [];
  const rise = riseOf(weeks, at);
  return [
    ...(rise !== null && rise > loadBounds.rise
      ? [`${Math.round((rise - 1) * 100)}% above previous weeks: take it easier for a few days, or plan an easier week`]
      : []),
    ...(here.monotony !== null && here.monotony > loadBounds.monotony
      ? ['the days are too alike: make hard days harder and easy days easier']
      : []),
    ...(here.unsaid > 0
      ? [
          `${here.unsaid} ${here.unsaid === 1 ? 'session has' : 'sessions have'} no effort rating, so the real total is higher`,
        ]
      : []),
  ];
}

/** Metabolic equivalents: how many times the energy of sitting still. */
export type Met = number;

/** METs by what is done (2011 Compendium of Physical Activities, from memory, as in the trade page, section 11). */
export const mets: Readonly<Record<BlockKind, Met>> = {
  'warm-up': 3.8,
  show: 2.3,
  round: 5.5,
  rest: 2.3,
  conditioning: 3.8,
  core: 3.8,
  'cool-down': 2.3,
};
/** Rounds with kicks, knees or elbows go as martial arts at a moderate pace. */
export const kickingMet: Met = 10.3;

/**
 * Energy in kilocalories: MET × 3.5 × kg / 200 × minutes (the compendium's formula; trade page, section 11).
 * @example energyOf(5.5, 70, 30 * 60_000) // 202.125
 */
export function energyOf(met: Met, weight: Kilograms, ms: Milliseconds): number {
  return ((met * 3.5 * weight) / 200) * (ms / 60_000);
}

/** Strikes of the leg and the elbow make a session one of martial arts where they are more than this share (house value). */
const kickingFrom = 0.15;
const kicking = ['kicks', 'knees', 'elbows', 'teeps'];

/** The energy of one person of a weight in a session, in kilocalories; an estimate in plain words, no more. `energyOfSession(digest, 70)` */
export function energyOfSession({ msByBlock, cells, strikes }: Digest, weight: Kilograms): number {
  const legs = Object.entries(cells)
    .filter(([cell]) => kicking.some((group) => cell.endsWith(group)))
    .reduce((sum, [, count]) => sum + count, 0);
  const round = strikes > 0 && legs / strikes > kickingFrom ? kickingMet : mets.round;
  return Object.entries(msByBlock).reduce(
    (sum, [block, ms]) => sum + energyOf(block === 'round' ? round : mets[block as BlockKind], weight, ms),
    0,
  );
}
