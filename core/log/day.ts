import type { Milliseconds } from '../units';

/** A day of the calendar where the coach is, counted from 1 January 1970. */
export type Day = number;
/** A week that begins on Monday, counted from the one of 29 December 1969. */
export type Week = number;
/** A moment in milliseconds since 1970. */
export type WallTime = Milliseconds;

const dayMs = 24 * 3_600_000;
/** 1 January 1970 was a Thursday. */
const mondayBefore = 3;

/** The day of a moment by the clock on the wall. `isoDay(dayOf(Date.parse('2026-11-26T18:00')))` → `2026-11-26` */
export function dayOf(moment: WallTime): Day {
  const at = new Date(moment);
  return Math.round(Date.UTC(at.getFullYear(), at.getMonth(), at.getDate()) / dayMs);
}

/** A moment of a day by the clock on the wall, so many minutes after midnight. `momentOf(day, 18 * 60)` is six in the evening */
export function momentOf(day: Day, minutes = 0): WallTime {
  const at = new Date(day * dayMs);
  return new Date(at.getUTCFullYear(), at.getUTCMonth(), at.getUTCDate(), 0, minutes).getTime();
}

/** 0 for Monday to 6 for Sunday. `weekdayOf(0)` → `3` */
export const weekdayOf = (day: Day): number => (((day + mondayBefore) % 7) + 7) % 7;

/** The week of a day. `weekOf(dayFromIso('2026-11-26') ?? 0) - weekOf(dayFromIso('2026-11-22') ?? 0)` → `1` */
export const weekOf = (day: Day): Week => Math.floor((day + mondayBefore) / 7);

/** The Monday a week begins with. `isoDay(firstDayOf(weekOf(0)))` → `1969-12-29` */
export const firstDayOf = (week: Week): Day => week * 7 - mondayBefore;

/** A day as ISO 8601 has it. `isoDay(0)` → `1970-01-01` */
export const isoDay = (day: Day): string => new Date(day * dayMs).toISOString().slice(0, 10);

/** A day out of ISO 8601; null where there is no such day. `dayFromIso('1970-01-02')` → `1` */
export function dayFromIso(text: string): Day | null {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return null;
  const at = Date.parse(`${text}T00:00:00Z`);
  // A 30 February is read as 2 March by some.
  return Number.isNaN(at) || isoDay(at / dayMs) !== text ? null : at / dayMs;
}
