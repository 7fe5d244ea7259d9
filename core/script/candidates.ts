import type { CallEdit } from '../sheet/calls';
import { callKinds, callNature, isSaid, type CallKind } from '../sheet/call-kinds';
import type { Leaf, Timeline } from '../timeline/leaf';
import { passesOf, type Pass } from '../timeline/passes';
import type { Milliseconds, SessionTime } from '../units';
import { bellPhrase, phraseOf, phrases, worded, type Speech } from './speech';
import { leastGap, longestForm, type Call, type Candidate, type Dropped } from './call';
import { makerFor } from './candidate';
import { countDown, kindTimesOf } from './clock-calls';
import type { FocusTrail } from './focus';
import { breakNews } from './gear';
import { usualOptions, type CallOptions } from './options';
import { passCalls, type Stood } from './pass-calls';
import { breakWords, noNews, overview, preview, type BreakWords } from './rest-calls';
import { plain } from './saying';
import { onGrid, startGrid } from './solve';

/** Candidates of a whole session, what the coach has muted, and what is said at its open breaks, where the clock stands. */
export interface CallPlan {
  readonly candidates: readonly Candidate[];
  readonly muted: readonly Dropped[];
  readonly breaks: readonly { readonly at: SessionTime; readonly calls: readonly Call[] }[];
  /** What is said while the run counts in, before second zero. */
  readonly lead: readonly Call[];
}

/** Nothing but the count is said in the last second before a bell (trade page, section 9). */
const quietBeforeBell: Milliseconds = 1000;

/** A candidate among those of the whole session. */
interface Placed {
  /** How many of its key came before it. */
  readonly time: number;
  readonly until: SessionTime;
  readonly candidate: Candidate;
}

const placed = new WeakMap<Candidate, Placed>();

/** The candidate by a key of its own, with a window that ends where it may; the very same one where nothing changes. */
function placedAs(candidate: Candidate, time: number, until: SessionTime): Candidate {
  if (time === 1 && until === candidate.until) return candidate;
  const known = placed.get(candidate);
  if (known?.time === time && known.until === until) return known.candidate;
  const made = { ...candidate, key: time > 1 ? `${candidate.key} #${time}` : candidate.key, until };
  placed.set(candidate, { time, until, candidate: made });
  return made;
}

/**
 * The candidates as they stand in the session. Rests between the repeats of a block share a place, and so may changes of
 * stance: the second and later ones are numbered. Windows end a second before the next bell; what has its one moment there
 * is not said.
 */
function inSession(all: readonly Candidate[], passes: readonly Pass[]): Candidate[] {
  // Also where a round ends in an open break: there the bell stands among what is said in the break.
  const bells = passes.filter(({ isRound }) => isRound).flatMap(({ at, end }) => [at, end]);
  const times = new Map<string, number>();
  return all.map((candidate) => {
    const { key, kind, from, until } = candidate;
    const time = (times.get(key) ?? 0) + 1;
    times.set(key, time);
    const bell = callNature(kind).atTheBell ? undefined : bells[firstAfter(bells, from)];
    return placedAs(candidate, time, Math.min(until, bell === undefined ? Infinity : bell - quietBeforeBell));
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
  const said =
    edit.say === undefined ? candidate : { ...candidate, phrases: phrases({ full: plain(edit.say) }, speech) };
  if (edit.atMs === undefined) return said;
  const { from: opens, until: closes } = said;
  const longest = longestForm(said);
  const last = Math.floor((closes - longest) / startGrid) * startGrid;
  const at = Math.max(onGrid(opens), Math.min(Math.round((opens + edit.atMs) / startGrid) * startGrid, last));
  // Words that have become too long for the window cannot be held anywhere in it.
  return at > last ? said : { ...said, from: at, until: at + longest, opens, closes, locked: true };
}

/** The words of an open break as calls, one after the other from its moment. */
function breakCalls(at: SessionTime, words: readonly BreakWords[], speech: Speech): Call[] {
  let from = at;
  return words.map(({ key, kind, saying, sound }): Call => {
    const phrase = sound ? bellPhrase : phraseOf('full', saying, speech);
    const call = { ...phrase, key, at: from, kind, opens: from, closes: from + phrase.ms };
    from += phrase.ms + leastGap;
    return sound ? { ...call, sound } : call;
  });
}

/** Before the count, and before what the first round is (house values). */
const clearOfCount: Milliseconds = 500;
const readyLead: Milliseconds = 3500;

/** What is said before second zero: get ready, the first round where nothing stands before it, and the count. */
function leadCalls(first: Pass | undefined, options: CallOptions): Call[] {
  const { speech, countFrom, talk, quiet } = options;
  const make = makerFor('lead', speech);
  const words =
    first?.isRound && isSaid('preview', talk) && !quiet.includes('preview') ? preview(first, options) : null;
  const [named] = words ? phrases({ full: words.full }, speech) : [];
  const until = -(countFrom * 1000) - clearOfCount;
  const ready = make.exactly('time', until - (named ? named.ms : 0) - readyLead, worded(speech, 'get ready').full);
  const all = [
    ...(isSaid('time', talk) ? [ready] : []),
    ...(named ? [make.phrased('preview', until - named.ms, named)] : []),
    ...countDown(0, countFrom, make),
  ];
  return all.flatMap((candidate): Call[] => {
    const { key, kind, from, until, sound, phrases: forms } = candidate;
    const [phrase] = forms;
    return phrase ? [{ ...phrase, key, kind, at: from, opens: from, closes: until, ...(sound ? { sound } : {}) }] : [];
  });
}

/**
 * Everything that would be good to say in a session, with its words and windows (trade page, sections 8 and 9). What of it
 * is said is chosen by `schedule`.
 * @example candidatesOf(compile(sheet)).candidates
 */
export function candidatesOf(timeline: Timeline, options: CallOptions = usualOptions, title = ''): CallPlan {
  const { speech, talk, quiet } = options;
  const edits = new Map(options.edits.map((edit) => [edit.key, edit]));
  const passes = passesOf(timeline);
  const news = breakNews(passes, options);
  const kinds = kindTimesOf(passes);
  const all: Candidate[] = [];
  const breaks: { at: SessionTime; calls: Call[] }[] = [];
  const muted: Dropped[] = [];
  const mute = (key: string, kind: CallKind, say: string, opens: SessionTime): void => {
    muted.push({ key, kind, say, why: 'muted by you', opens });
  };
  const wanted = new Set(callKinds.filter((kind) => isSaid(kind, talk) && !quiet.includes(kind)));
  let trail: FocusTrail = new Map();
  let rounds = 0;
  let stood: Stood = { mirrored: false, stance: timeline.leaves[0]?.stance ?? 'orthodox' };
  let lastWork: Leaf | undefined;
  passes.forEach((pass, index) => {
    const [before, next] = [passes[index - 1], passes[index + 1]];
    const here = news.get(index) ?? noNews;
    if (pass.open) {
      const turns = next !== undefined && next.leaves[0]?.mirrored !== stood.mirrored;
      const words = breakWords(pass, before?.isRound === true, next, here, turns, options).flatMap((each) => {
        if (!wanted.has(each.kind)) return [];
        const edit = edits.get(each.key);
        if (edit?.muted) mute(each.key, each.kind, each.saying.say, pass.at);
        return edit?.muted ? [] : [edit?.say === undefined ? each : { ...each, saying: plain(edit.say) }];
      });
      breaks.push({ at: pass.at, calls: breakCalls(pass.at, words, speech) });
      return;
    }
    const begins = index === 0 ? overview(timeline, title, options) : null;
    const kind = kinds.get(pass);
    const place = { pass, before, next, news: here, stood, lastWork, rounds, kind, begins };
    const made = passCalls(place, trail, options);
    all.push(...made.candidates);
    trail = made.trail;
    if (pass.block === 'rest') return;
    if (pass.isRound) rounds += 1;
    const last = pass.leaves.at(-1);
    stood = last ?? stood;
    if (pass.isWork) lastWork = last;
  });
  const made = inSession(all, passes).filter(
    ({ kind, phrases: [full] }) => wanted.has(kind) && full?.say.trim() !== '',
  );
  const asEdited = (candidate: Candidate): Candidate[] => {
    const edit = edits.get(candidate.key);
    if (!edit?.muted) return [edited(candidate, edit, speech)];
    mute(candidate.key, candidate.kind, candidate.phrases[0]?.say ?? '', candidate.from);
    return [];
  };
  // Mostly nothing is edited, and there are hundreds of them.
  const candidates = edits.size === 0 ? made : made.flatMap(asEdited);
  return { candidates, muted, breaks, lead: leadCalls(passes[0], options) };
}
