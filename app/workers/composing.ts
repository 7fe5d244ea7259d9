import { compose, conflictIn, drawn, readWishes, scoreOf, writeCombination } from '../../core/index';

/** What wishes come to, as a page shows it. */
export interface ComposeAnswer {
  /** Why they cannot be read or have no end, with the mend; null where nothing is wrong. */
  readonly mend: string | null;
  /** How many there are, in figures; empty where something is wrong. */
  readonly count: string;
  readonly found: readonly { readonly text: string; readonly score: number }[];
  /** Wishes that cannot hold together. */
  readonly conflict: readonly string[];
}

/** Combinations that are drawn at once, from which the best few are shown. */
const drawnAtOnce = 60;

/** Counts what meets some wishes and draws a few of it: of an even sample those with the highest score. */
export function composeFor(text: string, take: number, seed: number): ComposeAnswer {
  const nothing = { count: '', found: [], conflict: [] };
  const wishes = readWishes(text);
  if (!wishes.ok) return { ...nothing, mend: wishes.fault.mend };
  const composed = compose(wishes.value);
  if (!composed.ok) return { ...nothing, mend: composed.fault.mend };
  const all = drawn(composed.value, drawnAtOnce, seed).map((each) => ({
    text: writeCombination(each),
    score: scoreOf(each),
  }));
  return {
    mend: null,
    count: String(composed.value.counted.count),
    found: all.sort((a, b) => b.score - a.score || (a.text < b.text ? -1 : 1)).slice(0, take),
    conflict: conflictIn(composed.value) ?? [],
  };
}
