import { inject, Injectable } from '@angular/core';
import { map, type Observable } from 'rxjs';
import {
  alike,
  programmePrefix,
  programmeSchema,
  type Day,
  type Programme,
  type ProgrammeSession,
  type ProgrammeWishes,
  type Replanned,
} from '../../core/index';
import { changeChoice } from '../store/choices';
import { seedProgramme } from '../store/demo-programme';
import { Store } from '../store/store';
import { freshId } from './fresh-id';
import { ProgressService } from './progress.service';
import { SheetsService } from './sheets.service';

const isProgramme = (value: unknown): boolean => programmeSchema.safeParse(value).success;
const keyOf = ({ id }: Pick<Programme, 'id'>): string => `${programmePrefix}${id}`;

/** Weeks towards a goal: kept with the other choices, planned in the worker, their sheets drafted there. */
@Injectable({ providedIn: 'root' })
export class ProgrammeService {
  private readonly store = inject(Store);
  private readonly progress = inject(ProgressService);
  private readonly sheets = inject(SheetsService);

  constructor() {
    void this.store
      .database()
      .then((database) => seedProgramme(database, new Date()))
      // The demo is all there without it, and storage may be gone by now.
      .catch(() => undefined);
  }

  /** The programmes that can be read, the one that began last first. */
  readonly all$: Observable<readonly Programme[]> = this.store
    .watch(({ choices }) => choices.where('key').startsWith(programmePrefix).toArray())
    .pipe(
      map((rows) =>
        rows
          .flatMap(({ value }) => {
            const read = programmeSchema.safeParse(value);
            return read.success ? [read.data] : [];
          })
          .sort((a, b) =>
            a.wishes.starts < b.wishes.starts ? 1 : a.wishes.starts > b.wishes.starts ? -1 : a.id < b.id ? -1 : 1,
          ),
      ),
    );

  /** A programme from wishes, kept. */
  async create(wishes: ProgrammeWishes, today: Day): Promise<Replanned> {
    const made = await this.progress.ask('newProgramme', freshId(), wishes, today);
    await this.put(made.programme);
    return made;
  }

  /** Plans what is to come anew, from what the log knows. Nothing is kept. */
  replan(programme: Programme, today: Day): Promise<Replanned> {
    return this.progress.ask('replan', programme, today);
  }

  /** A session on another day, the rest planned anew around it; null where that day is taken or over. */
  move(programme: Programme, id: string, day: Day, today: Day): Promise<Replanned | null> {
    return this.progress.ask('moveSession', programme, id, day, today);
  }

  /** Keeps a programme; the returned function puts back what was there. */
  async put(programme: Programme): Promise<() => Promise<void>> {
    const key = keyOf(programme);
    const { written } = await this.store.write('the programme', key, (database) =>
      changeChoice(database, key, () => programme, isProgramme),
    );
    const before = await written;
    return async () => {
      await this.store.write('the programme', key, async ({ choices }) => {
        if (before) await choices.put(before);
        else await choices.delete(key);
      });
    };
  }

  /**
   * Keeps what planning `before` anew by itself has come to, unless it is another one by now. That is no change of the
   * coach's, and an untouched demo stays one.
   */
  async keep(before: Programme, after: Programme): Promise<void> {
    const key = keyOf(after);
    await this.store.write('the programme', key, (database) =>
      database.transaction('rw', database.choices, async () => {
        const row = await database.choices.get(key);
        if (row && alike(row.value, before))
          await database.choices.put({ ...row, value: after, rev: (row.rev ?? 0) + 1 });
      }),
    );
  }

  /** Takes a programme out; its sheets stay. The returned function puts it back. */
  async remove(programme: Programme): Promise<() => Promise<void>> {
    const key = keyOf(programme);
    const { written } = await this.store.write('the programme', key, (database) =>
      database.transaction('rw', database.choices, async () => {
        const row = await database.choices.get(key);
        await database.choices.delete(key);
        return row;
      }),
    );
    const row = await written;
    return async () => {
      if (row) await this.store.write('the programme', key, ({ choices }) => choices.put(row));
    };
  }

  /** The sheet of a session, drafted where there is none yet (or it was deleted); gives its id. */
  async sheetOf(programme: Programme, session: ProgrammeSession): Promise<string> {
    if (session.sheetId !== null && (await this.sheets.get(session.sheetId))) return session.sheetId;
    const sheet = await this.progress.ask('sheetOfSession', programme.wishes, session, freshId());
    await this.sheets.add(sheet);
    const sessions = programme.sessions.map((each) => (each.id === session.id ? { ...each, sheetId: sheet.id } : each));
    await this.keep(programme, { ...programme, sessions });
    return sheet.id;
  }
}
