import { onsets } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import { unfold } from '../mechanics/steps';
import type { Leaf } from '../session/compile';
import { sayEffort } from '../session/effort';
import type { Milliseconds, SessionTime } from '../units';
import type { Candidate, Part, Phrase } from './call';
import { makerFor, type Maker } from './candidate';
import type { CallOptions } from './options';
import { callFor, earlyMoves, innerCalls } from './say';
import { sayCombination, sayStrikes, worded, type Speech } from './speech';

/** A new combination is still worth naming for this long after it began (house value). */
const newFor: Milliseconds = 8000;
/** Nothing but the count is said in the last second before a bell (trade page, section 9). */
const quietBeforeBell: Milliseconds = 1000;
/** A stage this long is reminded of its early part (house value). */
const longStage: Milliseconds = 15_000;
/** The coach's own call may be this late (house value). */
const ownSlack: Milliseconds = 4000;

/** The name of a leaf that stays when its time changes. */
export function leafPlace(leaf: Leaf): string {
  const { blockId, pieceId, round, stage, half } = leaf;
  return [blockId, pieceId ?? '', round ?? '', stage?.number ?? '', half].join('/');
}

/** The new moves of a stage alone, for when there is no time for the whole. */
function newMoves(leaf: Leaf, speech: Speech): string | undefined {
  if (!leaf.combination) return undefined;
  if (!leaf.stage || leaf.stage.number === 1 || leaf.added.length === 0)
    return sayCombination(leaf.combination, speech);
  const listed = unfold(leaf.combination).flatMap((step) => step.content);
  const moves = sayCombination({ items: leaf.added.flatMap((place) => listed[place] ?? []) }, speech);
  return worded(speech, 'add', { moves }).full;
}

/**
 * Each strike called on the combination's own time grid, one call a repetition: what is said for a step stops where the
 * next one begins.
 */
function strikeCalls(leaf: Leaf, make: Maker, speech: Speech): Candidate[] {
  if (leaf.voice !== 'strikes' || !leaf.combination) return [];
  const study = studyOf(leaf.combination, 'orthodox', leaf.nonStop, leaf.otherStance);
  const out: Candidate[] = [];
  let at = leaf.at;
  for (let turn = 0; at < leaf.at + leaf.ms; turn += 1) {
    const repetition = study.turns[turn % study.turns.length];
    if (!repetition || repetition.ms === 0) break;
    const length = repetition.ms / leaf.pace;
    if (at + length > leaf.at + leaf.ms + 1) break;
    const words = sayStrikes(leaf.combination, turn % study.turns.length, speech);
    const parts = onsets(repetition).map((onset, index): Part => ({
      at: Math.round(onset / leaf.pace),
      say: words[index] ?? '',
    }));
    const phrase: Phrase = { form: 'full', say: words.join(', '), ms: Math.round(length), parts };
    out.push(make.phrased('strikes', Math.round(at), phrase));
    at += length + leaf.gapMs;
  }
  return out;
}

/** Everything that would be good to say in a leaf; `end` is the end of its pass. */
export function leafCalls(leaf: Leaf, before: Leaf | undefined, end: SessionTime, options: CallOptions): Candidate[] {
  const { speech } = options;
  const make = makerFor(leafPlace(leaf), speech);
  const close = Math.min(leaf.at + leaf.ms, end - quietBeforeBell);
  const out: Candidate[] = [];
  const sameWork =
    before?.blockId === leaf.blockId &&
    before.combination === leaf.combination &&
    before.doing === leaf.doing &&
    leaf.combination !== null;
  if (!sameWork && leaf.doing !== 'unplanned' && leaf.doing !== 'change-over')
    out.push(
      make.within('new', leaf.at, Math.min(close, leaf.at + newFor), callFor(leaf, speech), newMoves(leaf, speech)),
    );
  else if (before && sameWork && before.effort !== leaf.effort) {
    const effort = sayEffort(leaf.effort).replace('%', 'per cent');
    out.push(
      make.within('effort', leaf.at, Math.min(close, leaf.at + 5000), worded(speech, 'effort', { effort }).full),
    );
  }
  for (const { at, words, own } of innerCalls(leaf)) {
    const until = Math.min(leaf.at + leaf.ms, leaf.at + at + Math.max(ownSlack, words.length * 90));
    out.push(own ? make.within('own', leaf.at + at, until, words) : make.exactly('drill', leaf.at + at, words));
  }
  out.push(...strikeCalls(leaf, make, speech));
  const early = earlyMoves(leaf);
  if (early && leaf.ms >= longStage) {
    const { full, short } = worded(speech, 'keep', { moves: sayCombination(early, speech) });
    out.push(make.within('reminder', leaf.at + leaf.ms * 0.4, Math.min(close, leaf.at + leaf.ms * 0.8), full, short));
  }
  if (options.onPads && leaf.block === 'round' && leaf.combination && leaf.ms >= 2 * newFor) {
    const { full, short } = worded(speech, 'change holders');
    out.push(make.within('lanes', leaf.at + leaf.ms / 2, Math.min(close, leaf.at + leaf.ms / 2 + 4000), full, short));
  }
  return out;
}
