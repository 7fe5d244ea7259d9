import { CdkVirtualScrollViewport, ScrollingModule } from '@angular/cdk/scrolling';
import { DatePipe } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatSortModule } from '@angular/material/sort';
import { MatTableModule } from '@angular/material/table';
import { MatTooltip } from '@angular/material/tooltip';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatMenuModule } from '@angular/material/menu';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { combineLatest, from, map, merge, of, startWith, switchMap, takeUntil, type Observable } from 'rxjs';
import {
  anyEntry,
  balanceGoal,
  dayOf,
  logOrders,
  momentOf,
  sayClock,
  type LogEntry,
  type LogHead,
  type LogLine,
  type LogLines,
  type LogWish,
  type Said,
} from '../../../core/index';
import { AddingUp } from '../../parts/adding-up';
import { EntryForm } from '../../parts/entry-form';
import { FileButton } from '../../parts/fields/file-button';
import { byPlace, MeasuredScroll, rowHeights } from '../../parts/measured-scroll';
import { Opened } from '../../parts/opened';
import { UnreadList } from '../../parts/unread-list';
import { LogFilesService, type Incoming } from '../../services/log-files.service';
import { LogService } from '../../services/log.service';
import { NoticeService } from '../../services/notice.service';
import { ProgressService } from '../../services/progress.service';
import { SettingsService } from '../../services/settings.service';
import { ByHandForm } from './by-hand-form';
import { CompareRuns } from './compare-runs';
import { CsvMappingForm } from './csv-mapping';
import { ForgetPerson } from './forget-person';
import { LogFilter } from './log-filter';
import { HelpLink } from '../../parts/help-link';

const weeks = 4;
/** Lines that are read before it is known how many there is room for. */
const firstLines = 30;

/** Entries that are kept at hand: each holds the sheet that was run. */
const mostKept = 300;

/** What is found, and the entries of the lines in sight and of those seen before. */
interface Shown {
  readonly found: LogLines;
  readonly entries: ReadonlyMap<string, LogEntry>;
}

/** What happened, the latest first unless ordered otherwise. */
@Component({
  selector: 'kt-log-page',
  imports: [
    HelpLink,
    AddingUp,
    ...[MatSortModule, MatTableModule, MatTooltip, MatIcon, MatButtonModule, MatCheckbox, MatMenuModule],
    ...[DatePipe, RouterLink, ScrollingModule, EntryForm, FileButton, MeasuredScroll, Opened, UnreadList],
    ...[ByHandForm, CompareRuns, CsvMappingForm, ForgetPerson, LogFilter],
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './log-page.html',
  styleUrl: './log-page.scss',
})
export class LogPage {
  /** The entry that is open, where an address asks for one. */
  readonly entry = input<string>();

  protected readonly unreadStores = ['log'] as const;
  private readonly log = inject(LogService);
  private readonly files = inject(LogFilesService);
  private readonly notices = inject(NoticeService);
  protected readonly progress = inject(ProgressService);
  private readonly settings = inject(SettingsService);

  protected readonly open = linkedSignal<string | undefined, string | null>({
    source: this.entry,
    computation: (id) => id ?? null,
  });
  /** The sheet whose entries are asked for, where an address asks for one. */
  readonly sheet = input<string>();
  protected readonly wish = linkedSignal<string | undefined, LogWish>({
    source: this.sheet,
    computation: (sheetId) => (sheetId === undefined ? anyEntry : { ...anyEntry, sheetId }),
  });
  protected readonly columns = ['choose', 'when', 'title', 'time', 'rounds', 'punches', 'effort', 'change'];
  /** Its last two runs stand beside each other at once. */
  private readonly lastTwo = toSignal(
    toObservable(this.sheet).pipe(
      switchMap(async (id) => (id === undefined ? [] : (await this.progress.ask('story', id)).runs.slice(-2))),
    ),
    { initialValue: [] },
  );
  /** What is open beside the list. */
  protected readonly chosen = linkedSignal((): readonly string[] => {
    const ids = this.lastTwo().map(({ id }) => id);
    return ids.length === 2 ? ids : [];
  });
  protected readonly side = linkedSignal((): 'by hand' | 'compare' | 'forget' | null =>
    this.lastTwo().length === 2 ? 'compare' : null,
  );
  protected readonly mapping = signal<Extract<Incoming, { kind: 'other' }> | null>(null);
  protected readonly refusal = signal<string | null>(null);

  private readonly wish$ = toObservable(this.wish);
  private readonly scroll = viewChild(CdkVirtualScrollViewport);
  private readonly range$ = toObservable(this.scroll).pipe(
    switchMap((scroll) =>
      scroll
        ? scroll.renderedRangeStream.pipe(startWith(scroll.getRenderedRange()))
        : of({ start: 0, end: firstLines }),
    ),
  );
  /** Looks at the whole log at the beginning and whenever it has changed; another wish alone is met from what is known. */
  protected readonly shown = toSignal(
    this.progress.changes$.pipe(
      switchMap(() => {
        const entries = new Map<string, LogEntry>();
        const found$ = this.wish$.pipe(switchMap((wish, nth) => this.found(wish, nth > 0)));
        return combineLatest([found$, this.range$]).pipe(
          switchMap(async ([found, { start, end }]): Promise<Shown> => {
            await this.read(found.lines.slice(start, end), entries);
            return { found, entries };
          }),
        );
      }),
    ),
  );
  protected readonly searching = computed(() => this.wish() !== anyEntry);
  protected readonly rowHeight = computed(() => rowHeights[this.settings.settings().density]);
  protected readonly byPlace = byPlace;

  /** The entry that is open, as it stands in the log. */
  protected readonly opened = toSignal(
    toObservable(this.open).pipe(
      switchMap((id) =>
        this.progress.changes$.pipe(
          startWith(undefined),
          switchMap(async () => (id === null ? null : (await this.log.byIds([id]))[0])),
        ),
      ),
    ),
  );

  /** Left and right of the last four weeks, as planned and by the share that was done; null where nothing was run. */
  protected readonly balance = toSignal(
    this.progress.watch(async (progress) => {
      const today = dayOf(Date.now());
      const { strikes, left, right } = await progress.ask('coverage', today - weeks * 7 + 1, today);
      const share = Math.round((left / Math.max(1, left + right)) * 100);
      return strikes < 1
        ? null
        : { all: Math.round(strikes), left: share, balanced: Math.abs(share - 50) <= balanceGoal * 100 };
    }),
  );
  protected readonly groups = toSignal(
    this.progress.watch((progress) => progress.ask('groups')),
    { initialValue: [] },
  );
  protected readonly sheets = toSignal(
    this.progress.watch((progress) => progress.ask('sheets')),
    { initialValue: [] },
  );

  protected orderBy(column: string, down: boolean): void {
    const order = logOrders.find((each) => each === column);
    if (order) this.wish.update((wish) => ({ ...wish, order, down }));
  }

  constructor() {
    // Whoever looks for something else begins at the top of what is found.
    effect(() => {
      const list = this.wish() && untracked(this.scroll)?.elementRef.nativeElement;
      if (list && list.scrollTop > 0) list.scrollTop = 0;
    });
  }

  /** The lines of a wish; at the very beginning first those of the index, until the whole log has been looked at. */
  private found(wish: LogWish, known: boolean): Observable<LogLines> {
    const found = from(this.progress.ask('lines', wish, known));
    if (untracked(this.shown) || wish !== anyEntry) return found;
    const latest = from(this.log.latest()).pipe(map((lines) => ({ count: lines.length, lines })));
    return merge(latest.pipe(takeUntil(found)), found);
  }

  /** Reads the entries of some lines to those that were read before, as long as these are few. */
  private async read(lines: readonly LogLine[], entries: Map<string, LogEntry>): Promise<void> {
    if (entries.size > mostKept) entries.clear();
    const ids = lines.flatMap((line) => (typeof line === 'string' && !entries.has(line) ? line : []));
    if (ids.length > 0) for (const entry of await this.log.byIds(ids)) entries.set(entry.id, entry);
  }

  protected entryOf(line: LogLine): LogEntry | undefined {
    return typeof line === 'string' ? this.shown()?.entries.get(line) : undefined;
  }

  protected headOf(line: LogLine): LogHead | null {
    return typeof line === 'string' ? null : line;
  }

  protected tagsOf({ done, rehearsal, brokenOff, byHand, who }: LogEntry): readonly string[] {
    return [
      ...(done.finished ? [] : [brokenOff ? 'interrupted' : 'ended early']),
      ...(rehearsal ? ['rehearsal'] : []),
      ...(byHand ? ['added by hand'] : []),
      ...(who?.group ? [who.group] : []),
    ];
  }

  protected sayHead({ title, day, sessions, load }: LogHead): string {
    const count = `${sessions} ${sessions === 1 ? 'session' : 'sessions'}`;
    const loads = load > 0 ? `, load ${Math.round(load)}` : '';
    return day === null ? `${title || 'Untitled'} · ${count}${loads}` : `${count}${loads}`;
  }

  protected readonly momentOf = momentOf;
  protected readonly headFormat = computed(() => (this.wish().by === 'week' ? "'Week of 'd MMMM y" : 'EEEE d MMMM y'));

  protected time(ms: number): string {
    return sayClock(Math.round(ms / 1000) * 1000);
  }

  protected amend(entry: LogEntry, change: Said): void {
    void this.log.change(entry, change);
  }

  protected choose(id: string, on: boolean): void {
    this.chosen.update((chosen) => (on ? [...chosen, id].slice(-2) : chosen.filter((each) => each !== id)));
    if (this.chosen().length < 2 && this.side() === 'compare') this.side.set(null);
  }

  protected toggle(side: 'by hand' | 'compare' | 'forget'): void {
    this.side.update((open) => (open === side ? null : side));
  }

  protected async csvOut(what: 'entries' | 'rounds'): Promise<void> {
    await this.files.out(what);
  }

  protected async csvIn([file]: readonly File[]): Promise<void> {
    if (!file) return;
    this.refusal.set(null);
    this.mapping.set(null);
    const incoming = await this.files.read(file);
    if (incoming.kind === 'refused') this.refusal.set(`${file.name}: ${incoming.why}`);
    else if (incoming.kind === 'other') this.mapping.set(incoming);
    else this.told(await this.files.takeIn(incoming));
  }

  /** Says what came of a file, with the way back. */
  protected told({ words, putBack }: { readonly words: string; readonly putBack: () => Promise<void> }): void {
    this.mapping.set(null);
    this.notices.undoable(words, putBack);
  }

  protected async remove(entry: LogEntry): Promise<void> {
    const putBack = await this.log.remove(entry.id);
    this.choose(entry.id, false);
    this.notices.undoable(`Entry “${entry.title}” deleted`, putBack);
  }
}
