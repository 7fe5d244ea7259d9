import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, type ValidatorFn } from '@angular/forms';
import { MatAutocompleteModule, MatAutocompleteTrigger } from '@angular/material/autocomplete';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { draftKinds, draftWishesSchema, levels, readGoals, six, type Sheet, type Wishes } from '../../../core/index';
import { isTypeThrough, keepTyped, pressAgain, takeFirstLine, typedBefore, listLineId } from '../../first/hand-over';
import { bySchema } from '../../parts/fields/by-schema';
import { BookService } from '../../services/book.service';
import { DraftedService } from '../../services/drafted.service';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import { fieldLook } from '../../parts/fields/field-look';
import { bagChoices } from '../../parts/fields/bag-choices';

/** A session that was drafted, the seed it came from, and whether it is to be run at once. */
export interface Drafted {
  readonly sheet: Sheet;
  readonly seed: number;
  readonly run: boolean;
}

const readable: ValidatorFn = ({ value }) => {
  const read = readGoals(String(value ?? ''), six);
  return read.ok ? null : { mend: `“${read.fault.read}”: ${read.fault.what}; ${read.fault.mend}` };
};

const mostOffered = 8;

/** One line from combinations to a session: what is typed, how many minutes, on which bag; the rest is drafted. */
@Component({
  selector: 'kt-type-and-go',
  imports: [
    MatAutocompleteModule,
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
  ],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './type-and-go.html',
  host: { '(document:keydown)': 'typeThrough($event)' },
  styles: `
    form {
      align-items: start;
    }
    .goals {
      flex: 1 1 18rem;
    }
    .minutes {
      width: 7rem;
    }
    .choice {
      width: 9rem;
    }
    button {
      margin-top: 1px;
      min-height: 40px;
    }
  `,
})
export class TypeAndGo {
  private readonly drafted = inject(DraftedService);
  private readonly settings = inject(SettingsService);
  private readonly book = inject(BookService);
  private readonly line = viewChild.required<ElementRef<HTMLInputElement>>('line');
  private readonly panel = viewChild.required(MatAutocompleteTrigger);
  readonly made = output<Drafted>();

  protected readonly levels = levels;
  protected readonly kinds = draftKinds;
  protected readonly bags = bagChoices;
  protected readonly drafting = signal(false);
  private readonly wishes = draftWishesSchema.shape;
  protected readonly form = new FormGroup({
    goals: new FormControl('', { nonNullable: true, validators: readable }),
    minutes: new FormControl(30, { nonNullable: true, validators: bySchema(this.wishes.minutes) }),
    level: new FormControl<Wishes['level']>('beginner', { nonNullable: true }),
    kind: new FormControl<Wishes['kind']>('mixed', { nonNullable: true }),
    bag: new FormControl<Wishes['bag']>('heavy', { nonNullable: true }),
  });
  private readonly goals = toSignal(this.form.controls.goals.valueChanges, { initialValue: '' });
  /** What is typed before the drill that is being typed, and that drill. */
  private readonly last = computed(() => {
    const goals = this.goals();
    const at = goals.lastIndexOf(';') + 1;
    return { before: goals.slice(0, at), typed: goals.slice(at).trim().toLowerCase() };
  });
  /** Combinations of the book that go on from what is typed, or hold it in their names. */
  protected readonly offered = computed(() => {
    const { before, typed } = this.last();
    return (this.book.all() ?? [])
      .filter(({ name, text }) => text.startsWith(typed) || name.toLowerCase().includes(typed))
      .slice(0, mostOffered)
      .map((entry) => ({ ...entry, line: `${before}${before === '' ? '' : ' '}${entry.text}` }));
  });

  constructor() {
    afterNextRender(() => this.takeOver());
    this.form.controls.goals.valueChanges.pipe(takeUntilDestroyed()).subscribe(keepTyped);
    // The last wishes stand there again, unless somebody has begun to say others.
    effect(() => {
      const { draft } = this.settings.settings();
      if (this.form.pristine) this.form.patchValue(draft, { emitEvent: false });
    });
  }

  /** Goes on with what was typed before this line was there. */
  private takeOver(): void {
    const first = takeFirstLine(listLineId);
    const text = first?.text ?? typedBefore();
    const { goals } = this.form.controls;
    if (text !== '') {
      goals.setValue(text);
      goals.markAsDirty();
    }
    const { focus } = first ?? {};
    if (focus) {
      const line = this.line().nativeElement;
      line.focus();
      // The list of offers writes the line's value once more, a microtask later.
      void Promise.resolve().then(() => line.setSelectionRange(...focus));
    }
    if (first?.shortcut) pressAgain(this.line().nativeElement, first.shortcut);
    if (first?.enter) void this.settings.loaded.then(() => this.go(first.enter === 'ctrl'));
  }

  /** A digit that is typed anywhere begins a combination. */
  protected typeThrough(event: KeyboardEvent): void {
    if (isTypeThrough(event)) this.line().nativeElement.focus();
  }

  protected async go(run: boolean): Promise<void> {
    // What is wrong is said below the line, where the panel hangs.
    this.panel().closePanel();
    this.form.markAllAsTouched();
    const { goals, ...draft } = this.form.getRawValue();
    const read = readGoals(goals, six);
    if (this.form.invalid || !read.ok || this.drafting()) return;
    this.drafting.set(true);
    this.settings.change({ draft });
    const { sheet, seed } = await this.drafted.draft({ ...draft, goals: read.value });
    this.drafting.set(false);
    keepTyped('');
    this.made.emit({ sheet: { ...sheet, id: freshId() }, seed, run });
  }
}
