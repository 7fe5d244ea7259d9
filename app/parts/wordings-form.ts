import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  onlyInFull,
  phraseKeys,
  usualCheers,
  usualFocuses,
  usualPhrases,
  type TechniqueFocus,
  type PhraseKey,
  type Wordings,
} from '../../core/index';

/** A focus as a line of text: its words, then moves and bags in brackets. `Elbows in [jab, on heavy]` */
function lineOf({ words, moves, bags = [] }: TechniqueFocus): string {
  const about = [...moves, ...bags.map((bag) => `on ${bag}`)];
  return about.length > 0 ? `${words} [${about.join(', ')}]` : words;
}

function focusOf(line: string): TechniqueFocus {
  const match = /^(.+?)\s*\[([^\]]*)\]$/.exec(line);
  const about = (match?.[2] ?? '')
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean);
  const bags = about.flatMap((each) => /^on\s+(.+)$/.exec(each)?.[1]?.slice(0, 40) ?? []).slice(0, 20);
  const moves = about.filter((each) => !/^on\s/.test(each)).map((each) => each.slice(0, 40));
  return { words: match?.[1] ?? line, moves: moves.slice(0, 40), ...(bags.length > 0 ? { bags } : {}) };
}

/** The phrasebook: every wording in full and short, technique focuses, praise. */
@Component({
  selector: 'kt-wordings-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">Words in braces are filled in. An empty field is said in our words.</p>
    @for (row of rows(); track row.key) {
      <div class="row">
        <label
          >{{ row.key }}
          <input
            class="field"
            type="text"
            maxlength="400"
            [placeholder]="row.usual"
            [value]="row.full"
            (change)="put(row.key, 'full', $event)"
        /></label>
        @if (row.hasShort) {
          <label
            >short
            <input
              class="field"
              type="text"
              maxlength="400"
              [attr.aria-label]="row.key + ', short'"
              [placeholder]="row.usualShort"
              [value]="row.short"
              (change)="put(row.key, 'short', $event)"
          /></label>
        }
      </div>
    }
    <label class="wide"
      >Technique focuses, a line each; moves and bags in brackets
      <textarea
        class="field"
        rows="5"
        [placeholder]="usualFocusText"
        [value]="focusText()"
        (change)="putFocuses($event)"
      ></textarea>
    </label>
    <label class="wide"
      >Praise, a line each
      <textarea
        class="field"
        rows="3"
        [placeholder]="usualCheerText"
        [value]="cheerText()"
        (change)="putCheers($event)"
      ></textarea>
    </label>
    <label class="tick"
      ><input
        type="checkbox"
        [checked]="wordings().strikesAs === 'names'"
        (change)="changed.emit({ ...wordings(), strikesAs: wordings().strikesAs === 'names' ? undefined : 'names' })"
      />
      Strikes by their names, not numbers</label
    >
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem 0.7rem;
      margin: 0.3rem 0;
    }
    label {
      display: grid;
      flex: 1 1 8rem;
      min-width: 0;
      gap: 0.1rem;
      color: var(--ink-soft);
      font-size: 0.82rem;
    }
    .wide {
      margin: 0.4rem 0;
    }
    input,
    textarea {
      width: 100%;
      min-width: 0;
      color: var(--ink);
    }
    .tick {
      display: inline-flex;
      align-items: center;
      gap: 0.35rem;
      min-height: 34px;

      input {
        width: auto;
      }
    }
  `,
})
export class WordingsForm {
  readonly wordings = input.required<Wordings>();
  readonly changed = output<Wordings>();

  protected readonly usualFocusText = usualFocuses.map(lineOf).join('\n');
  protected readonly usualCheerText = usualCheers.join('\n');
  protected readonly rows = computed(() =>
    phraseKeys.map((key) => {
      const own = this.wordings().phrases?.find((each) => each.key === key);
      return {
        key,
        full: own?.full ?? '',
        short: own?.short ?? '',
        usual: usualPhrases[key].full,
        usualShort: usualPhrases[key].short ?? '',
        hasShort: !onlyInFull.includes(key),
      };
    }),
  );
  protected readonly focusText = computed(() => (this.wordings().focuses ?? []).map(lineOf).join('\n'));
  protected readonly cheerText = computed(() => (this.wordings().cheers ?? []).join('\n'));

  private lines(event: Event): string[] {
    return (event.target as HTMLTextAreaElement).value
      .split('\n')
      .map((line) => line.trim().slice(0, 400))
      .filter(Boolean);
  }

  protected put(key: PhraseKey, form: 'full' | 'short', event: Event): void {
    const words = (event.target as HTMLInputElement).value.trim().slice(0, 400);
    const phrases = this.wordings().phrases ?? [];
    const before = phrases.find((each) => each.key === key);
    const full = form === 'full' ? words : (before?.full ?? (words ? usualPhrases[key].full : ''));
    const short = form === 'short' ? words : (before?.short ?? '');
    const others = phrases.filter((each) => each.key !== key);
    const now = full ? [...others, { key, full, ...(short ? { short } : {}) }] : others;
    this.changed.emit({ ...this.wordings(), phrases: now.length > 0 ? now : undefined });
  }

  protected putFocuses(event: Event): void {
    const focuses = this.lines(event).slice(0, 60).map(focusOf);
    this.changed.emit({ ...this.wordings(), focuses: focuses.length > 0 ? focuses : undefined });
  }

  protected putCheers(event: Event): void {
    const cheers = this.lines(event).slice(0, 30);
    this.changed.emit({ ...this.wordings(), cheers: cheers.length > 0 ? cheers : undefined });
  }
}
