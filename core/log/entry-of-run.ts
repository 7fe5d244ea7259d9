import { whatWasDone } from '../run/done';
import type { LiveChange } from '../run/live-changes';
import type { Deed } from '../run/deeds';
import type { Sheet } from '../sheet/schema';
import { tally } from '../tally/tally';
import type { Timeline } from '../timeline/leaf';
import { mostDeeds, type LogEntry, type UnfinishedRun } from './log-entry';

/** A run that is over, or will not go on. */
export interface PastRun {
  readonly id: string;
  readonly sheet: Sheet;
  readonly deeds: readonly Deed[];
  readonly rate: number;
  /** What was changed while it ran. */
  readonly changes?: readonly LiveChange[] | undefined;
}

/**
 * The entry of a run, as planned and as done; `ran` is the timeline as it was changed on the way.
 * @example entryOfRun(run, compile(run.sheet)).done.rounds
 */
export function entryOfRun(
  { id, sheet, deeds, rate, changes }: PastRun,
  timeline: Timeline,
  ran: Timeline = timeline,
): LogEntry {
  return {
    id,
    startedAt: deeds[0]?.wall ?? 0,
    sheetId: sheet.id,
    title: sheet.title,
    sheet,
    planned: {
      ms: timeline.ms,
      rounds: timeline.rounds,
      punches: Math.round(tally(timeline, sheet.stance).counts.punches),
    },
    done: whatWasDone(deeds, ran),
    deeds: deeds.slice(-mostDeeds),
    effort: null,
    counted: null,
    note: '',
    ...(changes && changes.length > 0 ? { changes: [...changes] } : {}),
    rehearsal: rate !== 1,
  };
}

/** The entry of a run that was broken off and is let go: it ended where it was last seen. `ran` as for a run that is over. */
export function entryOfBrokenOff(
  id: string,
  run: UnfinishedRun,
  timeline: Timeline,
  ran: Timeline = timeline,
): LogEntry {
  const { sheet, at, deeds, rate, seen, changes } = run;
  const end: Deed = { what: 'stop now', from: Math.round(at), to: Math.round(at), wall: seen };
  return { ...entryOfRun({ id, sheet, deeds: [...deeds, end], rate, changes }, timeline, ran), brokenOff: true };
}
