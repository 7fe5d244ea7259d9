import type { Milliseconds, SessionTime } from '../units';
import { importance, leastGap, lockedWorth, shortWorth, type Call, type Candidate, type Phrase } from './call';

/** Starts lie on this grid. */
export const startGrid: Milliseconds = 100;

/** What is said so far: when the last one ends, what it is worth, and how it came about. */
export interface Chosen {
  readonly finish: SessionTime;
  readonly worth: number;
  readonly call: Call | null;
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

function better(list: readonly Chosen[], state: Chosen): boolean {
  return !list.some((other) => other.finish <= state.finish && other.worth >= state.worth);
}

function said(before: Chosen, candidate: Candidate, phrase: Phrase, at: SessionTime): Chosen {
  const { form, say, ms, parts } = phrase;
  const { key, kind } = candidate;
  return {
    finish: at + ms,
    worth: before.worth + worthOf(candidate, phrase),
    call: { key, at, kind, say, form, ms, ...(parts ? { parts } : {}) },
    candidate,
    before,
  };
}

const nothing: Chosen = { finish: -Infinity, worth: 0, call: null, candidate: null, before: null };

/** States by the set of movable calls that are said or too late, at one place among the fixed ones. */
type Place = Map<number, Chosen[]>;

function keep(place: Place, set: number, state: Chosen): void {
  const list = place.get(set);
  if (!list) place.set(set, [state]);
  else if (better(list, state))
    place.set(set, [...list.filter((other) => other.finish < state.finish || other.worth > state.worth), state]);
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
  let best = nothing;
  let here: Place = new Map([[0, [nothing]]]);
  for (let next = 0; next <= fixed.length; next += 1) {
    const moment = fixed[next];
    const after: Place = new Map();
    // A call that is put in only makes a set larger, so the smallest set is always ready.
    for (let set = Math.min(...here.keys()); here.size > 0; set = Math.min(...here.keys())) {
      for (const state of here.get(set) ?? []) {
        if (state.worth > best.worth || (state.worth === best.worth && state.finish < best.finish)) best = state;
        if (moment) {
          // Left out: what could have begun before it was tried before it, so all that counts is what comes after.
          keep(after, set, { ...state, finish: Math.max(state.finish, moment.from - leastGap) });
          const [phrase] = moment.phrases;
          if (phrase && moment.from >= state.finish + leastGap && moment.from + phrase.ms <= moment.until) {
            const taken = said(state, moment, phrase, moment.from);
            keep(after, withLate(set, taken.finish, last), taken);
          }
        }
        free.forEach((candidate, job) => {
          if (set & (1 << job)) return;
          for (const phrase of candidate.phrases) {
            const at = onGrid(Math.max(candidate.from, state.finish + leastGap));
            // What begins after the next fixed moment waits until that is decided.
            if (at + phrase.ms > candidate.until || (moment && at >= moment.from)) continue;
            const put = said(state, candidate, phrase, at);
            keep(here, withLate(set | (1 << job), put.finish, last), put);
          }
        });
      }
      here.delete(set);
    }
    here = after;
  }
  return best;
}
