import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, resource } from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';
import { BookService } from '../../services/book.service';
import { ComposeService } from '../../services/compose.service';
import { ChoiceField, type Choice } from '../fields/choice-field';
import { ComposedRow } from './composed-row';

/** From to what is wanted: the shortest way between two combinations of the book, one edit at a time. */
@Component({
  selector: 'kt-way-form',
  imports: [ChoiceField, ComposedRow, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (choices().length < 2) {
      <p>Add at least two combinations first: one they can do and one you are working towards.</p>
    } @else {
      <div class="line">
        <kt-choice-field label="From" [value]="from() ?? ''" [choices]="choices()" (put)="from.set($event)" />
        <kt-choice-field label="To" [value]="to() ?? ''" [choices]="choices()" (put)="to.set($event)" />
      </div>
      <div class="wait">
        @if (way.isLoading()) {
          <mat-progress-bar mode="indeterminate" aria-label="Searching" />
        }
      </div>
      @if (way.value(); as found) {
        @if (found.mend) {
          <p class="wrong" role="status">{{ found.mend }}.</p>
        } @else {
          <p role="status">{{ says() }}</p>
          <ol aria-label="Progression">
            @for (text of found.steps; track $index) {
              <li><kt-composed-row [text]="text" [note]="$index === 0 ? 'start' : 'step ' + $index" /></li>
            }
          </ol>
        }
      }
    }
  `,
  styleUrl: './compose.scss',
  styles: `
    kt-choice-field {
      width: min(100%, 18rem);
    }
  `,
  host: { class: 'stack' },
})
export class WayForm {
  private readonly book = inject(BookService);
  private readonly composer = inject(ComposeService);

  protected readonly choices = computed((): readonly Choice<string>[] =>
    (this.book.all() ?? [])
      .map(({ name, text }) => ({ value: text, name: name ? `${name}: ${text}` : text }))
      .sort((a, b) => (a.name < b.name ? -1 : 1)),
  );
  private readonly first = (at: number) => ({
    source: this.choices,
    computation: (choices: readonly Choice<string>[], before?: { readonly value: string | undefined }) =>
      choices.some(({ value }) => value === before?.value) ? before?.value : choices[at]?.value,
  });
  protected readonly from = linkedSignal<readonly Choice<string>[], string | undefined>(this.first(0));
  protected readonly to = linkedSignal<readonly Choice<string>[], string | undefined>(this.first(1));
  protected readonly way = resource({
    params: () => {
      const [from, to] = [this.from(), this.to()];
      return from === undefined || to === undefined ? undefined : { from, to };
    },
    loader: ({ params: { from, to } }) => this.composer.ask('way', from, to),
  });
  protected readonly says = computed(() => {
    const steps = (this.way.value()?.steps.length ?? 1) - 1;
    return steps === 0
      ? 'These are the same.'
      : `${steps} ${steps === 1 ? 'step' : 'steps'}, one change each; every step flows.`;
  });
}
