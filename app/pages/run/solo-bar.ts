import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { freePress } from './free-press';
import { sayRung, Solo } from './solo';

/** What an athlete alone presses: one more when it sits, one less, and where it broke. */
@Component({
  selector: 'kt-solo-bar',
  imports: [MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (solo.rung(); as rung) {
      <p class="rung">
        Step {{ solo.at() + 1 }} of {{ solo.rungs().length }}: <b class="figures">{{ sayRung(rung) }}</b>
        <span class="sides wall-small">{{ solo.sides(rung).join(' · ') }}</span>
      </p>
      <div class="presses">
        <button
          type="button"
          matButton="outlined"
          [disabled]="solo.at() === 0"
          (click)="press($event, solo.go.bind(solo, -1))"
        >
          <mat-icon svgIcon="less" />One step back
        </button>
        <button
          type="button"
          matButton="filled"
          [disabled]="solo.at() === solo.rungs().length - 1"
          (click)="press($event, solo.go.bind(solo, 1))"
        >
          <mat-icon svgIcon="add" />Got it: add one
        </button>
        <button type="button" matButton="outlined" (click)="press($event, solo.broke.bind(solo))">
          <mat-icon svgIcon="stop" />Lost it
        </button>
      </div>
    }
  `,
  styleUrl: './solo-bar.scss',
})
export class SoloBar {
  protected readonly solo = inject(Solo);
  protected readonly sayRung = sayRung;
  protected readonly press = freePress;
}
