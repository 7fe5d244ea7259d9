import { CdkDrag, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatMenuModule } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import { mdiFileExportOutline, mdiMagnify, mdiPlay, mdiPrinterOutline, mdiRedo, mdiUndo } from '@mdi/js';
import {
  changeBlock,
  changePiece,
  bagPlans,
  clockFormats,
  exercisesFor,
  moveBlock,
  moveMarked,
  movePiece,
  nudgeTimes,
  sayClock,
  spell,
  writeSheetJson,
  writeTempoText,
  type Block,
  type BlockKind,
  type Piece,
} from '../../../core/index';
import { Icon } from '../../parts/icon';
import { BookService } from '../../services/book.service';
import { FilesService } from '../../services/files.service';
import { BlockView, type PieceDrop } from './block-view';
import { Editor } from '../../services/editor';
import { EntryBar } from './entry-bar';
import { MarkedBar } from './marked-bar';
import { PrintSheet } from './print-sheet';
import { rowAction } from './row-keys';
import { Rows } from './rows';
import { SessionStrip } from './session-strip';
import { LastRun } from '../../parts/last-run';
import type { Entered } from './typed-piece';
import { SheetTotals } from './sheet-totals';
import { SidePanel, type SideTab } from './side-panel';

const icons = {
  undo: mdiUndo,
  redo: mdiRedo,
  run: mdiPlay,
  file: mdiFileExportOutline,
  find: mdiMagnify,
  print: mdiPrinterOutline,
};

const addedKinds: readonly { readonly kind: BlockKind; readonly name: string }[] = [
  { kind: 'warm-up', name: 'Warm-up' },
  { kind: 'show', name: 'Show' },
  { kind: 'round', name: 'Round' },
  { kind: 'rest', name: 'Rest' },
  { kind: 'conditioning', name: 'Conditioning' },
  { kind: 'core', name: 'Core' },
  { kind: 'cool-down', name: 'Cool-down' },
];

/** The run sheet: a session from top to bottom, edited in place. */
@Component({
  selector: 'kt-sheet-page',
  imports: [
    CdkDrag,
    CdkDropList,
    MatMenuModule,
    RouterLink,
    Icon,
    BlockView,
    EntryBar,
    LastRun,
    MarkedBar,
    PrintSheet,
    SessionStrip,
    SheetTotals,
    SidePanel,
  ],
  providers: [Editor, Rows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheet-page.html',
  styleUrl: './sheet-page.scss',
  host: { '(document:keydown)': 'onKey($event)' },
})
export class SheetPage {
  readonly id = input.required<string>();
  protected readonly editor = inject(Editor);
  protected readonly rows = inject(Rows);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly application = inject(ApplicationRef);
  private readonly router = inject(Router);
  protected readonly book = inject(BookService);
  private readonly files = inject(FilesService);
  private readonly entry = viewChild(EntryBar);

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
  protected readonly place = computed(() => {
    const id = this.editor.selected();
    const row = this.editor
      .rows()
      .find(({ block }) => block.id === id || block.pieces.some((piece) => piece.id === id));
    if (!row || row.block.kind === 'rest') return 'a new round';
    return row.round === null ? `to the ${row.block.kind}` : `to round ${row.round}`;
  });
  protected readonly pieceLists = computed(() => this.editor.rows().map(({ block }) => `pieces-${block.id}`));
  protected readonly icons = icons;
  protected readonly formats = [...clockFormats, ...bagPlans];
  /** What the side shows beside the rundown. */
  protected readonly side = signal<SideTab>('findings');
  protected readonly finding = signal(false);
  protected readonly kinds = addedKinds;

  /** Exercises that fit the chosen block, else those of a warm-up. */
  protected readonly exercises = computed(() => {
    const kind = this.editor.selectedBlock()?.kind;
    const part = kind === 'core' || kind === 'cool-down' ? kind : 'warm-up';
    return exercisesFor(part, this.editor.sheet()?.class.level ?? 'beginner');
  });

  constructor() {
    this.rows.revealed.pipe(takeUntilDestroyed()).subscribe(({ id, focus }) => this.reveal(id, focus));
    effect(() => {
      void this.editor.open(this.id());
    });
  }

  protected changeTitle(event: Event): void {
    const title = (event.target as HTMLInputElement).value.slice(0, 200);
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
      this.editor.apply((sheet) => changePiece(sheet, { ...piece, text, ms: ms ?? piece.ms }));
    else if (piece?.kind === 'build') this.editor.apply((sheet) => changePiece(sheet, { ...piece, goal: text }));
    else this.rows.addTyped(entered);
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
    window.print();
  }

  protected dropBlock(event: CdkDragDrop<unknown, unknown, string>): void {
    this.editor.apply((sheet) => moveBlock(sheet, event.item.data, event.currentIndex));
  }

  protected dropPiece({ pieceId, blockId, to }: PieceDrop): void {
    this.editor.apply((sheet) => movePiece(sheet, pieceId, blockId, to));
  }

  protected save(as: 'json' | 'tempo.txt'): void {
    const sheet = this.editor.sheet();
    if (!sheet) return;
    const [text, type] =
      as === 'json' ? [writeSheetJson(sheet), 'application/json'] : [writeTempoText(sheet), 'text/plain'];
    this.files.save(this.files.fileName(sheet.title, as), text, type);
  }

  /** Drawn at once: a moved row loses its focus and a new one is not there yet, and a quick second key must find it. */
  private reveal(id: string, focus: boolean): void {
    this.application.tick();
    const row = this.host.nativeElement.querySelector<HTMLElement>(`[data-row="${CSS.escape(id)}"]`);
    if (focus) row?.focus();
    row?.scrollIntoView({ block: 'nearest' });
  }

  protected onKey(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    const typing = target.matches('input, textarea, select');
    const control = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    if (event.altKey && key === 'm') this.handled(event, () => this.mendFirst());
    else if (event.altKey && key === 't')
      this.handled(event, () => this.side.update((side) => (side === 'text' ? 'findings' : 'text')));
    else if (control && event.key === 'Enter' && !typing) void this.run();
    else if (control && !typing && key === 'z')
      this.handled(event, () => (event.shiftKey ? this.editor.redo() : this.editor.undo()));
    else if (control && !typing && key === 'y') this.handled(event, () => this.editor.redo());
    else if (event.key === '/' && !typing) this.handled(event, () => this.entry()?.focus());
    else if (key === 'f' && !typing && !control) this.handled(event, () => this.openFind());
    else if (target.dataset['row']) this.onRowKey(event, target.dataset['row']);
  }

  /** The first mend of the first finding that has one. */
  private mendFirst(): void {
    const [mend] = this.editor.findings().flatMap(({ mends }) => mends);
    if (mend) this.editor.apply(mend.edit);
  }

  private onRowKey(event: KeyboardEvent, id: string): void {
    const action = rowAction(event, this.rows.ids(), id);
    if (!action) return;
    this.handled(event, () => {
      switch (action.what) {
        case 'go':
          if (action.mark) this.editor.marked.update((marked) => new Set([...marked, id, action.id]));
          this.rows.select(action.id, true);
          break;
        case 'move':
          this.editor.apply((sheet) => moveMarked(sheet, this.rows.with(id), action.by));
          this.rows.select(id, true);
          break;
        case 'nudge':
          this.editor.apply((sheet) => nudgeTimes(sheet, this.rows.with(id), action.ms));
          break;
        case 'mark':
          this.rows.toggleMark(id);
          break;
        case 'unmark':
          this.editor.marked.set(new Set());
          break;
        case 'edit':
          if (this.editor.selectedPiece()) this.edit(id);
          break;
        case 'remove':
          this.rows.remove(id);
          break;
        case 'duplicate':
          this.rows.duplicate(id);
      }
    });
  }

  private handled(event: KeyboardEvent, action: () => void): void {
    event.preventDefault();
    action();
  }

  private run(): Promise<boolean> {
    return this.router.navigate(['/run', this.id()]);
  }

  protected readonly sayClock = sayClock;
}
