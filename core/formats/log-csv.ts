import { dayOf, isoDay, type WallTime } from '../log/day';
import type { LogEntry } from '../log/log-entry';
import type { Digest } from '../log/digest';
import type { Milliseconds } from '../units';
import { writeCsv, type CsvTable } from './csv-cells';

/** Columns of a file of entries, as this program writes it (docs/formats/log-csv.md). */
export const entryColumns = [
  'id',
  'date',
  'time',
  'title',
  'minutes',
  'rounds',
  'planned punches',
  'counted punches',
  'count of',
  'count by',
  'effort',
  'mean pulse',
  'most pulse',
  'faults',
  'class',
  'people',
  'names',
  'note',
  'rehearsal',
] as const;
export type EntryColumn = (typeof entryColumns)[number];

/** Columns of a file of rounds. */
export const roundColumns = [
  'id',
  'date',
  'title',
  'round',
  'minutes',
  'planned punches',
  'counted punches',
  'effort',
] as const;

const parted = (words: readonly string[]): string => words.join('; ');
/** `18:30` of a moment, by the clock on the wall. */
const clockOf = (moment: WallTime): string => {
  const at = new Date(moment);
  return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
};
const minutesOf = (ms: Milliseconds): number => Math.round((ms / 60_000) * 100) / 100;

/**
 * Entries as CSV, one a row; `faults` of an entry are those that were seen, marked while it ran or said later.
 * @example entriesCsv([entry], () => []).startsWith('id,date') // true
 */
export function entriesCsv(entries: readonly LogEntry[], faultsOf: (entry: LogEntry) => readonly string[]): string {
  return writeCsv(
    entryColumns,
    entries.map((entry) => {
      const { id, startedAt, title, done, counted, count, effort, pulse, sensed, who, note, rehearsal } = entry;
      const measured = sensed && !sensed.simulated ? { mean: sensed.meanPulse, most: sensed.mostPulse } : undefined;
      const { mean, most } = pulse ?? measured ?? { mean: null, most: null };
      return [
        ...[id, isoDay(dayOf(startedAt)), clockOf(startedAt), title, minutesOf(done.ms), done.rounds, done.punches],
        ...[counted, count?.of ?? '', count?.by ?? '', effort, mean, most, parted(faultsOf(entry))],
        ...[who?.group ?? '', who?.people ?? null, parted(who?.names ?? []), note, rehearsal ? 'yes' : ''],
      ];
    }),
  );
}

/** Rounds as CSV, one a row, by the figures of their entries. `roundsCsv(digests).startsWith('id,date') // true` */
export function roundsCsv(digests: readonly Digest[]): string {
  return writeCsv(
    roundColumns,
    digests.flatMap(({ id, day, title, byRound }) =>
      byRound.map(({ round, ms, punches, counted, effort }) => [
        ...[id, isoDay(day), title, round, minutesOf(ms), punches, counted, effort],
      ]),
    ),
  );
}

/** What a column of a file of other origin may be. */
export const mappedFields = [
  'date',
  'time',
  'title',
  'minutes',
  'rounds',
  'effort',
  'counted punches',
  'planned punches',
  'mean pulse',
  'most pulse',
  'class',
  'people',
  'note',
] as const satisfies readonly EntryColumn[];
export type MappedField = (typeof mappedFields)[number];

/** Which column of a file is what; null where it has none. */
export type CsvMapping = Readonly<Record<MappedField, number | null>>;

/** Names by which other files call a field (common practice, no source). */
const otherNames: Readonly<Record<MappedField, readonly string[]>> = {
  date: ['day', 'start', 'started'],
  time: ['clock', 'start time'],
  title: ['session', 'name', 'workout', 'activity'],
  minutes: ['duration', 'length', 'min'],
  rounds: ['rds'],
  effort: ['rpe', 'srpe', 'exertion', 'intensity'],
  'counted punches': ['punches', 'count', 'strikes', 'hits'],
  'planned punches': ['planned', 'target'],
  'mean pulse': ['avg hr', 'average heart rate', 'heart rate', 'hr'],
  'most pulse': ['max hr', 'maximum heart rate'],
  class: ['group', 'team'],
  people: ['attendance', 'athletes'],
  note: ['notes', 'comment', 'remarks'],
};

/** The likeliest mapping by the names of the columns. `guessMapping(['Day', 'Duration', 'RPE']).effort` → `2` */
export function guessMapping(header: readonly string[]): CsvMapping {
  const small = header.map((name) => name.toLowerCase().trim());
  return Object.fromEntries(
    mappedFields.map((field) => {
      const at = small.findIndex((name) => name === field || otherNames[field].includes(name));
      const near = at >= 0 ? at : small.findIndex((name) => otherNames[field].some((other) => name.startsWith(other)));
      return [field, near < 0 ? null : near];
    }),
  ) as unknown as CsvMapping;
}

/** Whether a table is one of entries that this program wrote. `isEntriesCsv(readCsv(text))` */
export const isEntriesCsv = ({ header }: CsvTable): boolean => entryColumns.every((name, at) => header[at] === name);
/** Whether a table is one of rounds that this program wrote. `isRoundsCsv(readCsv(text))` */
export const isRoundsCsv = ({ header }: CsvTable): boolean => roundColumns.every((name, at) => header[at] === name);
