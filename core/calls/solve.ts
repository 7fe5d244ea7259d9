import type { Milliseconds, SessionTime } from '../units';
import { importance, leastGap, lockedWorth, shortWorth, type Call, type Candidate, type Phrase } from './call';

/** Starts lie on this grid. */
export const startGrid: Milliseconds = 100;

/** What is said so far: when the last one ends, what it is worth, and how it came about. */
export interface Chosen {
  readonly finish: SessionTime;
  readonly worth: number;
  readonly at: SessionTime;
  readonly phrase: Phrase | null;
  readonly candidate: Candidate | null;
  readonly before: Chosen | null;
}

/** What a candidate is worth in a form. */
export function worthOf(candidate: Candidate, phrase: Phrase): number {
  const worth = importance[candidate.kind] + (candidate.locked ? lockedWorth : 0);
  return worth * (phrase.form === 'full' ? 1 : shortWorth);
}

/** The next start on the grid. */
export const onGrid = (time: SessionTime): SessionTime => Math.ceil(time / startGrid) * startGrid;

/** Whether a candidate has its one moment, so that it is not moved to the grid. */
export function isFixed({ from, until, phrases }: Candidate): boolean {
  return phrases.every(({ ms }) => until - from <= ms);
}

/** What is said last in a choice. */
export function callOf({ at, phrase, candidate }: Chosen): Call | null {
  if (!phrase || !candidate) return null;
  const { form, say, ms, parts } = phrase;
  return { key: candidate.key, at, kind: candidate.kind, say, form, ms, ...(parts ? { parts } : {}) };
}

const nothing: Chosen = { finish: -Infinity, worth: 0, at: 0, phrase: null, candidate: null, before: null };

/** States by the set of movable calls that are said or too late, at one place among the fixed ones. */
type Place = Map<number, Chosen[]>;

/** Puts a choice to the others of its place, unless one of them is both earlier and worth as much. */
function keep(place: Place, set: number, state: Chosen): void {
  const list = place.get(set);
  if (!list) {
    place.set(set, [state]);
    return;
  }
  let kept = 0;
  for (const other of list) {
    if (other.finish <= state.finish && other.worth >= state.worth) return;
    if (other.finish < state.finish || other.worth > state.worth) list[kept++] = other;
  }
  list.length = kept;
  list.push(state);
}

function smallest(place: Place): number {
  let least = -1;
  for (const set of place.keys()) if (least < 0 || set < least) least = set;
  return least;
}

/** The set with everything that can no longer be said; what is too late makes no difference any more. */
function withLate(set: number, finish: SessionTime, last: readonly SessionTime[]): number {
  let out = set;
  for (let job = 0; job < last.length; job += 1) if (finish + leastGap > (last[job] ?? 0)) out |= 1 << job;
  return out;
}

/**
 * The best choice for a stretch, exactly. Calls with their one moment are gone through in order, taken or left; the others
 * (thirty at most) are put in between, each as early as it can be; of what has come to the same place with the same calls
 * still to say only what is not both later and worth less is kept. Exact: what a choice leaves room for depends on nothing
 * but when it ends.
 */
export function solve(candidates: readonly Candidate[]): Chosen {
  const fixed = candidates.filter(isFixed).sort((a, b) => a.from - b.from);
  const free = candidates.filter((candidate) => !isFixed(candidate));
  // The last start at which some form of each is still in time.
  const last = free.map(({ until, phrases }) => until - Math.min(...phrases.map(({ ms }) => ms)));
  const add = (
    place: Place,
    set: number,
    before: Chosen,
    candidate: Candidate,
    phrase: Phrase,
    at: SessionTime,
  ): void => {
    const finish = at + phrase.ms;
    const worth = before.worth + worthOf(candidate, phrase);
    keep(place, withLate(set, finish, last), { finish, worth, at, phrase, candidate, before });
  };
  let best = nothing;
  let here: Place = new Map([[0, [nothing]]]);
  for (let next = 0; next <= fixed.length; next += 1) {
    const moment = fixed[next];
    const after: Place = new Map();
    // A call that is put in only makes a set larger, so the smallest set is always ready.
    for (let set = smallest(here); set >= 0; set = smallest(here)) {
      const states = here.get(set) ?? [];
      here.delete(set);
      for (const state of states) {
        if (state.worth > best.worth || (state.worth === best.worth && state.finish < best.finish)) best = state;
        const clear = state.finish + leastGap;
        if (moment) {
          // Left out: what could have begun before it was tried before it, so all that counts is what comes after.
          const waited = Math.max(state.finish, moment.from - leastGap);
          keep(after, set, waited === state.finish ? state : { ...state, finish: waited });
          const [phrase] = moment.phrases;
          if (phrase && moment.from >= clear && moment.from + phrase.ms <= moment.until)
            add(after, set, state, moment, phrase, moment.from);
        }
        for (let job = 0; job < free.length; job += 1) {
          const candidate = free[job];
          if (!candidate || set & (1 << job)) continue;
          const at = onGrid(Math.max(candidate.from, clear));
          // What begins after the next fixed moment waits until that is decided.
          if (moment && at >= moment.from) continue;
          for (const phrase of candidate.phrases)
            if (at + phrase.ms <= candidate.until) add(here, set | (1 << job), state, candidate, phrase, at);
        }
      }
    }
    here = after;
  }
  return best;
}
