import type { Leaf } from '../session/compile';
import { sayEffort } from '../session/effort';
import type { Milliseconds } from '../units';
import type { Candidate } from './call';
import { makerFor } from './candidate';
import type { CallKind } from './kinds';
import type { CallOptions } from './options';
import type { Wording } from './phrasebook';
import { callFor, earlyMoves, innerCalls } from './say';
import { sayCombination } from './say-combination';
import { worded } from './speech';
import { strikeCalls } from './strikes';

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
