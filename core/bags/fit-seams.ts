import { removeAt } from '../mechanics/edit';
import { repairsOf, stuckSeams, type StuckSeam, type TriedRepair } from '../mechanics/repairs';
import { study, type Study } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import type { Combination } from '../notation/combination';
import type { Reasons } from './fit-moves';

/** More tries than this mean that the combination wants writing anew. */
const mostTries = 12;

/** Stuck seams that were not there before, by what stands on their two sides; at the loop lies a breath. */
function newlyStuck(before: Study, after: Study): StuckSeam[] {
  const known = new Map<string, number>();
  for (const { key } of stuckSeams(before)) known.set(key, (known.get(key) ?? 0) + 1);
  return stuckSeams(after).filter(({ key, seam }) => {
    if (seam.loop) return false;
    const left = known.get(key) ?? 0;
    known.set(key, left - 1);
    return left <= 0;
  });
}

/** Repairs, and last the combination with a strike left out; each is worked out only when those before it did not do. */
function* waysFor(now: Study, stuck: StuckSeam): Generator<TriedRepair, undefined> {
  yield* repairsOf(now, stuck.turn, stuck.seam);
  const left = shorter(now, stuck);
  if (left && left.items.length > 0) yield { what: 'one strike removed', combination: left, studied: study(left) };
}

/** The combination without the step behind a seam. */
function shorter(studied: Study, { turn, seam }: StuckSeam): Combination | null {
  const steps = studied.turns[turn]?.walk.steps ?? [];
  const step = steps[seam.after + 1]?.step;
  return step && steps.length > 1 ? removeAt(studied.combination, step.path) : null;
}

/**
 * An adapted combination in which nothing sticks that did not stick before: each new stuck seam is mended by a repair that
 * the bag takes, else by leaving a strike out; what was done is told among the reasons. Null where no way is found.
 */
export function withoutNewSeams(
  original: Combination,
  adapted: Combination,
  fits: (combination: Combination) => boolean,
  reasons: Reasons,
): Combination | null {
  const before = studyOf(original, 'orthodox');
  let now = study(adapted);
  for (let tries = 0; tries < mostTries; tries += 1) {
    const stuck = newlyStuck(before, now);
    const [first] = stuck;
    if (!first) return now.combination;
    let way: TriedRepair | null = null;
    for (const each of waysFor(now, first)) {
      if (newlyStuck(before, each.studied).length >= stuck.length || !fits(each.combination)) continue;
      way = each;
      break;
    }
    if (!way) return null;
    reasons.add(`${first.seam.reason}; ${way.what}`);
    now = way.studied;
  }
  return null;
}
