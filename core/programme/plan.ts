// Weeks towards a goal: each session adds one thing and repeats what is due, and loads stay within bounds. Begin with `plan`;
// what is over is given, what is to come is laid out.
import { dayFromIso, firstDayOf, isoDay, weekdayOf, weekOf, type Day } from '../log/day';
import type { Load } from '../log/load';
import { alike } from '../merging/alike';
import { dueDay, learn, type Learnt } from '../progress/due';
import type { ProgrammeSession, ProgrammeStep, ProgrammeWishes } from '../sheet/programme';
import { planLoads, type OpenWeek } from './load-plan';
import { stepsTo } from './steps';

/** What a plan is made from, beside the wishes. */
export interface Known {
  readonly today: Day;
  /** How far combinations are learnt, by their text. */
  readonly learnt: ReadonlyMap<string, Learnt>;
  /** Loads of days that are over. */
  readonly loads: ReadonlyMap<Day, Load>;
}

/** Sessions with what could not be held. */
export interface Plan {
  readonly sessions: readonly ProgrammeSession[];
  /** Steps to the goal for which there is no session: each session adds one thing and no more. */
  readonly left: readonly ProgrammeStep[];
  /** Monday of weeks in which a bound cannot be held whatever is planned. */
  readonly broken: readonly { readonly monday: Day; readonly bound: 'rise' | 'monotony' }[];
  /** The most days by which a repeat comes later than it is due. */
  readonly late: number;
  /** Loads of days that are over, from the first Monday on. */
  readonly held: readonly { readonly day: Day; readonly load: Load }[];
}

/** A repeat takes about so many minutes of a session (house value). */
const minutesOfRepeat = 12;
/** Combinations that are repeated in one session, at the most. */
const mostRepeats = (minutes: number): number => Math.min(4, Math.max(1, Math.floor(minutes / minutesOfRepeat)));

/** The day of a session; 0 where it has none that can be. `isoDay(dayOfSession(session)) === session.day` */
export const dayOfSession = ({ day }: Pick<ProgrammeSession, 'day'>): Day => dayFromIso(day) ?? 0;

/** Days of a programme: its weekdays from its beginning on, without the days off. `sessionDays(wishes).length` */
export function sessionDays({ starts, weeks, weekdays, daysOff }: ProgrammeWishes): Day[] {
  const first = dayFromIso(starts) ?? 0;
  const off = new Set(daysOff);
  return Array.from({ length: weeks * 7 }, (_, at) => first + at).filter(
    (day) => weekdays.includes(weekdayOf(day)) && !off.has(isoDay(day)),
  );
}

/** Which week of the programme a day lies in, from 0; below it before it begins. `weekOfProgramme(wishes, today)` */
export const weekOfProgramme = ({ starts }: Pick<ProgrammeWishes, 'starts'>, day: Day): number =>
  weekOf(day) - weekOf(dayFromIso(starts) ?? 0);

/** Whether a day lies in an easier week. `isEasier(wishes, today)` */
export function isEasier(wishes: ProgrammeWishes, day: Day): boolean {
  return wishes.easierEvery > 0 && (weekOfProgramme(wishes, day) + 1) % wishes.easierEvery === 0;
}

/**
 * Spreads steps over places, in order and as evenly as can be: the longest run without a step is ⌈places / steps⌉, and no
 * spread has a shorter one. Steps beyond the places are left out.
 * @example spreadOver(2, 4) // [0, null, 1, null]
 */
export function spreadOver(steps: number, places: number): (number | null)[] {
  const out = Array.from({ length: places }, (): number | null => null);
  const laid = Math.min(steps, places);
  for (let step = 0; step < laid; step += 1) out[Math.floor((step * places) / laid)] = step;
  return out;
}

/**
 * Steps that are still to be taken: not those of sessions that are done, nor what was done twice and went well before.
 * @example stepsLeft(wishes, [], new Map()).length
 */
export function stepsLeft(
  wishes: ProgrammeWishes,
  done: readonly ProgrammeSession[],
  learnt: Known['learnt'],
): ProgrammeStep[] {
  const steps = stepsTo(wishes.goal);
  const sits = (step: ProgrammeStep): boolean => {
    if (done.some(({ adds }) => adds !== null && alike(adds, step))) return true;
    const known = step.kind === 'combination' ? learnt.get(step.text) : undefined;
    return known !== undefined && known.times >= 2 && (known.recall === 'good' || known.recall === 'easy');
  };
  // What lies before a step that sits, sits as well.
  return steps.slice(steps.findLastIndex(sits) + 1);
}

interface Repeated {
  readonly repeats: readonly string[];
  readonly late: number;
}

/**
 * Repeats by day: of what is due the one that is due the longest first (Jackson 1955: for what is due once, no order makes
 * the latest less late; that a repeat moves the next one makes it a heuristic here). What a session adds or repeats is
 * reckoned with as done well.
 */
function layRepeats(
  days: readonly { readonly day: Day; readonly adds: ProgrammeStep | null; readonly most: number }[],
  known: Known['learnt'],
): Repeated[] {
  const learnt = new Map(known);
  return days.map(({ day, adds, most }) => {
    const added = adds?.kind === 'combination' ? adds.text : null;
    const all = [...learnt]
      .map(([text, each]) => ({ text, due: dueDay(each) }))
      .filter((each) => each.text !== added)
      .sort((a, b) => a.due - b.due || (a.text < b.text ? -1 : 1));
    const due = all.filter((each) => each.due <= day);
    // Where nothing is new and nothing is due, what is due next is done a little early.
    const repeats = (due.length > 0 || adds ? due.slice(0, most) : all.slice(0, 1)).map(({ text }) => text);
    for (const text of added === null ? repeats : [...repeats, added])
      learnt.set(text, learn(learnt.get(text), day, 'good'));
    return { repeats, late: day - (due[0]?.due ?? day) };
  });
}

/** Weeks from the first session that is still to come, with what is over of the first of them. */
function openWeeks(wishes: ProgrammeWishes, days: readonly Day[], known: Known): { week: number; open: OpenWeek }[] {
  const first = days[0];
  const last = days.at(-1);
  if (first === undefined || last === undefined) return [];
  const weeks: { week: number; open: OpenWeek }[] = [];
  for (let week = weekOf(first); week <= weekOf(last); week += 1) {
    const monday = firstDayOf(week);
    const over = Array.from({ length: 7 }, (_, weekday) => ({ weekday, load: known.loads.get(monday + weekday) ?? 0 }));
    weeks.push({
      week,
      open: {
        over: over.filter(({ load }) => load > 0),
        open: days.filter((day) => weekOf(day) === week).map(weekdayOf),
        easier: isEasier(wishes, monday),
      },
    });
  }
  return weeks;
}

/** The load of the last week before one that had any and was no easier one; null where none had. */
function loadBefore(wishes: ProgrammeWishes, week: number, { loads }: Known): Load | null {
  const sums = new Map<number, Load>();
  for (const [day, load] of loads) if (weekOf(day) < week) sums.set(weekOf(day), (sums.get(weekOf(day)) ?? 0) + load);
  const [last] = [...sums]
    .filter(
      ([each, load]) =>
        load > 0 && !(each >= weekOf(dayFromIso(wishes.starts) ?? 0) && isEasier(wishes, firstDayOf(each))),
    )
    .sort((a, b) => b[0] - a[0]);
  return last ? last[1] : null;
}

/** The bag of the so many-eth session, from 0, where sessions go from bag to bag. */
function bagOf({ bags = [] }: ProgrammeWishes, at: number): Pick<ProgrammeSession, 'bag'> {
  const bag = bags[at % bags.length];
  return bag ? { bag } : {};
}

/**
 * Lays out the sessions that are still to come on their days. `before` are the ones that are over; they stay as they are, and
 * what they have added is not added again.
 * @example plan(wishes, days, [], known, (at) => `s${at}`).sessions[0].adds
 */
export function plan(
  wishes: ProgrammeWishes,
  days: readonly Day[],
  before: readonly ProgrammeSession[],
  known: Known,
  idOf: (at: number) => string,
): Plan {
  const steps = stepsLeft(
    wishes,
    before.filter(({ state }) => state === 'done'),
    known.learnt,
  );
  const places = days.filter((day) => !isEasier(wishes, day));
  const laid = spreadOver(steps.length, places.length);
  const addsOn = new Map(places.map((day, at) => [day, steps[laid[at] ?? -1] ?? null] as const));
  const most = mostRepeats(wishes.minutes);
  const repeats = layRepeats(
    days.map((day) => ({ day, adds: addsOn.get(day) ?? null, most })),
    known.learnt,
  );
  const weeks = openWeeks(wishes, days, known);
  const reference = weeks[0] ? loadBefore(wishes, weeks[0].week, known) : null;
  const loads = planLoads(
    weeks.map(({ open }) => open),
    wishes.minutes,
    reference,
    wishes.bounds,
  );
  const efforts = loads.flatMap((week) => week.efforts);
  return {
    sessions: days.map((day, at): ProgrammeSession => ({
      ...bagOf(wishes, before.length + at),
      ...{ id: idOf(at), day: isoDay(day), state: 'open', easier: isEasier(wishes, day), sheetId: null },
      ...{ adds: addsOn.get(day) ?? null, repeats: [...(repeats[at]?.repeats ?? [])] },
      ...{ effort: efforts[at] ?? 5, minutes: wishes.minutes, moved: false, sequence: 0 },
    })),
    left: steps.slice(places.length),
    broken: loads.flatMap(({ broken }, at) =>
      broken.map((bound) => ({ monday: firstDayOf(weeks[at]?.week ?? 0), bound })),
    ),
    late: Math.max(0, ...repeats.map(({ late }) => late)),
    held: [...known.loads].flatMap(([day, load]) => (weekOfProgramme(wishes, day) >= 0 ? [{ day, load }] : [])),
  };
}
