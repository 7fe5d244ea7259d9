import { signal } from '@angular/core';
import { alike, mergeSheets, type Clash, type Sheet } from '../../core/index';
import type { StoredSheet } from '../store/database';
import type { SheetFigures } from '../store/figures';
import type { History, Known } from '../store/sheet-rows';
import type { Outcome } from '../store/store';
import type { SheetsService } from './sheets.service';

/** A changed sheet on its way into storage. */
interface Change {
  readonly kind: 'change';
  readonly sheet: Sheet;
  readonly name: string;
  /** The number it has in the history as the page knows it. */
  readonly number: number;
  /** It goes on with the step of that number. */
  readonly merges: boolean;
}

/** A kept step to go to. */
interface Go {
  readonly kind: 'go';
  readonly sheet: Sheet;
  readonly from: number;
  readonly to: number;
}

/** What the page does about what comes back. */
export interface WriterEars {
  /** Another hand's change is shown. */
  readonly adopt: (known: Known) => void;
  /** The history stands differently than the page takes it to stand. */
  readonly reload: (history: History) => void;
  readonly clash: (clashes: readonly Clash[]) => void;
  readonly figures: (sheet: Sheet) => SheetFigures | undefined;
}

/**
 * The way of one open sheet into storage: changes go one after the other, each compared with what is stored; what another
 * hand has changed meanwhile is brought together with it. What cannot be written waits, and stays on the screen.
 */
export class SheetWriter {
  private queue: (Change | Go)[] = [];
  private running = false;
  private known: Known;
  /** As it is stored, whoever wrote it. */
  private latest: StoredSheet | null = null;

  readonly saving = signal<'saved' | 'saving' | 'failed'>('saved');
  readonly gone = signal(false);

  constructor(
    private readonly sheets: SheetsService,
    private readonly ears: WriterEars,
    opened: History,
  ) {
    this.known = opened.known;
  }

  /** A new sheet is on its way into storage, and shown as saved once it is there. */
  async begin(adding: Promise<Outcome<void>>): Promise<void> {
    const say = (saving: 'saved' | 'saving' | 'failed'): void => {
      if (!this.running) this.saving.set(saving);
    };
    say('saving');
    const { ok, written } = await adding;
    if (!ok) say('failed');
    await written;
    say('saved');
  }

  change(change: Omit<Change, 'kind'>): void {
    const last = this.queue.at(-1);
    // Typing that goes on replaces what is not on its way yet.
    const replaces = change.merges && last?.kind === 'change' && last.number === change.number && this.queue.length > 1;
    if (replaces) this.queue.pop();
    this.put({ kind: 'change', ...change, merges: change.merges && !(replaces && !last.merges) });
  }

  go(go: Omit<Go, 'kind'>): void {
    this.put({ kind: 'go', ...go });
  }

  /** The stored sheet as it is now; undefined once it is deleted. */
  follow(row: StoredSheet | undefined): void {
    if (!row) {
      this.gone.set(true);
      this.saving.set('failed');
      return;
    }
    this.latest = row;
    if (!this.running) this.adopt();
  }

  private put(job: Change | Go): void {
    this.queue.push(job);
    if (this.saving() !== 'failed') this.saving.set('saving');
    if (!this.running) void this.run();
  }

  /** What another hand has written since is shown, with the history it has come to. */
  private adopt(): void {
    if (this.latest && (this.latest.rev ?? 0) > this.known.rev) void this.reload();
  }

  private async reload(): Promise<void> {
    const history = await this.sheets.open(this.known.sheet.id);
    // What is on its way has been changed here since; it is brought together when it is written.
    if (!history || this.running || history.known.rev < this.known.rev) return;
    this.known = history.known;
    this.ears.reload(history);
  }

  private async run(): Promise<void> {
    this.running = true;
    let differs = false;
    for (let job = this.queue[0]; job; job = this.queue[0]) {
      const done = job.kind === 'change' ? await this.write(job) : await this.goTo(job);
      if (done === 'gone') {
        this.gone.set(true);
        this.queue = [];
        break;
      }
      // Typing may have gone on under the same job; then it is written again.
      if (this.queue[0] === job) this.queue.shift();
      differs ||= done === 'differs';
    }
    this.running = false;
    if (differs) await this.reload();
    else this.adopt();
    this.saving.set(this.gone() ? 'failed' : this.running ? 'saving' : 'saved');
  }

  private async write({ sheet, name, number, merges }: Change): Promise<'as shown' | 'differs' | 'gone'> {
    const base = this.known;
    const figures = this.ears.figures(sheet);
    const outcome = await this.sheets.write({ sheet, base, name, goesOn: merges ? number : null, figures });
    if (!outcome.ok) this.saving.set('failed');
    const written = await outcome.written;
    if (!outcome.ok) this.saving.set('saving');
    if (written.kind === 'gone') return 'gone';
    this.known = written.known;
    if (written.clashes.length > 0) this.ears.clash(written.clashes);
    const same = alike(written.known.sheet, sheet);
    if (!same) this.rebase(sheet, written.known);
    return same && written.step === number ? 'as shown' : 'differs';
  }

  private async goTo({ sheet, from, to }: Go): Promise<'as shown' | 'differs'> {
    const outcome = await this.sheets.goTo(sheet.id, from, to);
    if (!outcome.ok) this.saving.set('failed');
    const known = await outcome.written;
    if (known) this.known = known;
    return known ? 'as shown' : 'differs';
  }

  /** What waits was changed from what was sent; it is put on what has come of that. */
  private rebase(sent: Sheet, now: Known): void {
    const onTop = (sheet: Sheet): Sheet => mergeSheets(sent, sheet, now.sheet).value;
    const [first, ...waiting] = this.queue;
    if (!first) return;
    this.queue = [first, ...waiting.map((job) => (job.kind === 'change' ? { ...job, sheet: onTop(job.sheet) } : job))];
    const last = this.queue.findLast((job) => job.kind === 'change');
    this.ears.adopt({ ...now, sheet: last && last !== first ? last.sheet : now.sheet });
  }
}
