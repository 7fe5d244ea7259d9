import type { Sheet } from '../sheet/schema';
import type { Milliseconds } from '../units';
import type { WallTime } from './day';
import type { LogEntry, Said } from './log-entry';

/** What is known of a session that was held without the application. */
export interface ByHand {
  readonly id: string;
  readonly startedAt: WallTime;
  readonly title: string;
  readonly ms: Milliseconds;
  readonly rounds: number;
  readonly rehearsal?: boolean;
  readonly said?: Said;
  /** The sheet that was followed, or an empty one that stands for none. */
  readonly sheet: Sheet;
  /** What the sheet plans; nothing where none was followed. */
  readonly planned: LogEntry['planned'] | null;
  /** Planned punches of what was done, where somebody knows. */
  readonly punches?: number;
}

/**
 * An entry of a session that was not run here. What is not known of it is missing, and is nothing anywhere.
 * @example entryByHand({ id, startedAt, title: 'In the yard', ms: 1_800_000, rounds: 4, sheet, planned: null })
 */
export function entryByHand(hand: ByHand): LogEntry {
  const { id, startedAt, title, ms, rounds, sheet, planned, said = {} } = hand;
  const punches = hand.punches ?? (planned && planned.ms > 0 ? Math.round((planned.punches * ms) / planned.ms) : 0);
  return {
    id,
    startedAt,
    sheetId: sheet.id,
    title,
    sheet,
    planned: planned ?? { ms, rounds, punches },
    done: { ms, rounds, punches, finished: true },
    deeds: [],
    effort: null,
    counted: null,
    note: '',
    ...said,
    rehearsal: hand.rehearsal ?? false,
    byHand: true,
  };
}
