import {
  balanceGoal,
  firstDayOf,
  isoDay,
  loadBounds,
  nameOfFault,
  strikeGroups,
  targets,
  type Cell,
  type Coverage,
  type Overview,
  shownBag,
} from '../../../core/index';
import { axis, frame, perCent, type Chart } from '../../parts/chart/chart';
import { countedChart, ratiosChart } from './counted-charts';

const rounded = (value: number | null, digits = 0): number | null =>
  value === null ? null : Math.round(value * 10 ** digits) / 10 ** digits;
const nothingYet = 'Nothing in this period yet: run a sheet, or add a session by hand in the log.';
const mondays = (weeks: Overview['weeks'] | Overview['shares']): string[] =>
  weeks.map(({ week }) => isoDay(firstDayOf(week)).slice(5));

/** Training load by week, with monotony. */
export function loadChart({ weeks, sessions }: Overview): Chart {
  const last = weeks.at(-1);
  const said = [...weeks].reverse().find((week) => week.said.length > 0);
  const sentence =
    sessions === 0
      ? nothingYet
      : `Training load (effort × minutes) by week. This week so far: ${Math.round(last?.sum ?? 0)}.${said ? ` Week of ${isoDay(firstDayOf(said.week))}: ${said.said.join('; ')}.` : ' No sudden jumps.'}`;
  return {
    title: 'Training load by week',
    sentence,
    height: 280,
    columns: ['Week of', 'Sessions', 'Load', 'Monotony', 'Strain', 'Change from previous weeks', 'Note'],
    rows: weeks.map(({ week, sessions: count, sum, monotony, strain, rise, said: words }) => [
      ...[isoDay(firstDayOf(week)), count, Math.round(sum), rounded(monotony, 2), rounded(strain)],
      ...[rise === null ? null : `${perCent(rise)}%`, words.join('; ')],
    ]),
    option:
      sessions === 0
        ? null
        : (colours) => ({
            ...frame(colours),
            xAxis: { type: 'category', data: mondays(weeks), ...axis(colours) },
            yAxis: [
              { type: 'value', name: 'load', ...axis(colours) },
              { type: 'value', name: 'monotony', min: 0, ...axis(colours), splitLine: { show: false } },
            ],
            series: [
              {
                ...{ type: 'bar', name: 'Load', barMaxWidth: 28, itemStyle: { color: colours.rear } },
                data: weeks.map(({ sum, rise }) => ({
                  value: Math.round(sum),
                  // A week that jumps has an edge as well as another colour.
                  itemStyle:
                    (rise ?? 0) > loadBounds.rise
                      ? { color: colours.warm, borderColor: colours.ink, borderWidth: 2 }
                      : {},
                })),
              },
              {
                ...{ type: 'line', name: 'Monotony', yAxisIndex: 1, symbol: 'rect', symbolSize: 7 },
                lineStyle: { color: colours.ink, width: 2 },
                itemStyle: { color: colours.ink },
                data: weeks.map(({ monotony }) => rounded(monotony, 2)),
              },
            ],
          }),
  };
}

/** Rows of the heat map in the staff's own order: the lead side above, the rear one below, the head outermost. */
const places = [
  ...targets.map((target) => `lead ${target}` as const),
  ...[...targets].reverse().map((target) => `rear ${target}` as const),
];
const shownGroups = strikeGroups.filter((group) => group !== 'free');

/** Where the strikes went, place by place on the staff. */
export function coverageChart({ coverage, neglected }: Overview): Chart {
  const count = (place: string, group: string): number => coverage.cells[`${place} ${group}` as Cell] ?? 0;
  const used = places.filter((place) => !place.endsWith('leg') || shownGroups.some((group) => count(place, group) > 0));
  const most = Math.max(1, ...Object.values(coverage.cells));
  return {
    title: 'Where the strikes went',
    sentence: neglected,
    height: 60 + used.length * 34,
    columns: ['Place', ...shownGroups],
    rows: used.map((place) => [place, ...shownGroups.map((group) => count(place, group))]),
    option:
      coverage.aimed === 0
        ? null
        : (colours) => ({
            ...frame(colours),
            tooltip: { ...frame(colours).tooltip, trigger: 'item' },
            grid: { left: 84, right: 12, top: 8, bottom: 40 },
            xAxis: {
              ...{
                type: 'category',
                data: shownGroups.map((group) => group.replace(' punches', '')),
                ...axis(colours),
              },
              axisLabel: { color: colours.soft, interval: 0, fontSize: 11, width: 58, overflow: 'break' },
              splitLine: { show: false },
            },
            yAxis: { type: 'category', data: used, inverse: true, ...axis(colours), splitLine: { show: false } },
            visualMap: {
              ...{ show: false, min: 0, max: most, type: 'continuous' },
              inRange: { color: [colours.paper, colours.rear] },
            },
            series: [
              {
                type: 'heatmap',
                data: used.flatMap((place, y) =>
                  shownGroups.map((group, x) => ({
                    value: [x, y, count(place, group)],
                    // Figures are written in what can be read on the tint.
                    label: { color: count(place, group) > most * 0.55 ? colours.paper : colours.ink },
                  })),
                ),
                label: { show: true },
                itemStyle: { borderColor: colours.line, borderWidth: 1 },
              },
            ],
          }),
  };
}

/** Left against right, week by week. */
export function sidesChart({ shares, coverage }: Overview): Chart {
  const weeks = shares.filter(({ left, right }) => left + right > 0);
  const share = ({ left, right }: { left: number; right: number }): number => perCent(left / Math.max(1, left + right));
  const all = share(coverage);
  const sentence =
    weeks.length === 0
      ? nothingYet
      : `${all}% of all strikes were thrown with the left, ${100 - all}% with the right${Math.abs(all - 50) <= balanceGoal * 100 ? ': even.' : ': switch stance for some rounds.'}`;
  return {
    title: 'Left and right',
    sentence,
    height: 250,
    columns: ['Week of', 'Left', 'Right', 'Left, %'],
    rows: weeks.map((each) => [isoDay(firstDayOf(each.week)), each.left, each.right, share(each)]),
    option:
      weeks.length === 0
        ? null
        : (colours) => ({
            ...frame(colours),
            xAxis: { type: 'category', data: mondays(weeks), ...axis(colours) },
            yAxis: { type: 'value', max: 100, ...axis(colours), name: '% of strikes' },
            series: [
              {
                ...{ type: 'bar', name: 'Left', stack: 'all', barMaxWidth: 28, itemStyle: { color: colours.lead } },
                data: weeks.map(share),
              },
              {
                ...{ type: 'bar', name: 'Right', stack: 'all', barMaxWidth: 28 },
                itemStyle: { color: colours.rear, decal: { symbol: 'rect', dashArrayX: [1, 0], dashArrayY: [2, 5] } },
                data: weeks.map((each) => 100 - share(each)),
              },
            ],
          }),
  };
}

/** Faults of which a line is drawn. */
const mostFaults = 4;
const symbols = ['circle', 'rect', 'triangle', 'diamond'] as const;

/** Faults that were seen, week by week. */
export function faultsChart({ shares, coverage }: Overview): Chart {
  const ids = Object.entries(coverage.faults)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => id);
  const [first] = ids;
  const times = first ? (coverage.faults[first] ?? 0) : 0;
  const sentence =
    first === undefined
      ? 'No faults recorded in this period: one tap at the end of a session is enough.'
      : `“${nameOfFault(first)}” was seen most often, in ${times} of ${coverage.sessions} sessions: its drill is under What to do next.`;
  return {
    title: 'Faults seen',
    sentence,
    height: 250,
    columns: ['Week of', ...ids.map(nameOfFault)],
    rows: shares.map(({ week, faults }) => [isoDay(firstDayOf(week)), ...ids.map((id) => faults[id] ?? 0)]),
    option:
      first === undefined
        ? null
        : (colours) => ({
            ...frame(colours),
            xAxis: { type: 'category', data: mondays(shares), ...axis(colours) },
            yAxis: { type: 'value', minInterval: 1, ...axis(colours), name: 'sessions' },
            series: ids.slice(0, mostFaults).map((id, at) => {
              const colour = [colours.mark, colours.rear, colours.lead, colours.ink][at];
              return {
                ...{ type: 'line', name: nameOfFault(id), symbol: symbols[at], symbolSize: 8 },
                lineStyle: { color: colour, type: at % 2 === 0 ? 'solid' : 'dashed', width: 2 },
                itemStyle: { color: colour },
                data: shares.map(({ faults }) => faults[id] ?? 0),
              };
            }),
          }),
  };
}

/** All charts of the view, in their order. */
export const chartsOf = (overview: Overview): readonly Chart[] => [
  loadChart(overview),
  countedChart(overview),
  ratiosChart(overview),
  coverageChart(overview),
  sidesChart(overview),
  faultsChart(overview),
];

/** Minutes by bag and by stance, in words. `sayTime(coverage)` → `heavy bag 95 min, shadow boxing 20 min` */
export function sayTime({ msByBag, msByStance }: Coverage): { readonly bags: string; readonly stances: string } {
  const said = (sums: Readonly<Record<string, number>>, nameOf: (key: string) => string): string =>
    Object.entries(sums)
      .filter(([, ms]) => ms >= 30_000)
      .sort((a, b) => b[1] - a[1])
      .map(([key, ms]) => `${nameOf(key)} ${Math.round(ms / 60_000)} min`)
      .join(', ');
  return { bags: said(msByBag, shownBag), stances: said(msByStance, (stance) => stance) };
}
