import { ChangeDetectionStrategy, Component, inject, input, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import * as z from 'zod/mini';
import { ComposeService } from '../../services/compose.service';
import { NumberField } from '../fields/number-field';
import { TextField } from '../fields/text-field';
import { composeActions } from './compose-actions';
import { ComposedRow } from './composed-row';

const mostRounds = 12;

/** One combination for each of several rounds: all meet the wishes, and between them they have what is to be covered. */
@Component({
  selector: 'kt-rounds-form',
  imports: [ComposedRow, MatButtonModule, MatIcon, MatProgressBar, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">Every round matches the criteria above.</p>
    <div class="line fields">
      <kt-number-field label="Rounds" [value]="count()" [schema]="counts" (put)="count.set($event ?? 3)" />
      <kt-text-field
        class="cover"
        label="Together they must include"
        hint="Moves, kinds of strike or heights, separated by commas; each once if possible"
        [value]="cover()"
        (put)="cover.set($event)"
      />
    </div>
    <div class="wait">
      @if (found.isLoading()) {
        <mat-progress-bar mode="indeterminate" aria-label="Searching" />
      }
    </div>
    @if (found.value(); as found) {
      @if (found.mend) {
        <p class="wrong" role="status">{{ found.mend }}.</p>
      } @else {
        <div class="line">
          <p role="status">
            @if (found.left.length > 0) {
              {{ found.left.join(', ') }} could not be included: nothing that matches the criteria has room for it.
            } @else {
              {{
                found.again === 0
                  ? 'Everything is included exactly once.'
                  : 'Everything is included, ' + found.again + ' more than once.'
              }}
            }
          </p>
          <button type="button" matButton class="push" (click)="seed.set(seed() + 1)">
            <mat-icon svgIcon="repeat" />Show others
          </button>
          <button type="button" matButton="outlined" (click)="actions.rounds.press(found.rounds)">
            {{ actions.rounds.label }}
          </button>
        </div>
        <ol aria-label="Themed rounds">
          @for (text of found.rounds; track $index) {
            <li><kt-composed-row [text]="text" [note]="'round ' + ($index + 1)" /></li>
          }
        </ol>
      }
    }
  `,
  styleUrl: './compose.scss',
  styles: `
    .fields {
      align-items: start;
    }
    .cover {
      flex: 1 1 16rem;
    }
  `,
  host: { class: 'stack' },
})
export class RoundsForm {
  readonly wishes = input.required<string>();
  protected readonly actions = inject(composeActions);
  private readonly composer = inject(ComposeService);
  protected readonly counts = z.int().check(z.gte(1), z.lte(mostRounds));
  protected readonly count = signal(3);
  protected readonly cover = signal('3, 5, 6, body');
  protected readonly seed = signal(1);
  protected readonly found = resource({
    params: () => ({ wishes: this.wishes(), cover: this.cover(), count: this.count(), seed: this.seed() }),
    loader: ({ params: { wishes, cover, count, seed } }) => this.composer.ask('rounds', wishes, cover, count, seed),
  });
}
