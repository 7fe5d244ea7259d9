import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { MatRadioModule } from '@angular/material/radio';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import {
  bookEntrySchema,
  countCombination,
  fitToBag,
  isWorthSaying,
  levels,
  limbOf,
  mirrorCombination,
  repairsFor,
  sayFault,
  six,
  studyOf,
  takeIn,
  toSeconds,
  writeCombination,
  type BookEntry,
  type Combination,
  shownBag,
} from '../../../core/index';
import { orNothing, ChoiceField } from '../../parts/fields/choice-field';
import { KeysService, type Shortcut } from '../../services/keys.service';
import { SettingsService } from '../../services/settings.service';
import { FigureFold } from '../../parts/figure/figure-fold';
import { Opened } from '../../parts/opened';
import { StaffEditor } from '../../parts/staff-editor/staff-editor';
import { PractiseLink } from './practise-link';
import { bagChoices } from '../../parts/fields/bag-choices';

/** One combination of the book, open for editing: typed, or placed on the staff. Every good change is saved at once. */
@Component({
  selector: 'kt-combination-card',
  imports: [MatRadioModule, ChoiceField, TextField, MatButtonModule, FigureFold, Opened, PractiseLink, StaffEditor],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './combination-card.html',
  styleUrl: './combination-card.scss',
})
export class CombinationCard {
  protected readonly shownBag = shownBag;
  private readonly settings = inject(SettingsService);
  readonly entry = input.required<BookEntry>();
  /** What is to be saved otherwise than before: only that, since a second change may come before the first is back in `entry`. */
  readonly saved = output<Partial<BookEntry>>();
  readonly deleted = output<BookEntry>();
  readonly closed = output();

  protected readonly levels = orNothing('any', levels);
  protected readonly bags = [{ value: undefined, name: 'any' }, ...bagChoices];
  protected readonly schemas = bookEntrySchema.shape;
  protected readonly stances = ['orthodox', 'southpaw'] as const;
  /** What stands in the line; another entry brings its own text. */
  protected readonly text = linkedSignal<string, string>({
    source: () => this.entry().id,
    computation: () => this.entry().text,
  });
  protected readonly stance = signal<'orthodox' | 'southpaw'>('orthodox');
  /** The move that was chosen on the staff last: the figure shows it. */
  protected readonly chosen = linkedSignal<string, number | null>({
    source: () => this.entry().id,
    computation: () => null,
  });
  private readonly past = signal<readonly string[]>([]);
  private readonly future = signal<readonly string[]>([]);
  protected readonly canUndo = computed(() => this.past().length > 0);
  protected readonly canRedo = computed(() => this.future().length > 0);

  protected readonly typed = computed(() => (this.text().trim() ? takeIn(this.text(), six) : null));
  protected readonly combination = computed(() => this.typed()?.combination ?? null);
  protected readonly fault = computed(() => {
    const fault = this.typed()?.fault;
    return fault ? sayFault(fault) : null;
  });
  protected readonly shown = computed(() => {
    const combination = this.combination();
    return combination && this.stance() === 'southpaw' ? mirrorCombination(combination) : combination;
  });
  protected readonly study = computed(() => {
    const shown = this.shown();
    return shown ? studyOf(shown, this.stance()) : null;
  });
  protected readonly facts = computed(() => {
    const [combination, study] = [this.combination(), this.study()];
    return combination && study
      ? { ...countCombination(combination), seconds: toSeconds(Math.round(study.ms / 10) * 10) }
      : null;
  });
  /** Which limb does each move, for the stance chosen; a line for each turn where moves take turns. */
  protected readonly limbs = computed(() => {
    const turns = this.study()?.turns ?? [];
    return turns.map(({ walk, ms }, index) => {
      const limbs = walk.steps.flatMap(({ step, stance }) =>
        step.content.flatMap((each) => (each.kind === 'move' ? (limbOf(each, stance) ?? []) : [])),
      );
      return turns.length > 1
        ? `Repeat ${index + 1}, ${toSeconds(Math.round(ms / 10) * 10)} s: ${limbs.join(', ')}`
        : limbs.join(', ');
    });
  });
  protected readonly seams = computed(() => {
    const study = this.study();
    if (!study) return [];
    const seen = new Set<string>();
    return study.turns.flatMap((turn, index) =>
      turn.seams.flatMap((seam) => {
        // A seam outside the turns is the same in each of them and is said once.
        const key = `${turn.walk.steps[seam.after]?.step.path.join('.')} ${seam.reason}`;
        if (!isWorthSaying(seam, this.settings.settings().kickSchool) || seen.has(key)) return [];
        seen.add(key);
        return [{ seam, repairs: repairsFor(study, index, seam, { stance: this.stance() }) }];
      }),
    );
  });

  /** Whether the entry's bag takes it, and what would. */
  protected readonly fit = computed(() => {
    const [combination, { bag }] = [this.combination(), this.entry()];
    const fit = combination && bag ? fitToBag(combination, bag, { schools: this.settings.schools() }) : null;
    return fit && { ...fit, text: fit.adapted ? writeCombination(fit.adapted) : '' };
  });

  protected type(text: string, goesOn = false): void {
    if (!goesOn) this.past.update((texts) => [...texts.slice(-299), this.text()]);
    this.future.set([]);
    this.show(text);
  }

  /** A change made on the staff or by a repair; what the staff showed mirrored is kept as it was meant. */
  protected take(combination: Combination, goesOn = false): void {
    this.type(writeCombination(this.stance() === 'southpaw' ? mirrorCombination(combination) : combination), goesOn);
  }

  private show(text: string): void {
    this.text.set(text);
    const typed = this.typed();
    if (typed?.combination) this.saved.emit({ text: typed.text });
  }

  protected change(change: Partial<BookEntry>): void {
    const typed = this.typed();
    if (typed?.combination) this.saved.emit({ text: typed.text, ...change });
  }

  protected tagsOf(text: string): string[] {
    return [...new Set(text.split(',').map((tag) => tag.trim()))].filter((tag) => tag !== '');
  }

  protected readonly tagsFault = (text: string): string =>
    this.schemas.tags.safeParse(this.tagsOf(text)).success ? '' : 'Use up to 20 tags of up to 40 characters';

  protected step(from: 'past' | 'future'): void {
    const [source, other] = from === 'past' ? [this.past, this.future] : [this.future, this.past];
    const text = source().at(-1);
    if (text === undefined) return;
    source.update((texts) => texts.slice(0, -1));
    other.update((texts) => [...texts, this.text()]);
    this.show(text);
  }

  constructor() {
    this.listenToKeys();
  }

  /** Keys of the card, also while somebody types in it; elsewhere on the page they are the browser's. */
  private listenToKeys(): void {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const on = (keys: readonly string[], does: string, press: () => void, repeats = false): Shortcut => ({
      keys,
      does,
      repeats,
      typing: true,
      when: ({ target }) => target instanceof Node && host.contains(target),
      press,
    });
    inject(KeysService).use('A combination', [
      on(['Alt+r'], 'Apply the first fix', () => this.repairFirst()),
      on(['$mod+z'], 'Undo', () => this.step('past'), true),
      on(['$mod+Shift+z', '$mod+y'], 'Redo', () => this.step('future'), true),
      on(['Escape'], 'Close', () => this.closed.emit()),
    ]);
  }

  private repairFirst(): void {
    const first = this.seams().find(({ repairs }) => repairs.length > 0)?.repairs[0];
    if (first) this.take(first.combination);
  }
}
