import type { EChartsCoreOption } from 'echarts/core';

/** Colours of the product as a chart has them, by what they stand for. */
export interface ChartColours {
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  readonly paper: string;
  readonly lead: string;
  readonly rear: string;
  readonly warm: string;
  readonly mark: string;
}
export const colourNames: readonly (keyof ChartColours)[] = [
  'ink',
  'soft',
  'line',
  'paper',
  'lead',
  'rear',
  'warm',
  'mark',
];

/** A cell of a table: words, a number, or nothing where nobody knows. */
export type ChartCell = string | number | null;

/** A chart with its table and its sentence. */
export interface Chart {
  readonly title: string;
  /** What it shows and what to do, in plain words. */
  readonly sentence: string;
  /** What is to be drawn; null where there is nothing yet, and the sentence says how there will be. */
  readonly option: ((colours: ChartColours) => EChartsCoreOption) | null;
  readonly height: number;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly ChartCell[])[];
}

/** A share in whole per cents. `perCent(0.123)` → `12` */
export const perCent = (share: number): number => Math.round(share * 100);

/** What axes have in common: `axis(colours)` */
export function axis({ soft, line }: ChartColours) {
  return {
    axisLabel: { color: soft },
    axisLine: { lineStyle: { color: soft } },
    splitLine: { lineStyle: { color: line } },
    nameTextStyle: { color: soft },
  };
}

/** What charts have in common. */
export function frame({ ink, paper, line }: ChartColours) {
  return {
    animation: false,
    aria: { enabled: true },
    textStyle: { fontFamily: 'Archivo Variable, sans-serif' },
    // Drawn, not as HTML: its styles stand in attributes, which the page's security policy refuses.
    tooltip: {
      renderMode: 'richText',
      trigger: 'axis',
      backgroundColor: paper,
      borderColor: line,
      textStyle: { color: ink },
    },
    legend: { textStyle: { color: ink }, top: 0, left: 0 },
    grid: { left: 48, right: 48, top: 64, bottom: 28 },
  };
}
