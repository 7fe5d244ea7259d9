import { leafPercent } from '../tally/at-a-glance';
import type { Leaf } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import type { Milliseconds } from '../units';

/** Neighbours alternate where they are at least so far apart in effort, so often in a round (house values). */
const apartBy = 20;
const leastChanges = 2;
/** From this length on a hard piece has a clock of its own (house value). */
const ownClockFrom: Milliseconds = 40_000;

/** Where a round alternates hard and easy: its hard pieces, and the easy ones that a hard one follows. */
export interface Intervals {
  readonly hard: readonly Leaf[];
  /** Hard pieces that are long enough for a clock of their own. */
  readonly clocked: readonly Leaf[];
  readonly beforeHard: readonly { readonly easy: Leaf; readonly hard: Leaf }[];
}

const none: Intervals = { hard: [], clocked: [], beforeHard: [] };

/**
 * The hard and the easy pieces of a round (trade page, section 15; common practice); none where it does not alternate.
 * @example intervalsOf(pass).clocked.length // 3
 */
export function intervalsOf({ leaves, isRound }: Pass): Intervals {
  if (!isRound) return none;
  const work = leaves.filter(({ doing, goesOn }) => doing !== 'pause' && doing !== 'change-over' && !goesOn);
  const steps = work.slice(1).map((leaf, at) => leafPercent(leaf) - leafPercent(work[at] ?? leaf));
  const changes = steps.filter((step, at) => Math.abs(step) >= apartBy && step * (steps[at - 1] ?? -step) < 0).length;
  if (changes < leastChanges) return none;
  const hard = work.filter((_, at) => (steps[at - 1] ?? 0) >= apartBy || (steps[at] ?? 0) <= -apartBy);
  return {
    hard,
    clocked: hard.filter(({ ms }) => ms >= ownClockFrom),
    beforeHard: work.slice(1).flatMap((leaf, at) => {
      const easy = work[at];
      return easy && (steps[at] ?? 0) >= apartBy ? [{ easy, hard: leaf }] : [];
    }),
  };
}
