import {
  bestOf,
  chainBetween,
  combinationOf,
  compose,
  conflictIn,
  growFamily,
  gatheredBy,
  lettersOfText,
  moveKinds,
  likingOf,
  mostElements,
  namesFor,
  neighboursOf,
  noNames,
  anyLiking,
  readStored,
  readWishes,
  roundsOf,
  scoreOf,
  spelled,
  variedOf,
  whatFollows,
  writeCombination,
  type EditKind,
  type Had,
  type Letter,
  type Liking,
  type Relative,
  type Scheme,
  type Verdict,
  type WishNames,
} from '../../core/index';

/** What a composer has to know of a coach: the book, the room, what was had lately, which aims are short. */
export interface ComposeWorld {
  readonly book: readonly { readonly name: string; readonly text: string }[];
  readonly bags: WishNames['bags'];
  readonly conditions: WishNames['conditions'];
  readonly scheme: Scheme;
  readonly lately: readonly Had[];
  readonly short: readonly string[];
}

/** A combination with its score. */
export interface ComposedText {
  readonly text: string;
  readonly score: number;
}

/** What wishes come to, as a page shows it. */
export interface ComposeAnswer {
  /** Why they cannot be read or have no end, with the mend; null where nothing is wrong. */
  readonly mend: string | null;
  /** How many there are, in figures; empty where something is wrong. */
  readonly count: string;
  readonly found: readonly ComposedText[];
  /** Wishes that cannot hold together. */
  readonly conflict: readonly string[];
  /** What is known of those found: how far apart they are, or what nothing else exceeds; null where there is nothing to say. */
  readonly known:
    | { readonly kind: 'apart'; readonly least: number; readonly most: number }
    | { readonly kind: 'best'; readonly bound: number | null }
    | null;
}

/** A move that may come next. */
export interface NextMove {
  readonly text: string;
  readonly verdict: Verdict;
  readonly cost: number;
  readonly ways: string;
}

/** A combination one edit away. */
export interface NearText extends ComposedText {
  readonly edit: EditKind;
}

/** A member of a family, as texts. */
export interface FamilyNode {
  readonly text: string;
  readonly goal: boolean;
  readonly children: readonly FamilyNode[];
}

/** Rounds with a theme, or why there are none. */
export interface RoundsAnswer {
  readonly mend: string | null;
  readonly rounds: readonly string[];
  /** What no round has. */
  readonly left: readonly string[];
  readonly again: number;
}

/** More neighbours than this are not listed. */
const mostNear = 30;

/** Where each kind of move stands in the catalogue: the usual ones come first. */
const places: ReadonlyMap<string, number> = new Map(moveKinds.map(({ id }, place) => [id, place]));

const textOf = (letters: readonly Letter[]): string => writeCombination(combinationOf(letters));

/** Everything that a composer is asked, in a worker or, where there is none, on the page. */
export class Composing {
  private names: WishNames = noNames;
  private liking: Liking = anyLiking;

  /** What is known of the coach from now on. */
  know({ book, bags, conditions, scheme, lately, short }: ComposeWorld): void {
    this.names = namesFor(book, bags, conditions, scheme);
    this.liking = likingOf([...book.map(({ text }) => ({ text, times: 1 })), ...lately], short);
  }

  private scored(letters: readonly Letter[]): ComposedText {
    const combination = combinationOf(letters);
    return { text: writeCombination(combination), score: scoreOf(combination, this.liking) };
  }

  /** Counts what meets some wishes, and gives some of it: those that differ most, or the best there are. */
  compose(text: string, take: number, seed: number, order: 'apart' | 'best'): ComposeAnswer {
    const nothing = { count: '', found: [], conflict: [], known: null };
    const wishes = readWishes(text, this.names);
    if (!wishes.ok) return { ...nothing, mend: wishes.fault.mend };
    const composed = compose(wishes.value);
    if (!composed.ok) return { ...nothing, mend: composed.fault.mend };
    const answer = {
      mend: null,
      count: String(composed.value.counted.count),
      conflict: conflictIn(composed.value) ?? [],
    };
    if (composed.value.counted.count === 0n) return { ...nothing, ...answer };
    const best = order === 'best' ? bestOf(wishes.value, this.liking, take) : null;
    if (best?.ok)
      return {
        ...answer,
        found: best.value.found.map(({ letters, score }) => ({ text: textOf(letters), score })),
        known: { kind: 'best', bound: best.value.bound },
      };
    const { chosen, least, most } = variedOf(composed.value, take, seed, this.liking);
    return {
      ...answer,
      found: chosen.map((letters) => this.scored(letters)).sort((a, b) => b.score - a.score),
      known: chosen.length > 1 ? { kind: 'apart', least, most } : null,
    };
  }

  /** Moves that can follow a kept text without sticking: what costs nothing first, then as the catalogue has them. */
  follow(text: string): readonly NextMove[] {
    const read = readStored(text);
    const found = whatFollows(read.ok ? read.value : { items: [] }, null);
    if (!found.ok) return [];
    return found.value
      .filter(({ ways }) => ways > 0n)
      .map(({ move, verdict, cost, ways }) => ({
        ...{ text: writeCombination({ items: [move] }), verdict, cost, ways: String(ways) },
        place: places.get(move.id) ?? 0,
      }))
      .sort((a, b) => a.cost - b.cost || a.place - b.place)
      .map(({ place: _, ...next }) => next);
  }

  /** Combinations one edit away from a kept text, the best first. */
  neighbours(text: string): readonly NearText[] {
    const read = readStored(text);
    if (!read.ok) return [];
    return neighboursOf(read.value, this.liking)
      .slice(0, mostNear)
      .map(({ text: near, edit, score }) => ({ text: near, edit, score }));
  }

  /** The shortest way between two kept texts in single edits, both among its steps; a mend where there is none. */
  way(from: string, to: string): { readonly mend: string | null; readonly steps: readonly string[] } {
    const [one, two] = [lettersOfText(from), lettersOfText(to)];
    if (!one || !two || one.includes(-1) || two.includes(-1))
      return { mend: 'Choose two combinations of plain moves: no "any", pairs, groups, feints or marks', steps: [] };
    const { steps, least } = chainBetween(one, two);
    const mend =
      steps.length > 0
        ? null
        : least === Infinity
          ? 'No progression found: one of them does not flow in more than one place. Fix it first'
          : `No progression found; it would take at least ${least} steps`;
    return { mend, steps: steps.map(textOf) };
  }

  /** A family that grows towards some kept texts. */
  family(goals: readonly string[]): { readonly trees: readonly FamilyNode[]; readonly left: readonly string[] } {
    const letters = goals.flatMap((goal) => {
      const read = lettersOfText(goal);
      return read && !read.includes(-1) ? [read] : [];
    });
    const { trees, left } = growFamily(letters, this.liking);
    const node = ({ letters: own, goal, children }: Relative): FamilyNode => ({
      ...{ text: textOf(own), goal, children: children.map(node) },
    });
    const unread = goals.filter((goal) => lettersOfText(goal)?.includes(-1) ?? true);
    return { trees: trees.map(node), left: [...unread, ...left.map(textOf)] };
  }

  /** Combinations for so many rounds that meet the wishes and between them have what is to be covered. */
  rounds(text: string, cover: string, count: number, seed: number): RoundsAnswer {
    const nothing = { rounds: [], left: [], again: 0 };
    const wishes = readWishes(text, this.names);
    if (!wishes.ok) return { ...nothing, mend: wishes.fault.mend };
    const words = cover
      .toLowerCase()
      .split(',')
      .map((word) => word.trim())
      .filter((word) => word !== '');
    const elements = words.map((word) => gatheredBy(word) ?? new Set(spelled(word, this.names.scheme) ?? []));
    const wrong = words.find((_, at) => elements[at]?.size === 0);
    if (wrong !== undefined)
      return { ...nothing, mend: `“${wrong}” is not a move or a kind of strike: use for example 3, 5, body, defences` };
    if (words.length > mostElements) return { ...nothing, mend: `List at most ${mostElements} things` };
    const found = roundsOf(wishes.value, elements, count, seed);
    if (!found.ok) return { ...nothing, mend: found.fault.mend };
    if (!found.value) return { ...nothing, mend: 'Nothing matches all of these: remove one' };
    const { rounds, uncovered, again } = found.value;
    return { mend: null, rounds: rounds.map(textOf), left: uncovered.flatMap((at) => words[at] ?? []), again };
  }
}
