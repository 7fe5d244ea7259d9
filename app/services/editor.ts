import { computed, DestroyRef, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { Subscription } from 'rxjs';
import {
  changeFault,
  compile,
  lanesOf,
  sayChanges,
  schemeOrSix,
  settled,
  sheetSchema,
  tally,
  workFault,
  type Block,
  type Choice,
  type Clash,
  type Lane,
  type Piece,
  type Sheet,
} from '../../core/index';
import { aFrameLater } from './a-frame-later';
import { blockRows, type BlockRow } from './block-rows';
import { sheetFigures, type SheetFigures } from '../store/figures';
import { mostSteps, type History } from '../store/sheet-rows';
import { freshId } from './fresh-id';
import type { judging } from './judging';
import { KeysService } from './keys.service';
import { SettingsService } from './settings.service';
import { SheetWriter } from './sheet-writer';
import { SheetsService } from './sheets.service';
import { idle } from './when-idle';
import { VoiceService } from './voice.service';

/** A state of the sheet. */
interface Step {
  readonly sheet: Sheet;
  /** Changes under one name, one after the other, are undone as one (typing a title). */
  readonly name: string;
  /** Its number among the states kept for this sheet. */
  readonly number: number;
}

/** The sheet being edited: its states, what is derived from it, and what another hand does to it meanwhile. */
@Injectable()
export class Editor {
  private readonly sheets = inject(SheetsService);
  private readonly settings = inject(SettingsService);
  private readonly voices = inject(VoiceService);
  private readonly keys = inject(KeysService);
  private readonly state = signal<Sheet | null>(null);
  private readonly steps = signal<readonly Step[]>([]);
  private readonly at = signal(0);
  /** Whether the next change of the same name belongs to the last one. */
  private merging = false;
  /** One for each sheet that is opened: what the last one has still to write goes on by itself. */
  private readonly writer = signal<SheetWriter | null>(null);
  private following = Subscription.EMPTY;
  /** What was last asked to be opened. */
  private asked = '';
  /** Counts what was asked to be opened. */
  private opening = 0;
  private over = false;

  readonly sheet = this.state.asReadonly();
  readonly missing = signal(false);
  readonly saving = computed(() => this.writer()?.saving() ?? 'saved');
  /** Another hand has deleted the sheet; what is shown is kept here, and can be brought back. */
  readonly gone = computed(() => this.writer()?.gone() ?? false);
  /** Parts that were changed here and by another hand, until one of the two is chosen. */
  readonly clashes = signal<readonly Clash[]>([]);
  /** Why the last change was not made: a limit, with its figure. */
  readonly refused = signal('');
  /** Id of the block or piece that the keys act on. */
  readonly selected = signal<string | null>(null);
  /** Ids of the rows that are marked, to be changed together. */
  readonly marked = signal<ReadonlySet<string>>(new Set());
  readonly canUndo = computed(() => this.at() > 0);
  readonly canRedo = computed(() => this.at() < this.steps().length - 1);
  private readonly numbers = computed(() => this.state()?.numbers ?? 'six');
  /** The very same until its numbers change: every row is drawn by it. */
  readonly scheme = computed(() => schemeOrSix(this.numbers()));

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
  /** What judges a sheet comes a little later than its rows. */
  private readonly judge = signal<(typeof judging)['findings'] | null>(null);
  readonly findings = computed(() => {
    const [sheet, timeline, sums, findings] = [this.state(), this.timeline(), this.tally(), this.judge()];
    return sheet && timeline && sums && findings
      ? findings(sheet, timeline, sums, this.settings.schools(), this.voices.wishes())
      : [];
  });
  /** The findings as they are shown: the rows of a change come first. */
  readonly shownFindings = aFrameLater(
    () => [this.state(), this.settings.schools(), this.voices.wishes(), this.judge()],
    this.findings,
  );
  readonly rows = computed((): readonly BlockRow[] => {
    const [sheet, timeline] = [this.state(), this.timeline()];
    return sheet && timeline ? blockRows(sheet, timeline.leaves, this.lanes()) : [];
  });

  constructor() {
    // The rows are drawn, and take keys, before what judges them is loaded.
    void idle()
      .then(() => import('./judging'))
      .then(({ judging }) => this.judge.set(judging.findings));
    effect(() => {
      if (this.sheets.came() > 0 && untracked(this.missing)) void this.open(this.asked);
    });
    inject(DestroyRef).onDestroy(() => {
      this.over = true;
      this.following.unsubscribe();
    });
  }

  /** Opens a sheet; of several asked for in a hurry the last one stands, whichever storage answers last. */
  async open(id: string): Promise<void> {
    this.following.unsubscribe();
    this.asked = id;
    const asked = (this.opening += 1);
    const beginning = this.sheets.beginning(id);
    const history = await this.sheets.open(id);
    if (asked !== this.opening || this.over) return;
    this.missing.set(history === null);
    this.clashes.set([]);
    this.marked.set(new Set());
    if (!history) {
      this.writer.set(null);
      this.state.set(null);
      return;
    }
    const writer = this.writerOf(history);
    this.writer.set(writer);
    this.take(history);
    this.selected.set(history.known.sheet.blocks[0]?.id ?? null);
    if (beginning) void writer.begin(beginning);
    this.following = this.sheets.row$(id).subscribe((row) => writer.follow(row));
  }

  private writerOf(history: History): SheetWriter {
    const mine = (act: () => void): void => {
      if (this.writer() === writer) act();
    };
    const writer: SheetWriter = new SheetWriter(
      this.sheets,
      {
        adopt: (known) => mine(() => this.show(known.sheet)),
        reload: (anew) => mine(() => this.take(anew)),
        clash: (clashes) => mine(() => this.clashes.update((all) => [...all, ...clashes])),
        figures: (sheet) => (this.writer() === writer ? this.figuresOf(sheet) : undefined),
      },
      history,
    );
    return writer;
  }

  private take({ steps, at, known }: History): void {
    this.steps.set(steps);
    this.at.set(at);
    this.merging = false;
    this.show(known.sheet);
  }

  /**
   * Changes the sheet; the same changes under the same name in a row are one step of undo. A change beyond a limit is not
   * made, and that is said.
   */
  apply(change: (sheet: Sheet) => Sheet, name = ''): void {
    const before = this.state();
    if (!before) return;
    const after = change(before);
    if (after === before) return;
    const fault = changeFault(before, after) ?? workFault(after);
    this.refused.set(fault ?? '');
    if (fault !== null) return;
    const now = this.steps()[this.at()];
    // A key that is held goes on with what its first press has done: one step of undo.
    const merges = this.merging && (this.keys.holding || (name !== '' && now?.name === name));
    const number = (now?.number ?? 0) + (merges ? 0 : 1);
    const kept = this.steps().slice(merges ? 0 : Math.max(0, this.at() + 2 - mostSteps), this.at() + (merges ? 0 : 1));
    this.steps.set([...kept, { sheet: after, name, number }]);
    this.at.set(kept.length);
    this.merging = true;
    this.show(after);
    this.writer()?.change({ sheet: after, name, number, merges });
  }

  undo(): void {
    this.step(-1);
  }

  redo(): void {
    this.step(1);
  }

  /** What undo (-1) or redo (1) would do, in words. `Warm-up: 5:00 → 4:00` */
  sayStep(by: -1 | 1): string {
    const [from, to] = [this.steps()[this.at()], this.steps()[this.at() + by]];
    if (!from || !to) return 'nothing';
    const [before, after] = by === -1 ? [to, from] : [from, to];
    return sayChanges(before.sheet, after.sheet) ?? 'nothing';
  }

  private step(by: -1 | 1): void {
    const [from, to] = [this.steps()[this.at()], this.steps()[this.at() + by]];
    // Kept states come from storage, so they are looked at before they are shown.
    const read = to ? sheetSchema.safeParse(to.sheet) : null;
    if (!from || !to || !read?.success) return;
    this.at.update((at) => at + by);
    this.merging = false;
    this.show(read.data);
    this.writer()?.go({ sheet: read.data, from: from.number, to: to.number });
  }

  /** Settles a clash the way that was chosen. */
  settle(clash: Clash, choice: Choice): void {
    this.clashes.update((all) => all.filter((each) => each !== clash));
    if (choice !== 'mine') this.apply((sheet) => settled(sheet, clash, choice, freshId) ?? sheet);
  }

  /** Writes a sheet anew that another hand has deleted. */
  async bringBack(): Promise<void> {
    const sheet = this.state();
    if (!sheet) return;
    await (
      await this.sheets.add(sheet)
    ).written;
    await this.open(sheet.id);
  }

  /** What the list shows of the sheet, where it has been worked out anyhow. */
  private figuresOf(sheet: Sheet): SheetFigures | undefined {
    const [timeline, sums] = [this.timeline(), this.tally()];
    return sheet === this.state() && timeline && sums ? sheetFigures(timeline, sums) : undefined;
  }

  private show(sheet: Sheet): void {
    this.state.set(sheet);
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
