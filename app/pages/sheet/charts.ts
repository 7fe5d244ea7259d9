import { BarChart, LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, LegendComponent } from 'echarts/components';
import { init, use, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

use([BarChart, LineChart, GridComponent, LegendComponent, AriaComponent, SVGRenderer]);

/** A chart in a place of its own; only the parts that are used are loaded. */
export function makeChart(place: HTMLElement): EChartsType {
  return init(place, null, { renderer: 'svg' });
}
