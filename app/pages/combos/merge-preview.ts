import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { ChoiceField } from '../../parts/fields/choice-field';
import { MatButtonModule } from '@angular/material/button';
import {
  mergedEntries,
  usualChoice,
  type BookEntry,
  type MergeChoice,
  type MergeRow,
  type Wordings,
} from '../../../core/index';
import type { Choice } from '../../parts/fields/choice-field';
import { freshId } from '../../services/fresh-id';

/** Somebody else's book laid beside this one; nothing is written before the coach says so. */
@Component({
  selector: 'kt-merge-preview',
  imports: [ChoiceField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="card stack" aria-labelledby="merge">
      <h2 id="merge">{{ rows().length }} combinations in this file</h2>
      <ul class="ruled">
        @for (row of rows(); track row.theirs.id) {
          <li class="line">
            <b>{{ row.theirs.name || row.theirs.text }}</b> <span class="figures">{{ row.theirs.text }}</span>
            <span class="soft">{{ say(row) }}</span>
            @if (row.what !== 'same') {
              <kt-choice-field
                bare
                [label]="'What to do with ' + (row.theirs.name || row.theirs.text)"
                [value]="choices().get(row.theirs.id) ?? 'leave'"
                [choices]="options(row)"
                (put)="choose(row, $event)"
              />
            }
          </li>
        }
      </ul>
      @if (phrasebook()) {
        <p class="line">
          <span>This file also has a phrasebook.</span>
          <button type="button" matButton="outlined" (click)="phrases.emit(phrasebook()!)">Replace mine</button>
        </p>
      }
      <p class="line">
        <button type="button" matButton="filled" [disabled]="result().length === 0" (click)="merged.emit(result())">
          Import {{ result().length }}
        </button>
        <button type="button" matButton="outlined" (click)="cancelled.emit()">Cancel</button>
      </p>
    </section>
  `,
  styles: `
    li {
      min-height: 44px;
    }

    li .soft {
      flex: 1 1 12rem;
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
      twin: `same moves as your “${name}”`,
    }[what];
  }

  protected options({ what }: MergeRow): readonly Choice<MergeChoice>[] {
    if (what === 'new')
      return [
        { value: 'take', name: 'import' },
        { value: 'leave', name: 'skip' },
      ];
    return [
      { value: 'leave', name: 'keep mine' },
      { value: 'take', name: 'replace with theirs' },
      { value: 'both', name: 'keep both' },
    ];
  }

  protected choose(row: MergeRow, choice: MergeChoice): void {
    this.choices.set(new Map(this.choices()).set(row.theirs.id, choice));
  }
}
