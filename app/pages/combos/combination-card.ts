import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import {
  bagKinds,
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
} from '../../../core/index';
import { SettingsService } from '../../services/settings.service';
import { StaffEditor } from '../../parts/staff-editor/staff-editor';

/** One combination of the book, open for editing: typed, or placed on the staff. Every good change is saved at once. */
@Component({
  selector: 'kt-combination-card',
  imports: [StaffEditor],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './combination-card.html',
  styleUrl: './combination-card.scss',
  host: { '(keydown)': 'onKey($event)' },
})
export class CombinationCard {
  private readonly settings = inject(SettingsService);
  readonly entry = input.required<BookEntry>();
  readonly saved = output<BookEntry>();
  readonly deleted = output<BookEntry>();
  readonly closed = output();

  protected readonly levels = levels;
  protected readonly bags = bagKinds;
  protected readonly stances = ['orthodox', 'southpaw'] as const;
  /** What stands in the line; another entry brings its own text. */
  protected readonly text = linkedSignal<string, string>({
    source: () => this.entry().id,
    computation: () => this.entry().text,
  });
  protected readonly stance = signal<'orthodox' | 'southpaw'>('orthodox');
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
        ? `Turn ${index + 1}, ${toSeconds(Math.round(ms / 10) * 10)} s: ${limbs.join(', ')}`
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

  protected value(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement).value;
  }

  protected type(text: string): void {
    this.past.update((texts) => [...texts.slice(-299), this.text()]);
    this.future.set([]);
    this.show(text);
  }

  /** A change made on the staff or by a repair; what the staff showed mirrored is kept as it was meant. */
  protected take(combination: Combination): void {
    this.type(writeCombination(this.stance() === 'southpaw' ? mirrorCombination(combination) : combination));
  }

  private show(text: string): void {
    this.text.set(text);
    const typed = this.typed();
    if (typed?.combination) this.saved.emit({ ...this.entry(), text: typed.text });
  }

  protected change(change: Partial<BookEntry>): void {
    const typed = this.typed();
    if (typed?.combination) this.saved.emit({ ...this.entry(), text: typed.text, ...change });
  }

  protected changeTags(text: string): void {
    const tags = text.split(',').map((tag) => tag.trim().slice(0, 40));
    this.change({ tags: [...new Set(tags.filter((tag) => tag !== ''))].slice(0, 20) });
  }

  protected changeLevel(value: string): void {
    this.change({ level: levels.find((level) => level === value) });
  }

  protected changeBag(value: string): void {
    this.change({ bag: bagKinds.find((bag) => bag === value) });
  }

  protected step(from: 'past' | 'future'): void {
    const [source, other] = from === 'past' ? [this.past, this.future] : [this.future, this.past];
    const text = source().at(-1);
    if (text === undefined) return;
    source.update((texts) => texts.slice(0, -1));
    other.update((texts) => [...texts, this.text()]);
    this.show(text);
  }

  protected onKey(event: KeyboardEvent): void {
    const control = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    const first = this.seams().find(({ repairs }) => repairs.length > 0)?.repairs[0];
    if (event.altKey && key === 'r' && first) this.take(first.combination);
    else if (control && key === 'z') this.step(event.shiftKey ? 'future' : 'past');
    else if (control && key === 'y') this.step('future');
    else if (key === 'escape') this.closed.emit();
    else return;
    event.preventDefault();
  }
}
