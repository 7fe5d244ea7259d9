import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatTableModule } from '@angular/material/table';
import type { EChartsType } from 'echarts/core';
import { FilesService } from '../../services/files.service';
import { SettingsService } from '../../services/settings.service';
import { pngOf } from '../png-of';
import { colourNames, type Chart, type ChartCell, type ChartColours } from './chart';

/** A chart with its sentence, followed by its table, and as PNG and CSV. */
@Component({
  selector: 'kt-chart-card',
  imports: [MatButtonModule, MatTableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ chart().title }}</h2>
    <p>{{ chart().sentence }}</p>
    <div
      #place
      class="place"
      role="img"
      [attr.aria-label]="chart().title + '. ' + chart().sentence"
      [hidden]="chart().option === null"
      [style.height.px]="chart().height"
    ></div>
    <p class="line">
      <button type="button" matButton="outlined" [attr.aria-expanded]="table()" (click)="table.set(!table())">
        Table
      </button>
      <button
        type="button"
        matButton
        [attr.aria-label]="'Save as PNG: ' + chart().title"
        [disabled]="chart().option === null"
        (click)="png()"
      >
        PNG
      </button>
      <button
        type="button"
        matButton
        [attr.aria-label]="'Save as CSV: ' + chart().title"
        [disabled]="chart().rows.length === 0"
        (click)="csv()"
      >
        CSV
      </button>
    </p>
    @if (table()) {
      <div class="wide" role="region" tabindex="0" [attr.aria-label]="chart().title + ', table'">
        <table mat-table [attr.aria-label]="chart().title" [dataSource]="chart().rows">
          @for (column of chart().columns; track column; let at = $index) {
            <ng-container [matColumnDef]="column">
              <th mat-header-cell *matHeaderCellDef>{{ column }}</th>
              <td mat-cell class="figures" *matCellDef="let row">{{ row[at] ?? 'unknown' }}</td>
            </ng-container>
          }
          <tr mat-header-row *matHeaderRowDef="chart().columns"></tr>
          <tr mat-row *matRowDef="let row; columns: chart().columns"></tr>
        </table>
        @if (chart().rows.length === 0) {
          <p class="soft">No data yet.</p>
        }
      </div>
    }
  `,
  styles: `
    .place {
      width: 100%;
    }
    .wide {
      overflow-x: auto;
    }
  `,
  host: { class: 'card stack' },
})
export class ChartCard {
  readonly chart = input.required<Chart>();
  private readonly files = inject(FilesService);
  private readonly settings = inject(SettingsService);
  private readonly place = viewChild.required<ElementRef<HTMLElement>>('place');
  protected readonly table = signal(false);
  private readonly drawn = signal<EChartsType | null>(null);

  constructor() {
    let resized: ResizeObserver | null = null;
    afterNextRender(() => {
      void this.begin();
      resized = new ResizeObserver(() => this.drawn()?.resize());
      resized.observe(this.place().nativeElement);
    });
    effect(() => {
      const [chart, drawn] = [this.chart(), this.drawn()];
      // Other colours belong to another look.
      this.settings.settings();
      if (drawn && chart.option) drawn.setOption(chart.option(this.colours()), { notMerge: true });
    });
    inject(DestroyRef).onDestroy(() => {
      resized?.disconnect();
      this.drawn()?.dispose();
    });
  }

  private async begin(): Promise<void> {
    const { makeChart } = await import('./make-chart');
    this.drawn.set(makeChart(this.place().nativeElement));
  }

  /** The colours as they are used now: custom properties may hold `light-dark()`, a real property gives the colour itself. */
  private colours(): ChartColours {
    const probe = this.place().nativeElement;
    const named = colourNames.map((name) => {
      probe.style.color = `var(--${name === 'soft' ? 'ink-soft' : name})`;
      return [name, getComputedStyle(probe).color] as const;
    });
    probe.style.color = '';
    return Object.fromEntries(named) as unknown as ChartColours;
  }

  private fileName(ending: string): string {
    return this.files.fileName(this.chart().title, ending);
  }

  protected async png(): Promise<void> {
    const svg = this.drawn()?.renderToSVGString();
    if (svg) await this.files.save(this.fileName('png'), await pngOf(svg), 'image/png');
  }

  protected async csv(): Promise<void> {
    const { csv } = await import('../../services/csv');
    const { columns, rows } = this.chart();
    const cells = rows.map((row) => row.map((cell): ChartCell => cell));
    await this.files.save(this.fileName('csv'), csv.writeCsv(columns, cells), 'text/csv;charset=utf-8');
  }
}
