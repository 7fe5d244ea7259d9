import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  resource,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatChipsModule } from '@angular/material/chips';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { readStored, spell, writeCombination } from '../../../core/index';
import { ComposeService } from '../../services/compose.service';
import { ComposedRow } from './composed-row';

/** Neighbours that are listed before more are asked for. */
const shown = 8;

/** One combination looked at closer: lock some of its moves and vary the rest, or step to one that lies one edit away. */
@Component({
  selector: 'kt-vary-panel',
  imports: [ComposedRow, MatButtonModule, MatChipsModule, MatIcon, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="line">
      <h3>Variations of {{ spelled(text()) }}</h3>
      @if (before().length > 0) {
        <button type="button" matButton class="push" (click)="back()">
          <mat-icon svgIcon="undo" />Back to {{ spelled(before().at(-1) ?? '') }}
        </button>
      }
      <button type="button" matButton [class.push]="before().length === 0" (click)="closed.emit()">Close</button>
    </div>
    <p class="soft">Click the moves to keep; the rest will vary.</p>
    <div class="line">
      <mat-chip-listbox multiple aria-label="Moves to keep" [value]="locked()" (change)="locked.set($event.value)">
        @for (move of moves(); track $index) {
          <mat-chip-option class="figures" [value]="$index">{{ move }}</mat-chip-option>
        }
      </mat-chip-listbox>
      <button type="button" matButton="outlined" [disabled]="locked().length === moves().length" (click)="vary()">
        Vary the rest
      </button>
    </div>
    <h3>One change away</h3>
    <div class="wait">
      @if (near.isLoading()) {
        <mat-progress-bar mode="indeterminate" aria-label="Searching" />
      }
    </div>
    @if (near.value(); as all) {
      @if (all.length === 0) {
        <p>No variation flows: fix this combination first.</p>
      }
      <ul aria-label="Variations">
        @for (each of all.slice(0, many()); track each.text) {
          <li>
            <kt-composed-row [text]="each.text" [note]="edits[each.edit] + ', score ' + each.score">
              <button
                type="button"
                matButton
                [attr.aria-label]="'Step to ' + spelled(each.text)"
                (click)="step(each.text)"
              >
                Use this one
              </button>
            </kt-composed-row>
          </li>
        }
      </ul>
      @if (all.length > many()) {
        <button type="button" matButton (click)="many.set(all.length)">{{ all.length - many() }} more</button>
      }
    }
  `,
  styleUrl: './compose.scss',
  host: { class: 'card stack', role: 'region', 'aria-label': 'Variations' },
})
export class VaryPanel {
  /** The kept text that is looked at. */
  readonly text = input.required<string>();
  /** Another one is looked at. */
  readonly looked = output<string>();
  /** Wishes for what is like it, as a phrase. */
  readonly varied = output<string>();
  readonly closed = output();
  private readonly composer = inject(ComposeService);
  protected readonly spelled = (text: string): string => spell(text, this.composer.scheme());
  protected readonly edits = {
    ...{ swap: 'one move swapped', insert: 'one move added', drop: 'one move removed' },
    ...{ target: 'another height', side: 'the other side' },
  } as const;

  protected readonly moves = computed(() => {
    const read = readStored(this.text());
    return read.ok ? read.value.items.map((item) => writeCombination({ items: [item] }, this.composer.scheme())) : [];
  });
  /** Places of the moves that stay: the first two, until others are chosen. */
  protected readonly locked = linkedSignal<string, readonly number[]>({ source: this.text, computation: () => [0, 1] });
  /** Those that were looked at before, by stepping. */
  protected readonly before = linkedSignal<string, readonly string[]>({
    source: this.text,
    computation: (text, previous) => {
      if (!previous) return [];
      const { value, source } = previous;
      return value.at(-1) === text ? value.slice(0, -1) : [...value, source];
    },
  });
  protected readonly many = linkedSignal({ source: this.text, computation: () => shown });
  protected readonly near = resource({
    params: () => this.text(),
    loader: ({ params }) => this.composer.ask('neighbours', params),
  });

  protected vary(): void {
    const stays = new Set(this.locked());
    this.varied.emit(
      `like ${this.moves()
        .map((move, at) => (stays.has(at) ? move : '_'))
        .join(' ')}`,
    );
  }

  protected step(text: string): void {
    this.looked.emit(text);
  }

  protected back(): void {
    const last = this.before().at(-1);
    if (last !== undefined) this.looked.emit(last);
  }
}
