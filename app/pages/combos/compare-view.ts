import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { toSeconds, type BookRow } from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';

interface Line {
  readonly name: string;
  readonly values: readonly string[];
  readonly differs: boolean;
}

/** Two combinations side by side. */
@Component({
  selector: 'kt-compare-view',
  imports: [StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="card" aria-label="Comparison">
      <table class="ruled">
        <thead>
          <tr>
            <td></td>
            @for (row of rows(); track row.entry.id) {
              <th scope="col">
                {{ row.entry.name || row.entry.text }}
                <kt-strike-staff [combination]="row.combination" [scale]="1" />
              </th>
            }
          </tr>
        </thead>
        <tbody>
          @for (line of lines(); track line.name) {
            <tr [class.strong]="line.differs">
              <th scope="row" class="soft plain">{{ line.name }}</th>
              @for (value of line.values; track $index) {
                <td>{{ value }}</td>
              }
            </tr>
          }
        </tbody>
      </table>
    </section>
  `,
  styles: `
    section {
      overflow-x: auto;
    }

    table {
      width: 100%;
    }

    th,
    td {
      padding: var(--space-1) var(--space-3) var(--space-1) 0;
      text-align: start;
      vertical-align: top;
    }

    th[scope='row'] {
      width: 8rem;
    }
  `,
})
export class CompareView {
  readonly rows = input.required<readonly BookRow[]>();

  protected readonly lines = computed((): Line[] => {
    const line = (name: string, say: (row: BookRow) => string | number): Line => {
      const values = this.rows().map((row) => String(say(row)));
      return { name, values, differs: new Set(values).size > 1 };
    };
    return [
      line('Punches', (row) => row.counts.punches),
      line('Strikes', (row) => row.counts.strikes),
      line('Defences', (row) => row.counts.defences),
      line('Moves', (row) => row.counts.moves),
      line('Seconds', (row) => toSeconds(Math.round(row.ms / 10) * 10)),
      line('Level', (row) => row.entry.level ?? 'any'),
      line('Works on', (row) => row.trains.join(', ')),
      line('Finishing stance', (row) => (row.turns ? 'opposite stance' : 'same stance')),
      line(
        'Does not flow',
        (row) =>
          row.stuck.map((seam) => `${seam.loop ? 'loop: ' : `after ${seam.after + 1}: `}${seam.reason}`).join('; ') ||
          'flows all the way through',
      ),
    ];
  });
}
