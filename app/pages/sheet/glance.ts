import type { ElementRef } from '@angular/core';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import type { EChartsType } from 'echarts/core';
import { effortOverTime, sayClock, strikeGroups, type StrikesByKind, type Timeline } from '../../../core/index';

/** Longer ones are marked every ten minutes, others every five. */
const longSession = 40 * 60_000;

/** The plan at a glance: how hard over time, and which strikes on which side. The drawing library comes only when it is looked at. */
@Component({
  selector: 'kt-glance',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Effort over time</h2>
    <div #effort class="chart" role="img" [attr.aria-label]="effortText()"></div>
    <h2>Strikes by type and side</h2>
    <div #strikes class="chart tall" role="img" [attr.aria-label]="strikesText()"></div>
    @if (!drawn()) {
      <p role="status">Drawing…</p>
    }
    <table class="visually-hidden">
      <caption>
        Strikes by type and side
      </caption>
      <tbody>
        @for (row of table(); track row.group) {
          <tr>
            <th scope="row">{{ row.group }}</th>
            <td>left {{ row.left }}</td>
            <td>right {{ row.right }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
      padding: 0.75rem 1rem;
    }

    .chart {
      height: 190px;
    }

    .tall {
      height: 260px;
    }
  `,
})
export class Glance {
  readonly timeline = input.required<Timeline>();
  readonly strikes = input.required<StrikesByKind>();

  private readonly effortPlace = viewChild.required<ElementRef<HTMLElement>>('effort');
  private readonly strikesPlace = viewChild.required<ElementRef<HTMLElement>>('strikes');
  protected readonly drawn = signal(false);
  private charts: readonly EChartsType[] = [];

  constructor() {
    afterNextRender(() => void this.begin());
    effect(() => {
      this.timeline();
      this.strikes();
      if (this.drawn()) this.draw();
    });
    inject(DestroyRef).onDestroy(() => {
      for (const chart of this.charts) chart.dispose();
    });
  }

  protected table(): { group: string; left: number; right: number }[] {
    const strikes = this.strikes();
    return strikeGroups
      .map((group) => ({ group, left: Math.round(strikes[group].left), right: Math.round(strikes[group].right) }))
      .filter(({ left, right }) => left + right > 0);
  }

  protected effortText(): string {
    const hard = effortOverTime(this.timeline()).filter(({ percent }) => percent >= 80);
    const seconds = hard.reduce((sum, { from, to }) => sum + to - from, 0);
    return `Effort over ${sayClock(this.timeline().ms)}; strong or harder for ${sayClock(seconds * 1000)}`;
  }

  protected strikesText(): string {
    return this.table()
      .map(({ group, left, right }) => `${group}: left ${left}, right ${right}`)
      .join('; ');
  }

  private async begin(): Promise<void> {
    const { makeChart } = await import('../../parts/chart/make-chart');
    this.charts = [makeChart(this.effortPlace().nativeElement), makeChart(this.strikesPlace().nativeElement)];
    this.draw();
    this.drawn.set(true);
  }

  private colour(name: string): string {
    // Custom properties may hold light-dark(); a real property gives the colour as it is used.
    const probe = this.effortPlace().nativeElement;
    probe.style.color = `var(${name})`;
    const colour = getComputedStyle(probe).color;
    probe.style.color = '';
    return colour;
  }

  private draw(): void {
    const [effort, strikes] = this.charts;
    const [ink, soft, line, lead, rear] = ['--ink', '--ink-soft', '--line', '--lead', '--rear'].map((name) =>
      this.colour(name),
    );
    const axis = {
      axisLabel: { color: soft },
      axisLine: { lineStyle: { color: soft } },
      splitLine: { lineStyle: { color: line } },
    };
    const stretches = effortOverTime(this.timeline());
    effort?.setOption({
      animation: false,
      grid: { left: 34, right: 8, top: 12, bottom: 24 },
      xAxis: {
        type: 'value',
        min: 0,
        max: this.timeline().ms / 1000,
        interval: this.timeline().ms > longSession ? 600 : 300,
        ...axis,
        axisLabel: { color: soft, formatter: (value: number) => sayClock(value * 1000) },
        splitLine: { show: false },
      },
      yAxis: { type: 'value', min: 0, max: 100, interval: 25, ...axis },
      series: [
        {
          type: 'line',
          step: 'end',
          symbol: 'none',
          areaStyle: { color: line },
          lineStyle: { color: ink, width: 2 },
          data: stretches.flatMap(({ from, to, percent }) => [
            [from, percent],
            [to, percent],
          ]),
        },
      ],
    });
    const rows = this.table();
    strikes?.setOption({
      animation: false,
      grid: { left: 92, right: 34, top: 26, bottom: 8 },
      legend: { top: 0, textStyle: { color: ink }, data: ['left', 'right'] },
      xAxis: { type: 'value', show: false },
      yAxis: {
        type: 'category',
        inverse: true,
        data: rows.map(({ group }) => group),
        ...axis,
        axisLabel: { color: ink },
      },
      series: (['left', 'right'] as const).map((side) => ({
        name: side,
        type: 'bar',
        data: rows.map((row) => row[side]),
        itemStyle: {
          color: side === 'left' ? lead : rear,
          ...(side === 'right'
            ? {
                decal: {
                  symbol: 'rect',
                  dashArrayX: [1, 0],
                  dashArrayY: [2, 4],
                  rotation: -0.8,
                  color: 'rgb(255 255 255 / 35%)',
                },
              }
            : {}),
        },
        label: { show: true, position: 'right', color: ink },
      })),
    });
  }
}
