import type { CallKind } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import type { Milliseconds, SessionTime } from '../units';
import { leastGap, longestForm, worthOfKind, shortWorth, type Call, type Candidate, type Phrase } from './call';
import { makerFor, type Maker } from './candidate';
import { passPlace } from './clock-calls';
import { leafWords, passName } from './leaf-words';
import type { CallOptions } from './options';
import { capital, plain, type Saying } from './saying';
import { sayCombination } from './say-combination';
import { phrases, worded, type Speech, type Words } from './speech';

/** What a rest is about: gloves to put on or off in it, and a bag that is another one than before. */
export interface RestNews {
  readonly gloves: 'on' | 'off' | null;
  readonly bag: string | null;
}

/** Nothing changes but the clock. */
export const noNews: RestNews = { gloves: null, bag: null };

/** The preview is said once more where it has been over for so long (house value). */
const againAfter: Milliseconds = 8000;
/** The first word of a rest waits for the bell's ring. */
const afterBell: Milliseconds = 1000;
const clearOfEnd: Milliseconds = 500;

/** What is done in a leaf, in a few words; a calls drill explains itself before it begins. */
function workOf(leaf: Leaf, speech: Speech): Saying {
  if (leaf.combination) return sayCombination(leaf.combination, speech);
  if (leaf.doing === 'unplanned' || (leaf.doing === 'free' && leaf.block === 'round')) return plain('free');
  if (leaf.words) return plain(leaf.words);
  const { full, short } = leafWords(leaf, speech);
  return leaf.doing === 'calls' ? full : (short ?? full);
}

/** What is followed by work, in full and short; null where nothing follows that has a name. */
export function preview(next: Pass | undefined, speech: Speech): Words | null {
  const leaf = next?.leaves[0];
  if (!leaf || !next.isWork) return null;
  const name = passName(leaf);
  const work = leaf.doing === 'free' && leaf.block !== 'round' ? null : workOf(leaf, speech);
  if (!work) return { full: worded(speech, 'next exercise', { exercise: name }).full };
  return worded(speech, 'next', { round: name, combination: work });
}

/** Something to be said in a rest, in the order that people can follow. */
export interface RestItem {
  readonly kind: CallKind;
  readonly words: Words;
}

/** What the coach calls a break: the words of its piece, else its title. */
const ownWords = ({ leaves: [leaf] }: Pass): string | null => leaf?.words || leaf?.title || null;

/** What should be said in a rest, in order. */
export function restItems(
  pass: Pass,
  next: Pass | undefined,
  news: RestNews = noNews,
  { speech, laneChanges, breathHeld }: CallOptions,
): RestItem[] {
  const own = ownWords(pass);
  const shown = preview(next, speech);
  const round = next?.leaves[0]?.round ?? -1;
  return [
    { kind: 'water', words: worded(speech, 'rest') },
    ...(own ? [{ kind: 'new' as const, words: { full: plain(own) } }] : []),
    ...(news.gloves ? [{ kind: 'gear' as const, words: worded(speech, `gloves ${news.gloves}`) }] : []),
    ...(laneChanges.has(round) ? [{ kind: 'lanes' as const, words: worded(speech, 'change lanes') }] : []),
    { kind: 'breathing', words: worded(speech, breathHeld ? 'breathing held' : 'breathing') },
    ...(news.bag ? [{ kind: 'bag' as const, words: worded(speech, 'bag', { bag: plain(news.bag) }) }] : []),
    ...(shown ? [{ kind: 'preview' as const, words: shown }] : []),
  ];
}

/** A choice of one form, or none, for each item, worth the most in the time there is: mostly all of it in full. */
function choose(
  forms: readonly (readonly Phrase[])[],
  worths: readonly number[],
  room: Milliseconds,
): (Phrase | null)[] {
  const full = forms.map(([whole]) => whole ?? null);
  if (full.reduce((sum, phrase) => sum + (phrase ? phrase.ms + leastGap : 0), 0) <= room) return full;
  let best: { readonly worth: number; readonly picks: (Phrase | null)[] } = { worth: -1, picks: forms.map(() => null) };
  const place = (at: number, left: Milliseconds, worth: number, picks: (Phrase | null)[]): void => {
    if (at === forms.length) {
      if (worth > best.worth) best = { worth, picks };
      return;
    }
    for (const phrase of forms[at] ?? []) {
      const takes = phrase.ms + leastGap;
      const own = (worths[at] ?? 0) * (phrase.form === 'full' ? 1 : shortWorth);
      if (takes <= left) place(at + 1, left - takes, worth + own, [...picks, phrase]);
    }
    place(at + 1, left, worth, [...picks, null]);
  };
  place(0, room, 0, []);
  return best.picks;
}

/** Windows one behind the other, so that whatever is said comes in order; what has no room keeps the whole rest, and is told. */
function inOrder(
  items: readonly RestItem[],
  from: SessionTime,
  until: SessionTime,
  make: Maker,
  speech: Speech,
): Candidate[] {
  const forms = items.map(({ words }) => phrases(words, speech));
  const picks = choose(
    forms,
    items.map(({ kind }) => worthOfKind(kind)),
    until - from + leastGap,
  );
  // Starts lie on a grid, so each may begin a little later than the last one ends.
  const takes = (at: number): Milliseconds =>
    picks[at] ? Math.ceil(((picks[at]?.ms ?? 0) + leastGap) / 100) * 100 : 0;
  const sum = (first: number, end: number): Milliseconds =>
    items.slice(first, end).reduce((total, _, at) => total + takes(first + at), 0);
  const spare = Math.max(0, until - from + leastGap - sum(0, items.length));
  return items.map(({ kind, words }, at) => {
    if (!picks[at]) return make.within(kind, from, from, words);
    const opens = from + sum(0, at);
    const made = make.within(kind, opens, Math.min(until, opens + takes(at) - leastGap + spare), words);
    return {
      ...made,
      phrases: made.phrases.filter((phrase) => phrase.form === picks[at]?.form || phrase.form === 'short'),
    };
  });
}

/**
 * What would be good to say in a rest, in the order that people can follow: rest and water, gloves, the change of lanes,
 * breathing, and last what comes next; once more in short before the count where there is time. The count is not among them.
 */
export function restCalls(
  pass: Pass,
  next: Pass | undefined,
  news: RestNews,
  counts: boolean,
  options: CallOptions,
): Candidate[] {
  const { speech, countFrom } = options;
  const make = makerFor(passPlace(pass), speech);
  const from = pass.at + afterBell;
  const until = pass.end - (counts ? countFrom * 1000 + clearOfEnd : clearOfEnd);
  const items = restItems(pass, next, news, options);
  const out = inOrder(items, from, until, make, speech);
  const shown = preview(next, speech);
  const last = out.at(-1);
  if (!shown || !last || last.kind !== 'preview') return out;
  const [again] = phrases({ full: capital(shown.short ?? shown.full) }, speech);
  const ends = last.from + longestForm(last);
  if (!again || until - again.ms - ends < againAfter) return out;
  // The first one is over by then, whatever it was moved by.
  const begin = until - again.ms - leastGap;
  return [
    ...out.slice(0, -1),
    { ...last, until: Math.min(last.until, begin - leastGap) },
    make.within('preview', begin, until, { full: again }),
  ];
}

/** Something said while the clock stands, by its key. */
export interface BreakWords {
  readonly key: string;
  readonly kind: CallKind;
  readonly saying: Saying;
  readonly sound?: Call['sound'];
}

/** What would be good to say in an open break, in order; `turns` tells that the class stands the other way round after it. */
export function breakWords(
  pass: Pass,
  afterRound: boolean,
  next: Pass | undefined,
  news: RestNews,
  turns: boolean,
  { speech, laneChanges }: CallOptions,
): BreakWords[] {
  const own = ownWords(pass);
  const round = next?.leaves[0]?.round ?? -1;
  const shown = preview(next, speech);
  const place = passPlace(pass);
  const word = (kind: CallKind, saying: Saying): BreakWords => ({ key: `${place} break ${kind}`, kind, saying });
  return [
    ...(afterRound ? [{ ...word('bell', plain('bell')), sound: 'end bell' as const }] : []),
    word('new', own ? plain(own) : worded(speech, 'open break').full),
    ...(news.gloves ? [word('gear', worded(speech, `gloves ${news.gloves}`).full)] : []),
    ...(laneChanges.has(round) ? [word('lanes', worded(speech, 'change lanes').full)] : []),
    ...(turns ? [word('stance', worded(speech, 'switch stance').full)] : []),
    ...(news.bag ? [word('bag', worded(speech, 'bag', { bag: plain(news.bag) }).full)] : []),
    ...(shown ? [word('preview', shown.full)] : []),
  ];
}
