import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { switchMap } from 'rxjs';
import { LastRunsService } from '../services/last-runs.service';

/** When a sheet was last run, and how it went. */
@Component({
  selector: 'kt-last-run',
  imports: [DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (last(); as last) {
      <span
        >Last run {{ last.startedAt | date: 'd MMM' }}{{ last.done.finished ? '' : ', ended early'
        }}{{ last.effort === null ? '' : ', effort ' + last.effort + ' of 10'
        }}{{ last.counted === null ? '' : ', ' + last.counted + ' punches counted' }}</span
      >
    } @else {
      <span>Never run</span>
    }
  `,
})
export class LastRun {
  private readonly runs = inject(LastRunsService);
  readonly sheetId = input.required<string>();

  protected readonly last = toSignal(toObservable(this.sheetId).pipe(switchMap((id) => this.runs.lastOf$(id))));
}
