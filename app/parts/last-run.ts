import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { LogService } from '../services/log.service';

/** When a sheet was last run, and how it went. */
@Component({
  selector: 'kt-last-run',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (last(); as last) {
      <span
        >Last run {{ last.startedAt | date: 'd MMM' }}{{ last.done.finished ? '' : ', given up'
        }}{{ last.effort === null ? '' : ', effort ' + last.effort + ' of 10'
        }}{{ last.counted === null ? '' : ', ' + last.counted + ' punches counted' }}</span
      >
    } @else {
      <span>Not run yet</span>
    }
  `,
})
export class LastRun {
  private readonly log = inject(LogService);
  readonly sheetId = input.required<string>();

  protected readonly last = computed(
    () => this.log.all()?.find((entry) => entry.sheetId === this.sheetId() && !entry.rehearsal) ?? null,
  );
}
