import type { SessionTime } from '../units';
import { importance, leastGap, type Call, type Candidate, type Dropped } from './call';
import { callOf, isFixed, onGrid, solve, startGrid, worthOf, type Chosen } from './solve';

/** Where more calls that can be moved than this could be said at one moment, a stretch is not solved exactly; its bound is reported. */
export const mostExact = 12;
/** Most calls that can be moved in one stretch. */
const mostFree = 30;

/** A stretch of calls that depend on each other, and how good its choice is known to be. */
export interface StretchReport {
  readonly from: SessionTime;
  readonly candidates: number;
  readonly worth: number;
  /** No choice can be worth more than this. */
  readonly bound: number;
}

/** What is said, what in short and what not, with the reasons, and the stretches that were too crowded to be solved exactly. */
export interface Schedule {
  readonly calls: readonly Call[];
  readonly shortened: readonly Dropped[];
  readonly dropped: readonly Dropped[];
  readonly crowded: readonly StretchReport[];
}

function callsOf(state: Chosen): { readonly calls: Call[]; readonly windows: Map<Call, Candidate> } {
  const calls: Call[] = [];
  const windows = new Map<Call, Candidate>();
  for (let now: Chosen | null = state; now; now = now.before) {
    const call = callOf(now);
    if (!call || !now.candidate) continue;
    calls.unshift(call);
    windows.set(call, now.candidate);
  }
  return { calls, windows };
}

/**
 * What matters more is said first, where two neighbours can trade places inside their windows; the time they take
 * together stays as good as the same, so nothing else is touched.
 */
function importantFirst(calls: readonly Call[], windows: ReadonlyMap<Call, Candidate>): Call[] {
  const out = [...calls];
  const moved = (call: Call, at: SessionTime): Call | null => {
    const window = windows.get(call);
    if (!window || isFixed(window) || at < window.from || at + call.ms > window.until || at % startGrid !== 0)
      return null;
    return { ...call, at };
  };
  for (let index = 0; index + 1 < out.length; index += 1) {
    const [first, second] = [out[index], out[index + 1]];
    if (!first || !second || importance[second.kind] <= importance[first.kind]) continue;
    const early = moved(second, first.at);
    const late = early && moved(first, onGrid(early.at + early.ms + leastGap));
    const next = out[index + 2];
    if (!early || !late || (next && late.at + late.ms + leastGap > next.at)) continue;
    out[index] = early;
    out[index + 1] = late;
  }
  return out;
}

/** Parts a session's candidates into stretches that cannot touch each other. */
export function stretches(candidates: readonly Candidate[]): Candidate[][] {
  const sorted = [...candidates].sort((a, b) => a.from - b.from || a.until - b.until);
  const out: Candidate[][] = [];
  let end = -Infinity;
  for (const candidate of sorted) {
    if (candidate.from >= end + leastGap) out.push([]);
    out.at(-1)?.push(candidate);
    end = Math.max(end, candidate.until);
  }
  return out;
}

function why(candidate: Candidate, calls: readonly Call[]): string {
  const shortest = Math.min(...candidate.phrases.map(({ ms }) => ms));
  if (shortest > candidate.until - candidate.from)
    return `it takes ${(shortest / 1000).toFixed(1)} s, and there are ${(Math.max(0, candidate.until - candidate.from) / 1000).toFixed(1)} s`;
  const inTheWay = calls.find(
    (call) =>
      call.key !== candidate.key &&
      call.at < candidate.until + leastGap &&
      call.at + call.ms > candidate.from - leastGap,
  );
  return inTheWay ? `“${inTheWay.say}” matters more there` : 'there is no room';
}

const told = (candidate: Candidate, calls: readonly Call[]): Dropped => ({
  key: candidate.key,
  kind: candidate.kind,
  say: candidate.phrases[0]?.say ?? '',
  why: why(candidate, calls),
  opens: candidate.opens ?? candidate.from,
});

/** Most windows that are open at one moment of a candidate's own. */
function mostOpen({ from, until }: Candidate, others: readonly Candidate[]): number {
  const met = others.filter((other) => other.from < until && from < other.until);
  const moments = [from, ...met.map((other) => other.from).filter((moment) => moment > from)];
  return Math.max(
    ...moments.map((moment) => met.filter((other) => other.from <= moment && moment < other.until).length),
  );
}

/** The most important of them, no more at any moment than can be tried in every order. */
function solvable(free: readonly Candidate[]): readonly Candidate[] {
  if (free.length <= mostExact) return free;
  const kept: Candidate[] = [];
  for (const candidate of [...free].sort((a, b) => importance[b.kind] - importance[a.kind] || a.from - b.from)) {
    if (kept.length < mostFree && mostOpen(candidate, kept) < mostExact) kept.push(candidate);
  }
  return kept;
}

/** Solves a stretch; the most important of what can be moved where there is too much of it. */
function solveStretch(all: readonly Candidate[]): Schedule {
  const free = all.filter((candidate) => !isFixed(candidate));
  const kept = new Set(solvable(free));
  const chosen = all.filter((candidate) => isFixed(candidate) || kept.has(candidate));
  const state = solve(chosen);
  const { calls: found, windows } = callsOf(state);
  const calls = importantFirst(found, windows);
  const said = new Map([...windows].map(([call, candidate]) => [candidate, call]));
  const outside = all.filter((candidate) => !chosen.includes(candidate));
  const most = (candidate: Candidate): number =>
    Math.max(...candidate.phrases.map((phrase) => worthOf(candidate, phrase)));
  return {
    calls,
    shortened: all.filter((candidate) => said.get(candidate)?.form === 'short').map((each) => told(each, calls)),
    dropped: all.filter((candidate) => !said.has(candidate)).map((each) => told(each, calls)),
    crowded:
      outside.length > 0
        ? [
            {
              from: all[0]?.from ?? 0,
              candidates: all.length,
              worth: state.worth,
              bound: state.worth + outside.reduce((sum, candidate) => sum + most(candidate), 0),
            },
          ]
        : [],
  };
}

const remembered = new Map<string, Schedule>();
const mostRemembered = 4000;

function shifted(schedule: Schedule, by: SessionTime): Schedule {
  if (by === 0) return schedule;
  return {
    ...schedule,
    calls: schedule.calls.map((call) => ({
      ...call,
      at: call.at + by,
      opens: call.opens + by,
      closes: call.closes + by,
    })),
    shortened: schedule.shortened.map((each) => ({ ...each, opens: each.opens + by })),
    dropped: schedule.dropped.map((each) => ({ ...each, opens: each.opens + by })),
    crowded: schedule.crowded.map((report) => ({ ...report, from: report.from + by })),
  };
}

/** A candidate with its window counted from a moment. */
function countedFrom(base: SessionTime, candidate: Candidate): Candidate {
  const { opens, closes } = candidate;
  return {
    ...candidate,
    from: candidate.from - base,
    until: candidate.until - base,
    ...(opens === undefined ? {} : { opens: opens - base }),
    ...(closes === undefined ? {} : { closes: closes - base }),
  };
}

/** What a stretch's schedule depends on, wherever it stands. */
function contentOf(all: readonly Candidate[], base: SessionTime): string {
  return all
    .map((candidate) => {
      const { key, kind, locked, phrases } = candidate;
      const forms = phrases.map(
        ({ form, say, ms, parts }) => `${form}\t${say}\t${ms}\t${parts ? JSON.stringify(parts) : ''}`,
      );
      const window = locked
        ? JSON.stringify(countedFrom(base, candidate))
        : `${candidate.from - base}\t${candidate.until - base}`;
      return `${key}\t${kind}\t${window}\t${forms.join('\t')}`;
    })
    .join('\n');
}

/** A stretch's schedule, remembered by what stands in it, wherever it stands: only what has changed is worked out anew. */
function rememberedStretch(all: readonly Candidate[]): Schedule {
  // One call alone is worked out sooner than it is looked up.
  if (all.length === 1) return solveStretch(all);
  const base = Math.floor((all[0]?.from ?? 0) / startGrid) * startGrid;
  const content = contentOf(all, base);
  let found = remembered.get(content);
  if (!found) {
    if (remembered.size >= mostRemembered) remembered.clear();
    found = solveStretch(all.map((candidate) => countedFrom(base, candidate)));
    remembered.set(content, found);
  }
  return shifted(found, base);
}

/**
 * Chooses what is said, in which form and when: no two calls overlap, a gap lies between them, and the total importance
 * is the greatest there is, exactly in each stretch of up to twelve calls that can be moved; a more crowded stretch reports
 * its bound. Stretches that have not changed are not worked out again.
 * @example schedule(candidatesOf(sheet, timeline)).calls
 */
export function schedule(candidates: readonly Candidate[]): Schedule {
  const parts = stretches(candidates).map(rememberedStretch);
  return {
    calls: parts.flatMap(({ calls }) => calls),
    shortened: parts.flatMap(({ shortened }) => shortened),
    dropped: parts.flatMap(({ dropped }) => dropped),
    crowded: parts.flatMap(({ crowded }) => crowded),
  };
}
