import { studyOf } from '../mechanics/study-of';
import { numberWord } from '../number-words';
import { drillLeadMs } from '../progressions/call-drill';
import type { CallKind } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, SessionTime } from '../units';
import { bellMs, leastGap, type Candidate } from './call';
import { makerFor, type Maker } from './candidate';
import { differences, plainManner, type Manner } from './differences';
import { earlyMoves, leafWords, passName } from './leaf-words';
import type { CallOptions } from './options';
import { capital, joined, plain } from './saying';
import { sayCombination, sayTurns } from './say-combination';
import { worded, type Speech, type Words } from './speech';
import { strikeCalls } from './strikes';

/** A new combination is still worth naming for this long after it began (house value). */
const newFor: Milliseconds = 8000;
/**
 * Work that goes on is named again after so long, or after twelve repetitions where that comes first, but not more often
 * than the least; it may come so much earlier or later, and not shortly before its end (house values).
 */
const againEvery: Milliseconds = 50_000;
const againLeast: Milliseconds = 20_000;
const againAfterRepetitions = 12;
const againSlack = 0.1;
const againBeforeEnd: Milliseconds = 12_000;
/** A change of effort or manner is worth saying for this long (house value). */
const mannerFor: Milliseconds = 8000;
/** A stage this long is reminded of its early part (house value). */
const longStage: Milliseconds = 15_000;
/** The coach's own call may be this late (house value). */
const ownSlack: Milliseconds = 4000;
/** Turns are said one after the other where that takes no longer than this many repetitions (trade page). */
const turnsWithin = 2;

/** The name of a leaf that stays when its time changes. */
export function leafPlace(leaf: Leaf): string {
  const { blockId, pieceId, round, stage, half } = leaf;
  return `${blockId}/${pieceId ?? ''}/${round ?? ''}/${stage?.number ?? ''}/${half}`;
}

/** What a leaf is compared with. */
export interface Context {
  /** The work directly before it in the same pass. */
  readonly before: Leaf | undefined;
  /** The work before it wherever it stood, rests passed over. */
  readonly lastWork: Leaf | undefined;
  /** When what is done was last named as new. */
  readonly since: SessionTime;
  /** A bell rings as it begins: it goes before the first word. */
  readonly rings: boolean;
}

/** Whether a leaf goes on with what was done before it. */
export function sameWork(leaf: Leaf, before: Leaf | undefined): boolean {
  return (
    before?.blockId === leaf.blockId &&
    before.round === leaf.round &&
    before.doing === leaf.doing &&
    leaf.doing === 'combination' &&
    leaf.combination !== null &&
    before.combination === leaf.combination
  );
}

/** Work that names itself when it begins. */
const isNamed = ({ doing }: Leaf): boolean => doing !== 'unplanned' && doing !== 'change-over' && doing !== 'pause';

/** How a leaf's manner is compared: with the piece before it, or, at the beginning of a pass, with work where nothing is said. */
function mannerBefore(leaf: Leaf, { before, lastWork }: Context): Manner {
  if (before && before.doing !== 'pause') return before;
  // A round is compared with the round before it, too: what is usual again is said once.
  if (!lastWork || lastWork.block !== leaf.block) return plainManner;
  const plainAgain = (key: 'effort' | 'focus' | 'power' | 'nonStop'): boolean => leaf[key] === plainManner[key];
  return {
    effort: plainAgain('effort') ? lastWork.effort : plainManner.effort,
    focus: plainAgain('focus') ? lastWork.focus : plainManner.focus,
    power: plainAgain('power') ? lastWork.power : plainManner.power,
    nonStop: plainAgain('nonStop') ? lastWork.nonStop : plainManner.nonStop,
    between: plainManner.between,
  };
}

/** Length of one repetition of a leaf, breath left out; null where nothing is repeated. */
function repetitionOf(leaf: Leaf): Milliseconds | null {
  if (!leaf.combination) return null;
  const { ms } = studyOf(leaf.combination, 'orthodox', leaf.nonStop, leaf.otherStance);
  return ms > 0 ? ms / leaf.pace : null;
}

/** Where moves take turns and all of them take too long to say: the first now, each other one when its turn comes. */
function turnByTurn(leaf: Leaf, make: Maker, speech: Speech, first: Candidate): Candidate[] {
  const turns = leaf.combination ? sayTurns(leaf.combination, speech) : [];
  const [full] = first.phrases;
  if (turns.length < 2 || !full) return [first];
  const repetition = repetitionOf(leaf);
  if (repetition === null) return [first];
  const cycle = repetition + leaf.gapMs;
  if (full.ms <= turnsWithin * cycle) return [first];
  const [now, ...later] = turns;
  if (!now) return [first];
  const named = leaf.words ? joined([plain(leaf.words), now], ', ') : capital(now);
  const { key } = first;
  const opening = { ...make.within('new', first.from, first.until, { full: named, short: now }), key };
  const rest = later.flatMap((combination, at): Candidate[] => {
    const begin = leaf.at + (at + 1) * cycle - Math.min(leaf.gapMs, 1500);
    const words = worded(speech, 'turn', { combination });
    return begin + cycle <= leaf.at + leaf.ms ? [make.within('new', begin, begin + cycle, words)] : [];
  });
  return [opening, ...rest];
}

/** What is said when a leaf begins, where it is not what was done before; the block's name first, where it has none yet. */
function beginning(leaf: Leaf, { before }: Context, make: Maker, options: CallOptions): Candidate[] {
  const { speech } = options;
  if (!isNamed(leaf)) return [];
  if (sameWork(leaf, before)) {
    if (leaf.words === before?.words) return [];
    // Where a label ends, what goes on without it is named.
    if (!leaf.words)
      return [make.withRoom('new', leaf.at, leaf.at + newFor, leaf.at + leaf.ms, leafWords(leaf, speech))];
    return [make.within('new', leaf.at, leaf.at + newFor, { full: plain(`${leaf.words}.`) })];
  }
  const own = leafWords(leaf, speech);
  const opens = before === undefined && leaf.block !== 'round' && leaf.block !== 'show';
  const named: Words =
    opens && (leaf.words || leaf.combination || leaf.title)
      ? worded(speech, 'block begins', { block: passName(leaf, options), exercise: own.full })
      : own;
  const [firstCall] = leaf.drillCalls;
  const lead = Math.min(drillLeadMs, (firstCall?.at ?? Infinity) - leastGap, leaf.ms);
  // Before a drill's first call there is only its lead; anything else may begin a little later where it takes long.
  const made =
    leaf.doing === 'calls'
      ? make.within('new', leaf.at, leaf.at + lead, named)
      : make.withRoom('new', leaf.at, leaf.at + newFor, leaf.at + leaf.ms, named);
  return turnByTurn(leaf, make, speech, made);
}

/** A combination that goes on for long is named again, for people who join late or forget. */
export function namedAgain(leaf: Leaf, { since }: Context, make: Maker, speech: Speech): Candidate[] {
  const { combination, voice } = leaf;
  const repetition = repetitionOf(leaf);
  if (!combination || repetition === null || voice === 'strikes' || combination.items[0]?.kind === 'freestyle')
    return [];
  const every = Math.max(againLeast, Math.min(againEvery, againAfterRepetitions * (repetition + leaf.gapMs)));
  const words: Words = { full: capital(sayCombination(combination, speech)) };
  const length = speech.lengthOf(words.full);
  const end = leaf.at + leaf.ms - againBeforeEnd;
  const out: Candidate[] = [];
  for (let at = since + every; at + length <= end; at += every)
    if (at >= leaf.at + every / 2) {
      const until = Math.min(end, at + againSlack * every + length);
      out.push(make.within('again', at - againSlack * every, until, words));
    }
  return out;
}

/** The coach's own calls of a leaf, which are said wherever they stand. */
export function ownCalls(leaf: Leaf, make: Maker): Candidate[] {
  return leaf.says.map(({ at, words }) => {
    const from = leaf.at + at;
    return make.withRoom('own', from, from + ownSlack, leaf.at + leaf.ms, { full: plain(words) });
  });
}

/** Calls inside a leaf: of its drill at their moment, and of the coach's own. */
function innerCalls(leaf: Leaf, make: Maker): Candidate[] {
  const drill = leaf.drillCalls.map(({ at, say, punches }) => {
    const word = numberWord(punches);
    const words = say === 'go' || say === word ? plain(say) : joined([plain(say), plain(word)], ', ');
    return make.exactly('drill', leaf.at + at, words);
  });
  return [...drill, ...ownCalls(leaf, make)];
}

/** Everything that would be good to say in a leaf of work. */
export function leafCalls(leaf: Leaf, context: Context, options: CallOptions): Candidate[] {
  const { speech } = options;
  const make = makerFor(leafPlace(leaf), speech);
  const bell = context.rings ? bellMs + leastGap : 0;
  const due = leaf.at + bell;
  const out = beginning(leaf, context, make, options).map((each, at) => (at === 0 ? { ...each, due } : each));
  const within = (kind: CallKind, from: Milliseconds, until: Milliseconds, words: Words): void => {
    out.push(make.withRoom(kind, leaf.at + from, leaf.at + until, leaf.at + leaf.ms, words));
  };
  // How it is done is said behind what is done.
  const opening = out[0]?.phrases[0];
  let after = opening ? opening.ms + leastGap : 0;
  if (isNamed(leaf))
    for (const { kind, words } of differences(leaf, mannerBefore(leaf, context), speech)) {
      const begin = Math.min(after, Math.max(0, leaf.ms - mannerFor));
      out.push({
        ...make.withRoom(kind, leaf.at + begin, leaf.at + begin + mannerFor, leaf.at + leaf.ms, words),
        due: due + begin,
      });
      after += speech.lengthOf(words.full) + leastGap;
    }
  if (leaf.doing === 'pause' && leaf.words) within('preview', 0, leaf.ms - 1000, leafWords(leaf, speech));
  out.push(...innerCalls(leaf, make), ...strikeCalls(leaf, make, speech), ...namedAgain(leaf, context, make, speech));
  const early = earlyMoves(leaf);
  if (early && leaf.ms >= longStage)
    within('reminder', leaf.ms * 0.4, leaf.ms * 0.8, worded(speech, 'keep', { moves: sayCombination(early, speech) }));
  return out;
}
