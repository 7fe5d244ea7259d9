import { onsets } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import type { Combination } from '../notation/combination';
import type { Leaf } from '../session/compile';
import { sayEffort } from '../session/effort';
import type { Milliseconds } from '../units';
import { leastGap, type Candidate, type Part, type Phrase } from './call';
import { makerFor, type Maker } from './candidate';
import type { CallKind } from './kinds';
import type { CallOptions } from './options';
import type { Wording } from './phrasebook';
import { callFor, earlyMoves, innerCalls } from './say';
import { sayCombination, sayStrikes } from './say-combination';
import { worded, type Speech } from './speech';

/** A new combination is still worth naming for this long after it began (house value). */
const newFor: Milliseconds = 8000;
/** A change of effort, and one of hitter and holder, is worth saying for this long (house values). */
const effortFor: Milliseconds = 5000;
const holdersFor: Milliseconds = 4000;
/** A stage this long is reminded of its early part (house value). */
const longStage: Milliseconds = 15_000;
/** The coach's own call may be this late (house value). */
const ownSlack: Milliseconds = 4000;

/** What takes long to say may at least begin so much later (house value). */
const longSlack: Milliseconds = 2500;

/** The name of a leaf that stays when its time changes. */
export function leafPlace(leaf: Leaf): string {
  const { blockId, pieceId, round, stage, half } = leaf;
  return [blockId, pieceId ?? '', round ?? '', stage?.number ?? '', half].join('/');
}

/** Repetitions with less than the least gap between them are called in lines about this long (house value). */
const lineMs: Milliseconds = 4000;
/** What is left of a word has to last this long to be heard (house value; the shortest clip of a number is 0.25 s). */
const shortestWord: Milliseconds = 120;

/** A repetition with its words, from the leaf's beginning. */
interface Called {
  readonly at: Milliseconds;
  readonly end: Milliseconds;
  readonly parts: readonly Part[];
}

/** The whole repetitions of a leaf, each strike on the combination's own time. */
function calledRepetitions(leaf: Leaf, combination: Combination, speech: Speech): Called[] {
  const { turns } = studyOf(combination, 'orthodox', leaf.nonStop, leaf.otherStance);
  const out: Called[] = [];
  let at = 0;
  for (let turn = 0; at < leaf.ms; turn += 1) {
    const repetition = turns[turn % turns.length];
    if (!repetition || repetition.ms === 0) break;
    const end = at + repetition.ms / leaf.pace;
    if (end > leaf.ms + 1) break;
    const words = sayStrikes(combination, turn % turns.length, speech);
    const begin = at;
    const parts = onsets(repetition).map((onset, index) => ({
      at: begin + onset / leaf.pace,
      say: words[index] ?? '',
    }));
    out.push({ at, end, parts });
    at = end + leaf.gapMs;
  }
  return out;
}

/** Repetitions in lines: each its own where there is a breath between them, else as many as make a line. */
function linesOf(repetitions: readonly Called[], gapMs: Milliseconds): Called[][] {
  if (gapMs >= leastGap) return repetitions.map((each) => [each]);
  const lines: Called[][] = [];
  for (const repetition of repetitions) {
    const line = lines.at(-1);
    if (line && repetition.end - (line[0]?.at ?? 0) <= lineMs) line.push(repetition);
    else lines.push([repetition]);
  }
  return lines;
}

/**
 * Each strike called on the combination's own time grid. What is said for a step stops where the next one begins; a line
 * stops early enough for the least gap before the next one, so non-stop work has a silent strike now and then.
 */
function strikeCalls(leaf: Leaf, make: Maker, speech: Speech): Candidate[] {
  if (leaf.voice !== 'strikes' || !leaf.combination) return [];
  return linesOf(calledRepetitions(leaf, leaf.combination, speech), leaf.gapMs).map((line) => {
    const begin = Math.round(line[0]?.at ?? 0);
    const end = Math.floor((line.at(-1)?.end ?? 0) - Math.max(0, leastGap - leaf.gapMs));
    const parts = line
      .flatMap((repetition) => repetition.parts)
      .filter(({ at }) => end - at >= shortestWord)
      .map(({ at, say }): Part => ({ at: Math.round(at) - begin, say }));
    const phrase: Phrase = { form: 'full', say: parts.map(({ say }) => say).join(', '), ms: end - begin, parts };
    return make.phrased('strikes', leaf.at + begin, phrase);
  });
}

/** Everything that would be good to say in a leaf, with what was done before it. */
export function leafCalls(leaf: Leaf, before: Leaf | undefined, options: CallOptions): Candidate[] {
  const { speech } = options;
  const make = makerFor(leafPlace(leaf), speech);
  const out: Candidate[] = [];
  const within = (kind: CallKind, from: Milliseconds, until: Milliseconds, { full, short }: Wording): void => {
    const made = make.within(kind, leaf.at + from, leaf.at + until, full, short);
    const longest = Math.max(...made.phrases.map(({ ms }) => ms));
    out.push({ ...made, until: Math.min(leaf.at + leaf.ms, Math.max(made.until, made.from + longest + longSlack)) });
  };
  const sameWork =
    before?.blockId === leaf.blockId &&
    before.combination === leaf.combination &&
    before.doing === leaf.doing &&
    leaf.combination !== null;
  if (!sameWork && leaf.doing !== 'unplanned' && leaf.doing !== 'change-over')
    within('new', 0, newFor, callFor(leaf, speech));
  else if (before && sameWork && before.effort !== leaf.effort) {
    const effort = sayEffort(leaf.effort).replace('%', 'per cent');
    within('effort', 0, effortFor, worded(speech, 'effort', { effort }));
  }
  for (const { at, words, own } of innerCalls(leaf)) {
    if (own) within('own', at, at + ownSlack, { full: words });
    else out.push(make.exactly('drill', leaf.at + at, words));
  }
  out.push(...strikeCalls(leaf, make, speech));
  const early = earlyMoves(leaf);
  if (early && leaf.ms >= longStage) {
    const wording = worded(speech, 'keep', { moves: sayCombination(early, speech) });
    within('reminder', leaf.ms * 0.4, leaf.ms * 0.8, wording);
  }
  if (options.onPads && leaf.block === 'round' && leaf.combination && leaf.ms >= 2 * newFor)
    within('lanes', leaf.ms / 2, leaf.ms / 2 + holdersFor, worded(speech, 'change holders'));
  return out;
}
