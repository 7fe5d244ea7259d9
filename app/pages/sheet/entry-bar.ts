import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import {
  bookParts,
  countCombination,
  isWorthSaying,
  pieceName,
  readClock,
  readPieceLine,
  repairsFor,
  sayClock,
  sheetPartsOf,
  spell,
  studyOf,
  takeIn,
  toSeconds,
  unfoldedLength,
  writeCombination,
  type BookEntry,
  type Combination,
  type Piece,
  type Scheme,
  type Sheet,
  type Stance,
  type Typed,
} from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { DraftService } from '../../services/draft.service';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import type { Entered } from './typed-piece';

/** Longer ones are counted but not drawn while typing. */
const mostDrawn = 300;
const usualMs = 30_000;

/** The line where combinations are typed: staff, count and seams appear with each key. */
@Component({
  selector: 'kt-entry-bar',
  imports: [MatMenuModule, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './entry-bar.html',
  styleUrl: './entry-bar.scss',
})
export class EntryBar {
  private readonly drafts = inject(DraftService);
  private readonly settings = inject(SettingsService);
  readonly scheme = input.required<Scheme>();
  readonly stance = input<Stance>('orthodox');
  readonly sheetId = input.required<string>();
  /** The coach's book, to take from by name or from the list. */
  readonly book = input<readonly BookEntry[]>([]);
  /** Where Enter puts a new piece, in words. */
  readonly place = input('');
  /** Text of the piece being changed, or null while a new one is typed. */
  readonly editing = input<string | null>(null);
  readonly entered = output<Entered>();
  readonly cancelled = output();

  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  protected readonly text = signal('');
  /** Texts before a repair was taken, for the one key that takes it back. */
  private readonly beforeRepair = signal<string | null>(null);
  protected readonly tried = signal(false);

  private readonly split = computed(() => {
    const match = /^\s*(\d{1,2}:\d\d)(?:\s+|$)/.exec(this.text());
    const ms = match?.[1] ? readClock(match[1]) : null;
    return ms === null || !match ? { ms: null, offset: 0 } : { ms, offset: match[0].length };
  });
  /** What can be typed by name: the sheet's own parts before those of the book. */
  readonly sheetParts = input<Sheet['parts']>(undefined);
  private readonly parts = computed(() => new Map([...bookParts(this.book()), ...sheetPartsOf(this.sheetParts())]));
  private readonly body = computed(() => this.text().slice(this.split().offset));
  /**
   * A line of tempo text that is more than a combination: words in quotes, own time, a build, a calls drill, options in
   * front, several names. Only for new pieces.
   */
  protected readonly line = computed(
    (): { readonly pieces: readonly Piece[]; readonly names: readonly string[] } | null => {
      const body = this.body().trim();
      const openQuote = /^["“]/.test(body) && !/["”]$/.test(body.slice(1));
      if (this.editing() !== null || body === '' || openQuote) return null;
      const length = /^build/i.test(body) ? '' : `${sayClock(this.split().ms ?? usualMs)} `;
      const meanings = { scheme: this.scheme(), parts: this.parts() };
      const { pieces, faults } = readPieceLine(length + body, meanings, freshId);
      const [only] = pieces;
      if (!only || faults.length > 0) return null;
      // A bare combination has a way of its own, and bare words are more likely a combination half typed.
      const told = only.effort !== 'steady' || only.focus !== undefined || ('nonStop' in only && only.nonStop === true);
      const bare =
        only.kind === 'combination' ? only.words === undefined : only.kind === 'words' && !/^["“]/.test(body);
      if (pieces.length === 1 && bare && !told) return null;
      return { pieces, names: pieces.map((piece) => pieceName(piece, this.scheme())) };
    },
  );
  /** A quotation mark that is still open is no fault yet. */
  private readonly quoting = computed(() => /^\s*["“]/.test(this.body()));
  protected readonly typed = computed(() => {
    const body = this.body();
    return body.trim() && !this.line() && !this.quoting() ? takeIn(body, this.scheme(), this.parts()) : null;
  });
  protected readonly length = computed(() => {
    const { ms } = this.split();
    return ms === null ? null : sayClock(ms);
  });
  /** The last combination that could be read stays drawn while the next one is half typed. */
  private readonly lastGood = linkedSignal<Typed | null, Combination | null>({
    source: this.typed,
    computation: (typed, previous) => (typed ? (typed.combination ?? previous?.value ?? null) : null),
  });
  protected readonly drawn = computed(() => {
    const combination = this.lastGood();
    return combination && unfoldedLength(combination.items) <= mostDrawn ? combination : null;
  });
  protected readonly facts = computed(() => {
    const combination = this.typed()?.combination;
    if (!combination) return null;
    const counts = countCombination(combination);
    const studied = studyOf(combination, this.stance());
    const seams = studied.turns
      .flatMap((turn, index) => turn.seams.map((seam) => ({ seam, index })))
      .filter(({ seam }) => isWorthSaying(seam, this.settings.settings().kickSchool));
    const worst = seams.find(({ seam }) => seam.level === 'warning') ?? seams[0];
    return {
      counts,
      seconds: toSeconds(Math.round(studied.ms / 10) * 10),
      seam: worst?.seam ?? null,
      more: seams.length - 1,
      repairs: worst ? repairsFor(studied, worst.index, worst.seam, { stance: this.stance() }) : [],
    };
  });
  protected readonly fault = computed(() => {
    const fault = this.typed()?.fault;
    if (!fault) return null;
    const offset = this.split().offset;
    const text = this.text();
    return {
      ...fault,
      before: text.slice(Math.max(0, offset + fault.at - 24), offset + fault.at),
      here: text.slice(offset + fault.at, offset + fault.end).slice(0, 40) || '␣',
    };
  });
  /** While typing, an unfinished last word is no fault yet. */
  protected readonly showsFault = computed(() => {
    const fault = this.typed()?.fault;
    if (!fault) return false;
    return this.tried() || this.split().offset + fault.end < this.text().trimEnd().length || this.text().endsWith(' ');
  });

  constructor() {
    effect(() => {
      const editing = this.editing();
      if (editing !== null) this.text.set(editing);
    });
    effect(() => {
      const id = this.sheetId();
      void this.drafts.get(id).then((draft) => {
        if (draft && !this.text()) this.text.set(draft);
      });
    });
  }

  focus(): void {
    this.field().nativeElement.focus();
    this.field().nativeElement.select();
  }

  protected onInput(event: Event): void {
    this.set((event.target as HTMLInputElement).value);
    this.beforeRepair.set(null);
  }

  private set(text: string): void {
    this.text.set(text);
    this.tried.set(false);
    if (this.editing() === null) void this.drafts.put(this.sheetId(), text);
  }

  /** Puts a combination of the book into the line, behind what stands there. */
  protected fromBook(entry: BookEntry): void {
    this.set(`${this.text().trimEnd()} ${spell(entry.text, this.scheme())}`.trimStart());
    this.field().nativeElement.focus();
  }

  protected onKey(event: KeyboardEvent): void {
    if (event.key === 'Enter') {
      event.preventDefault();
      this.enter(event.ctrlKey || event.metaKey);
    } else if (event.key === 'Escape') {
      this.clear();
      this.cancelled.emit();
    } else if (event.altKey && event.key.toLowerCase() === 'r') {
      event.preventDefault();
      this.toggleRepair();
    }
  }

  protected readonly ready = computed(() => this.line() !== null || (this.typed()?.combination ?? null) !== null);

  protected enter(build: boolean): void {
    const [typed, line] = [this.typed(), this.line()];
    const { ms } = this.split();
    this.tried.set(true);
    if (line) this.entered.emit({ what: 'line', text: '', ms, pieces: line.pieces });
    else if (typed?.combination) this.entered.emit({ what: build ? 'build' : 'combination', text: typed.text, ms });
    else return;
    this.clear();
  }

  private clear(): void {
    this.set('');
    this.beforeRepair.set(null);
    void this.drafts.put(this.sheetId(), '');
  }

  /** Takes the first repair, or takes it back. */
  private toggleRepair(): void {
    const before = this.beforeRepair();
    const first = this.facts()?.repairs[0];
    if (before !== null) {
      this.set(before);
      this.beforeRepair.set(null);
    } else if (first) this.take(first.combination);
  }

  protected take(combination: Combination): void {
    const text = this.text();
    this.beforeRepair.set(text);
    this.set(text.slice(0, this.split().offset) + writeCombination(combination, this.scheme()));
    this.field().nativeElement.focus();
  }
}
