import { inject, Injectable } from '@angular/core';
import {
  amend,
  compile,
  emptySheet,
  entryByHand,
  faultsSeen,
  isoDay,
  dayOf,
  mostBytes,
  tally,
  type CsvFault,
  type CsvMapping,
  type CsvRound,
  type CsvSession,
  type CsvTable,
  type DateOrder,
  type LogEntry,
  type Said,
  type Sheet,
} from '../../core/index';
import { FilesService } from './files.service';
import { freshId } from './fresh-id';
import { LogService } from './log.service';
import { ProgressService } from './progress.service';

/** What a file of the log turned out to be. */
export type Incoming =
  | { readonly kind: 'refused'; readonly why: string }
  | { readonly kind: 'sessions'; readonly sessions: readonly CsvSession[]; readonly faults: readonly CsvFault[] }
  | { readonly kind: 'rounds'; readonly rounds: readonly CsvRound[]; readonly faults: readonly CsvFault[] }
  /** A table of other origin, whose columns somebody has to name. */
  | { readonly kind: 'other'; readonly table: CsvTable; readonly mapping: CsvMapping };

/** What was taken in, in words, and the way back. */
export interface TakenIn {
  readonly words: string;
  readonly putBack: () => Promise<void>;
}

/** Faults that are said one by one; of more the number is said. */
const saidFaults = 3;

function sayFaults(faults: readonly CsvFault[]): string {
  if (faults.length === 0) return '';
  const said = faults.slice(0, saidFaults).map(({ line, what, mend }) => `line ${line}: ${what}; ${mend}`);
  const rest = faults.length - said.length;
  return `. Skipped: ${said.join('. ')}${rest > 0 ? `, and ${rest} more` : ''}`;
}

/** The log as files: entries and rounds as CSV, out and in. What reads and writes them is loaded when it is wanted. */
@Injectable({ providedIn: 'root' })
export class LogFilesService {
  private readonly log = inject(LogService);
  private readonly files = inject(FilesService);
  private readonly progress = inject(ProgressService);

  /** Hands all entries, or all their rounds, over as a file. */
  async out(what: 'entries' | 'rounds'): Promise<void> {
    const { csv } = await import('./csv');
    const entries = await this.log.all();
    const day = isoDay(dayOf(Date.now()));
    const text =
      what === 'entries'
        ? csv.entriesCsv(entries, ({ faults = [], changes = [] }) => [...new Set([...faults, ...faultsSeen(changes)])])
        : csv.roundsCsv(
            await this.progress.ask(
              'of',
              entries.map(({ id }) => id),
            ),
          );
    await this.files.save(`keen-tempo-${what}-${day}.csv`, text, 'text/csv;charset=utf-8');
  }

  /** Finds out what a file is. Nothing is changed. */
  async read(file: File): Promise<Incoming> {
    const { csv } = await import('./csv');
    if (file.size > mostBytes) return { kind: 'refused', why: 'this file is too large (over 64 MB)' };
    const table = csv.readCsv(await file.text());
    if (!table)
      return {
        kind: 'refused',
        why: 'this is not a table: it needs a row of column names, then rows separated by commas',
      };
    if (csv.isEntriesCsv(table)) return { kind: 'sessions', ...csv.sessionsIn(table, null, 'day first') };
    if (csv.isRoundsCsv(table)) return { kind: 'rounds', ...csv.roundsIn(table) };
    return { kind: 'other', table, mapping: csv.guessMapping(table.header) };
  }

  /** The sessions of a table of other origin, by what its columns were said to be. */
  async sessions(
    table: CsvTable,
    mapping: CsvMapping,
    order: DateOrder,
  ): Promise<Extract<Incoming, { kind: 'sessions' }>> {
    const { csv } = await import('./csv');
    return { kind: 'sessions', ...csv.sessionsIn(table, mapping, order) };
  }

  /** Puts what a file holds into the log: entries that are there are said anew, others come in as sessions by hand. */
  async takeIn(incoming: Extract<Incoming, { kind: 'sessions' | 'rounds' }>): Promise<TakenIn> {
    const ids =
      incoming.kind === 'rounds'
        ? incoming.rounds.map(({ id }) => id)
        : incoming.sessions.flatMap(({ id }) => id ?? []);
    const before = new Map((await this.log.byIds([...new Set(ids)])).map((entry) => [entry.id, entry]));
    const now = Date.now();
    const entries =
      incoming.kind === 'rounds'
        ? amendedRounds(incoming.rounds, before, now)
        : amendedSessions(incoming.sessions, before, now);
    await this.log.add(entries);
    const added = entries.filter(({ id }) => !before.has(id));
    const changed = entries.filter(({ id }) => before.has(id));
    const words = `${added.length} added, ${changed.length} changed${sayFaults(incoming.faults)}`;
    return {
      words,
      putBack: async () => {
        await this.log.takeOut(added.map(({ id }) => id));
        await this.log.add(changed.flatMap(({ id }) => before.get(id) ?? []));
      },
    };
  }

  /** An entry of a session that was not run here, on a sheet or on none. */
  byHand(session: Omit<CsvSession, 'id'>, sheet: Sheet | null): LogEntry {
    return handEntry({ id: null, ...session }, freshId(), sheet);
  }
}

function handEntry(session: CsvSession, id: string, sheet: Sheet | null): LogEntry {
  const { startedAt, title, ms, rounds, punches, rehearsal, said } = session;
  const timeline = sheet ? compile(sheet) : null;
  const planned =
    sheet && timeline
      ? { ms: timeline.ms, rounds: timeline.rounds, punches: Math.round(tally(timeline, sheet.stance).counts.punches) }
      : null;
  return entryByHand({
    ...{ id, startedAt, title, ms, rounds, rehearsal, said, planned },
    // Without a sheet of its own it stands on an empty one, by the title, so that its times stand together.
    sheet: sheet ?? { ...emptySheet(() => `hand ${title.toLowerCase()}`.slice(0, 64)), title },
    ...(punches === null ? {} : { punches }),
  });
}

function amendedSessions(
  sessions: readonly CsvSession[],
  before: ReadonlyMap<string, LogEntry>,
  now: number,
): LogEntry[] {
  return sessions.flatMap((session): LogEntry[] => {
    const known = session.id === null ? undefined : before.get(session.id);
    if (!known) return [handEntry(session, session.id ?? freshId(), null)];
    const { title, startedAt, said } = session;
    // A file says the minute, the log the millisecond.
    const moved = Math.abs(startedAt - known.startedAt) >= 60_000;
    const change: Said = { ...said, title, ...(moved ? { startedAt } : {}), ...mended(said, known) };
    const next = amend(known, change, now);
    return next === known ? [] : [next];
  });
}

/** What a file cannot hold of an entry stays as it was: whose a count is, by name. */
function mended(said: Said, { count, faults, changes }: LogEntry): Said {
  const seen = faultsSeen(changes ?? []);
  return {
    ...(said.count && count?.name ? { count: { ...said.count, name: count.name } } : {}),
    // Faults that were marked while it ran stand in its changes already.
    ...(said.faults ? { faults: said.faults.filter((id) => !seen.includes(id) || (faults ?? []).includes(id)) } : {}),
  };
}

function amendedRounds(rounds: readonly CsvRound[], before: ReadonlyMap<string, LogEntry>, now: number): LogEntry[] {
  return [...before.values()].flatMap((entry): LogEntry[] => {
    const said = rounds
      .filter(({ id, effort, counted }) => id === entry.id && (effort !== null || counted !== null))
      .map(({ round, effort, counted }) => ({ round, effort, counted }));
    const next = amend(entry, { rounds: said }, now);
    return next === entry ? [] : [next];
  });
}
