import { combinationOf, compose, variedOf, type Composed } from '../composer/compose';
import { readWishes } from '../composer/read-wishes';
import { anyLiking } from '../composer/score';
import type { BagKind, Level } from '../bags/kind-names';
import { writeCombination } from '../notation/write';

/** What a level composes with (house values): how long, and which moves; no kicks, since nobody said that they are taught. */
const wished: Readonly<Record<Level, string>> = {
  beginner: '3-4 moves, only 1 1b 2 2b 3 3b bl, at most one bl, answered',
  intermediate: '4-6 moves, only 1 1b 2 2b 3 3b 4 5 6 bl sl ro-l, at most one defence, answered',
  advanced: '6-8 moves, only 1 1b 2 2b 3 3b 4 4b 5 5b 6 bl sl sl-l ro ro-l, 1-2 defences, answered',
};

/** What was composed stays: it does not depend on the seed. */
const known = new Map<string, Composed | null>();

function composedFor(text: string): Composed | null {
  const before = known.get(text);
  if (before !== undefined) return before;
  const wishes = readWishes(text);
  const composed = wishes.ok ? compose(wishes.value) : wishes;
  const found = composed.ok && composed.value.counted.count > 0n ? composed.value : null;
  known.set(text, found);
  return found;
}

/**
 * Combinations to work towards for whoever names none: what fits the bag, flows and loops at this level, of the better third of an
 * even sample the ones that differ most. The same seed gives the same ones.
 * @example composedGoals('beginner', 'heavy', 3, 7)
 */
export function composedGoals(level: Level, bag: BagKind, count: number, seed: number): readonly string[] {
  const texts = [
    `${wished[level]}, flows, loops, on ${bag}, level ${level}`,
    // A ball that comes back on its own takes short ones only; a speed bag none of these.
    `1-3 moves, only 1 2 bl sl, at most one defence, answered, flows, loops, on ${bag}, level ${level}`,
    `${wished[level]}, flows, loops`,
  ];
  for (const text of texts) {
    const composed = composedFor(text);
    if (!composed) continue;
    const { chosen } = variedOf(composed, count, seed, anyLiking);
    return chosen.map((letters) => writeCombination(combinationOf(letters)));
  }
  return [];
}
