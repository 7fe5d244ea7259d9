import { CdkDrag, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatToolbar } from '@angular/material/toolbar';
import { MatTooltip } from '@angular/material/tooltip';
import { TextField } from '../../parts/fields/text-field';
import { Saved } from '../../parts/saved';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { BreakpointObserver } from '@angular/cdk/layout';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { MatMenuModule } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { map } from 'rxjs';
import {
  alike,
  changeBlock,
  changePiece,
  beginsCombination,
  headSchema,
  moveBlock,
  movePiece,
  spell,
  type Block,
  type Pick,
  type Piece,
} from '../../../core/index';
import { HelpLink } from '../../parts/help-link';
import { Hint } from '../../parts/hint';
import { BookService } from '../../services/book.service';
import { FilesService } from '../../services/files.service';
import { BlockView, type PieceDrop } from './block-view';
import { Editor } from '../../services/editor';
import { isTyping, KeysService, sayKey } from '../../services/keys.service';
import { AboutToRun } from './about-to-run';
import { addedKinds, addWays, comesFromBelow, type AddWay } from './add-ways';
import { EntryBar } from './entry-bar';
import { MarkedBar } from './marked-bar';
import { PrintSheet } from './print-sheet';
import { rowOf, rowShortcuts } from './row-keys';
import { OtherHands } from './other-hands';
import { Rows } from './rows';
import { SessionStrip } from './session-strip';
import { LastRun } from '../../parts/last-run';
import { SheetStory } from '../../parts/sheet-story';
import type { Entered } from './typed-piece';
import { SheetTotals } from './sheet-totals';
import { SidePanel, type SideTab } from './side-panel';
import { TakeHomeMenu } from './take-home-menu';
import { handOver } from '../../services/sheet-to-run';
import { Told } from '../../services/told';
import { fieldLook } from '../../parts/fields/field-look';

/** The run sheet: a session from top to bottom, edited in place. */
@Component({
  selector: 'kt-sheet-page',
  imports: [
    AboutToRun,
    Saved,
    HelpLink,
    Hint,
    MatInputModule,
    MatFormFieldModule,
    MatToolbar,
    MatTooltip,
    TextField,
    MatIcon,
    MatButtonModule,
    CdkDrag,
    CdkDropList,
    MatMenuModule,
    RouterLink,

    OtherHands,
    BlockView,
    EntryBar,
    LastRun,
    SheetStory,
    MarkedBar,
    PrintSheet,
    SessionStrip,
    SheetTotals,
    SidePanel,
    TakeHomeMenu,
  ],
  providers: [fieldLook, Editor, Rows, Told],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheet-page.html',
  styleUrl: './sheet-page.scss',
  host: { '(document:keydown)': 'typeThrough($event)' },
})
export class SheetPage {
  readonly id = input.required<string>();
  protected readonly editor = inject(Editor);
  protected readonly rows = inject(Rows);
  protected readonly told = inject(Told);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly application = inject(ApplicationRef);
  private readonly injector = inject(Injector);
  private readonly router = inject(Router);
  protected readonly book = inject(BookService);
  private readonly files = inject(FilesService);
  private readonly entry = viewChild(EntryBar);
  private readonly printed = viewChild(PrintSheet);

  /** Id of the piece whose text is in the entry line. */
  protected readonly editing = signal<string | null>(null);
  protected readonly editingText = computed(() => {
    const piece = this.editor
      .sheet()
      ?.blocks.flatMap((block) => block.pieces)
      .find((each) => each.id === this.editing());
    const text = piece?.kind === 'combination' ? piece.text : piece?.kind === 'build' ? piece.goal : null;
    return text === null ? null : spell(text, this.editor.scheme());
  });
  protected readonly ownBags = computed(() => (this.editor.sheet()?.ownBags ?? []).map(({ name }) => name), {
    equal: alike,
  });
  protected readonly place = computed(() => {
    const id = this.editor.selected();
    const row = this.editor
      .rows()
      .find(({ block }) => block.id === id || block.pieces.some((piece) => piece.id === id));
    if (!row || row.block.kind === 'rest') return 'a new round';
    return row.round === null ? `to the ${row.block.kind}` : `to round ${row.round}`;
  });
  /** What the side shows beside the rundown. */
  protected readonly side = signal<SideTab>('findings');
  protected readonly finding = signal(false);
  protected readonly kinds = addedKinds;
  protected readonly ways = addWays;
  protected readonly sayKey = sayKey;

  /** Few fingers wide: blocks are added from one menu. */
  protected readonly narrow = toSignal(
    inject(BreakpointObserver)
      .observe('(max-width: 1200px)')
      .pipe(map(({ matches }) => matches)),
    { initialValue: false },
  );
  /** What undo and redo would do, worked out when somebody is about to. */
  protected readonly undoHint = signal('Undo (Ctrl Z)');
  protected readonly redoHint = signal('Redo (Ctrl Y)');

  protected sayUndo(): void {
    this.undoHint.set(`Undo: ${this.editor.sayStep(-1)} (Ctrl Z)`);
    this.redoHint.set(`Redo: ${this.editor.sayStep(1)} (Ctrl Y)`);
  }

  constructor() {
    this.rowKeys = this.listenToKeys();
    this.rows.revealed.pipe(takeUntilDestroyed()).subscribe(({ id, focus }) => this.reveal(id, focus));
    effect(() => {
      void this.open(this.id());
    });
  }

  /** An empty sheet begins in its entry line. */
  private async open(id: string): Promise<void> {
    await this.editor.open(id);
    this.application.tick();
    if (this.editor.sheet()?.blocks.length === 0) this.entry()?.goOn();
  }

  protected readonly titles = headSchema.shape.title;
  protected changeTitle(title: string): void {
    this.editor.apply((sheet) => ({ ...sheet, title }), 'title');
  }

  protected changeBlock(block: Block, change: Partial<Omit<Block, 'id'>>): void {
    this.editor.apply((sheet) => changeBlock(sheet, block.id, change), 'title' in change ? `title ${block.id}` : '');
  }

  protected changePiece(piece: Piece): void {
    this.editor.apply((sheet) => changePiece(sheet, piece), piece.kind === 'words' ? `words ${piece.id}` : '');
  }

  protected entered(entered: Entered): void {
    const editing = this.editing();
    const { text, ms } = entered;
    const piece = this.editor
      .sheet()
      ?.blocks.flatMap((block) => block.pieces)
      .find((each) => each.id === editing);
    if (piece?.kind === 'combination')
      this.told.apply((sheet) => changePiece(sheet, { ...piece, text, ms: ms ?? piece.ms }));
    else if (piece?.kind === 'build') this.told.apply((sheet) => changePiece(sheet, { ...piece, goal: text }));
    else this.told.doing(() => this.rows.addTyped(entered));
    if (editing !== null) this.stopEditing();
  }

  protected edit(pieceId: string): void {
    this.editing.set(pieceId);
    this.application.tick();
    this.entry()?.focus();
  }

  protected stopEditing(): void {
    const id = this.editing();
    this.editing.set(null);
    if (id) this.rows.select(id, true);
  }

  protected openFind(): void {
    this.finding.set(true);
    this.application.tick();
    this.host.nativeElement.querySelector<HTMLInputElement>('#find')?.focus();
  }

  protected print(): void {
    void this.printed()?.print();
  }

  protected dropBlock({ item, currentIndex }: CdkDragDrop<unknown, unknown, string | Pick>): void {
    const { data } = item;
    if (typeof data === 'string') this.told.apply((sheet) => moveBlock(sheet, data, currentIndex));
    else this.rows.pick(data, { blockId: null, index: currentIndex });
  }

  protected dropPiece({ dropped, blockId, to }: PieceDrop): void {
    if (typeof dropped === 'string') this.told.apply((sheet) => movePiece(sheet, dropped, blockId, to));
    else this.rows.pick(dropped, { blockId, index: to });
  }

  protected save(as: 'json' | 'tempo.txt'): void {
    const sheet = this.editor.sheet();
    if (sheet) void this.files.saveSheet(sheet, as);
  }

  /** From the empty entry line to the rows: to the one that it would add to, or to the first. */
  protected toRows(row: 'this' | 'first'): void {
    const ids = this.rows.ids();
    const id = row === 'this' ? (this.editor.selected() ?? ids.at(-1)) : ids[0];
    if (id !== undefined) this.rows.select(id, true);
  }

  /** Drawn at once: a moved row loses its focus and a new one is not there yet, and a quick second key must find it. */
  private reveal(id: string, focus: boolean): void {
    this.application.tick();
    const row = this.host.nativeElement.querySelector<HTMLElement>(`[data-row="${CSS.escape(id)}"]`);
    if (focus) row?.focus();
    row?.scrollIntoView({ block: 'nearest' });
  }

  /** A digit or letter that can begin a combination goes to the entry line, wherever the eye is, unless it is a row's key. */
  protected typeThrough(event: KeyboardEvent): void {
    const plain = !event.ctrlKey && !event.metaKey && !event.altKey && event.key.length === 1;
    if (!plain || event.defaultPrevented || isTyping(event) || this.rowKeys.has(rowOf(event) === null ? '' : event.key))
      return;
    if (beginsCombination(event.key, this.editor.scheme())) this.entry()?.goOn();
  }

  private readonly rowKeys: ReadonlySet<string>;

  private listenToKeys(): ReadonlySet<string> {
    const keys = inject(KeysService);
    const rows = rowShortcuts(() => this.rows.ids(), {
      go: (id, row, mark) => {
        if (mark) this.editor.marked.update((marked) => new Set([...marked, row, id]));
        this.rows.select(id, true);
      },
      move: (row, by) => this.rows.move(row, by),
      nudge: (row, ms) => this.rows.nudge(row, ms),
      mark: (row) => this.rows.toggleMark(row),
      unmark: () => this.editor.marked.set(new Set()),
      edit: (row) => {
        if (this.editor.selectedPiece()) this.edit(row);
      },
      options: (row) => this.rows.options.update((open) => (open === row ? null : row)),
      unfold: (row) => this.rows.unfold(row),
      remove: (row) => this.rows.remove(row),
      duplicate: (row) => this.rows.duplicate(row),
      find: () => this.openFind(),
    });
    keys.use('A row of the sheet', rows);
    /** From the entry line, too; a key that is held opens once. */
    const opens = { repeats: false, typing: true } as const;
    keys.use('This sheet', [
      {
        keys: ['/'],
        does: 'Go to the entry line (or just start typing a combination)',
        repeats: false,
        press: () => this.entry()?.focus(),
      },
      { keys: ['$mod+z'], does: 'Undo', repeats: true, press: () => this.told.step(-1) },
      { keys: ['$mod+Shift+z', '$mod+y'], does: 'Redo', repeats: true, press: () => this.told.step(1) },
      { ...opens, keys: ['Alt+m'], does: 'Apply the first fix', press: () => this.mendFirst() },
      { ...opens, keys: ['Alt+t'], does: 'Show as text', press: () => this.toggleSide('text') },
      ...addWays.map((way) => ({ ...opens, keys: [way.key], does: way.does, press: () => this.show(way, true) })),
      { ...opens, keys: ['$mod+p'], does: 'Print, with figures', press: () => this.print() },
      {
        ...opens,
        keys: ['$mod+Enter'],
        does: 'Run it: on a row, or in the empty entry line',
        when: (event) => this.runs() && (!isTyping(event) || (this.entry()?.holds(event.target) ?? false)),
        press: () => void this.run(),
      },
    ]);
    return new Set(rows.flatMap(({ keys: pressed }) => pressed));
  }

  /** Opens what is chosen from; a key that is pressed again puts it away. */
  protected show(way: AddWay, toggles = false): void {
    if (comesFromBelow(way, this.injector)) return;
    if (toggles) this.toggleSide(way.side);
    else this.side.set(way.side);
  }

  private toggleSide(tab: SideTab): void {
    this.side.update((side) => (side === tab ? 'findings' : tab));
  }

  /** The first mend of the first finding that has one. */
  private mendFirst(): void {
    const mend = this.editor.findings().find(({ mends }) => mends.length > 0)?.mends[0];
    if (mend) this.told.apply(mend.edit);
  }

  /** Whether the sheet can be run: there is something on it, and nothing half typed in the entry line. */
  private runs(): boolean {
    return this.editor.sheet()?.blocks.length !== 0 && !(this.entry()?.filled() ?? false);
  }

  /** As it stands here, changes that are still being saved included. */
  protected readonly toRun = computed(() => handOver(this.editor.sheet()));

  private run(): Promise<boolean> {
    return this.router.navigate(['/run', this.id()], { info: this.toRun() });
  }
}
