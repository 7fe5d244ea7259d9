// Whether a combination meets wishes, judged without the composer: the specs of the composer compare with it.
import { fitToBag } from '../bags/fit';
import { studyOf } from '../mechanics/study-of';
import { familyOf, isStrike, type Move } from '../moves/move';
import type { Combination } from '../notation/combination';
import { readCombination } from '../notation/read';
import { letterOf, type Letter } from './alphabet';
import { combinationOf, compose, type Composed } from './compose';
import { readWishes } from './read-wishes';
import { noNames, type Wish } from './wish';

/** Wishes that are known to be well written. */
export const wishesOf = (text: string, names = noNames): readonly Wish[] => {
  const read = readWishes(text, names);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
};
/** What well written wishes come to. */
export const composed = (text: string, names = noNames): Composed => {
  const found = compose(wishesOf(text, names));
  if (!found.ok) throw new Error(found.fault.mend);
  return found.value;
};
export const countOf = (text: string): bigint => composed(text).counted.count;
/** The letters of a text. */
export const lettersOf = (text: string): Letter[] => {
  const read = readCombination(text);
  return read.ok ? read.value.items.map((item) => (item.kind === 'move' ? letterOf(item) : -1)) : [];
};

/** Whether a combination meets a wish, by the ordinary seams, lengths and fit. */
export function meets(
  combination: Combination,
  letters: readonly Letter[],
  wish: Wish,
  wishes: readonly Wish[],
): boolean {
  // Remembered by the combination: many wishes ask about the same ones.
  const [turn] = studyOf(combination, 'orthodox').turns;
  const within = (of: ReadonlySet<Letter>, least: number, most: number): boolean => {
    const count = letters.filter((letter) => of.has(letter)).length;
    return count >= least && count <= most;
  };
  const strikes = combination.items.filter((item): item is Move => item.kind === 'move' && isStrike(item));
  switch (wish.kind) {
    case 'moves':
      return letters.length >= wish.least && letters.length <= wish.most;
    case 'count':
      return within(wish.of, wish.least, wish.most);
    case 'begins':
      return wish.letters.every((letter, at) => letters[at] === letter);
    case 'ends':
      return (
        letters.length >= wish.letters.length &&
        wish.letters.every((letter, at) => letters.at(at - wish.letters.length) === letter)
      );
    case 'contains': {
      let at = 0;
      for (const letter of letters) if (letter === wish.letters[at]) at += 1;
      return at === wish.letters.length;
    }
    case 'without':
      return letters.every((letter) => !wish.letters.has(letter));
    case 'only':
      return letters.every((letter) => wish.letters.has(letter));
    case 'on': {
      const level = wishes.find((each) => each.kind === 'level')?.level;
      return fitToBag(combination, wish.bag, { ...wish.conditions, level }).verdict === 'fits';
    }
    case 'level':
      return true;
    case 'flows':
      return turn?.seams.every(({ stuck, loop }) => loop || !stuck) ?? false;
    case 'loops':
      return turn?.seams.every(({ stuck, loop }) => !loop || !stuck) ?? false;
    case 'like':
      return (
        letters.length === wish.places.length &&
        wish.places.every((place, at) => place === null || place === letters[at])
      );
    case 'heights':
      return strikes.every(({ target }, at) => target === wish.pattern[at % wish.pattern.length]);
    case 'sides': {
      const lead = strikes.filter(({ side }) => side === 'lead').length;
      return Math.abs(lead - (strikes.length - lead)) <= (wish.percent / 100) * strikes.length + 1e-9;
    }
    case 'answered':
      return combination.items.every((item, at, { [at + 1]: next }) => {
        if (item.kind !== 'move' || familyOf(item) !== 'defence') return true;
        return next?.kind === 'move' && isStrike(next);
      });
    case 'away':
      return wish.from.every((other) => leven(letters, other) >= wish.edits);
    case 'same stance':
      return turn?.walk.start === turn?.walk.end;
    case 'at most':
      return (turn?.ms ?? Infinity) <= wish.ms;
  }
}

const known = new Map<string, readonly (readonly [readonly Letter[], Combination])[]>();

/** Every combination of some letters up to a length, written out once. */
function allOf(letters: readonly Letter[], most: number): readonly (readonly [readonly Letter[], Combination])[] {
  const key = `${letters.join(' ')} ${most}`;
  const before = known.get(key);
  if (before) return before;
  const found: [readonly Letter[], Combination][] = [];
  const visit = (sofar: readonly Letter[]): void => {
    if (sofar.length > 0) found.push([sofar, combinationOf(sofar)]);
    if (sofar.length < most) for (const letter of letters) visit([...sofar, letter]);
  };
  visit([]);
  known.set(key, found);
  return found;
}

/** How many combinations of some letters up to a length meet all wishes, found one by one. */
export const byForce = (letters: readonly Letter[], most: number, wishes: readonly Wish[]): number =>
  allOf(letters, most).filter(([each, combination]) => wishes.every((wish) => meets(combination, each, wish, wishes)))
    .length;

/** The edit distance by its table, row by row (Wagner and Fischer 1974), without the package that the product uses. */
export function leven(a: readonly Letter[], b: readonly Letter[]): number {
  let row = [0, ...b.map((_, at) => at + 1)];
  a.forEach((one, at) => {
    const next = [at + 1];
    b.forEach((two, on) => {
      next.push(Math.min((row[on] ?? 0) + Number(one !== two), (row[on + 1] ?? 0) + 1, (next[on] ?? 0) + 1));
    });
    row = next;
  });
  return row.at(-1) ?? 0;
}
