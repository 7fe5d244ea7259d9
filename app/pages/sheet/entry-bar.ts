import {
  afterNextRender,
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
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatTooltip } from '@angular/material/tooltip';
import { MatButtonModule } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import {
  bookParts,
  countCombination,
  isWorthSaying,
  pieceName,
  readClock,
  readPieceLine,
  repairsFor,
  secondReadings,
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
import { pressAgain, sheetLineId, takeFirstLine } from '../../first/hand-over';
import { FollowChips } from './follow-chips';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { DraftService } from '../../services/draft.service';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import type { Entered } from './typed-piece';
import { fieldLook } from '../../parts/fields/field-look';

/** Longer ones are counted but not drawn while typing. */
const mostDrawn = 300;
const usualMs = 30_000;

/** The line where combinations are typed: staff, count and seams appear with each key. */
@Component({
  selector: 'kt-entry-bar',
  imports: [
    FollowChips,
    ReactiveFormsModule,
    MatInputModule,
    MatFormFieldModule,
    MatTooltip,
    MatButtonModule,
    StrikeStaff,
  ],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './entry-bar.html',
  styleUrl: './entry-bar.scss',
  host: { class: 'foot-bar', '[class.filled]': 'filled()' },
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
  /** The empty line is left for the row it would add to, or for the first one. */
  readonly left = output<'this' | 'first'>();

  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  protected readonly line = new FormControl('', { nonNullable: true });
  protected readonly text = toSignal(this.line.valueChanges, { initialValue: '' });
  /** Texts before a repair was taken, for the one key that takes it back. */
  private readonly beforeRepair = signal<string | null>(null);
  protected readonly tried = signal(false);
  /** Whether what can follow stands below the line: quiet until it is asked for. */
  protected readonly following = signal(false);
  private readonly chips = viewChild<FollowChips>('chips');

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
  protected readonly tempoLine = computed(
    (): { readonly pieces: readonly Piece[]; readonly names: readonly string[] } | null => {
      const body = this.body().trim();
      const openQuote = /^["“]/.test(body) && !/["”]$/.test(body.slice(1));
      if (this.editing() !== null || body === '' || openQuote) return null;
      // A build and a list with work and pauses say their own lengths.
      const says = /^(build|\d{1,2}:\d\d\s*\/)/i.test(body);
      const length = says ? '' : `${sayClock(this.split().ms ?? usualMs)} `;
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
    return body.trim() && !this.tempoLine() && !this.quoting() ? takeIn(body, this.scheme(), this.parts()) : null;
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
  /** What goes before the next move: the last that could be read, nothing where nothing is typed. */
  protected readonly beginning = computed(() => {
    const combination = this.filled() ? this.lastGood() : null;
    return combination ? writeCombination(combination) : '';
  });
  /** What else the text may have meant. */
  protected readonly second = computed(() =>
    this.typed()?.combination ? (secondReadings(this.body(), this.scheme())[0] ?? null) : null,
  );
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
    afterNextRender(() => this.takeOver());
    effect(() => {
      const editing = this.editing();
      if (editing !== null) this.line.setValue(editing);
    });
    effect(() => {
      const id = this.sheetId();
      void this.drafts.get(id).then((draft) => {
        if (draft && !this.line.value) this.line.setValue(draft);
      });
    });
  }

  /** Goes on with what was typed before this line was there. */
  private takeOver(): void {
    const first = takeFirstLine(sheetLineId);
    if (!first) return;
    const field = this.field().nativeElement;
    this.set(first.text);
    field.focus();
    if (first.focus) field.setSelectionRange(...first.focus);
    // What it adds is drawn at once: after this drawing, not within it.
    void Promise.resolve().then(() => {
      if (first.enter) this.enter(first.enter === 'ctrl');
      if (first.shortcut) pressAgain(field, first.shortcut);
    });
  }

  /** Whether something is typed, or half typed. */
  readonly filled = computed(() => this.text().trim() !== '');

  /** Goes to the line, and chooses what stands there. */
  focus(): void {
    this.field().nativeElement.focus();
    this.field().nativeElement.select();
  }

  /** Goes to the end of the line, for a key that was pressed elsewhere and is to stand there. */
  goOn(): void {
    const field = this.field().nativeElement;
    field.focus();
    field.setSelectionRange(field.value.length, field.value.length);
  }

  /** The key that leads here does nothing where somebody is here already; no combination begins with it. */
  protected nothingYet(event: KeyboardEvent): void {
    if (event.key === '/' && this.line.value === '') event.preventDefault();
  }

  protected typedAnew(): void {
    this.tried.set(false);
    this.beforeRepair.set(null);
    if (this.editing() === null) void this.drafts.put(this.sheetId(), this.line.value);
  }

  private set(text: string): void {
    this.line.setValue(text);
    this.typedAnew();
  }

  /** Puts a combination into the line, behind what stands there. */
  putIn(text: string): void {
    this.set(`${this.text().trimEnd()} ${spell(text, this.scheme())}`.trimStart());
    this.field().nativeElement.focus();
  }

  /** Whether something that takes keys is this line. */
  holds(target: EventTarget | null): boolean {
    return target === this.field().nativeElement;
  }

  /** Takes away what stands in the line; an empty line is left. */
  protected leave(): void {
    const empty = !this.filled() && this.editing() === null;
    this.set('');
    if (empty) this.left.emit('this');
    else this.cancelled.emit();
  }

  /** Up from the empty line to the row it would add to. */
  protected up(event: Event): void {
    if (this.filled()) return;
    event.preventDefault();
    this.left.emit('this');
  }

  protected readonly ready = computed(() => this.tempoLine() !== null || (this.typed()?.combination ?? null) !== null);

  protected enter(build: boolean, event?: Event): void {
    // In the empty line the key is the sheet's: it runs it.
    if (build && !this.filled()) return;
    event?.preventDefault();
    const [typed, line] = [this.typed(), this.tempoLine()];
    const { ms } = this.split();
    this.tried.set(true);
    if (line) this.entered.emit({ what: 'line', text: '', ms, pieces: line.pieces });
    else if (typed?.combination) this.entered.emit({ what: build ? 'build' : 'combination', text: typed.text, ms });
    else return;
    this.set('');
  }

  protected toggleNext(event: Event): void {
    event.preventDefault();
    this.following.update((shown) => !shown);
  }

  /** Down from the line to what can follow; from the empty line to the first row, where nothing is offered. */
  protected down(event: Event): void {
    const chips = this.chips();
    if (!chips && this.filled()) return;
    event.preventDefault();
    if (chips) chips.focus();
    else this.left.emit('first');
  }

  /** Takes the first repair, or takes it back. */
  protected toggleRepair(event: Event): void {
    event.preventDefault();
    const before = this.beforeRepair();
    const first = this.facts()?.repairs[0];
    if (before !== null) this.set(before);
    else if (first) this.take(first.combination);
  }

  protected take(combination: Combination): void {
    const text = this.text();
    this.set(text.slice(0, this.split().offset) + writeCombination(combination, this.scheme()));
    this.beforeRepair.set(text);
    this.field().nativeElement.focus();
  }
}
