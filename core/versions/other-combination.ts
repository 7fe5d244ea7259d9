import type { BagKind } from '../bags/kind-names';
import { alphabet, letterOf, lettersOf, type Letter } from '../composer/alphabet';
import { bestOf } from '../composer/best';
import { combinationOf } from '../composer/compose';
import { anyLiking } from '../composer/score';
import type { Wish } from '../composer/wish';
import { familyOf, move } from '../moves/move';
import type { Combination } from '../notation/combination';
import { readStored } from '../notation/stored';
import type { Sheet } from '../sheet/schema';
import { textsOf } from '../timeline/stages';

/** What every class knows. */
const basics = [move('jab'), move('cross'), move('hook')].map(letterOf);

/** The moves that a sheet works with, the basics among them. */
function movesOf(sheet: Sheet): ReadonlySet<Letter> {
  const combinations = sheet.blocks
    .flatMap(({ pieces }) => pieces.flatMap(textsOf))
    .flatMap((text) => {
      const read = readStored(text);
      return read.ok ? [read.value] : [];
    });
  return new Set([...basics, ...combinations.flatMap(lettersOf)].filter((letter) => letter >= 0));
}

/** How many moves apart it has to be (house value). */
const apart = 2;

/**
 * Another combination in the place of one: as many moves of each family, the same first move, out of the moves that the sheet works
 * with, at least two edits away, fitting the bag, flowing and looping; of those the best by score. The same one where there is none,
 * and where it holds slots, pairs, groups or marks.
 * @example otherThan(combination, sheet, 'heavy')
 */
export function otherThan(combination: Combination, sheet: Sheet, bag: BagKind): Combination {
  const letters = lettersOf(combination);
  const [first] = letters;
  if (first === undefined || letters.length <= apart || letters.includes(-1)) return combination;
  const families = letters.flatMap((letter) => (alphabet[letter] ? [familyOf(alphabet[letter])] : []));
  const counts = [...new Set(families)].map((family): Wish => {
    const many = families.filter((each) => each === family).length;
    const of = new Set(alphabet.flatMap((each, letter) => (familyOf(each) === family ? [letter] : [])));
    return { kind: 'count', of, least: many, most: many, phrase: '' };
  });
  const { level } = sheet.class;
  const wishes: Wish[] = [
    { kind: 'moves', least: letters.length, most: letters.length, phrase: '' },
    ...counts,
    { kind: 'begins', letters: [first], phrase: '' },
    { kind: 'only', letters: movesOf(sheet), phrase: '' },
    { kind: 'away', from: [letters], edits: apart, phrase: '' },
    { kind: 'on', bag, conditions: {}, phrase: '' },
    ...(level ? [{ kind: 'level', level, phrase: '' } as const] : []),
    { kind: 'flows', phrase: '' },
    { kind: 'loops', phrase: '' },
    { kind: 'same stance', phrase: '' },
  ];
  const best = bestOf(wishes, anyLiking, 1);
  const [found] = best.ok ? best.value.found : [];
  return found ? combinationOf(found.letters) : combination;
}
