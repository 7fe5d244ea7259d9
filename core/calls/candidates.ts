import type { Leaf, Timeline } from '../session/compile';
import { passesOf, type Pass } from '../session/passes';
import type { Milliseconds, SessionTime } from '../units';
import { type Call, type Candidate, type Dropped } from './call';
import { makerFor } from './candidate';
import type { FocusTrail } from './focus';
import { isSaid, type CallKind } from './kinds';
import { leafCalls, leafPlace } from './leaf-calls';
import { usualOptions, type CallOptions } from './options';
import { breakCalls, breakWords, endBell, isRound, restCalls, roundCalls } from './pass-calls';
import type { CallEdit } from './phrasebook';
import { onGrid, startGrid } from './solve';
import { phrases, worded, type Speech } from './speech';

/** Candidates of a whole session, what the coach has muted, and what is said at its open breaks, where the clock stands. */
export interface CallPlan {
  readonly candidates: readonly Candidate[];
  readonly muted: readonly Dropped[];
  readonly breaks: readonly { readonly at: SessionTime; readonly calls: readonly Call[] }[];
}

/** Lead time of a stance change (house value). */
const stanceLead: Milliseconds = 8000;

/** The call before a change of stance, ended by the time it happens. */
function stanceCall(leaf: Leaf, last: Leaf, beforeBell: boolean, { speech, countFrom }: CallOptions): Candidate {
  const until = leaf.at - (beforeBell ? countFrom * 1000 + 500 : 0);
  const { full, short } = worded(speech, 'switch stance');
  const from = Math.min(until, Math.max(last.at, until - stanceLead));
  return makerFor(`${leafPlace(leaf)} before`, speech).within('stance', from, until, full, short);
}

/** Rests between the repeats of a block share a place, and so may changes of stance: the second and later ones are numbered. */
function namedOnce(all: readonly Candidate[]): Candidate[] {
  const times = new Map<string, number>();
  return all.map((candidate) => {
    const time = (times.get(candidate.key) ?? 0) + 1;
    times.set(candidate.key, time);
    return time > 1 ? { ...candidate, key: `${candidate.key} #${time}` } : candidate;
  });
}

/** Nothing but the count is said in the last second before a bell (trade page, section 9). */
const quietBeforeBell: Milliseconds = 1000;

/** The candidates with windows that end a second before the next bell; what has its one moment there is not said. */
function clearOfBells(all: readonly Candidate[], passes: readonly Pass[]): Candidate[] {
  // Also where a round ends in an open break: there the bell stands among what is said in the break.
  const bells = passes.filter(isRound).flatMap(({ at, end }) => [at, end]);
  return all.map((candidate) => {
    if (candidate.kind === 'bell' || candidate.kind === 'count') return candidate;
    const bell = bells[firstAfter(bells, candidate.from)];
    return bell === undefined || candidate.until <= bell - quietBeforeBell
      ? candidate
      : { ...candidate, until: bell - quietBeforeBell };
  });
}

/** Place of the first moment after another, in order; the length where there is none. */
function firstAfter(moments: readonly SessionTime[], at: SessionTime): number {
  let [low, high] = [0, moments.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((moments[middle] ?? 0) > at) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** A candidate with the coach's change of it: other words, a moment of its own. */
function edited(candidate: Candidate, edit: CallEdit | undefined, speech: Speech): Candidate {
  if (!edit) return candidate;
  const said = edit.say === undefined ? candidate : { ...candidate, phrases: phrases(edit.say, undefined, speech) };
  if (edit.atMs === undefined) return said;
  const { from: opens, until: closes } = said;
  const longest = Math.max(...said.phrases.map(({ ms }) => ms));
  const last = Math.floor((closes - longest) / startGrid) * startGrid;
  const at = Math.max(onGrid(opens), Math.min(Math.round((opens + edit.atMs) / startGrid) * startGrid, last));
  // Words that have become too long for the window cannot be held anywhere in it.
  return at > last ? said : { ...said, from: at, until: at + longest, opens, closes, locked: true };
}

/**
 * Everything that would be good to say in a session, with its words and windows (trade page, sections 8 and 9). What of it
 * is said is chosen by `schedule`.
 * @example candidatesOf(compile(sheet)).candidates
 */
export function candidatesOf(timeline: Timeline, options: CallOptions = usualOptions): CallPlan {
  const { speech, talk, quiet } = options;
  const edits = new Map(options.edits.map((edit) => [edit.key, edit]));
  const passes = passesOf(timeline);
  const all: Candidate[] = [];
  const breaks: { at: SessionTime; calls: Call[] }[] = [];
  const muted: Dropped[] = [];
  const mute = (key: string, kind: CallKind, say: string, opens: SessionTime): void => {
    muted.push({ key, kind, say, why: 'muted by you', opens });
  };
  const trail: FocusTrail = new Map();
  let rounds = 0;
  /** How the class stood when it last worked; in a rest it only waits. */
  let stood = false;
  passes.forEach((pass, index) => {
    const [before, next] = [passes[index - 1], passes[index + 1]];
    if (pass.open) {
      const words = breakWords(pass, isRound(before), next, stood, options).flatMap((each) => {
        const edit = edits.get(each.key);
        if (edit?.muted) mute(each.key, each.kind, each.say, pass.at);
        return edit?.muted ? [] : [{ ...each, say: edit?.say ?? each.say }];
      });
      breaks.push({ at: pass.at, calls: breakCalls(pass.at, words, speech) });
      return;
    }
    if (isRound(pass)) all.push(...roundCalls(pass, trail, (rounds += 1), options));
    // One bell serves both rounds; before an open break it stands among what is said there.
    if (isRound(pass) && !isRound(next) && !next?.open) all.push(endBell(pass, options));
    if (pass.leaves[0]?.kind === 'rest') {
      all.push(...restCalls(pass, next, options));
      return;
    }
    pass.leaves.forEach((leaf, at) => {
      const last = pass.leaves[at - 1] ?? before?.leaves.at(-1);
      all.push(...leafCalls(leaf, last, options));
      const changes = leaf.mirrored !== stood || leaf.doing === 'change-over';
      stood = leaf.mirrored;
      // Before what follows an open break it is said in the break.
      if (changes && last && !last.open && last.doing !== 'change-over')
        all.push(stanceCall(leaf, last, at === 0 && isRound(pass), options));
    });
  });
  const made = clearOfBells(namedOnce(all), passes).filter(
    ({ kind, phrases: [full] }) => isSaid(kind, talk) && !quiet.includes(kind) && full?.say.trim() !== '',
  );
  const candidates = made.flatMap((candidate) => {
    const edit = edits.get(candidate.key);
    if (!edit?.muted) return [edited(candidate, edit, speech)];
    mute(candidate.key, candidate.kind, candidate.phrases[0]?.say ?? '', candidate.from);
    return [];
  });
  return {
    candidates,
    muted,
    breaks,
  };
}
