import { BarChart, HeatmapChart, LineChart, ScatterChart } from 'echarts/charts';
import {
  AriaComponent,
  GridComponent,
  LegendComponent,
  TooltipComponent,
  VisualMapComponent,
} from 'echarts/components';
import { init, use, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([BarChart, HeatmapChart, LineChart, ScatterChart]);
use([AriaComponent, GridComponent, LegendComponent, TooltipComponent, VisualMapComponent, SVGRenderer]);

/** A chart in a place of its own; only the parts that are used are loaded. */
export function makeChart(place: HTMLElement): EChartsType {
  return init(place, null, { renderer: 'svg' });
}
