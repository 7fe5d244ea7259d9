import { ChangeDetectionStrategy, Component, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import type { BagKind, Combination, PaceFactor, Stance } from '../../../core/index';
import { FigurePlayer } from './figure-player';

/** A combination's figure, one press away: it is loaded when it is wanted first. */
@Component({
  selector: 'kt-figure-fold',
  imports: [FigurePlayer, MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" matButton="outlined" [attr.aria-expanded]="open()" (click)="toggle()">
      <mat-icon svgIcon="figure" />{{ open() ? 'Hide figure' : 'Show figure' }}
    </button>
    @if (open()) {
      @defer (on immediate) {
        <kt-figure-player
          [combination]="combination()"
          [stance]="stance()"
          [pace]="pace()"
          [bag]="bag()"
          [chosen]="chosen()"
        />
      } @placeholder {
        <p class="soft">Loading the figure…</p>
      } @error {
        <p class="wrong">The figure could not be loaded: check that the server is running, then try again.</p>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-2);
      justify-items: start;
    }

    kt-figure-player {
      width: 100%;
    }
  `,
})
export class FigureFold {
  readonly combination = input.required<Combination>();
  readonly stance = input<Stance>('orthodox');
  readonly pace = input<PaceFactor>(1);
  readonly bag = input<BagKind | null>(null);
  /** The item that is chosen where the combination is edited. */
  readonly chosen = input<number | null>(null);
  protected readonly open = signal(false);

  protected toggle(): void {
    this.open.update((open) => !open);
  }
}
