import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import {
  mergedEntries,
  usualChoice,
  type BookEntry,
  type MergeChoice,
  type MergeRow,
  type Wordings,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';

/** Somebody else's book laid beside this one; nothing is written before the coach says so. */
@Component({
  selector: 'kt-merge-preview',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="merge">
      <h2 id="merge">{{ rows().length }} combinations in this file</h2>
      <ul>
        @for (row of rows(); track row.theirs.id) {
          <li>
            <b>{{ row.theirs.name || row.theirs.text }}</b> <span class="figures">{{ row.theirs.text }}</span>
            <span class="soft">{{ say(row) }}</span>
            @if (row.what !== 'same') {
              <select
                class="field"
                [attr.aria-label]="'What to do with ' + (row.theirs.name || row.theirs.text)"
                (change)="choose(row, $event)"
              >
                @for (option of options(row); track option.value) {
                  <option [value]="option.value" [selected]="choices().get(row.theirs.id) === option.value">
                    {{ option.name }}
                  </option>
                }
              </select>
            }
          </li>
        }
      </ul>
      @if (phrasebook()) {
        <p>
          <span>This file has a phrasebook, too.</span>
          <button type="button" class="button" (click)="phrases.emit(phrasebook()!)">Put it in place of mine</button>
        </p>
      }
      <p>
        <button type="button" class="button main" [disabled]="result().length === 0" (click)="merged.emit(result())">
          Take in {{ result().length }}
        </button>
        <button type="button" class="button" (click)="cancelled.emit()">Leave it</button>
      </p>
    </section>
  `,
  styles: `
    section {
      margin-bottom: 1.25rem;
      padding: 1rem;
      border: 2px solid var(--line-strong);
      border-radius: 8px;
      background: var(--paper);
    }

    li {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 1rem;
      align-items: center;
      min-height: 44px;
      border-bottom: 1px solid var(--line);
    }

    li .soft {
      flex: 1 1 12rem;
    }

    p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.5rem;
      margin-top: 0.75rem;
    }
  `,
})
export class MergePreview {
  readonly rows = input.required<readonly MergeRow[]>();
  /** Words for calls that came with the book; null for none. */
  readonly phrasebook = input<Wordings | null>(null);
  readonly phrases = output<Wordings>();
  readonly merged = output<readonly BookEntry[]>();
  readonly cancelled = output();

  protected readonly choices = linkedSignal<ReadonlyMap<string, MergeChoice>>(
    () => new Map(this.rows().map((row) => [row.theirs.id, usualChoice(row)])),
  );
  protected readonly result = computed(() =>
    mergedEntries(this.rows(), (row) => this.choices().get(row.theirs.id) ?? 'leave', freshId),
  );

  protected say({ what, mine }: MergeRow): string {
    const name = mine?.name || mine?.text || '';
    return {
      new: 'new here',
      same: 'already here',
      changed: `differs from your “${name}” (${mine?.text ?? ''})`,
      twin: `the same moves as your “${name}”`,
    }[what];
  }

  protected options({ what }: MergeRow): { value: MergeChoice; name: string }[] {
    if (what === 'new')
      return [
        { value: 'take', name: 'take it in' },
        { value: 'leave', name: 'leave it' },
      ];
    return [
      { value: 'leave', name: 'keep mine' },
      { value: 'take', name: 'take theirs instead' },
      { value: 'both', name: 'keep both' },
    ];
  }

  protected choose(row: MergeRow, event: Event): void {
    const value = (event.target as HTMLSelectElement).value;
    const choice = this.options(row).find((option) => option.value === value)?.value;
    if (choice) this.choices.set(new Map(this.choices()).set(row.theirs.id, choice));
  }
}
