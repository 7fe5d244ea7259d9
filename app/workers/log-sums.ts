import {
  calibrate,
  compareRounds,
  countsIn,
  coverageOf,
  energyOfSession,
  expectedCount,
  logLines,
  newProgramme,
  orderLog,
  moveSession,
  overview,
  progressOfSheet,
  replan,
  runsOf,
  sayProgress,
  sheetOfSession,
  type Calibration,
  type ComparedRound,
  type Coverage,
  type Day,
  type Digest,
  type Expected,
  type LogLines,
  type LogWish,
  type Overview,
  type PlannedPart,
  type Programme,
  type ProgrammeSession,
  type ProgrammeWishes,
  type ProgressQuestion,
  type Replanned,
  type Searched,
  type Sheet,
} from '../../core/index';
import type { Database } from '../store/database';
import { Digests, type Adding } from '../store/digests';

/** How a sheet has gone, in a sentence, and its last two runs round by round. */
export interface SheetStory {
  readonly sentence: string | null;
  readonly runs: readonly Digest[];
}

/** Two runs side by side. */
export interface Compared {
  readonly before: Digest;
  readonly now: Digest;
  readonly rounds: readonly ComparedRound[];
}

/** Everything that is asked of the whole log; long work over much data. In a worker, or where there is none, on the page. */
export class LogSums {
  private readonly digests: Digests;
  /** The log in the order that was wished last. */
  private ordered: (Pick<LogWish, 'order' | 'down'> & Record<'all' | 'list', readonly Searched[]>) | null = null;

  constructor(private readonly database: Database) {
    this.digests = new Digests(database);
  }

  /** Whether it is asked of a certain database. */
  isOf(database: Database): boolean {
    return this.database === database;
  }

  /** How far the entries are that are being added up for the first time; null where none is. */
  adding(): Adding | null {
    return this.digests.adding;
  }

  /** The lines of the log; `known` where nothing has changed since the last question, which saves a look at each of its keys. */
  async lines(wish: LogWish, known: boolean): Promise<LogLines> {
    const all = (known ? await this.digests.atHand() : null) ?? (await this.digests.all());
    if (this.ordered?.all !== all || this.ordered.order !== wish.order || this.ordered.down !== wish.down)
      this.ordered = { all, order: wish.order, down: wish.down, list: orderLog(all, wish) };
    return logLines(this.ordered.list, wish);
  }

  async overview(question: ProgressQuestion): Promise<Overview> {
    const book = (await this.database.book.toArray()).map(({ entry }) => entry);
    return overview(await this.digests.digests(), book, question);
  }

  /** What was worked on over a span. */
  async coverage(from: Day, to: Day): Promise<Coverage> {
    return coverageOf(await this.digests.digests(), from, to);
  }

  /** The energy of one person of a weight in the last session; null where there was none. */
  async lastEnergy(weight: number): Promise<{ readonly title: string; readonly kcal: number } | null> {
    const sessions = (await this.digests.digests()).filter(({ learns }) => learns);
    const last = sessions.reduce<Digest | null>(
      (late, each) => (late && late.startedAt > each.startedAt ? late : each),
      null,
    );
    return last ? { title: last.title, kcal: Math.round(energyOfSession(last, weight) / 10) * 10 } : null;
  }

  /** The sheets that were run, by the titles they had last. */
  async sheets(): Promise<readonly { readonly id: string; readonly title: string }[]> {
    const sheets = new Map<string, Digest>();
    for (const digest of await this.digests.digests())
      if ((sheets.get(digest.sheetId)?.startedAt ?? -Infinity) < digest.startedAt) sheets.set(digest.sheetId, digest);
    return [...sheets.values()]
      .map(({ sheetId: id, title }) => ({ id, title: title || 'Untitled' }))
      .sort((a, b) => (a.title < b.title ? -1 : 1));
  }

  /** The classes of the log. */
  async groups(): Promise<readonly string[]> {
    return [...new Set((await this.digests.digests()).map(({ group }) => group))].sort();
  }

  /** Everybody who stands in the log by name. */
  async people(): Promise<readonly string[]> {
    const names = new Set<string>();
    await this.database.log.each(({ entry }) => {
      for (const name of entry.who?.names ?? []) names.add(name);
      if (entry.count?.name) names.add(entry.count.name);
    });
    return [...names].sort();
  }

  /** How many punches are to be expected of what a sheet plans, by what its class has thrown before. */
  async expected(sheetId: string, level: string, parts: readonly PlannedPart[], today: Day): Promise<Expected> {
    const digests = await this.digests.digests();
    const calibration: Calibration = calibrate(countsIn(digests), today);
    return expectedCount(parts, calibration, runsOf(digests, sheetId).at(-1)?.group ?? level);
  }

  async story(sheetId: string): Promise<SheetStory> {
    const runs = runsOf(await this.digests.digests(), sheetId);
    const progress = progressOfSheet(runs);
    return { sentence: progress ? sayProgress(progress) : null, runs: runs.slice(-6) };
  }

  /** Two entries side by side, the earlier first; null where one of them is not there. */
  async compared(one: string, two: string): Promise<Compared | null> {
    const found = (await this.digests.digests()).filter(({ id }) => id === one || id === two);
    const [before, now] = found.sort((a, b) => a.startedAt - b.startedAt);
    return before && now ? { before, now, rounds: compareRounds(before, now) } : null;
  }

  /** Digests of some entries, for their files. */
  async of(ids: readonly string[]): Promise<readonly Digest[]> {
    const wanted = new Set(ids);
    return (await this.digests.digests()).filter(({ id }) => wanted.has(id));
  }

  async newProgramme(id: string, wishes: ProgrammeWishes, today: Day): Promise<Replanned> {
    return newProgramme(id, wishes, await this.digests.digests(), today);
  }

  async replan(programme: Programme, today: Day): Promise<Replanned> {
    return replan(programme, await this.digests.digests(), today);
  }

  /** The sheet of a session of a programme. */
  sheetOfSession(wishes: ProgrammeWishes, session: ProgrammeSession, id: string): Sheet {
    return sheetOfSession(wishes, session, id);
  }

  async moveSession(programme: Programme, id: string, day: Day, today: Day): Promise<Replanned | null> {
    return moveSession(programme, id, day, await this.digests.digests(), today);
  }
}
