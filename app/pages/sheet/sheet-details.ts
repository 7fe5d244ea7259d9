import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatExpansionModule } from '@angular/material/expansion';
import { NumberField } from '../../parts/fields/number-field';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import {
  formsOf,
  headSchema,
  partNameFault,
  sayFault,
  schemeOrSix,
  sheetPartsOf,
  spell,
  stanceNames,
  takeIn,
  type Combination,
  type Sheet,
  type Typed,
  shownBag,
} from '../../../core/index';
import type { Mend } from '../../parts/fields/by-schema';
import { named, ChoiceField } from '../../parts/fields/choice-field';
import { PeopleFields } from '../../parts/people-fields';
import { TapAlong } from '../../parts/tap-along';
import { SettingsService } from '../../services/settings.service';
import { SchoolFields } from './school-fields';
import { fieldLook } from '../../parts/fields/field-look';
import { bagChoices } from '../../parts/fields/bag-choices';

type ClassOf = Sheet['class'];
type DetailsKey = 'class' | 'bag' | 'stance' | 'numbers' | 'parts' | 'schools' | 'ball' | 'gloves';

/** Who is there and how the sheet is read: the class, the bag, the stance, the numbers and the schools. */
@Component({
  selector: 'kt-sheet-details',
  imports: [
    ReactiveFormsModule,
    MatInputModule,
    MatFormFieldModule,
    MatExpansionModule,
    ChoiceField,
    NumberField,
    MatButtonModule,
    PeopleFields,
    SchoolFields,
    TapAlong,
  ],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheet-details.html',
  styleUrl: './sheet-details.scss',
})
export class SheetDetails {
  protected readonly shownBag = shownBag;
  private readonly settings = inject(SettingsService);
  readonly sheet = input.required<Sheet>();
  /** Combination to tap along to: that of the row chosen on the sheet. */
  readonly combination = input<Combination | null>(null);
  readonly changed = output<Partial<Pick<Sheet, DetailsKey>>>();

  protected readonly bags = bagChoices;
  protected readonly stances = named(stanceNames);
  protected readonly paces = headSchema.shape.class.def.innerType.shape.pace;
  protected readonly tapping = signal(false);
  /** Own schemes to choose from: the coach's, and the one the sheet came with. */
  protected readonly own = computed(() => {
    const { numbers } = this.sheet();
    const mine = this.settings.settings().ownNumbers;
    const given = typeof numbers === 'string' ? null : numbers;
    return [given, mine && mine.name !== given?.name ? mine : null].filter((each) => each !== null);
  });
  protected readonly numbersName = computed(() => {
    const { numbers } = this.sheet();
    return typeof numbers === 'string' ? numbers : numbers.name;
  });

  protected readonly numberings = computed(() => named(['six', 'eight', ...this.own().map(({ name }) => name)]));

  protected changeClass(change: Partial<ClassOf>): void {
    this.changed.emit({ class: { ...this.sheet().class, ...change } });
  }

  protected changeNumbers(text: string): void {
    const numbers = text === 'six' || text === 'eight' ? text : this.own().find(({ name }) => name === text);
    if (numbers) this.changed.emit({ numbers });
  }

  /** The sheet's own combinations to be typed by name, as its numbers spell them. */
  protected readonly parts = computed(() =>
    (this.sheet().parts ?? []).map(({ name, text }) => ({ name, text: spell(text, this.scheme()) })),
  );
  private readonly scheme = computed(() => schemeOrSix(this.sheet().numbers));
  protected readonly part = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: ({ value }) => this.nameFault(String(value)) }),
    moves: new FormControl('', { nonNullable: true, validators: ({ value }) => this.movesFault(String(value)) }),
  });

  private nameFault(name: string): Mend | null {
    if (name.trim() === '') return { mend: 'Enter a name, for example A' };
    const wrong = partNameFault(name.trim().toLowerCase(), formsOf(this.scheme()));
    return wrong ? { mend: `${wrong}; choose another name, for example A` } : null;
  }

  private take(moves: string): Typed {
    return takeIn(moves, this.scheme(), sheetPartsOf(this.sheet().parts ?? []));
  }

  private movesFault(moves: string): Mend | null {
    if (moves.trim() === '') return { mend: 'Enter moves, for example 1 2 3b' };
    const { fault } = this.take(moves);
    return fault ? { mend: sayFault(fault) } : null;
  }

  /** Adds a part, or puts another combination under a name that is there. */
  protected addPart(): void {
    // What reads may have changed since it was typed: a part was taken out, the numbers are others.
    Object.values(this.part.controls).forEach((control) => control.updateValueAndValidity());
    this.part.markAllAsTouched();
    if (this.part.invalid) return;
    const { name, moves } = this.part.getRawValue();
    const word = name.trim();
    const others = (this.sheet().parts ?? []).filter((part) => part.name.toLowerCase() !== word.toLowerCase());
    this.changed.emit({ parts: [...others, { name: word, text: this.take(moves).text }] });
    this.part.reset();
  }

  protected removePart(name: string): void {
    const parts = (this.sheet().parts ?? []).filter((part) => part.name !== name);
    this.changed.emit({ parts: parts.length > 0 ? parts : undefined });
  }

  protected takePace(pace: number): void {
    this.tapping.set(false);
    this.changeClass({ pace });
  }
}
