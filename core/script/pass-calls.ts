import type { Leaf } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import type { Milliseconds, SessionTime } from '../units';
import { bellMs, byWindow, leastGap, type Candidate } from './call';
import { makerFor } from './candidate';
import {
  blockClock,
  blockEnd,
  countOut,
  endBell,
  leadOuts,
  passPlace,
  roundClock,
  sessionEnd,
  type KindTime,
} from './clock-calls';
import type { FocusTrail } from './focus';
import { focusCalls } from './focus-calls';
import { intervalsOf } from './intervals';
import { leafCalls, leafPlace, namedAgain, ownCalls, sameWork } from './leaf-calls';
import type { CallOptions } from './options';
import { partWords, previewInWork, previewTime, restCalls, type RestNews } from './rest-calls';
import { plain } from './saying';
import { showCalls } from './show-calls';
import { worded, type Words } from './speech';

/** Lead time of a stance change (house value). */
const stanceLead: Milliseconds = 8000;

/** The session is outlined within so long of its beginning (house value). */
const overviewFor: Milliseconds = 30_000;

/** Beginners hear which hand is one and which is two, before the first round. */
function whichHand(pass: Pass, { speech }: CallOptions): Candidate {
  const make = makerFor(`${passPlace(pass)} hands`, speech);
  return make.within('preview', pass.at + overviewFor, pass.at + 2 * overviewFor, worded(speech, 'which hand'));
}

/** How the class stood when it last worked; in a rest it only waits. */
export type Stood = Pick<Leaf, 'mirrored' | 'stance'>;

/** The call before a change of stance, ended by the time it happens. */
function stanceCall(
  leaf: Leaf,
  stood: Stood,
  from: SessionTime,
  beforeBell: boolean,
  options: CallOptions,
): Candidate[] {
  const { speech, countFrom } = options;
  const square = leaf.stance === 'square';
  const wasSquare = stood.stance === 'square';
  const turns = leaf.mirrored !== stood.mirrored || leaf.doing === 'change-over';
  if (!turns && square === wasSquare) return [];
  const key = square ? 'stand square' : wasSquare && !leaf.mirrored ? 'natural stance' : 'switch stance';
  const until = leaf.at - (beforeBell ? countFrom * 1000 + 500 : 0);
  const begin = Math.min(until, Math.max(from, until - stanceLead));
  return [makerFor(`${leafPlace(leaf)} before`, speech).within('stance', begin, until, worded(speech, key))];
}

/** A pass with all that its calls depend on beside the options. */
export interface PassPlace {
  readonly pass: Pass;
  readonly before: Pass | undefined;
  readonly next: Pass | undefined;
  readonly news: RestNews;
  readonly stood: Stood;
  /** The work before it wherever it stood, rests passed over. */
  readonly lastWork: Leaf | undefined;
  /** Rounds before it. */
  readonly rounds: number;
  /** The time of all work of its kind; undefined for rounds, rests and demos. */
  readonly kind: KindTime | undefined;
  /** What the whole session is, where it begins with this pass. */
  readonly begins: Words | null;
}

/** What would be good to say in a pass, in order, and which focuses have been wished for by its end. */
export interface PassCalls {
  readonly candidates: readonly Candidate[];
  readonly trail: FocusTrail;
}

/** Everything that would be good to say in one pass of work. */
function workCalls({ pass, next, kind, ...place }: PassPlace, trail: FocusTrail, options: CallOptions): Candidate[] {
  const rounds = pass.isRound ? place.rounds + 1 : place.rounds;
  const make = makerFor(passPlace(pass), options.speech);
  const out = pass.isRound ? roundClock(pass, make, rounds, options) : blockClock(pass, kind, make, options);
  out.push(...countOut(pass, next, make, options), ...leadOuts(pass, make, options));
  if (pass.isRound) out.push(...focusCalls(pass, trail, options));
  // One bell serves both rounds; before an open break it stands among what is said there.
  if (pass.isRound && next?.isRound !== true && next?.open !== true) out.push(endBell(pass, options));
  const isLast = kind?.end === pass.end;
  if (!pass.isRound && isLast && next && !next.isRound && !next.open && options.blockClock === 'all')
    out.push(blockEnd(pass, options));
  if (!next) out.push(sessionEnd(pass, options));
  return out;
}

/** What is said of gloves and bag where work has to tell it itself. */
function newsCalls({ pass, news }: PassPlace, { speech }: CallOptions): Candidate[] {
  const [first] = pass.leaves;
  if (!first) return [];
  const out: Candidate[] = [];
  if (news.gloves) {
    const until = pass.isWork ? first.at + 8000 : pass.end - 1000;
    const words = worded(speech, `gloves ${news.gloves}`);
    out.push(makerFor(`${leafPlace(first)} gear`, speech).within('gear', first.at, until, words));
  }
  if (news.bag) {
    const words = worded(speech, 'bag', { bag: plain(news.bag) });
    out.push(makerFor(`${leafPlace(first)} bag`, speech).within('bag', first.at, first.at + 8000, words));
  }
  return out;
}

/** Hitter and holder swap at half of a piece that takes at least so long, within so long (house values). */
const swapFrom: Milliseconds = 16_000;
const swapFor: Milliseconds = 4000;

/** When hitters and holders swap: once in each piece, whatever stages it has. */
function swaps({ leaves, isRound }: Pass, { onPads, speech }: CallOptions): Candidate[] {
  if (!onPads || !isRound) return [];
  const pieces = new Map<string, Leaf[]>();
  for (const leaf of leaves)
    if (leaf.combination) pieces.set(leaf.pieceId ?? '', [...(pieces.get(leaf.pieceId ?? '') ?? []), leaf]);
  return [...pieces.values()].flatMap((piece): Candidate[] => {
    const [first, last] = [piece[0], piece.at(-1)];
    if (!first || !last || last.at + last.ms - first.at < swapFrom) return [];
    const half = (first.at + last.at + last.ms) / 2;
    const words = worded(speech, 'change holders');
    return [makerFor(`${leafPlace(first)} swap`, speech).within('lanes', half, half + swapFor, words)];
  });
}

/** The next piece is named in the last seconds of an easy one, before the countdown (house values). */
const beforeHardFrom: Milliseconds = 10_000;
const beforeHardUntil: Milliseconds = 3500;

/** In an easy piece between hard ones, the hard one that follows is named before it begins. */
function nextHard(pass: Pass, { speech }: CallOptions): Candidate[] {
  return intervalsOf(pass).beforeHard.flatMap(({ easy, hard }): Candidate[] => {
    const exercise = partWords([hard], speech);
    if (!exercise || easy.ms < beforeHardFrom) return [];
    const make = makerFor(`${leafPlace(hard)} next`, speech);
    const { short } = worded(speech, 'next', { round: plain(''), combination: exercise });
    const words = short ? { full: short } : worded(speech, 'next exercise', { exercise });
    return [make.within('preview', hard.at - beforeHardFrom, hard.at - beforeHardUntil, words)];
  });
}

/** What is said in the leaves of a pass, and before a change of stance. */
function leavesCalls({ pass, before, next, stood, lastWork }: PassPlace, options: CallOptions): Candidate[] {
  let [stands, worked] = [stood, lastWork];
  let since = pass.at;
  return pass.leaves.flatMap((leaf, at): Candidate[] => {
    const inPass = pass.leaves[at - 1];
    const last = inPass ?? before?.leaves.at(-1);
    const out: Candidate[] = [];
    if (!sameWork(leaf, inPass) || leaf.words !== inPass?.words) since = leaf.at;
    if (pass.block === 'show' && leaf.combination) {
      // A demo leaves room for what follows it, and for the count; the bell of a round before it goes before its first word.
      const ends = at === pass.leaves.length - 1;
      const counted = next?.isRound === true && ends ? options.countFrom * 1000 + 500 + previewTime(next, options) : 0;
      const bell = before?.isRound === true && at === 0 ? bellMs + leastGap : 0;
      out.push(
        ...showCalls(leaf, leaf.at + bell, leaf.at + leaf.ms - counted, options),
        ...ownCalls(leaf, makerFor(leafPlace(leaf), options.speech)),
      );
    } else {
      const rings = at === 0 && (pass.isRound || before?.isRound === true);
      const context = { before: inPass, lastWork: worked, since, rings };
      if (leaf.goesOn)
        out.push(...namedAgain(leaf, context, makerFor(leafPlace(leaf), options.speech), options.speech));
      else out.push(...leafCalls(leaf, context, options));
    }
    // Before what follows an open break it is said in the break.
    if (last && !last.open && last.doing !== 'change-over')
      out.push(...stanceCall(leaf, stands, last.at, at === 0 && pass.isRound, options));
    stands = leaf;
    if (pass.isWork) worked = leaf;
    return out;
  });
}

function workedOut(place: PassPlace, trail: FocusTrail, options: CallOptions): Candidate[] {
  const { pass, next, news, begins } = place;
  const told = pass.isWork
    ? workCalls(place, trail, options)
    : countOut(pass, next, makerFor(passPlace(pass), options.speech), options);
  if (pass.block === 'rest') return [...restCalls(pass, place.before, next, news, told.length > 0, options), ...told];
  return [
    ...told,
    ...(begins && !pass.isRound
      ? [
          makerFor(`${passPlace(pass)} overview`, options.speech).within(
            'preview',
            pass.at,
            pass.at + overviewFor,
            begins,
          ),
        ]
      : []),
    ...(begins && !pass.isRound && options.level === 'beginner' && options.speech.strikesAs === 'numbers'
      ? [whichHand(pass, options)]
      : []),
    ...swaps(pass, options),
    ...nextHard(pass, options),
    ...newsCalls(place, options),
    ...leavesCalls(place, options),
    ...previewInWork(pass, next, options),
  ];
}

function sameTrail(a: FocusTrail, b: FocusTrail): boolean {
  return a === b || (a.size === b.size && [...a].every(([words, at]) => b.get(words) === at));
}

interface Remembered {
  readonly by: readonly unknown[];
  readonly trail: FocusTrail;
  readonly made: PassCalls;
}

const remembered = new WeakMap<Pass, Remembered>();

/**
 * Everything that would be good to say in one pass that is no open break. Worked out once for a pass in its place: the very
 * same pass with the same before and after it, by the same options, has the very same candidates.
 * @example passCalls(place, new Map(), options).candidates[0].kind // "bell"
 */
export function passCalls(place: PassPlace, trail: FocusTrail, options: CallOptions): PassCalls {
  const { pass, before, next, news, stood, lastWork, rounds, kind, begins } = place;
  const by = [
    options,
    before,
    next,
    news.gloves,
    news.bag,
    stood.mirrored,
    stood.stance,
    lastWork,
    rounds,
    kind?.half,
    kind?.end,
    kind?.ms,
    begins?.full.say,
  ];
  const known = remembered.get(pass);
  if (known?.by.every((each, at) => each === by[at]) && sameTrail(known.trail, trail)) return known.made;
  const after: FocusTrail = new Map(trail);
  // In order, so that a whole session is nearly so, and quick to put in order, when one pass has changed.
  const made = { candidates: workedOut(place, after, options).sort(byWindow), trail: after };
  remembered.set(pass, { by, trail, made });
  return made;
}
