import { countByMove } from '../tally/counts';
import type { Leaf } from '../session/compile';
import type { Focus } from './phrasebook';

/**
 * A technique focus for the strikes of a round, the one that was said longest ago. `said` lists what was said before, the
 * last one last.
 */
export function focusFor(leaves: readonly Leaf[], said: readonly string[], focuses: readonly Focus[]): string | null {
  const names = leaves.flatMap((leaf) => (leaf.combination ? Object.keys(countByMove(leaf.combination)) : []));
  if (names.length === 0) return null;
  const fitting = focuses.filter(
    ({ moves }) => moves.length === 0 || moves.some((move) => names.some((name) => name.includes(move))),
  );
  return (
    fitting.reduce<{ words: string; ago: number } | null>((best, { words }) => {
      const ago = said.includes(words) ? said.lastIndexOf(words) : -1;
      return best === null || ago < best.ago ? { words, ago } : best;
    }, null)?.words ?? null
  );
}
