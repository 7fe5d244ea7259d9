import { ChangeDetectionStrategy, Component, effect, inject, signal, untracked } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatIcon } from '@angular/material/icon';
import type { SoloRung } from '../../../core/index';
import { RunEntry } from './run-entry';
import { sayRung, Solo } from './solo';

/** Where you lost it, and on with the rung that sat. */
@Component({
  selector: 'kt-solo-broke',
  imports: [MatButtonModule, MatButtonToggleModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (solo.broken(); as rung) {
      <h3>You lost it at: {{ sayRung(rung) }}</h3>
      <mat-button-toggle-group
        vertical
        hideSingleSelectionIndicator
        aria-label="Where you lost it"
        [value]="place()"
        (change)="put($event.value)"
      >
        @for (side of solo.sides(rung); track $index) {
          <mat-button-toggle [value]="$index">{{ $index + 1 }} · {{ side }}</mat-button-toggle>
        }
      </mat-button-toggle-group>
      <button type="button" matButton="filled" (click)="solo.goOn()">
        <mat-icon svgIcon="play" />Carry on one step back
      </button>
    }
  `,
  styles: `
    :host {
      display: grid;
      flex: none;
      gap: var(--space-3);
      --mat-button-toggle-height: 2.75rem;
    }
  `,
})
export class SoloBroke {
  protected readonly solo = inject(Solo);
  private readonly entries = inject(RunEntry);
  protected readonly place = signal<number | null>(null);
  protected readonly sayRung = sayRung;
  private noted: SoloRung | null = null;

  constructor() {
    // The entry of the stop is written first; then it is said what broke.
    effect(() => {
      const [entry, rung] = [this.entries.entry(), this.solo.broken()];
      if (!entry || !rung || rung === this.noted) return;
      this.noted = rung;
      untracked(() => this.solo.brokeAt(null));
    });
  }

  protected put(place: number): void {
    this.place.set(place);
    this.solo.brokeAt(place);
  }
}
