// What was counted, against what was planned: over time, and by whose it is.
import { bandOf, isoDay, type Overview } from '../../../core/index';
import { axis, frame, perCent, type Chart, type ChartColours } from '../../parts/chart/chart';

/** Counted vs planned punches, with its band. */
export function countedChart({ counts, counted }: Overview): Chart {
  const last = counted.at(-1);
  const sentence =
    counts.length === 0 || !last
      ? 'No counts in this period. Enter a count in the log (one person’s, or an average) to make planned numbers more accurate.'
      : `About ${perCent(last.ratio)} of every 100 planned punches are thrown, going by ${counts.length} ${counts.length === 1 ? 'count' : 'counts'}. Planned numbers are adjusted to match.`;
  return {
    title: 'Counted vs planned punches',
    sentence,
    height: 270,
    columns: ['Day', 'Estimate', 'Low', 'High'],
    rows: counted.map((point) => {
      const { day, ratio } = point;
      const [least, most] = bandOf(point);
      return [isoDay(day), `${perCent(ratio)}%`, `${perCent(least)}%`, `${perCent(most)}%`];
    }),
    option: counts.length === 0 ? null : (colours) => countedOption(counts, counted, colours),
  };
}

/** Counts that are this far off stand at the edge: their own figure is in the log. */
const mostShown = 2;

function countedOption(counts: Overview['counts'], counted: Overview['counted'], colours: ChartColours) {
  const line = { type: 'line', symbol: 'none', silent: true } as const;
  return {
    ...frame(colours),
    legend: { data: ['Estimate', 'Counts'], textStyle: { color: colours.ink }, top: 0, left: 0 },
    xAxis: {
      ...{ type: 'time', ...axis(colours), splitLine: { show: false } },
      axisLabel: { color: colours.soft, hideOverlap: true, formatter: '{MM}-{dd}' },
    },
    yAxis: {
      ...{ type: 'value', name: '% of planned', min: 40, max: 160, ...axis(colours) },
    },
    series: [
      {
        ...{ ...line, stack: 'band', lineStyle: { opacity: 0 }, name: 'from' },
        data: counted.map((point) => [isoDay(point.day), perCent(bandOf(point)[0])]),
      },
      {
        ...{ ...line, stack: 'band', lineStyle: { opacity: 0 }, name: 'to' },
        areaStyle: { color: colours.rear, opacity: 0.22 },
        data: counted.map((point) => {
          const [least, most] = bandOf(point);
          return [isoDay(point.day), perCent(most) - perCent(least)];
        }),
      },
      {
        ...{ ...line, name: 'Estimate', lineStyle: { color: colours.rear, width: 3 } },
        itemStyle: { color: colours.rear },
        data: counted.map(({ day, ratio }) => [isoDay(day), perCent(ratio)]),
      },
      {
        ...{ type: 'scatter', name: 'Counts', symbol: 'diamond', symbolSize: 10, itemStyle: { color: colours.lead } },
        data: counts.map(({ day, ratio }) => [isoDay(day), perCent(Math.min(mostShown, ratio))]),
      },
    ],
  };
}

/** Classes and people that are drawn; the table has all of them. */
const mostRatios = 12;

/** How each class, and each person that was counted by name, throws against what is planned. */
export function ratiosChart({ ratios }: Overview): Chart {
  const [first] = ratios;
  const people = ratios.filter(({ of }) => of === 'person');
  const name = ({ of, name: own }: Overview['ratios'][number]): string =>
    own || (of === 'class' ? 'no class' : 'no name');
  const sentence = !first
    ? 'No counts yet. Say in the log whose count it is, and each person appears here.'
    : `${name(first)} throws about ${perCent(first.ratio)} of every 100 planned punches.${
        people.length === 0
          ? ' Say in the log whose count it is, and each person appears here.'
          : ' The bars show where four out of five counts fall; with few counts they stay close to the group’s.'
      }`;
  const shown = ratios.slice(0, mostRatios);
  return {
    title: 'Counts by person',
    sentence,
    height: 40 + shown.length * 34,
    columns: ['Who', 'Class or person', 'Estimate', 'Low', 'High', 'Counts'],
    rows: ratios.map((each) => {
      const [least, most] = bandOf(each);
      return [name(each), each.of, `${perCent(each.ratio)}%`, `${perCent(least)}%`, `${perCent(most)}%`, each.counts];
    }),
    option: !first
      ? null
      : (colours) => ({
          ...frame(colours),
          legend: { show: false },
          grid: { left: 8, right: 24, top: 8, bottom: 8, containLabel: true },
          xAxis: {
            ...{ type: 'value', min: 40, max: 160, ...axis(colours) },
            axisLabel: { color: colours.soft, formatter: '{value}%' },
          },
          yAxis: { type: 'category', inverse: true, data: shown.map(name), ...axis(colours) },
          series: [
            {
              ...{ type: 'bar', name: 'from', stack: 'band', silent: true, itemStyle: { color: 'transparent' } },
              data: shown.map((each) => perCent(bandOf(each)[0])),
            },
            {
              ...{ type: 'bar', name: 'to', stack: 'band', silent: true, barMaxWidth: 14 },
              itemStyle: { color: colours.rear, opacity: 0.35 },
              data: shown.map((each) => perCent(bandOf(each)[1]) - perCent(bandOf(each)[0])),
            },
            {
              ...{ type: 'scatter', name: 'Estimate', symbol: 'rect', symbolSize: [4, 18] },
              itemStyle: { color: colours.ink },
              data: shown.map((each, at) => [perCent(each.ratio), at]),
            },
          ],
        }),
  };
}
