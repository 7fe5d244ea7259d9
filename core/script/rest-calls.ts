import type { CallKind } from '../sheet/call-kinds';
import type { Leaf, Timeline } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import type { Milliseconds, SessionTime } from '../units';
import { bellMs, leastGap, longestForm, worthOfKind, shareOf, type Call, type Candidate, type Phrase } from './call';
import { makerFor, type Maker } from './candidate';
import { blockEnd, passPlace } from './clock-calls';
import { leafPlace, ownCalls } from './leaf-calls';
import { leafWords, passName } from './leaf-words';
import type { CallOptions } from './options';
import { numberWord } from '../number-words';
import { capital, joined, plain, type Saying } from './saying';
import { sayCombination } from './say-combination';
import { startGrid } from './solve';
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
/** The first word of a rest waits until the bell has rung. */
const afterBell: Milliseconds = bellMs + leastGap;
const clearOfEnd: Milliseconds = 500;

/** What is done in a leaf, in a few words; a calls drill explains itself before it begins. */
function workOf(leaf: Leaf, speech: Speech): Saying {
  if (leaf.combination) return sayCombination(leaf.combination, speech);
  if (leaf.doing === 'unplanned' || (leaf.doing === 'free' && leaf.block === 'round')) return plain('free');
  const { long, full, short } = leafWords(leaf, speech);
  if (leaf.doing === 'calls') return long ?? full;
  return leaf.words ? plain(leaf.words) : (short ?? full);
}

/** Parts of a round that are named before it, and how long that may take (house values). */
const mostParts = 4;
const longestOutline: Milliseconds = 12_000;

/** A part of a round in a few words: a build by what it comes to, what is done all out as that. */
export function partWords(leaves: readonly Leaf[], speech: Speech): Saying | null {
  const [first, last] = [leaves[0], leaves.at(-1)];
  if (!first || !last || first.doing === 'pause' || first.doing === 'change-over' || first.doing === 'unplanned')
    return null;
  const work = workOf(last, speech);
  if (last.stage && leaves.length > 1) return joined([plain('build up to'), work], ' ');
  return last.effort === 'all-out' ? joined([plain('all out'), work], ', ') : work;
}

/** The whole of a round that comes, part by part: `first one, two, then two, three, then build up to one, two, three`. Null where it is one part, or too long. */
function outline({ leaves, isRound }: Pass, speech: Speech): Saying | null {
  const pieces = new Map<string, Leaf[]>();
  for (const leaf of leaves) pieces.set(leaf.pieceId ?? '', [...(pieces.get(leaf.pieceId ?? '') ?? []), leaf]);
  const parts = [...pieces.values()].flatMap((each) => partWords(each, speech) ?? []);
  if (!isRound || parts.length > mostParts) return null;
  const [only, ...more] = parts;
  if (!only) return null;
  if (more.length === 0) return leaves.some(({ stage }) => stage) ? only : null;
  const told = [joined([plain('first'), only], ' '), ...more.map((each) => joined([plain('then'), each], ' '))];
  const whole = joined(told, ', ');
  return phrases({ full: whole }, speech).every(({ ms }) => ms <= longestOutline) ? whole : null;
}

/** A length of whole or half minutes as it is said; null for any other. `three minutes`, `one and a half minutes` */
function minutesWords(ms: Milliseconds): string | null {
  const halves = ms / 30_000;
  if (!Number.isInteger(halves) || halves < 2) return null;
  const whole = numberWord(Math.floor(halves / 2));
  if (halves === 2) return 'one minute';
  return halves % 2 === 0 ? `${whole} minutes` : `${whole} and a half minutes`;
}

/** What a session is, at its beginning: how long, how many rounds, its title. Null where it has no rounds to speak of. */
export function overview({ ms, rounds }: Timeline, title: string, { speech }: CallOptions): Words | null {
  const minutes = Math.round(ms / 60_000);
  if (rounds < 2 || minutes < 2) return null;
  const said = worded(speech, 'overview', {
    minutes: capital(plain(`${numberWord(minutes)} minutes`)),
    rounds: plain(`${numberWord(rounds)} rounds`),
    title: plain(title),
  });
  return title === '' ? { full: said.short ?? said.full } : said;
}

/** What is followed by work: at length part by part, in full, and in short; null where nothing follows that has a name. */
export function preview(next: Pass | undefined, options: CallOptions): Words | null {
  const { speech } = options;
  const leaf = next?.leaves[0];
  if (!leaf || !next.isWork) return null;
  const named = passName(leaf, options);
  const length = leaf.round === 1 ? minutesWords(next.end - next.at) : null;
  const name = length === null ? named : joined([named, plain(length)], ', ');
  const work = leaf.doing === 'free' && leaf.block !== 'round' ? null : workOf(leaf, speech);
  if (!work) return { full: worded(speech, 'next exercise', { exercise: name }).full };
  const words = worded(speech, 'next', { round: name, combination: work });
  const parts = outline(next, speech);
  return parts ? { long: worded(speech, 'next', { round: name, combination: parts }).full, ...words } : words;
}

/** Named before a round that follows work or a demo without a rest: not before this, and in this time where it is a round (house values). */
const beforeRound: Milliseconds = 25_000;
const betweenRounds: Milliseconds = 9000;

/** Time that a demo leaves for what follows it. */
export function previewTime(next: Pass, options: CallOptions): Milliseconds {
  const shown = preview(next, options);
  return shown ? (phrases({ full: shown.full }, options.speech)[0]?.ms ?? 0) + leastGap : 0;
}

/** What is said of the next round where no rest does. */
export function previewInWork(pass: Pass, next: Pass | undefined, options: CallOptions): Candidate[] {
  const shown = next?.isRound === true && pass.block !== 'rest' ? preview(next, options) : null;
  if (!shown) return [];
  const until = pass.end - options.countFrom * 1000 - clearOfEnd;
  const from = Math.max(pass.at, pass.end - (pass.isRound ? betweenRounds : beforeRound));
  return [makerFor(`${passPlace(pass)} next`, options.speech).within('preview', from, until, shown)];
}

/** Something to be said in a rest, in the order that people can follow. */
export interface RestItem {
  readonly kind: CallKind;
  readonly words: Words;
}

/** What the coach calls a break: the words of its piece, else its title. */
const ownWords = ({ leaves: [leaf] }: Pass): string | null => leaf?.words || leaf?.title || null;

/** Whether the coach has words of their own for how to breathe in a rest: ours would talk over them. */
const saysBreathing = ({ leaves }: Pass): boolean =>
  leaves.some(({ words, title, says }) =>
    [words ?? '', title ?? '', ...says.map((each) => each.words)].some((each) =>
      /\b(breath|inhale|exhale)/i.test(each),
    ),
  );

/** What the coach says in a rest at moments of its own: calls, and every piece behind the first. */
function ownInRest(pass: Pass, speech: Speech): Candidate[] {
  return pass.leaves.flatMap((leaf, at) => {
    const make = makerFor(leafPlace(leaf), speech);
    const named =
      at > 0 && leaf.words
        ? [make.withRoom('own', leaf.at, leaf.at + leaf.ms, pass.end, { full: plain(leaf.words) })]
        : [];
    return [...named, ...ownCalls(leaf, make)];
  });
}

/** What should be said in a rest, in order. */
export function restItems(
  pass: Pass,
  next: Pass | undefined,
  news: RestNews = noNews,
  options: CallOptions,
): RestItem[] {
  const { speech, laneChanges, breathHeld } = options;
  const own = ownWords(pass);
  const shown = preview(next, options);
  const round = next?.leaves[0]?.round ?? -1;
  return [
    { kind: 'water', words: worded(speech, 'rest') },
    ...(own ? [{ kind: 'own' as const, words: { full: plain(own) } }] : []),
    ...(news.gloves ? [{ kind: 'gear' as const, words: worded(speech, `gloves ${news.gloves}`) }] : []),
    ...(laneChanges.has(round) ? [{ kind: 'lanes' as const, words: worded(speech, 'change lanes') }] : []),
    ...(saysBreathing(pass)
      ? []
      : [{ kind: 'breathing' as const, words: worded(speech, breathHeld ? 'breathing held' : 'breathing') }]),
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
    const ways = forms[at] ?? [];
    ways.forEach((phrase, form) => {
      const takes = phrase.ms + leastGap;
      const own = (worths[at] ?? 0) * shareOf(form, ways.length);
      if (takes <= left) place(at + 1, left - takes, worth + own, [...picks, phrase]);
    });
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
      phrases: made.phrases.filter(({ ms }) => ms <= (picks[at]?.ms ?? 0)),
    };
  });
}

/** Time of the words that a block of work ends with, where no bell does. */
function saidFirst(before: Pass, options: CallOptions): Milliseconds {
  const ends = options.blockClock === 'all' ? longestForm(blockEnd(before, options)) : 0;
  return Math.max(afterBell, Math.ceil((ends + leastGap) / startGrid) * startGrid);
}

/**
 * What would be good to say in a rest, in the order that people can follow: rest and water, gloves, the change of lanes,
 * breathing, and last what comes next; once more in short before the count where there is time. The count is not among them.
 */
export function restCalls(
  pass: Pass,
  before: Pass | undefined,
  next: Pass | undefined,
  news: RestNews,
  counts: boolean,
  options: CallOptions,
): Candidate[] {
  const { speech, countFrom } = options;
  const make = makerFor(passPlace(pass), speech);
  // Between two blocks of a kind it is not said that the kind is done.
  const endsKind = before?.isWork && !before.isRound && before.block !== next?.block;
  const from = pass.at + (endsKind ? saidFirst(before, options) : afterBell);
  const until = pass.end - (counts ? countFrom * 1000 + clearOfEnd : clearOfEnd);
  const items = restItems(pass, next, news, options);
  const out = [...inOrder(items, from, until, make, speech)];
  const own = ownInRest(pass, speech);
  const shown = preview(next, options);
  const last = out.at(-1);
  if (!shown || !last || last.kind !== 'preview') return [...out, ...own];
  const [again] = phrases({ full: capital(shown.short ?? shown.full) }, speech);
  const ends = last.from + longestForm(last);
  if (!again || until - again.ms - ends < againAfter) return [...out, ...own];
  // The first one is over by then, whatever it was moved by.
  const begin = until - again.ms - leastGap;
  return [
    ...out.slice(0, -1),
    { ...last, until: Math.min(last.until, begin - leastGap) },
    make.within('preview', begin, until, { full: again }),
    ...own,
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
  options: CallOptions,
): BreakWords[] {
  const { speech, laneChanges } = options;
  const [first] = pass.leaves;
  const own = [
    ...pass.leaves.flatMap(({ words }) => words || []),
    ...pass.leaves.flatMap(({ says }) => says.map(({ words }) => words)),
  ];
  const named = own.length === 0 && first?.title ? [first.title] : own;
  const round = next?.leaves[0]?.round ?? -1;
  const shown = preview(next, options);
  const place = passPlace(pass);
  const word = (kind: CallKind, saying: Saying): BreakWords => ({ key: `${place} break ${kind}`, kind, saying });
  return [
    ...(afterRound ? [{ ...word('bell', plain('bell')), sound: 'end bell' as const }] : []),
    ...(named.length > 0
      ? named.map((words, at): BreakWords => {
          const { key, ...rest } = word('own', plain(words));
          return { key: at === 0 ? key : `${key} ${at + 1}`, ...rest };
        })
      : [word('new', worded(speech, 'open break').full)]),
    ...(news.gloves ? [word('gear', worded(speech, `gloves ${news.gloves}`).full)] : []),
    ...(laneChanges.has(round) ? [word('lanes', worded(speech, 'change lanes').full)] : []),
    ...(turns ? [word('stance', worded(speech, 'switch stance').full)] : []),
    ...(news.bag ? [word('bag', worded(speech, 'bag', { bag: plain(news.bag) }).full)] : []),
    ...(shown ? [word('preview', shown.full)] : []),
  ];
}
