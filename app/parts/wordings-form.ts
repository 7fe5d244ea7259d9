import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import {
  phraseKeys,
  phraseName,
  six,
  usualCheers,
  usualPhrases,
  wordingsSchema,
  wordsSchema,
  type TechniqueFocus,
  type PhraseKey,
  type Scheme,
  type StrikeWords,
  type Wordings,
} from '../../core/index';
import { FocusField } from './focus-field';
import { ChoiceField, type Choice } from './fields/choice-field';
import { TextField } from './fields/text-field';

/** Strikes are called as usual: what the wordings say nothing of. */
const usually = 'usual' as const;

/** The phrasebook: every wording in full and short, technique focuses, praise. */
@Component({
  selector: 'kt-wordings-form',
  imports: [ChoiceField, FocusField, MatCheckbox, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">
      Words in braces, such as &#123;combination&#125;, are filled in automatically. Leave a field empty to use our
      wording.
    </p>
    @for (row of rows(); track row.key) {
      <div class="row">
        <kt-text-field
          [label]="row.name"
          [placeholder]="row.usual"
          [value]="row.full"
          [schema]="words"
          (put)="put(row.key, 'full', $event)"
        />
        @if (row.hasShort) {
          <kt-text-field
            [label]="row.name + ', short'"
            [placeholder]="row.usualShort"
            [value]="row.short"
            [schema]="words"
            (put)="put(row.key, 'short', $event)"
          />
        }
      </div>
    }
    <kt-focus-field
      [label]="
        beside()
          ? 'Extra cues, one per line (added to the built-in ones)'
          : 'Your own cues, one per line (instead of ours)'
      "
      [focuses]="focuses()"
      [scheme]="scheme()"
      [ownBags]="ownBags()"
      (changed)="focusesChanged.emit($event)"
    />
    <kt-text-field
      label="Encouragement, one per line"
      [rows]="3"
      [placeholder]="usualCheerText"
      [value]="cheerText()"
      [fault]="cheerFault"
      (put)="putCheers($event)"
    />
    <kt-choice-field
      label="Strikes are called"
      class="wide"
      [value]="wordings().strikesAs ?? usually"
      [choices]="strikesAs"
      (put)="changed.emit({ ...wordings(), strikesAs: $event === usually ? undefined : $event })"
    />
    <mat-checkbox
      [checked]="wordings().sides ?? false"
      (change)="changed.emit({ ...wordings(), sides: $event.checked || undefined })"
      >Always say the side of slips, rolls and steps</mat-checkbox
    >
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-2);
    }
    .wide {
      width: 100%;
    }
    .row {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(10rem, 1fr));
      gap: var(--space-2);
    }
  `,
})
export class WordingsForm {
  readonly wordings = input.required<Wordings>();
  /** Technique focuses, and what they are to ours: in their place, or beside them. */
  readonly focuses = input.required<readonly TechniqueFocus[]>();
  readonly beside = input(false);
  /** By which numbers moves are written, and kinds of bag of the coach's own. */
  readonly scheme = input<Scheme>(six);
  readonly ownBags = input<readonly string[]>([]);
  readonly changed = output<Wordings>();
  readonly focusesChanged = output<readonly TechniqueFocus[]>();

  protected readonly words = wordsSchema;
  protected readonly usually = usually;
  protected readonly strikesAs: readonly Choice<StrikeWords | typeof usually>[] = [
    { value: usually, name: 'by number; for beginners by both at first' },
    { value: 'numbers', name: 'by number' },
    { value: 'names', name: 'by name' },
    { value: 'both', name: 'by number and name' },
  ];
  protected readonly usualCheerText = usualCheers.map(({ words }) => words).join('\n');
  protected readonly rows = computed(() =>
    phraseKeys.map((key) => {
      const own = this.wordings().phrases?.find((each) => each.key === key);
      return {
        key,
        name: phraseName(key),
        full: own?.full ?? '',
        short: own?.short ?? '',
        usual: usualPhrases[key].full,
        usualShort: usualPhrases[key].short ?? '',
        hasShort: usualPhrases[key].shortens,
      };
    }),
  );
  protected readonly cheerText = computed(() => (this.wordings().cheers ?? []).join('\n'));

  private lines(text: string): string[] {
    return text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
  }

  protected readonly cheerFault = (text: string): string => {
    const read = wordingsSchema.shape.cheers.safeParse(this.lines(text));
    return read.success ? '' : 'Use up to 30 lines of up to 400 characters';
  };

  protected put(key: PhraseKey, form: 'full' | 'short', typed: string): void {
    const words = typed.trim();
    const phrases = this.wordings().phrases ?? [];
    const before = phrases.find((each) => each.key === key);
    const full = form === 'full' ? words : (before?.full ?? (words ? usualPhrases[key].full : ''));
    const short = form === 'short' ? words : (before?.short ?? '');
    const others = phrases.filter((each) => each.key !== key);
    const now = full ? [...others, { key, full, ...(short ? { short } : {}) }] : others;
    this.changed.emit({ ...this.wordings(), phrases: now.length > 0 ? now : undefined });
  }

  protected putCheers(text: string): void {
    const cheers = this.lines(text);
    this.changed.emit({ ...this.wordings(), cheers: cheers.length > 0 ? cheers : undefined });
  }
}
