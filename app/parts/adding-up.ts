import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';
import { ProgressService } from '../services/progress.service';

/** What stands where the log is not there yet: that it opens, or how far it is where it is added up for the first time. */
@Component({
  selector: 'kt-adding-up',
  imports: [DecimalPipe, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (adding(); as far) {
      <p>
        Adding up {{ far.done | number }} of {{ far.of | number }} entries. This happens only once; you can carry on
        elsewhere.
      </p>
      <mat-progress-bar aria-label="Adding up the log" [value]="percent()" />
    } @else {
      <p role="status">Loading…</p>
    }
  `,
  host: { class: 'stack' },
})
export class AddingUp {
  protected readonly adding = inject(ProgressService).adding;
  protected readonly percent = computed(() => {
    const far = this.adding();
    return far && far.of > 0 ? (far.done / far.of) * 100 : 0;
  });
}
