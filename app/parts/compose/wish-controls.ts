import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatChipsModule } from '@angular/material/chips';
import { bagKinds, levels, shownBag, taughtFaults } from '../../../core/index';
import { ComposeService } from '../../services/compose.service';
import { ChoiceField, type Choice } from '../fields/choice-field';

/** Wishes that are one press away. */
const chips = [
  'flows',
  'loops',
  'same stance',
  'without kicks',
  'without body',
  'answered',
  'heights head body',
  'sides within 20%',
  '2 changes from my combinations',
  'ends on 3',
] as const;

/** The phrases of a line of wishes. `phrasesOf('flows, loops')` → `["flows", "loops"]` */
export const phrasesOf = (wishes: string): string[] =>
  wishes
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '');

/** A field that writes one phrase, and finds it again among what was typed. */
interface PhraseField {
  readonly label: string;
  readonly mine: RegExp;
  readonly choices: readonly Choice<string>[];
}

const choicesOf = (none: string, phrases: readonly string[]): readonly Choice<string>[] => [
  { value: '', name: none },
  ...phrases.map((phrase) => ({ value: phrase, name: phrase })),
];

/** Wishes set by fields and chips instead of being typed: each writes its phrase into the line. */
@Component({
  selector: 'kt-wish-controls',
  imports: [ChoiceField, MatChipsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="line">
      @for (field of fields(); track field.label) {
        <kt-choice-field
          [label]="field.label"
          [value]="field.value"
          [choices]="field.choices"
          (put)="set(field.mine, $event)"
        />
      }
    </div>
    <mat-chip-listbox multiple aria-label="Common criteria" [value]="pressed()" (change)="press($event.value)">
      @for (phrase of chips; track phrase) {
        <mat-chip-option [value]="phrase">{{ phrase }}</mat-chip-option>
      }
    </mat-chip-listbox>
  `,
  host: { class: 'stack' },
})
export class WishControls {
  readonly wishes = input.required<string>();
  readonly put = output<string>();
  private readonly composer = inject(ComposeService);
  protected readonly chips = chips;

  private readonly known = computed((): readonly PhraseField[] => [
    {
      label: 'Length',
      mine: /^[^ ]+(?: ?- ?[^ ]+)? moves?$/,
      choices: choicesOf('any', ['2-3 moves', '4-6 moves', '6-8 moves', '9-12 moves']),
    },
    {
      label: 'Bag',
      mine: /^(?:on |(?:all|both) bags)/,
      choices: choicesOf('any', [
        ...(this.composer.bags().length > 1 ? ['all bags'] : []),
        ...[...new Set([...this.composer.bags(), ...bagKinds.map((kind) => shownBag(kind))])].map(
          (name) => `on ${name}`,
        ),
      ]),
    },
    {
      label: 'Level',
      mine: /^level /,
      choices: choicesOf(
        'any',
        levels.map((level) => `level ${level}`),
      ),
    },
    {
      label: 'Defences',
      mine: /^(?:[^ ]+ defences?|without defences?)$/,
      choices: choicesOf('any', ['without defences', '1 defence', '2 defences', '1-2 defences']),
    },
    {
      label: 'Teaches',
      mine: /^teaches /,
      choices: [
        { value: '', name: 'any' },
        ...taughtFaults.map(({ id, name }) => ({ value: `teaches ${id}`, name: `fixes: ${name}` })),
      ],
    },
  ]);
  /** Each with its phrase; one that was typed otherwise stands among its choices. */
  protected readonly fields = computed(() =>
    this.known().map((field) => {
      const value = phrasesOf(this.wishes()).find((phrase) => field.mine.test(phrase)) ?? '';
      const has = field.choices.some((choice) => choice.value === value);
      return { ...field, value, choices: has ? field.choices : [...field.choices, { value, name: value }] };
    }),
  );
  protected readonly pressed = computed(() => {
    const said = new Set(phrasesOf(this.wishes()));
    return chips.filter((phrase) => said.has(phrase));
  });

  protected set(mine: RegExp, phrase: string): void {
    const phrases = phrasesOf(this.wishes());
    const at = phrases.findIndex((each) => mine.test(each));
    const others = phrases.filter((each) => !mine.test(each));
    if (phrase !== '') others.splice(at < 0 ? others.length : at, 0, phrase);
    this.put.emit(others.join(', '));
  }

  /** Puts phrases among the wishes, or takes them out. */
  protected press(chosen: readonly string[]): void {
    const others = phrasesOf(this.wishes()).filter((part) => !chips.some((phrase) => phrase === part));
    this.put.emit([...others, ...chosen].join(', '));
  }
}
