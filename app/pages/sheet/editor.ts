import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { catchError, concatMap, EMPTY, from, map, Subject } from 'rxjs';
import {
  blockLength,
  compile,
  findings,
  schemeOrSix,
  tally,
  type Block,
  type Leaf,
  type Piece,
  type Sheet,
} from '../../../core/index';
import { SheetsService } from '../../services/sheets.service';

/** A piece as the run sheet shows it: with the leaves that its first pass, or its stages a round, come to. */
export interface PieceRow {
  readonly piece: Piece;
  readonly leaves: readonly Leaf[];
}

export interface BlockRow {
  readonly block: Block;
  readonly at: number;
  readonly ms: number;
  readonly round: number | null;
  readonly pieces: readonly PieceRow[];
}

interface Step {
  readonly sheet: Sheet;
  /** Changes under one name, one after the other, are undone as one (typing a title). */
  readonly name: string;
}

const mostSteps = 300;

/** The sheet being edited: its states, what is derived from it, and its way into storage. */
@Injectable()
export class Editor {
  private readonly sheets = inject(SheetsService);
  private readonly state = signal<Sheet | null>(null);
  private readonly past = signal<readonly Step[]>([]);
  private readonly future = signal<readonly Step[]>([]);
  private readonly writes = new Subject<Sheet>();
  private lastName = '';

  readonly sheet = this.state.asReadonly();
  readonly missing = signal(false);
  readonly saving = signal<'saved' | 'saving' | 'failed'>('saved');
  /** Id of the block or piece that the keys act on. */
  readonly selected = signal<string | null>(null);
  readonly canUndo = computed(() => this.past().length > 0);
  readonly canRedo = computed(() => this.future().length > 0);
  readonly scheme = computed(() => schemeOrSix(this.state()?.numbers ?? 'six'));

  readonly timeline = computed(() => {
    const sheet = this.state();
    return sheet ? compile(sheet) : null;
  });
  readonly tally = computed(() => {
    const timeline = this.timeline();
    return timeline ? tally(timeline, this.state()?.stance ?? 'orthodox') : null;
  });
  readonly findings = computed(() => {
    const sheet = this.state();
    return sheet ? findings(sheet) : [];
  });
  readonly rows = computed((): readonly BlockRow[] => this.rowsOf(this.state(), this.timeline()?.leaves ?? []));

  constructor() {
    this.writes
      .pipe(
        concatMap((sheet) =>
          from(this.sheets.put(sheet)).pipe(
            map(() => sheet),
            catchError(() => {
              this.saving.set('failed');
              return EMPTY;
            }),
          ),
        ),
      )
      .subscribe((written) => {
        // Saved means that what is shown is written, not something before it.
        if (written === this.state()) this.saving.set('saved');
      });
    // Completed, not cut: whoever leaves the page in a hurry still gets everything written.
    inject(DestroyRef).onDestroy(() => this.writes.complete());
  }

  private rowsOf(sheet: Sheet | null, leaves: readonly Leaf[]): BlockRow[] {
    const byBlock = new Map<string, Leaf[]>();
    for (const leaf of leaves) byBlock.set(leaf.blockId, [...(byBlock.get(leaf.blockId) ?? []), leaf]);
    let at = 0;
    return (sheet?.blocks ?? []).map((block) => {
      const own = (byBlock.get(block.id) ?? []).filter((leaf) => block.kind === 'rest' || leaf.kind !== 'rest');
      const row: BlockRow = {
        block,
        at,
        ms: blockLength(block),
        round: own[0]?.round ?? null,
        pieces: block.pieces.map((piece) => ({ piece, leaves: firstLeaves(own, piece) })),
      };
      at += row.ms;
      return row;
    });
  }

  async open(id: string): Promise<void> {
    const sheet = await this.sheets.get(id);
    this.missing.set(sheet === null);
    this.state.set(sheet);
    this.past.set([]);
    this.future.set([]);
    this.selected.set(sheet?.blocks[0]?.id ?? null);
  }

  /** Changes the sheet; the same changes under the same name in a row are one step of undo. */
  apply(change: (sheet: Sheet) => Sheet, name = ''): void {
    const before = this.state();
    if (!before) return;
    const after = change(before);
    if (after === before) return;
    if (!name || name !== this.lastName)
      this.past.update((steps) => [...steps.slice(1 - mostSteps), { sheet: before, name }]);
    this.lastName = name;
    this.future.set([]);
    this.show(after);
  }

  undo(): void {
    this.step(this.past, this.future);
  }

  redo(): void {
    this.step(this.future, this.past);
  }

  private step(source: typeof this.past, other: typeof this.past): void {
    const step = source().at(-1);
    const now = this.state();
    if (!step || !now) return;
    source.update((steps) => steps.slice(0, -1));
    other.update((steps) => [...steps, { sheet: now, name: step.name }]);
    this.lastName = '';
    this.show(step.sheet);
  }

  private show(sheet: Sheet): void {
    this.saving.set('saving');
    this.writes.next(sheet);
    this.state.set(sheet);
    const ids = new Set(sheet.blocks.flatMap((block) => [block.id, ...block.pieces.map((piece) => piece.id)]));
    const selected = this.selected();
    if (selected === null || !ids.has(selected)) this.selected.set(sheet.blocks.at(-1)?.id ?? null);
  }

  /** The block that the selection is, or stands in. */
  selectedBlock(): Block | null {
    const id = this.selected();
    return (
      this.state()?.blocks.find((block) => block.id === id || block.pieces.some((piece) => piece.id === id)) ?? null
    );
  }

  selectedPiece(): Piece | null {
    const id = this.selected();
    return this.selectedBlock()?.pieces.find((piece) => piece.id === id) ?? null;
  }
}

function firstLeaves(leaves: readonly Leaf[], piece: Piece): Leaf[] {
  const seen = new Set<number>();
  return leaves.filter((leaf) => {
    const number = leaf.stage?.number ?? 0;
    if (leaf.pieceId !== piece.id || seen.has(number)) return false;
    seen.add(number);
    return true;
  });
}
