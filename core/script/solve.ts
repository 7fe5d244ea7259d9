import type { Milliseconds, SessionTime } from '../units';
import {
  lateCost,
  leastGap,
  lockedWorth,
  shareOf,
  shortestForm,
  worthOfKind,
  type Call,
  type Candidate,
  type Phrase,
} from './call';

/** Starts lie on this grid. */
export const startGrid: Milliseconds = 100;

/** A candidate as it is said: in one of its forms, from a moment. */
export interface Said {
  readonly candidate: Candidate;
  readonly phrase: Phrase;
  readonly at: SessionTime;
}

/** What is said so far: when the last one ends, what it is worth, and how it came about. */
export interface Chosen {
  readonly finish: SessionTime;
  readonly worth: number;
  readonly at: SessionTime;
  readonly phrase: Phrase | null;
  readonly candidate: Candidate | null;
  readonly before: Chosen | null;
}

/** What a candidate is worth in a form where it is not late. */
export function worthOf(candidate: Candidate, phrase: Phrase): number {
  const worth = worthOfKind(candidate.kind) + (candidate.locked ? lockedWorth : 0);
  return worth * shareOf(candidate.phrases.indexOf(phrase), candidate.phrases.length);
}

/** The most that a candidate can be worth. */
export function mostWorth(candidate: Candidate): number {
  return Math.max(...candidate.phrases.map((phrase) => worthOf(candidate, phrase)));
}

/** The next start on the grid. */
export const onGrid = (time: SessionTime): SessionTime => Math.ceil(time / startGrid) * startGrid;

/** Whether a candidate has its one moment, so that it is not moved to the grid. */
export function isFixed({ from, until, phrases }: Candidate): boolean {
  return phrases.every(({ ms }) => until - from <= ms);
}

/** What is said, as a call. */
export function callFrom({ candidate, phrase, at }: Said): Call {
  const { key, kind, from, until, sound, opens = from, closes = until } = candidate;
  const { form, say, of, ms, parts } = phrase;
  // Field by field: there are hundreds of them, and each spread would be an object of its own.
  const call: { -readonly [Field in keyof Call]: Call[Field] } = { key, at, kind, say, form, ms, opens, closes };
  if (of) call.of = of;
  if (sound) call.sound = sound;
  if (parts) call.parts = parts;
  return call;
}

/** All that is said in a choice, in order. */
export function saidIn(chosen: Chosen): Said[] {
  const said: Said[] = [];
  for (let now: Chosen | null = chosen; now; now = now.before) {
    const { candidate, phrase, at } = now;
    if (candidate && phrase) said.push({ candidate, phrase, at });
  }
  return said.reverse();
}

const nothing: Chosen = { finish: -Infinity, worth: 0, at: 0, phrase: null, candidate: null, before: null };

/** A call with what is asked of it again and again. */
interface Job {
  readonly candidate: Candidate;
  readonly forms: readonly { readonly phrase: Phrase; readonly worth: number }[];
  /** The last start at which some form of it is still in time. */
  readonly last: SessionTime;
  /** What it is worth in full. */
  readonly most: number;
}

const jobOf = (candidate: Candidate): Job => ({
  candidate,
  forms: candidate.phrases.map((phrase) => ({ phrase, worth: worthOf(candidate, phrase) })),
  last: candidate.until - shortestForm(candidate),
  most: mostWorth(candidate),
});

/**
 * States at one place among the fixed ones, by the set of movable calls that are said or too late; in layers by the size
 * of that set, since putting a call in only makes it larger.
 */
type Place = Map<number, Chosen[]>[];

function sizeOf(set: number): number {
  let size = 0;
  for (let rest = set; rest !== 0; rest &= rest - 1) size += 1;
  return size;
}

/** The states that a choice competes with, without those it makes needless; null where one of them is both earlier and worth as much. */
function rivals(place: Place, set: number, finish: SessionTime, worth: number): Chosen[] | null {
  const layer = (place[sizeOf(set)] ??= new Map<number, Chosen[]>());
  const list = layer.get(set);
  if (!list) {
    const fresh: Chosen[] = [];
    layer.set(set, fresh);
    return fresh;
  }
  for (const other of list) if (other.finish <= finish && other.worth >= worth) return null;
  let kept = 0;
  for (const other of list) if (other.finish < finish || other.worth > worth) list[kept++] = other;
  list.length = kept;
  return list;
}

/** The set with everything that can no longer be said; what is too late makes no difference any more. */
function withLate(set: number, finish: SessionTime, jobs: readonly Job[]): number {
  let out = set;
  for (let job = 0; job < jobs.length; job += 1) if (finish + leastGap > (jobs[job]?.last ?? 0)) out |= 1 << job;
  return out;
}

/** The most that the calls outside a set can still be worth. */
function stillWorth(set: number, jobs: readonly Job[]): number {
  let worth = 0;
  for (let job = 0; job < jobs.length; job += 1) if (!(set & (1 << job))) worth += jobs[job]?.most ?? 0;
  return worth;
}

/**
 * The plain choice: whatever can begin first, and every fixed moment that it has not run into. Mostly everything can be
 * said so, in full; else nothing that comes to less has to be followed any further.
 */
function plainChoice(fixed: readonly Job[], jobs: readonly Job[]): Chosen {
  const left = new Set([...jobs].sort((a, b) => a.candidate.until - b.candidate.until));
  let chosen = nothing;
  const take = (candidate: Candidate, { phrase, worth }: Job['forms'][number], at: SessionTime): void => {
    const worthNow = chosen.worth + worth - lateCost(candidate, at);
    chosen = { finish: at + phrase.ms, worth: worthNow, at, phrase, candidate, before: chosen };
  };
  const fill = (wall: SessionTime): void => {
    for (let found: Job | null = null; ; found = null) {
      const clear = chosen.finish + leastGap;
      let at: SessionTime = Infinity;
      let form: Job['forms'][number] | undefined;
      for (const job of left) {
        const start = onGrid(Math.max(job.candidate.from, clear));
        if (start >= at) continue;
        const last = Math.min(job.candidate.until, wall - leastGap);
        const fits = job.forms.find(({ phrase: { ms } }) => start + ms <= last);
        if (fits) [found, at, form] = [job, start, fits];
      }
      if (!found || !form) return;
      left.delete(found);
      take(found.candidate, form, at);
    }
  };
  for (const { candidate, forms } of fixed) {
    const { from, until } = candidate;
    fill(from);
    const [taken] = forms;
    if (taken && from >= chosen.finish + leastGap && from + taken.phrase.ms <= until) take(candidate, taken, from);
  }
  fill(Infinity);
  return chosen;
}

/** Sums of worth are compared no finer than this: it is less than what any two choices can differ by. */
const worthGrain = 1e-6;

/**
 * The best choice for a stretch, whose candidates stand in the order of their windows, exactly. Calls with their one moment
 * are gone through in order, taken or left; the others (thirty at most) are put in between, each as early as it can be; of
 * what has come to the same place with the same calls still to say only what is not both later and worth less is kept, and
 * nothing that cannot become worth what a plain choice is worth already. Exact: what a choice leaves room for depends on
 * nothing but when it ends.
 */
export function solve(candidates: readonly Candidate[]): Chosen {
  const fixed: Job[] = [];
  const jobs: Job[] = [];
  for (const candidate of candidates) (isFixed(candidate) ? fixed : jobs).push(jobOf(candidate));
  const plain = plainChoice(fixed, jobs);
  const enough = plain.worth - worthGrain;
  /** What the fixed moments from one on can be worth together. */
  const fixedWorth = [0];
  for (const { forms } of fixed.toReversed()) fixedWorth.unshift((fixedWorth[0] ?? 0) + (forms[0]?.worth ?? 0));
  // Nothing can be worth more than all of it in full.
  if (enough + 2 * worthGrain > (fixedWorth[0] ?? 0) + stillWorth(0, jobs)) return plain;
  let best = nothing;
  let here: Place = [new Map([[0, [nothing]]])];
  const add = (
    place: Place,
    ahead: number,
    set: number,
    before: Chosen,
    candidate: Candidate,
    { phrase, worth: more }: Job['forms'][number],
    at: SessionTime,
  ): void => {
    const finish = at + phrase.ms;
    const worth = before.worth + more - lateCost(candidate, at);
    const now = withLate(set, finish, jobs);
    if (worth + ahead + stillWorth(now, jobs) < enough) return;
    rivals(place, now, finish, worth)?.push({ finish, worth, at, phrase, candidate, before });
  };
  for (let next = 0; next <= fixed.length; next += 1) {
    const moment = fixed[next]?.candidate;
    const taken = fixed[next]?.forms[0];
    const after: Place = [];
    const toCome = fixedWorth[next + 1] ?? 0;
    const visit = (state: Chosen, set: number): void => {
      if (state.worth > best.worth || (state.worth === best.worth && state.finish < best.finish)) best = state;
      const clear = state.finish + leastGap;
      if (moment) {
        // Left out: what could have begun before it was tried before it, so all that counts is what comes after.
        const waited = Math.max(state.finish, moment.from - leastGap);
        if (state.worth + toCome + stillWorth(set, jobs) >= enough)
          rivals(after, set, waited, state.worth)?.push(waited === state.finish ? state : { ...state, finish: waited });
        if (taken && moment.from >= clear && moment.from + taken.phrase.ms <= moment.until)
          add(after, toCome, set, state, moment, taken, moment.from);
      }
      for (let job = 0; job < jobs.length; job += 1) {
        const one = jobs[job];
        if (!one || set & (1 << job)) continue;
        const at = onGrid(Math.max(one.candidate.from, clear));
        // What begins after the next fixed moment waits until that is decided.
        if (moment && at >= moment.from) continue;
        for (const form of one.forms)
          if (at + form.phrase.ms <= one.candidate.until)
            add(here, fixedWorth[next] ?? 0, set | (1 << job), state, one.candidate, form, at);
      }
    };
    for (let size = 0; size <= jobs.length; size += 1)
      here[size]?.forEach((states, set) => {
        for (const state of states) visit(state, set);
      });
    here = after;
  }
  return best;
}
