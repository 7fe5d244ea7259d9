import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, input, resource } from '@angular/core';
import { MatTableModule } from '@angular/material/table';
import { nameOfFault, sayClock, type ComparedRound, type Digest, type RoundDigest } from '../../../core/index';
import { ProgressService } from '../../services/progress.service';

/** Two sessions compared, as wholes and round by round. */
@Component({
  selector: 'kt-compare-runs',
  imports: [DatePipe, MatTableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (both.value(); as both) {
      <h2>{{ both.before.title }} compared with {{ both.now.title }}</h2>
      <table mat-table aria-label="Two sessions compared" [dataSource]="rowsOf(both.before, both.now, both.rounds)">
        <ng-container matColumnDef="what">
          <th mat-header-cell *matHeaderCellDef></th>
          <td mat-cell *matCellDef="let row">{{ row.what }}</td>
        </ng-container>
        <ng-container matColumnDef="before">
          <th mat-header-cell *matHeaderCellDef>{{ both.before.startedAt | date: 'EEE d MMM' }}</th>
          <td mat-cell class="figures" *matCellDef="let row">{{ row.before }}</td>
        </ng-container>
        <ng-container matColumnDef="now">
          <th mat-header-cell *matHeaderCellDef>{{ both.now.startedAt | date: 'EEE d MMM' }}</th>
          <td mat-cell class="figures" *matCellDef="let row">{{ row.now }}</td>
        </ng-container>
        <tr mat-header-row *matHeaderRowDef="columns"></tr>
        <tr mat-row *matRowDef="let row; columns: columns"></tr>
      </table>
    } @else if (both.isLoading()) {
      <p role="status">Loading…</p>
    }
  `,
  host: { class: 'card stack', role: 'region', 'aria-label': 'Two sessions compared' },
})
export class CompareRuns {
  readonly ids = input.required<readonly string[]>();
  private readonly progress = inject(ProgressService);
  protected readonly columns = ['what', 'before', 'now'];
  protected readonly both = resource({
    params: () => this.ids(),
    loader: ({ params: [one = '', two = ''] }) => this.progress.ask('compared', one, two),
  });

  protected rowsOf(before: Digest, now: Digest, rounds: readonly ComparedRound[]) {
    const row = (what: string, of: (digest: Digest) => string) => ({ what, before: of(before), now: of(now) });
    return [
      row('Time', ({ ms, plannedMs }) => `${clock(ms)} of ${clock(plannedMs)}`),
      row('Rounds', (digest) => `${digest.rounds} of ${digest.plannedRounds}`),
      row('Punches counted', ({ counted, punches }) => `${counted ?? 'not counted'} (${punches} planned)`),
      row('Effort', ({ effort }) => (effort === null ? 'not rated' : String(effort))),
      row('Faults seen', ({ faults }) => faults.map(nameOfFault).join(', ') || 'none'),
      ...rounds.map(({ round, before: old, now: latest }) => ({
        what: `Round ${round}`,
        before: sayRound(old),
        now: sayRound(latest),
      })),
    ];
  }
}

const clock = (ms: number): string => sayClock(Math.round(ms / 1000) * 1000);

function sayRound(round: RoundDigest | null): string {
  if (!round) return 'not done';
  return [
    clock(round.ms),
    round.counted === null ? `${round.punches} planned` : `${round.counted} counted, ${round.punches} planned`,
    ...(round.effort === null ? [] : [`effort ${round.effort}`]),
    ...(round.pace === 1 ? [] : [`pace ${Math.round(round.pace * 100)}%`]),
  ].join(' · ');
}
