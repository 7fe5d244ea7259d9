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
import { MatMenuModule } from '@angular/material/menu';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router, RouterLink } from '@angular/router';
import { mdiFileExportOutline, mdiPlay, mdiRedo, mdiUndo } from '@mdi/js';
import {
  addBlock,
  addPiece,
  buildRound,
  changeBlock,
  changePiece,
  duplicateBlock,
  duplicatePiece,
  freshBlock,
  moveBlock,
  movePiece,
  removeBlock,
  removePiece,
  sayClock,
  shiftBlock,
  shiftPiece,
  spell,
  writeSheetJson,
  type Block,
  type BlockKind,
  type Finding,
  type Piece,
  type Sheet,
} from '../../../core/index';
import { Icon } from '../../parts/icon';
import { BookService } from '../../services/book.service';
import { FilesService } from '../../services/files.service';
import { freshId } from '../../services/fresh-id';
import { BlockView, type PieceDrop } from './block-view';
import { Editor } from './editor';
import { EntryBar } from './entry-bar';
import { FindingsPanel } from './findings-panel';
import { LastRun } from '../../parts/last-run';
import { SheetDetails } from './sheet-details';
import { fitInto, pieceOf, roundFor, type Entered } from './typed-piece';
import { SheetTotals } from './sheet-totals';

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
    FindingsPanel,
    LastRun,
    SheetDetails,
    SheetTotals,
  ],
  providers: [Editor],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheet-page.html',
  styleUrl: './sheet-page.scss',
  host: { '(document:keydown)': 'onKey($event)' },
})
export class SheetPage {
  readonly id = input.required<string>();
  protected readonly editor = inject(Editor);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly application = inject(ApplicationRef);
  private readonly router = inject(Router);
  protected readonly book = inject(BookService);
  private readonly files = inject(FilesService);
  private readonly snack = inject(MatSnackBar);
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
  /** The combination of the chosen row, to tap along to. */
  protected readonly selectedCombination = computed(() => {
    const id = this.editor.selected();
    return (
      this.editor.timeline()?.leaves.findLast((leaf) => leaf.pieceId === id && leaf.combination)?.combination ?? null
    );
  });
  protected readonly pieceLists = computed(() => this.editor.rows().map(({ block }) => `pieces-${block.id}`));
  protected readonly icons = { undo: mdiUndo, redo: mdiRedo, run: mdiPlay, file: mdiFileExportOutline };
  protected readonly kinds: readonly { kind: BlockKind; name: string }[] = [
    { kind: 'warm-up', name: 'Warm-up' },
    { kind: 'show', name: 'Show' },
    { kind: 'round', name: 'Round' },
    { kind: 'rest', name: 'Rest' },
    { kind: 'conditioning', name: 'Conditioning' },
    { kind: 'core', name: 'Core' },
    { kind: 'cool-down', name: 'Cool-down' },
  ];

  constructor() {
    effect(() => {
      void this.editor.open(this.id());
    });
  }

  protected changeTitle(event: Event): void {
    const title = (event.target as HTMLInputElement).value.slice(0, 200);
    this.editor.apply((sheet) => ({ ...sheet, title }), 'title');
  }

  protected changeDetails(change: Partial<Sheet>): void {
    this.editor.apply((sheet) => ({ ...sheet, ...change }));
  }

  protected changeBlock(block: Block, change: Partial<Omit<Block, 'id'>>): void {
    this.editor.apply((sheet) => changeBlock(sheet, block.id, change), 'title' in change ? `title ${block.id}` : '');
  }

  protected changePiece(piece: Piece): void {
    this.editor.apply((sheet) => changePiece(sheet, piece), piece.kind === 'words' ? `words ${piece.id}` : '');
  }

  /** Puts a block after the selected one, or at the end. */
  protected addBlock(kind: BlockKind): void {
    this.insertBlock(freshBlock(kind, freshId));
  }

  private insertBlock(block: Block): void {
    const after = this.editor.selectedBlock();
    this.editor.apply((sheet) => {
      const at = sheet.blocks.findIndex((each) => each.id === after?.id);
      return addBlock(sheet, block, at < 0 ? null : (sheet.blocks[at + 1]?.id ?? null));
    });
    this.select(block.id, false);
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
    else this.addTyped(entered);
    if (editing !== null) this.stopEditing();
  }

  private addTyped(entered: Entered): void {
    const block = this.editor.selectedBlock();
    const piece = pieceOf(entered);
    if (entered.what === 'build' && entered.ms === null) this.insertBuild(entered.text, block);
    else if (!block || block.kind === 'rest') this.insertBlock(roundFor(piece, entered));
    else this.addAfterSelection(block, fitInto(block, piece, entered));
  }

  /** A build makes a round of its own length, or fills the selected round while that is empty. */
  private insertBuild(text: string, block: Block | null): void {
    const round = buildRound(text, freshId);
    if (block?.kind === 'round' && block.pieces.length === 0) {
      this.editor.apply((sheet) => changeBlock(sheet, block.id, { ms: round.ms, pieces: round.pieces }));
    } else this.insertBlock(round);
  }

  private addAfterSelection(block: Block, piece: Piece): void {
    const at = block.pieces.findIndex((each) => each.id === this.editor.selected());
    this.editor.apply((sheet) => addPiece(sheet, block.id, piece, at < 0 ? null : (block.pieces[at + 1]?.id ?? null)));
    this.select(piece.id, false);
  }

  protected edit(pieceId: string): void {
    this.editing.set(pieceId);
    this.application.tick();
    this.entry()?.focus();
  }

  protected stopEditing(): void {
    const id = this.editing();
    this.editing.set(null);
    if (id) this.select(id, true);
  }

  protected duplicate(id: string): void {
    this.editor.apply((sheet) =>
      sheet.blocks.some((block) => block.id === id)
        ? duplicateBlock(sheet, id, freshId)
        : duplicatePiece(sheet, id, freshId),
    );
  }

  protected remove(id: string): void {
    const ids = this.rowIds();
    const next = ids[ids.indexOf(id) + 1] ?? ids[ids.indexOf(id) - 1] ?? null;
    this.editor.apply((sheet) =>
      sheet.blocks.some((block) => block.id === id) ? removeBlock(sheet, id) : removePiece(sheet, id),
    );
    this.snack
      .open('Deleted', 'Undo', { duration: 6000 })
      .onAction()
      .subscribe(() => this.editor.undo());
    if (next) this.select(next, true);
  }

  protected dropBlock(event: CdkDragDrop<unknown, unknown, string>): void {
    this.editor.apply((sheet) => moveBlock(sheet, event.item.data, event.currentIndex));
  }

  protected dropPiece({ pieceId, blockId, to }: PieceDrop): void {
    this.editor.apply((sheet) => movePiece(sheet, pieceId, blockId, to));
  }

  protected mend(finding: Finding, at: number): void {
    const mend = finding.mends[at];
    if (mend) this.editor.apply(mend.edit);
  }

  protected goTo(finding: Finding): void {
    const id = finding.pieceId ?? finding.blockId;
    if (id) this.select(id, true);
  }

  protected exportJson(): void {
    const sheet = this.editor.sheet();
    if (sheet) this.files.save(this.files.fileName(sheet.title, 'json'), writeSheetJson(sheet), 'application/json');
  }

  private rowIds(): string[] {
    return this.editor.rows().flatMap(({ block }) => [block.id, ...block.pieces.map((piece) => piece.id)]);
  }

  private select(id: string, focus: boolean): void {
    this.editor.selected.set(id);
    // Drawn at once: a moved row loses its focus and a new one is not there yet, and a quick second key must find it.
    this.application.tick();
    const row = this.host.nativeElement.querySelector<HTMLElement>(`[data-row="${CSS.escape(id)}"]`);
    if (focus) row?.focus();
    row?.scrollIntoView({ block: 'nearest' });
  }

  protected onKey(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    const typing = target.matches('input, textarea, select');
    const control = event.ctrlKey || event.metaKey;
    if (control && event.key === 'Enter' && !typing) void this.run();
    else if (control && !typing && event.key.toLowerCase() === 'z')
      this.handled(event, () => (event.shiftKey ? this.editor.redo() : this.editor.undo()));
    else if (control && !typing && event.key.toLowerCase() === 'y') this.handled(event, () => this.editor.redo());
    else if (event.key === '/' && !typing) this.handled(event, () => this.entry()?.focus());
    else if (target.dataset['row']) this.onRowKey(event, target.dataset['row']);
  }

  private onRowKey(event: KeyboardEvent, id: string): void {
    const ids = this.rowIds();
    const at = ids.indexOf(id);
    const isBlock = this.editor.sheet()?.blocks.some((block) => block.id === id) ?? false;
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by !== 0 && event.altKey) {
      this.handled(event, () => {
        this.editor.apply((sheet) => (isBlock ? shiftBlock(sheet, id, by) : shiftPiece(sheet, id, by)));
        this.select(id, true);
      });
    } else if (by !== 0) this.handled(event, () => this.select(ids[at + by] ?? id, true));
    else if (event.key === 'Home') this.handled(event, () => this.select(ids[0] ?? id, true));
    else if (event.key === 'End') this.handled(event, () => this.select(ids.at(-1) ?? id, true));
    else if (event.key === 'Enter' && !isBlock) this.handled(event, () => this.edit(id));
    else if (event.key === 'Delete' || event.key === 'Backspace') this.handled(event, () => this.remove(id));
    else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd')
      this.handled(event, () => this.duplicate(id));
  }

  private handled(event: KeyboardEvent, action: () => void): void {
    event.preventDefault();
    action();
  }

  protected async run(): Promise<void> {
    await this.router.navigate(['/run', this.id()]);
  }

  protected readonly sayClock = sayClock;
}
