import type { Combination } from '../notation/combination';
import type { Leaf } from '../session/compile';
import { countByMove } from '../tally/counts';
import type { Milliseconds, SessionTime } from '../units';
import type { TechniqueFocus } from './phrasebook';

/** A technique focus is not said again before this long is over (house value). */
export const focusAgain: Milliseconds = 360_000;

/** Focuses by their words, with the moment each was last wished for. */
export type FocusTrail = Map<string, SessionTime>;

const known = new WeakMap<Combination, readonly string[]>();

/** The names of a combination's moves, remembered. */
function namesIn(combination: Combination): readonly string[] {
  const names = known.get(combination) ?? Object.keys(countByMove(combination));
  known.set(combination, names);
  return names;
}

/** Whether a focus belongs to what is struck and what is struck at. A word fits a move whose name holds it. */
function fits({ moves, bags }: TechniqueFocus, names: readonly string[], on: readonly string[]): boolean {
  return (
    (moves.length === 0 || moves.some((move) => names.some((name) => name.includes(move)))) &&
    (!bags || bags.length === 0 || bags.some((bag) => on.includes(bag)))
  );
}

/**
 * A technique focus for the strikes and bags of a round, the one that was said longest ago; null where nothing is struck
 * or all that would fit was said a short while ago.
 */
export function focusFor(
  leaves: readonly Leaf[],
  on: readonly string[],
  focuses: readonly TechniqueFocus[],
  trail: FocusTrail,
  at: SessionTime,
): string | null {
  const names = leaves.flatMap((leaf) => (leaf.combination ? namesIn(leaf.combination) : []));
  if (names.length === 0) return null;
  let best: { readonly words: string; readonly last: SessionTime } | null = null;
  for (const focus of focuses) {
    const last = trail.get(focus.words) ?? -Infinity;
    if (at - last >= focusAgain && last < (best?.last ?? Infinity) && fits(focus, names, on))
      best = { words: focus.words, last };
  }
  if (best) trail.set(best.words, at);
  return best?.words ?? null;
}
