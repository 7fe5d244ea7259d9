import type { Milliseconds, SessionTime } from '../units';
import { importance, leastGap, shortWorth, type Call, type Candidate, type Dropped, type Phrase } from './call';

/** Starts lie on this grid. */
export const startGrid: Milliseconds = 100;
/** Stretches with more candidates than this are not solved exactly; their bound is reported. */
export const mostExact = 12;

/** A stretch of calls that depend on each other, and how good its choice is known to be. */
export interface StretchReport {
  readonly from: SessionTime;
  readonly candidates: number;
  readonly worth: number;
  /** No choice can be worth more than this. */
  readonly bound: number;
}

/** What is said, what is not, and the stretches that were too crowded to be solved exactly. */
export interface Schedule {
  readonly calls: readonly Call[];
  readonly dropped: readonly Dropped[];
  readonly crowded: readonly StretchReport[];
}

interface State {
  readonly finish: SessionTime;
  readonly worth: number;
  readonly call: Call | null;
  readonly job: number;
  readonly before: State | null;
}

/** What a candidate is worth in a form. */
export function worthOf(candidate: Candidate, phrase: Phrase): number {
  return importance[candidate.kind] * (phrase.form === 'full' ? 1 : shortWorth);
}

const onGrid = (time: SessionTime): SessionTime => Math.ceil(time / startGrid) * startGrid;
/** A call that must begin on its very second is not moved to the grid. */
const startOf = (candidate: Candidate, phrase: Phrase, free: SessionTime): SessionTime =>
  candidate.until - candidate.from <= phrase.ms ? candidate.from : onGrid(Math.max(candidate.from, free));

function better(list: readonly State[], state: State): boolean {
  return !list.some((other) => other.finish <= state.finish && other.worth >= state.worth);
}

/**
 * The best choice for a few candidates: by subsets, keeping for each only what is not both later and worth less. Exact:
 * what a choice leaves room for depends on nothing but when it ends.
 */
export function solve(candidates: readonly Candidate[]): State {
  const nothing: State = { finish: -Infinity, worth: 0, call: null, job: -1, before: null };
  const bySet = new Map<number, State[]>([[0, [nothing]]]);
  let best = nothing;
  const whole = 2 ** candidates.length;
  for (let set = 0; set < whole; set += 1) {
    const states = bySet.get(set);
    if (!states) continue;
    for (const state of states) {
      if (state.worth > best.worth || (state.worth === best.worth && state.finish < best.finish)) best = state;
      candidates.forEach((candidate, job) => {
        if (set & (1 << job)) return;
        for (const phrase of candidate.phrases) {
          const at = startOf(candidate, phrase, state.finish + leastGap);
          if (at < state.finish + leastGap || at < candidate.from || at + phrase.ms > candidate.until) continue;
          const next: State = {
            finish: at + phrase.ms,
            worth: state.worth + worthOf(candidate, phrase),
            call: { at, kind: candidate.kind, say: phrase.say, form: phrase.form, ms: phrase.ms },
            job,
            before: state,
          };
          const key = set | (1 << job);
          const list = bySet.get(key) ?? [];
          if (better(list, next))
            bySet.set(key, [...list.filter((other) => other.finish < next.finish || other.worth > next.worth), next]);
        }
      });
    }
    bySet.delete(set);
  }
  return best;
}

function callsOf(
  state: State,
  candidates: readonly Candidate[],
): { readonly calls: Call[]; readonly jobs: Set<number>; readonly windows: Map<Call, Candidate> } {
  const calls: Call[] = [];
  const jobs = new Set<number>();
  const windows = new Map<Call, Candidate>();
  for (let now: State | null = state; now?.call; now = now.before) {
    calls.unshift(now.call);
    jobs.add(now.job);
    const candidate = candidates[now.job];
    if (candidate) windows.set(now.call, candidate);
  }
  return { calls, jobs, windows };
}

/**
 * What matters more is said first, where two neighbours can trade places inside their windows; the time they take
 * together stays as good as the same, so nothing else is touched.
 */
function importantFirst(calls: readonly Call[], windows: ReadonlyMap<Call, Candidate>): Call[] {
  const out = [...calls];
  const moved = (call: Call, at: SessionTime): Call | null => {
    const window = windows.get(call);
    if (!window || at < window.from || at + call.ms > window.until || at % startGrid !== 0) return null;
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
  const inTheWay = calls.find((call) => call.at < candidate.until && call.at + call.ms > candidate.from);
  return inTheWay ? `“${inTheWay.say}” matters more there` : 'there is no room';
}

const remembered = new WeakMap<Candidate, { readonly all: readonly Candidate[]; readonly result: Schedule }>();

function solveStretch(all: readonly Candidate[]): Schedule {
  const [first] = all;
  const known = first ? remembered.get(first) : undefined;
  if (known && known.all.length === all.length && known.all.every((each, at) => each === all[at])) return known.result;
  // Too crowded for every subset: the most important are solved exactly, the others are left out.
  const ranked = [...all].sort((a, b) => importance[b.kind] - importance[a.kind] || a.from - b.from);
  const chosen = ranked.slice(0, mostExact);
  const state = solve(chosen);
  const { calls: found, jobs, windows } = callsOf(state, chosen);
  const calls = importantFirst(found, windows);
  const said = new Set(chosen.filter((_, job) => jobs.has(job)));
  const left = all.filter((candidate) => !said.has(candidate));
  const result: Schedule = {
    calls,
    dropped: left.map((candidate) => ({
      kind: candidate.kind,
      say: candidate.phrases[0]?.say ?? '',
      why: why(candidate, calls),
    })),
    crowded:
      all.length > mostExact
        ? [
            {
              from: first?.from ?? 0,
              candidates: all.length,
              worth: state.worth,
              bound:
                state.worth +
                left.filter((each) => !chosen.includes(each)).reduce((sum, each) => sum + importance[each.kind], 0),
            },
          ]
        : [],
  };
  if (first) remembered.set(first, { all, result });
  return result;
}

/**
 * Chooses what is said, in which form and when: no two calls overlap, a gap lies between them, and the total importance
 * is the greatest there is, exactly in each stretch of up to twelve candidates; a more crowded stretch reports its bound.
 * Stretches of the same candidates are not worked out again.
 * @example schedule(candidatesOf(sheet, timeline)).calls
 */
export function schedule(candidates: readonly Candidate[]): Schedule {
  const parts = stretches(candidates).map(solveStretch);
  return {
    calls: parts.flatMap(({ calls }) => calls),
    dropped: parts.flatMap(({ dropped }) => dropped),
    crowded: parts.flatMap(({ crowded }) => crowded),
  };
}
