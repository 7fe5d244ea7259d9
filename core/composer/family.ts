import { combinationOf } from './compose';
import { lettersFlow, type Letter } from './alphabet';
import { anyLiking, scoreOf, type Liking } from './score';

type Letters = readonly Letter[];

/** A combination of a family: what it adds a move to, and what adds a move to it. */
export interface Relative {
  readonly letters: Letters;
  /** The place of the move that it adds to its parent; null for the first of a family. */
  readonly adds: number | null;
  /** Whether it is one of those that the family grows towards. */
  readonly goal: boolean;
  readonly children: readonly Relative[];
}

/** What a move put in before another costs against points of the score: coaches add to the end (house value). */
const inTheMiddle = 20;

/** Longer goals have too many combinations inside them. */
export const longestGoal = 12;

interface Grown {
  readonly letters: Letters;
  readonly parent: string | null;
  readonly adds: number | null;
  goal: boolean;
}

const keyOf = (letters: Letters): string => letters.join(' ');

/**
 * Puts a goal into a family: of all ways to leave out its moves one by one down to a single one, so that everything on the way
 * flows, the one with the fewest new combinations, and of those the one with the best scores, moves added to the end where that goes.
 */
function graft(family: Map<string, Grown>, goal: Letters, liking: Liking): boolean {
  const full = (1 << goal.length) - 1;
  const inside = (mask: number): Letters => goal.filter((_, at) => (mask & (1 << at)) !== 0);
  /** The cheapest way down from a set of moves: its cost, and which move is left out first. */
  const known = new Map<number, { readonly cost: number; readonly drop: number }>();
  const from = (mask: number): { readonly cost: number; readonly drop: number } => {
    const before = known.get(mask);
    if (before) return before;
    const letters = inside(mask);
    let best = { cost: Infinity, drop: -1 };
    const may = mask === full || lettersFlow(letters);
    // A combination that is there already has its own way down.
    if (may && family.has(keyOf(letters))) best = { cost: 0, drop: -1 };
    else if (may) {
      const own = 1000 - scoreOf(combinationOf(letters), liking);
      if (letters.length === 1) best = { cost: own, drop: -1 };
      else
        for (let at = 0; at < goal.length; at += 1) {
          if ((mask & (1 << at)) === 0) continue;
          const after = letters.length - inside(mask & ((2 << at) - 1)).length;
          const cost = own + after * inTheMiddle + from(mask & ~(1 << at)).cost;
          if (cost < best.cost) best = { cost, drop: at };
        }
    }
    known.set(mask, best);
    return best;
  };
  if (from(full).cost === Infinity) return false;
  for (let mask = full; ;) {
    const letters = inside(mask);
    const key = keyOf(letters);
    const { drop } = from(mask);
    const existing = family.get(key);
    if (existing) {
      existing.goal ||= mask === full;
      return true;
    }
    const rest = drop < 0 ? null : mask & ~(1 << drop);
    const adds = drop < 0 ? null : inside(mask & ((1 << drop) - 1)).length;
    family.set(key, { letters, parent: rest === null ? null : keyOf(inside(rest)), adds, goal: mask === full });
    if (rest === null) return true;
    mask = rest;
  }
}

/**
 * A family that grows towards some combinations: trees in which each member has one move more than its parent, from a single move to
 * each goal, everything on the way flowing. Longer goals use what is there already as far as they can.
 * `left` are goals to which no way leads, or that are too long.
 * @example growFamily([lettersOf('1 2 3b 2')]).trees[0].letters.length // 1
 */
export function growFamily(
  goals: readonly Letters[],
  liking: Liking = anyLiking,
): { readonly trees: readonly Relative[]; readonly left: readonly Letters[] } {
  const family = new Map<string, Grown>();
  // What is shorter may lie on the way to what is longer.
  const left = goals
    .toSorted((a, b) => a.length - b.length)
    .filter((goal) => goal.length === 0 || goal.length > longestGoal || !graft(family, goal, liking));
  const childrenOf = (key: string | null): Relative[] =>
    [...family.values()]
      .filter(({ parent }) => parent === key)
      .map(({ letters, adds, goal }) => ({ letters, adds, goal, children: childrenOf(keyOf(letters)) }));
  return { trees: childrenOf(null), left };
}
