// How hard each session of the coming weeks is to be, so that no week rises more than it may and no week is monotonous. Exact:
// weeks are chosen by dynamic programming over their sums. Begin with `planLoads`.
import { monotonyOf, type Load } from '../log/load';

/** How hard a session may be planned, 0 to 10 (house values). */
export const plannedEfforts = { least: 3, most: 8 } as const;
/** An easier week is meant to have this share of what the week would have (house value). */
export const easierShare = 0.6;
/** Efforts that a programme goes from and to (house values). */
const ramp = { from: 5, to: 7 } as const;

/** A week to be planned. */
export interface OpenWeek {
  /** Loads of days of this week that are over, by weekday; nothing on the others. */
  readonly over: readonly { readonly weekday: number; readonly load: Load }[];
  /** Weekdays of the sessions that are still to come. */
  readonly open: readonly number[];
  readonly easier: boolean;
}

export interface LoadBounds {
  /** Share by which a week may be above the last one that was no easier one. */
  readonly rise: number;
  readonly monotony: number;
}

/** A week as it is planned. */
export interface PlannedWeek {
  /** Effort of each open session, in the order of its days. */
  readonly efforts: readonly number[];
  readonly load: Load;
  readonly monotony: number | null;
  /** Bounds that no choice of efforts could hold. */
  readonly broken: readonly ('rise' | 'monotony')[];
}

/** A way to fill a week. */
export interface WeekOption {
  readonly efforts: readonly number[];
  readonly load: Load;
  readonly monotony: number | null;
}

function* efforts(count: number, most: number): Generator<number[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (let effort = most; effort >= plannedEfforts.least; effort -= 1)
    for (const rest of efforts(count - 1, effort)) yield [effort, ...rest];
}

const spread = (values: readonly number[]): number => Math.max(0, ...values) - Math.min(...values, Infinity);

/** Hard and easy days in turn: the hardest first, then the easiest, and so on. */
function alternating(sorted: readonly number[]): number[] {
  const left = [...sorted];
  return sorted.map((_, at) => (at % 2 === 0 ? left.shift() : left.pop()) ?? 0);
}

/**
 * The ways to fill a week, one for each sum: the least spread one that holds the bound of monotony; where none does, the
 * least monotonous of all.
 * @example weekOptions({ over: [], open: [0, 2, 4], easier: false }, 40, 2)[0]?.efforts // [8, 8, 8]
 */
export function weekOptions(week: OpenWeek, minutes: number, monotony: number): readonly WeekOption[] {
  const bySum = new Map<number, WeekOption & { readonly holds: boolean }>();
  for (const chosen of efforts(week.open.length, plannedEfforts.most)) {
    const order = alternating(chosen);
    const days = Array.from({ length: 7 }, () => 0);
    for (const { weekday, load } of week.over) days[weekday] = (days[weekday] ?? 0) + load;
    week.open.forEach((weekday, at) => (days[weekday] = (days[weekday] ?? 0) + (order[at] ?? 0) * minutes));
    const load = days.reduce((sum, each) => sum + each, 0);
    const own = monotonyOf(days);
    const holds = own === null || own <= monotony;
    const known = bySum.get(load);
    const better =
      !known ||
      (holds && !known.holds) ||
      (holds === known.holds &&
        (holds ? spread(order) < spread(known.efforts) : (own ?? 0) < (known.monotony ?? Infinity)));
    if (better) bySum.set(load, { efforts: order, load, monotony: own, holds });
  }
  const all = [...bySum.values()];
  const holding = all.filter(({ holds }) => holds);
  return holding.length > 0 ? holding : all.sort((a, b) => (a.monotony ?? 0) - (b.monotony ?? 0)).slice(0, 1);
}

/** The load that a week is meant to have: rising over the programme, less in an easier week. `wantedLoad(week, 0, 6, 40)` */
export function wantedLoad(week: OpenWeek, at: number, weeks: number, minutes: number): Load {
  const share = weeks > 1 ? at / (weeks - 1) : 1;
  const effort = ramp.from + (ramp.to - ramp.from) * share;
  const over = week.over.reduce((sum, { load }) => sum + load, 0);
  return over + week.open.length * minutes * effort * (week.easier ? easierShare : 1);
}

interface Path {
  readonly cost: number;
  readonly weeks: readonly PlannedWeek[];
}

/**
 * Loads of weeks that are as near as they can be to what is meant, added up over the weeks, within the bounds: no week more
 * than `rise` above the last week with any load that was no easier one (`before` where that lies before the first), none more
 * monotonous than it may be. Where a bound cannot be held by any choice, the least is planned and that is said.
 * @example planLoads([{ over: [], open: [0, 2, 4], easier: false }], 40, null, { rise: 0.1, monotony: 2 })[0].efforts
 */
export function planLoads(
  weeks: readonly OpenWeek[],
  minutes: number,
  before: Load | null,
  bounds: LoadBounds,
): PlannedWeek[] {
  let paths = new Map<Load | null, Path>([[before, { cost: 0, weeks: [] }]]);
  weeks.forEach((week, at) => {
    const options = weekOptions(week, minutes, bounds.monotony);
    const wanted = wantedLoad(week, at, weeks.length, minutes);
    const next = new Map<Load | null, Path>();
    for (const [reference, path] of paths) {
      const most = reference === null ? Infinity : reference * (1 + bounds.rise) + 1e-9;
      const fitting = options.filter(({ load }) => load <= most);
      const least = options.reduce<WeekOption | null>((low, each) => (!low || each.load < low.load ? each : low), null);
      for (const option of fitting.length > 0 ? fitting : least ? [least] : []) {
        const cost = path.cost + Math.abs(option.load - wanted);
        const after = week.easier || option.load === 0 ? reference : option.load;
        const known = next.get(after);
        if (known && known.cost <= cost) continue;
        const broken = [
          ...(option.load > most ? (['rise'] as const) : []),
          ...((option.monotony ?? 0) > bounds.monotony ? (['monotony'] as const) : []),
        ];
        next.set(after, { cost, weeks: [...path.weeks, { ...option, broken }] });
      }
    }
    paths = next;
  });
  return [...([...paths.values()].sort((a, b) => a.cost - b.cost)[0]?.weeks ?? [])];
}
