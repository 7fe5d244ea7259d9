import { bagKinds, levels } from '../bags/kind-names';
import { bad, good, type Read } from '../fault';
import { moveKind } from '../moves/catalogue';
import { families, strikeGroups, targets } from '../moves/kind';
import { familyOf, isStrike, type Move } from '../moves/move';
import { readCombination } from '../notation/read';
import { readNumberWord } from '../number-words';
import { alphabet, letterOf, type Letter } from './alphabet';
import { mostMoves, type Wish, type WishKind } from './wish';

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
const gatherings: ReadonlyMap<string, ReadonlySet<Letter>> = new Map([
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

/** The letters that a text spells, in its order; null where it holds what is not searched for. */
function spelled(text: string): readonly Letter[] | null {
  const read = readCombination(text);
  if (!read.ok) return null;
  const letters = read.value.items.map((item) => (item.kind === 'move' ? letterOf(item) : -1));
  return letters.length === 0 || letters.includes(-1) ? null : letters;
}

/** Everything that a word bars: a bare `6` bars `6b`, too, and a move whose side is not in its name both sides of it. */
function barredBy(letter: Letter): ReadonlySet<Letter> {
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

type Reading = WishKind | { readonly mend: string };

const phrases =
  'N punches, N-M moves, begins TEXT, ends TEXT, contains MOVE, without MOVE, on BAG, level LEVEL, only MOVES, flows, loops, same stance, at most S s';

function counted(least: number, most: number, what: string): Reading {
  if (least > most) return { mend: `write the smaller number first: ${most}-${least}` };
  if (what === 'move' || what === 'moves')
    return most > mostMoves
      ? { mend: `write at most ${mostMoves} moves` }
      : { kind: 'moves', least: Math.max(1, least), most };
  const of = gatherings.get(what) ?? gatherings.get(pluralOf(what));
  if (of) return { kind: 'count', of, least, most };
  const letters = spelled(what) ?? spelled(what.replace(/s$/, ''));
  const [letter] = letters ?? [];
  return letter === undefined || letters?.length !== 1
    ? { mend: `“${what}” is neither a family nor a move: write punches, strikes, moves, defences, or a move` }
    : { kind: 'count', of: barredBy(letter), least, most };
}

function withText(what: 'begins' | 'ends' | 'contains', text: string): Reading {
  const letters = spelled(text);
  return letters ? { kind: what, letters } : { mend: `after ${what} write plain moves, as ${what} 1 2 3b` };
}

function barred(text: string): Reading {
  const many = gatherings.get(text);
  if (many) return { kind: 'without', letters: many };
  const letters = spelled(text);
  if (!letters) return { mend: 'after without write a move, a family (kicks) or a height (body)' };
  return { kind: 'without', letters: new Set(letters.flatMap((letter) => [...barredBy(letter)])) };
}

function allowedOnly(text: string): Reading {
  const many = gatherings.get(text);
  const letters = many ?? spelled(text);
  return letters ? { kind: 'only', letters: new Set(letters) } : { mend: 'after only write moves, as only 1 2 3 sl' };
}

function wishOf(phrase: string): Reading {
  const number = /^(\S+?)(?:\s*-\s*(\S+))?\s+(.+)$/.exec(phrase);
  const [least, most] = [number?.[1], number?.[2]].map((word) => (word === undefined ? null : readNumberWord(word)));
  const begun = /^(begins|ends|contains|without|only|on|level|at most)\s+(?:(?:on|with)\s+)?(.+)$/.exec(phrase);
  const [, verb, rest = ''] = begun ?? [];
  switch (verb) {
    case 'begins':
    case 'ends':
    case 'contains':
      return withText(verb, rest);
    case 'without':
      return barred(rest);
    case 'only':
      return allowedOnly(rest);
    case 'on': {
      const bag = bagKinds.find((kind) => kind === rest.replace(/^the\s+/, ''));
      return bag ? { kind: 'on', bag } : { mend: `after on write a bag: ${bagKinds.join(', ')}` };
    }
    case 'level': {
      const level = levels.find((each) => each === rest);
      return level ? { kind: 'level', level } : { mend: `after level write ${levels.join(', ')}` };
    }
    case 'at most': {
      const seconds = /^(\d+(?:[.,]\d+)?)\s*(?:s|seconds?)$/.exec(rest)?.[1];
      if (seconds) return { kind: 'at most', ms: Math.round(Number(seconds.replace(',', '.')) * 1000) };
      const few = /^(\S+)\s+(.+)$/.exec(rest);
      const bound = few?.[1] === undefined ? null : readNumberWord(few[1]);
      return bound === null || few?.[2] === undefined
        ? { mend: 'write at most 4 s, or at most 2 kicks' }
        : counted(0, bound, few[2]);
    }
    case undefined:
      break;
  }
  if (phrase === 'flows' || phrase === 'loops' || phrase === 'same stance') return { kind: phrase };
  if (phrase === 'jumps' || phrase === 'no jumping') return barred('jumping');
  if (least !== null && least !== undefined && number?.[3] !== undefined && (number[2] === undefined || most !== null))
    return counted(least, most ?? least, number[3]);
  return { mend: `write phrases parted by commas: ${phrases}` };
}

/**
 * Reads wishes: short phrases parted by commas (docs/compose.md). A phrase that is none says where it stands and how to mend it.
 * @example readWishes('4-6 moves, begins 1 2, ends 3, flows')
 */
export function readWishes(text: string): Read<readonly Wish[]> {
  const wishes: Wish[] = [];
  let at = 0;
  for (const part of text.split(',')) {
    const phrase = part.trim().replace(/\s+/g, ' ').toLowerCase();
    const start = at + (part.length - part.trimStart().length);
    at += part.length + 1;
    if (phrase === '') continue;
    const read = wishOf(phrase);
    if ('mend' in read)
      return bad({
        at: start,
        end: start + part.trim().length,
        read: part.trim(),
        what: `“${part.trim()}” is no wish`,
        mend: read.mend,
      });
    wishes.push({ ...read, phrase });
  }
  return wishes.length > 0
    ? good(wishes)
    : bad({
        at: 0,
        end: text.length,
        read: text,
        what: 'there is no wish',
        mend: `write phrases parted by commas: ${phrases}`,
      });
}
