import { DatePipe } from '@angular/common';
import { takeUntilDestroyed, toObservable, toSignal } from '@angular/core/rxjs-interop';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  EnvironmentInjector,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { filter, map, switchMap, timer } from 'rxjs';
import {
  emptySheet,
  headSchema,
  sayClock,
  type Incoming,
  type Pick,
  type Problem,
  type Sheet,
} from '../../../core/index';
import { onPressed, placeFirstLine, sheetLineId, takeFirstLine } from '../../first/hand-over';
import { showSheetLine } from '../../first/sheet-line';
import { sayFigures } from '../../store/figures';
import { LastRun } from '../../parts/last-run';
import { aFrame } from '../../first/a-frame';
import { BackupDueService } from '../../services/backup-due.service';
import type { FilesService } from '../../services/files.service';
import { freshId } from '../../services/fresh-id';
import { SheetToRun } from '../../services/sheet-to-run';
import { SheetsService } from '../../services/sheets.service';
import { UnfinishedRunService, type BrokenOff } from '../../services/unfinished-run.service';
import { FileButton } from '../../parts/fields/file-button';
import { TextField } from '../../parts/fields/text-field';
import { Hint } from '../../parts/hint';
import { Pages } from '../../parts/pages';
import { TodaysSession } from '../../parts/todays-session';
import { UnreadList } from '../../parts/unread-list';
import { PickPanel } from '../../parts/pick-panel';
import { TypeAndGo, type Drafted } from './type-and-go';
import { NoticeService } from '../../services/notice.service';
import { HelpLink } from '../../parts/help-link';
import { NewNames } from '../../parts/new-names';

/** A file that was refused, or of a text the lines that were not read, and why. */
interface Refusal {
  readonly name: string;
  readonly imported: boolean;
  readonly problems: readonly Problem[];
  readonly more: number;
}

const mostShown = 8;
/** Rows that come later are waited for in sight. */
const rowsWithinMs = 1500;
/** Rows that stand on one page of the list. */
const longestList = 50;

/** The list of saved sheets. */
@Component({
  selector: 'kt-sheets-page',
  imports: [
    NewNames,
    HelpLink,
    Hint,
    FileButton,
    TextField,
    MatIcon,
    MatButtonModule,
    DatePipe,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    RouterLink,
    TodaysSession,
    TypeAndGo,
    LastRun,
    Pages,
    PickPanel,
    UnreadList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheets-page.html',
  styleUrl: './sheets-page.scss',
  host: {
    '(document:dragover)': 'allowDrop($event)',
    '(document:drop)': 'drop($event)',
    '(document:paste)': 'paste($event)',
  },
})
export class SheetsPage {
  /** Where the line stands that was typed into before this page was there. */
  private readonly firstLine = viewChild.required<ElementRef<HTMLElement>>('firstLine');
  protected readonly unreadStores = ['sheets', 'runs'] as const;
  private readonly sheets = inject(SheetsService);
  private readonly injector = inject(EnvironmentInjector);
  protected readonly backups = inject(BackupDueService);
  private readonly runs = inject(UnfinishedRunService);
  private readonly router = inject(Router);
  private readonly notices = inject(NoticeService);

  /** Runs that a closed browser broke off, offered here until each is taken up or let go. */
  protected readonly unfinished = toSignal(this.runs.all$, { initialValue: [] });
  protected readonly refusal = signal<Refusal | null>(null);
  /** Id of the sheet whose name is being changed. */
  protected readonly renaming = signal<string | null>(null);
  protected readonly pageIndex = signal(0);
  protected readonly pageSize = longestList;
  protected readonly page = toSignal(
    toObservable(this.pageIndex).pipe(switchMap((index) => this.sheets.page$(index * longestList, longestList))),
  );
  protected readonly rows = computed(() => this.page()?.rows);
  private readonly longInComing = toSignal(timer(rowsWithinMs).pipe(map(() => true)), { initialValue: false });

  /** Whether the list has been drawn: what is typed into and chosen from is loaded behind it. */
  protected readonly listed = signal(false);

  private readonly unfigured = computed(() =>
    this.listed() ? (this.rows()?.filter(({ figures }) => !figures) ?? []) : [],
  );

  constructor() {
    // The frame that stands before this page goes when the rows are there, or when they are long in coming.
    afterRenderEffect(() => {
      if (!this.leaving && (this.rows() || this.longInComing())) placeFirstLine(this.firstLine().nativeElement);
    });
    // In a frame of its own: the list is on the screen before anything else is asked for.
    afterRenderEffect(() => {
      if (this.rows()) requestAnimationFrame(() => this.listed.set(true));
    });
    inject(DestroyRef).onDestroy(
      onPressed((what) => void (what === 'new sheet' ? this.create() : this.router.navigateByUrl(what))),
    );
    // Figures that are not kept yet are worked out apart, and kept with the sheet.
    toObservable(this.unfigured)
      .pipe(
        filter((rows) => rows.length > 0),
        switchMap(async (rows) => ({ rows, Sums: (await import('../../services/sums.service')).SumsService })),
        takeUntilDestroyed(),
      )
      .subscribe(({ rows, Sums }) => {
        for (const row of rows) void this.injector.get(Sums).keepFigures(row);
      });
  }

  protected async letGo(broken: BrokenOff): Promise<void> {
    const putBack = await this.runs.letGo(broken);
    this.notices.undoable(`“${broken.run.sheet.title}” was logged as interrupted`, putBack);
  }

  protected readonly sayFigures = sayFigures;

  protected wholeSecond(at: number): string {
    return sayClock(Math.max(0, Math.floor(at / 1000)) * 1000);
  }

  /** On the way to another view: a second press begins no second sheet. */
  private leaving = false;

  /** Its entry line takes keys at once; its page is made behind it. */
  protected async create(): Promise<void> {
    if (this.leaving) return;
    showSheetLine();
    // The line is drawn, and a key that came with it, before its page is made.
    await aFrame();
    await aFrame();
    await this.leaveFor(emptySheet(freshId), '/sheets');
  }

  private async leaveFor(sheet: Sheet, view: '/sheets' | '/run'): Promise<void> {
    if (this.leaving) return;
    this.leaving = true;
    this.sheets.begin(sheet);
    let left = false;
    try {
      left = await this.router.navigate([view, sheet.id], { info: new SheetToRun(sheet) });
    } finally {
      this.leaving = left;
      // Where its page does not come, the line is of no use.
      if (!left) takeFirstLine(sheetLineId);
    }
  }

  /** Whether the panel of sessions to begin with stands open. */
  protected readonly picking = signal(false);

  protected async begin({ sheet }: Pick): Promise<void> {
    if (!sheet) return;
    await this.leaveFor({ ...sheet, id: freshId() }, '/sheets');
  }

  protected async drafted({ sheet, seed, run }: Drafted): Promise<void> {
    await this.leaveFor(sheet, run ? '/run' : '/sheets');
    void this.notices.say(`Drafted (seed ${seed}: the same seed gives the same session)`);
  }

  protected async copy(sheet: Sheet): Promise<void> {
    const copied = await this.sheets.copy(sheet);
    void this.notices.say(`Copied to “${copied.title}”`);
  }

  protected readonly titles = headSchema.shape.title;

  protected async finishRename(sheet: Sheet, typed: string): Promise<void> {
    const title = typed.trim();
    this.renaming.set(null);
    if (title && title !== sheet.title) await this.sheets.change(sheet.id, (stored) => ({ ...stored, title }), 'title');
  }

  protected async remove(sheet: Sheet): Promise<void> {
    const putBack = await this.sheets.remove(sheet.id);
    this.notices.undoable(`“${sheet.title}” deleted`, putBack);
  }

  /** Text is forgiving: the sheet comes in whatever could not be read of it, and that is said. */
  private async take(name: string, incoming: Incoming): Promise<void> {
    if (incoming.kind === 'refused') {
      this.refuse(name, false, incoming.problems);
      return;
    }
    if (incoming.kind !== 'sheet') {
      const where = incoming.kind === 'book' ? 'import it under Combos' : 'restore it under Settings';
      this.refuse(name, false, [{ path: '', what: `this file is a ${incoming.kind}: ${where}` }]);
      return;
    }
    const { sheet, faults, titled, taken } = incoming;
    const title = titled ? sheet.title : name.replace(/(\.tempo)?\.txt$/i, '').slice(0, 200);
    const added = await this.sheets.addImported({ ...sheet, title });
    void this.notices.say([`“${added.title}” imported`, taken].filter((each) => each !== null).join('; '));
    const wrong = faults.filter(({ level }) => level === 'error');
    if (wrong.length > 0) {
      const { sayPlace } = (await import('../../services/formats')).formats;
      this.refuse(
        name,
        true,
        wrong.map((fault) => ({ path: sayPlace(fault), what: `${fault.what}; ${fault.mend}` })),
      );
    }
  }

  /** What reads and writes files is loaded when there is one. */
  private async files(): Promise<FilesService> {
    const { FilesService: Files } = await import('../../services/files.service');
    return this.injector.get(Files);
  }

  protected async save(sheet: Sheet, kind: 'json' | 'tempo.txt'): Promise<void> {
    await (await this.files()).saveSheet(sheet, kind);
  }

  private refuse(name: string, imported: boolean, problems: readonly Problem[]): void {
    const more = Math.max(0, problems.length - mostShown);
    this.refusal.set({ name, imported, problems: problems.slice(0, mostShown), more });
  }

  protected async importFiles(files: readonly File[]): Promise<void> {
    this.refusal.set(null);
    for (const file of files) await this.take(file.name, await (await this.files()).read(file));
  }

  /** Files that are dropped on the page come in like chosen ones. */
  protected async drop(event: DragEvent): Promise<void> {
    const files = [...(event.dataTransfer?.files ?? [])];
    if (files.length === 0) return;
    event.preventDefault();
    await this.importFiles(files);
  }

  protected allowDrop(event: DragEvent): void {
    if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
  }

  /** A session pasted where no field takes it comes in as a sheet; so do pasted files. */
  protected async paste(event: ClipboardEvent): Promise<void> {
    const target = event.target as HTMLElement;
    if (target.matches('input, textarea, select')) return;
    const files = [...(event.clipboardData?.files ?? [])];
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (files.length > 0) await this.importFiles(files);
    else if (text.trim() !== '') {
      this.refusal.set(null);
      await this.take('Pasted text', await (await this.files()).readText(text));
    }
  }
}
