import { computed, inject, Injectable, signal } from '@angular/core';
import { Subject } from 'rxjs';
import {
  addBlocks,
  addMend,
  addPiece,
  alike,
  buildRound,
  changeBlock,
  duplicateMarked,
  freshBlock,
  freshBlocks,
  mirrorMarked,
  moveMarked,
  nudgeTimes,
  pieceName,
  removeMarked,
  setEffortOf,
  type Block,
  type BlockKind,
  type Milliseconds,
  type Pick,
  type Piece,
  type TrainingFault,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { Editor } from '../../services/editor';
import type { MarkedAction } from './marked-bar';
import { Told } from '../../services/told';
import { fitInto, piecesOf, roundFor, usualMs, type Entered } from './typed-piece';
import { NoticeService } from '../../services/notice.service';
import { finds } from '../../services/older-words';

/** What is done to the rows of the rundown: choosing, marking, finding, putting in and taking out. */
@Injectable()
export class Rows {
  private readonly editor = inject(Editor);
  private readonly notices = inject(NoticeService);
  private readonly told = inject(Told);
  /** A row that is to be seen, and to have the focus where told; heard at once, so that a quick second key finds it. */
  readonly revealed = new Subject<{ readonly id: string; readonly focus: boolean }>();
  readonly found = signal<readonly string[]>([]);
  /** The piece whose options stand open. */
  readonly options = signal<string | null>(null);
  /** Builds that stand with a line for each stage. */
  readonly unfolded = signal<ReadonlySet<string>>(new Set());
  /** Ids of the lists of pieces, for what is dragged from one to another. Every block has them: the very same until they change. */
  readonly pieceLists = computed(() => this.editor.rows().map(({ block }) => `pieces-${block.id}`), { equal: alike });
  /** Where a range of marks begins. */
  private anchor: string | null = null;

  /** Ids of all rows in the order they stand. */
  ids(): string[] {
    return this.editor.rows().flatMap(({ block }) => [block.id, ...block.pieces.map((piece) => piece.id)]);
  }

  select(id: string, focus: boolean): void {
    this.editor.selected.set(id);
    this.revealed.next({ id, focus });
  }

  /** Puts a block after the selected one, or at the end. */
  addBlock(kind: BlockKind): void {
    this.told.doing(() => this.insertBlock(freshBlock(kind, freshId)));
  }

  private insertBlock(block: Block): void {
    this.insertBlocks([block]);
  }

  /** Puts blocks at a place, else after the chosen one, or at the end, and chooses the first of them. */
  insertBlocks(blocks: readonly Block[], place?: number): void {
    const after = this.editor.selectedBlock();
    this.editor.apply((sheet) => {
      const at = place ?? sheet.blocks.findIndex((each) => each.id === after?.id) + 1;
      return addBlocks(sheet, blocks, at > 0 || place === 0 ? (sheet.blocks[at]?.id ?? null) : null);
    });
    const [first] = blocks;
    if (first) this.select(first.id, false);
  }

  /** Puts in what was picked: behind the chosen row, or where it was dropped. */
  pick(pick: Pick, at?: { readonly blockId: string | null; readonly index: number }): void {
    const { adds } = pick;
    if (adds.what === 'blocks') this.insertBlocks(freshBlocks(adds.blocks, freshId), at?.index);
    else {
      const piece: Piece =
        adds.what === 'exercise'
          ? { kind: 'words', id: freshId(), ms: adds.ms, effort: 'steady', words: adds.words }
          : { kind: 'combination', id: freshId(), ms: usualMs, effort: 'steady', text: adds.text };
      if (at?.blockId) this.dropPiece(at.blockId, piece, at.index);
      else this.addPicked(piece, at?.index);
    }
    this.notices.undoable(`Added: ${pick.name}`, () => this.editor.undo());
  }

  private addPicked(piece: Piece, at?: number): void {
    const block = this.editor.selectedBlock();
    if (at === undefined && block && block.ms !== null && block.kind !== 'rest') this.addAfterSelection(block, piece);
    else {
      const fresh = freshBlock(piece.kind === 'words' ? 'warm-up' : 'round', freshId);
      this.insertBlocks([{ ...fresh, pieces: [piece] }], at);
    }
  }

  private dropPiece(blockId: string, piece: Piece, at: number): void {
    const before = this.editor.sheet()?.blocks.find(({ id }) => id === blockId)?.pieces[at]?.id ?? null;
    this.editor.apply((sheet) => addPiece(sheet, blockId, piece, before));
    this.select(piece.id, false);
  }

  /** Puts in what was typed, behind the chosen row. */
  addTyped(entered: Entered): void {
    const block = this.editor.selectedBlock();
    const [piece, ...more] = piecesOf(entered);
    if (!piece) return;
    if (entered.what === 'build' && entered.ms === null) this.insertBuild(entered.text, block);
    else if (!block || block.kind === 'rest') this.insertBlock(roundFor([piece, ...more], entered));
    // Several pieces of one line are one step of undo.
    else
      for (const each of [piece, ...more])
        this.addAfterSelection(block, fitInto(block, each, entered), `line ${piece.id}`);
  }

  /** A build makes a round of its own length, or fills the selected round while that is empty. */
  private insertBuild(text: string, block: Block | null): void {
    const round = buildRound(text, freshId);
    if (block?.kind === 'round' && block.pieces.length === 0) {
      this.editor.apply((sheet) => changeBlock(sheet, block.id, { ms: round.ms, pieces: round.pieces }));
    } else this.insertBlock(round);
  }

  private addAfterSelection(given: Block, piece: Piece, name = ''): void {
    const block = this.editor.sheet()?.blocks.find(({ id }) => id === given.id) ?? given;
    const at = block.pieces.findIndex((each) => each.id === this.editor.selected());
    this.editor.apply(
      (sheet) => addPiece(sheet, block.id, piece, at < 0 ? null : (block.pieces[at + 1]?.id ?? null)),
      name,
    );
    this.select(piece.id, false);
  }

  /** Puts the drill that mends a fault behind the chosen row, and its reminder into the same block. */
  addMend(fault: TrainingFault): void {
    const [sheet, blockId] = [this.editor.sheet(), this.editor.selectedBlock()?.id ?? null];
    if (!sheet) return;
    const mended = addMend(sheet, fault, { blockId, afterPieceId: this.editor.selected() }, freshId);
    this.editor.apply(() => mended.sheet);
    this.select(mended.pieceId, false);
    this.notices.undoable(`Added: ${fault.drill.name}`, () => this.editor.undo());
  }

  /** One place up (-1) or down the row, or all marked ones with it. */
  move(id: string, by: -1 | 1): void {
    this.told.apply(
      (sheet) => moveMarked(sheet, this.with(id), by),
      () => this.sayPlace(id),
    );
    this.select(id, true);
  }

  /** Makes the row longer or shorter, or all marked ones with it. */
  nudge(id: string, by: Milliseconds): void {
    this.told.apply((sheet) => nudgeTimes(sheet, this.with(id), by));
  }

  /** A copy of the row, or of all marked ones with it. */
  duplicate(id: string): void {
    this.told.apply((sheet) => duplicateMarked(sheet, this.with(id), freshId));
  }

  /** Takes the row out, or all marked ones with it, with a way back. */
  remove(id: string): void {
    const gone = this.with(id);
    const ids = this.ids();
    const next =
      ids.slice(ids.indexOf(id)).find((each) => !gone.has(each)) ?? ids.findLast((each) => !gone.has(each)) ?? null;
    this.editor.apply((sheet) => removeMarked(sheet, gone));
    this.notices.undoable(gone.size > 1 ? `${gone.size} rows deleted` : 'Deleted', () => this.editor.undo());
    if (next) this.select(next, true);
  }

  /** Where a row stands, among the blocks or among the pieces of its block. `Now 2 of 5` */
  private sayPlace(id: string): string {
    const rows = this.editor.rows();
    const all = [rows.map(({ block }) => block), ...rows.map(({ block }) => block.pieces)];
    const among = all.map((each) => each.map((row) => row.id)).find((ids) => ids.includes(id)) ?? [];
    return `Moved to ${among.indexOf(id) + 1} of ${among.length}`;
  }

  /** The marked rows where the row is one of them, else the row alone. */
  with(id: string): ReadonlySet<string> {
    const marked = this.editor.marked();
    return marked.has(id) ? marked : new Set([id]);
  }

  /** Does something to all marked rows. */
  doMarked(action: MarkedAction): void {
    const marked = this.editor.marked();
    const [first] = marked;
    if (action.what === 'clear') this.editor.marked.set(new Set());
    else if (action.what === 'remove' && first !== undefined) this.remove(first);
    else
      this.told.apply((sheet) => {
        switch (action.what) {
          case 'effort':
            return setEffortOf(sheet, marked, action.effort);
          case 'nudge':
            return nudgeTimes(sheet, marked, action.ms);
          case 'move':
            return moveMarked(sheet, marked, action.by);
          case 'mirror':
            return mirrorMarked(sheet, marked);
          default:
            return duplicateMarked(sheet, marked, freshId);
        }
      });
  }

  /** Ctrl or Shift with a click marks rows, from the chosen one on with Shift. */
  press(id: string, event: MouseEvent): void {
    if (event.ctrlKey || event.metaKey) this.toggleMark(id);
    else if (event.shiftKey) this.markTo(id);
    if (!event.shiftKey) this.anchor = id;
    this.editor.selected.set(id);
  }

  /** Marks a row, or unmarks it. */
  toggleMark(id: string): void {
    this.editor.marked.update((marked) => {
      const next = new Set(marked);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  }

  unfold(id: string): void {
    this.unfolded.update((unfolded) => {
      const next = new Set(unfolded);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  }

  private markTo(id: string): void {
    const ids = this.ids();
    const [from, to] = [ids.indexOf(this.anchor ?? id), ids.indexOf(id)].sort((a, b) => a - b);
    this.editor.marked.update((marked) => new Set([...marked, ...ids.slice(from, (to ?? 0) + 1)]));
  }

  /** Rows whose words hold the text, in the order of the sheet; the first is chosen. */
  find(text: string): void {
    const wanted = text.trim();
    const scheme = this.editor.scheme();
    const rows = (this.editor.sheet()?.blocks ?? []).flatMap((block) => [
      { id: block.id, words: `${block.kind} ${block.title ?? ''} ${block.note ?? ''}` },
      ...block.pieces.map((piece) => ({ id: piece.id, words: pieceName(piece, scheme) })),
    ]);
    const found = wanted === '' ? [] : rows.filter(({ words }) => finds(words, wanted)).map(({ id }) => id);
    this.found.set(found);
    if (found[0]) this.select(found[0], false);
  }

  /** Goes to the next row that was found, or the one before. */
  findNext(by: -1 | 1): void {
    const found = this.found();
    const at = found.indexOf(this.editor.selected() ?? '');
    const next = found.at((at + by + found.length) % Math.max(1, found.length));
    if (next) this.select(next, false);
  }
}
