import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { catchError, concatMap, EMPTY, from, map, Subject } from 'rxjs';
import {
  blockLength,
  compile,
  findings,
  lanesOf,
  pieceLanes,
  schemeOrSix,
  sheetSchema,
  tally,
  type Block,
  type Lane,
  type LaneVersion,
  type Leaf,
  type Piece,
  type Sheet,
} from '../../core/index';
import { HistoryService, mostSteps } from './history.service';
import { SettingsService } from './settings.service';
import { SheetsService } from './sheets.service';
import { VoiceService } from './voice.service';

/** A piece as the run sheet shows it: with the leaves that its first pass, or its stages a round, come to. */
export interface PieceRow {
  readonly piece: Piece;
  readonly leaves: readonly Leaf[];
  /** What each lane does in its place; none where there are no lanes. */
  readonly lanes: readonly LaneVersion[];
}

export interface BlockRow {
  readonly block: Block;
  readonly at: number;
  readonly ms: number;
  readonly round: number | null;
  readonly pieces: readonly PieceRow[];
}

/** A state of the sheet. */
interface Step {
  readonly sheet: Sheet;
  /** Changes under one name, one after the other, are undone as one (typing a title). */
  readonly name: string;
  /** Its number among the states kept for this sheet. */
  readonly number: number;
}

/** A state on its way into storage. */
interface Write {
  readonly sheet: Sheet;
  /** Number of the step it makes, null where it goes to one that is kept. */
  readonly number: number | null;
  readonly remember: () => Promise<void>;
}

/** The sheet being edited: its states, what is derived from it, and its way into storage. */
@Injectable()
export class Editor {
  private readonly sheets = inject(SheetsService);
  private readonly settings = inject(SettingsService);
  private readonly voices = inject(VoiceService);
  private readonly state = signal<Sheet | null>(null);
  private readonly history = inject(HistoryService);
  private readonly steps = signal<readonly Step[]>([]);
  private readonly at = signal(0);
  private readonly writes = new Subject<Write>();
  /** Whether the next change of the same name belongs to the last one. */
  private merging = false;
  /** The last state that was made by a change. */
  private last: { readonly sheet: Sheet; readonly number: number } | null = null;

  readonly sheet = this.state.asReadonly();
  readonly missing = signal(false);
  readonly saving = signal<'saved' | 'saving' | 'failed'>('saved');
  /** Id of the block or piece that the keys act on. */
  readonly selected = signal<string | null>(null);
  /** Ids of the rows that are marked, to be changed together. */
  readonly marked = signal<ReadonlySet<string>>(new Set());
  readonly canUndo = computed(() => this.at() > 0);
  readonly canRedo = computed(() => this.at() < this.steps().length - 1);
  readonly scheme = computed(() => schemeOrSix(this.state()?.numbers ?? 'six'));

  readonly timeline = computed(() => {
    const sheet = this.state();
    return sheet ? compile(sheet) : null;
  });
  readonly tally = computed(() => {
    const timeline = this.timeline();
    return timeline ? tally(timeline, this.state()?.stance ?? 'orthodox') : null;
  });
  readonly lanes = computed((): readonly Lane[] => {
    const sheet = this.state();
    return sheet ? lanesOf(sheet, this.settings.schools()) : [];
  });
  readonly findings = computed(() => {
    const [sheet, timeline, sums] = [this.state(), this.timeline(), this.tally()];
    return sheet && timeline && sums
      ? findings(sheet, timeline, sums, this.settings.schools(), this.voices.wishes())
      : [];
  });
  readonly rows = computed((): readonly BlockRow[] => this.rowsOf(this.state(), this.timeline()?.leaves ?? []));

  constructor() {
    this.writes
      .pipe(
        concatMap((write) =>
          from(this.write(write)).pipe(
            map(() => write.sheet),
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
    for (const leaf of leaves) {
      const own = byBlock.get(leaf.blockId);
      if (own) own.push(leaf);
      else byBlock.set(leaf.blockId, [leaf]);
    }
    let at = 0;
    return (sheet?.blocks ?? []).map((block) => {
      const own = (byBlock.get(block.id) ?? []).filter((leaf) => block.kind === 'rest' || leaf.kind !== 'rest');
      const row: BlockRow = {
        block,
        at,
        ms: blockLength(block),
        round: own[0]?.round ?? null,
        pieces: block.pieces.map((piece) => ({
          piece,
          leaves: firstLeaves(own, piece),
          lanes: pieceLanes(piece, block, this.lanes()),
        })),
      };
      at += row.ms;
      return row;
    });
  }

  async open(id: string): Promise<void> {
    const sheet = await this.sheets.get(id);
    const kept = sheet ? await this.history.get(sheet) : null;
    this.missing.set(sheet === null);
    this.steps.set(kept?.steps ?? (sheet ? [{ sheet, name: '', number: 0 }] : []));
    this.at.set(kept?.at ?? 0);
    if (sheet && !kept) await this.history.begin(sheet);
    this.merging = false;
    this.state.set(sheet);
    this.marked.set(new Set());
    this.selected.set(sheet?.blocks[0]?.id ?? null);
  }

  /** Changes the sheet; the same changes under the same name in a row are one step of undo. */
  apply(change: (sheet: Sheet) => Sheet, name = ''): void {
    const before = this.state();
    if (!before) return;
    const after = change(before);
    if (after === before) return;
    const now = this.steps()[this.at()];
    const merges = this.merging && name !== '' && now?.name === name;
    const number = (now?.number ?? 0) + (merges ? 0 : 1);
    const kept = this.steps().slice(merges ? 0 : Math.max(0, this.at() + 2 - mostSteps), this.at() + (merges ? 0 : 1));
    this.steps.set([...kept, { sheet: after, name, number }]);
    this.at.set(kept.length);
    this.merging = true;
    this.last = { sheet: after, number };
    this.show({ sheet: after, number, remember: () => this.history.put(number, name, after) });
  }

  undo(): void {
    this.step(-1);
  }

  redo(): void {
    this.step(1);
  }

  private step(by: -1 | 1): void {
    const to = this.steps()[this.at() + by];
    // Kept states come from storage, so they are looked at before they are shown.
    const read = to ? sheetSchema.safeParse(to.sheet) : null;
    if (!to || !read?.success) return;
    this.at.update((at) => at + by);
    this.merging = false;
    this.show({ sheet: read.data, number: null, remember: () => this.history.goTo(to.sheet.id, to.number) });
  }

  /** Writes a state, unless typing went on in the meantime: then a later state of the same step is on its way. */
  private async write({ sheet, number, remember }: Write): Promise<void> {
    const { last } = this;
    if (last?.sheet.id === sheet.id && number === last.number && sheet !== last.sheet) return;
    await this.sheets.put(sheet);
    await remember();
  }

  private show(write: Write): void {
    const { sheet } = write;
    this.saving.set('saving');
    this.state.set(sheet);
    this.writes.next(write);
    const ids = new Set(sheet.blocks.flatMap((block) => [block.id, ...block.pieces.map((piece) => piece.id)]));
    const selected = this.selected();
    if (selected === null || !ids.has(selected)) this.selected.set(sheet.blocks.at(-1)?.id ?? null);
    if ([...this.marked()].some((id) => !ids.has(id)))
      this.marked.update((marked) => new Set([...marked].filter((id) => ids.has(id))));
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
