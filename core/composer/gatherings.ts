// Words of wishes that stand for moves: families, kinds of strikes, heights, and moves as they are written.
import { moveKind } from '../moves/catalogue';
import { families, strikeGroups, targets } from '../moves/kind';
import { familyOf, isStrike, type Move } from '../moves/move';
import { six, type Scheme } from '../moves/scheme';
import { readCombination } from '../notation/read';
import { alphabet, lettersOf, type Letter } from './alphabet';

const lettersWhere = (test: (move: Move) => boolean): ReadonlySet<Letter> =>
  new Set(alphabet.flatMap((move, letter) => (test(move) ? [letter] : [])));

const plurals: Readonly<Record<string, string>> = {
  feet: 'feet',
  defence: 'defences',
  punch: 'punches',
  push: 'pushes',
};
const pluralOf = (word: string): string => plurals[word] ?? `${word}s`;

/** Words for many moves at once: families, kinds of strikes, heights, and what leaves the floor. */
const gathered: ReadonlyMap<string, ReadonlySet<Letter>> = new Map([
  ...families.flatMap((family): (readonly [string, ReadonlySet<Letter>])[] => {
    const letters = lettersWhere((move) => familyOf(move) === family);
    return [
      [family, letters],
      [pluralOf(family), letters],
    ];
  }),
  ...strikeGroups.map((group) => [group, lettersWhere(({ id }) => moveKind(id).group === group)] as const),
  ...targets.map((target) => [target, lettersWhere((move) => move.target === target)] as const),
  ['legs', lettersWhere((move) => move.target === 'leg')],
  ['strikes', lettersWhere(isStrike)],
  ['jumping', lettersWhere(({ id }) => moveKind(id).grounded !== null)],
  ['jumps', lettersWhere(({ id }) => moveKind(id).grounded !== null)],
]);

/** What a word gathers, its singular or its plural; null where it is no such word. `gatheredBy('hooks')` */
export const gatheredBy = (word: string): ReadonlySet<Letter> | null =>
  gathered.get(word) ?? gathered.get(pluralOf(word)) ?? null;

/** The letters that a text spells, in its order; null where it holds what is not searched for. `spelled('1 2')` → `[jab, cross]` */
export function spelled(text: string, scheme: Scheme = six): readonly Letter[] | null {
  const read = readCombination(text, { scheme });
  if (!read.ok) return null;
  const letters = lettersOf(read.value);
  return letters.length === 0 || letters.includes(-1) ? null : letters;
}

/** Everything that a word bars: a bare `6` bars `6b`, too, and a move whose side is not in its name both sides of it. `barredBy(letter).size` */
export function barredBy(letter: Letter): ReadonlySet<Letter> {
  const given = alphabet[letter];
  if (!given) return new Set();
  const kind = moveKind(given.id);
  const usual = given.target === null || given.target === kind.targets[0];
  const bothSides = kind.sideInName !== true && given.side === kind.usual;
  return lettersWhere(
    ({ id, side, target }) =>
      id === given.id && (bothSides || side === given.side) && (usual || target === given.target),
  );
}
