import { countByMove } from '../tally/counts';
import type { Leaf } from '../session/compile';

/** A technique focus in our own words, and which moves it belongs to. */
interface Focus {
  readonly words: string;
  readonly moves: RegExp;
}

/** What is reminded of when people tire (trade page, section 9, content; common practice). A new one is a line here. */
const focuses: readonly Focus[] = [
  { words: 'Rear hand stays at the cheek', moves: /jab|lead hook|lead uppercut/ },
  { words: 'Hip and heel turn with it', moves: /cross|hook/ },
  { words: 'Punch through and come straight back', moves: /jab|cross/ },
  { words: 'Knees bend, then rise with the uppercut', moves: /uppercut/ },
  { words: 'Standing foot turns, kicking side hand drops', moves: /low kick|body kick|head kick|switch kick/ },
  { words: 'Standing foot flat in the push kick', moves: /teep/ },
  { words: 'Small slips, not wide ones', moves: /slip|roll/ },
  { words: 'Eyes on the target in the block', moves: /block|cover|parry/ },
  { words: 'Chin down when it gets fast', moves: /./ },
  { words: 'Breathe out on each strike', moves: /./ },
  { words: 'Feet never together', moves: /./ },
];

/**
 * A technique focus for the strikes of a round, the one that was said longest ago. `said` lists what was said before, the
 * last one last.
 */
export function focusFor(leaves: readonly Leaf[], said: readonly string[]): string | null {
  const names = leaves.flatMap((leaf) => (leaf.combination ? Object.keys(countByMove(leaf.combination)) : []));
  if (names.length === 0) return null;
  const fitting = focuses.filter(({ moves }) => names.some((name) => moves.test(name)));
  return (
    fitting.reduce<{ words: string; ago: number } | null>((best, { words }) => {
      const ago = said.includes(words) ? said.lastIndexOf(words) : -1;
      return best === null || ago < best.ago ? { words, ago } : best;
    }, null)?.words ?? null
  );
}
