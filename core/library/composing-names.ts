import { letterOf, type Letter } from '../composer/alphabet';
import { lettersOfText } from '../composer/liking';
import type { WishNames } from '../composer/wish';
import { six, type Scheme } from '../moves/scheme';
import type { Item } from '../notation/combination';
import { readStored } from '../notation/stored';
import { faultList } from './faults';

/** The moves of a drill as a search knows them: without force, held beats and feints. */
function plainLetters(items: readonly Item[]): readonly Letter[] {
  return items.flatMap((item) => {
    if (item.kind !== 'move' || item.feint) return [];
    const { force: _, ...plain } = item;
    const letter = letterOf(plain);
    return letter >= 0 ? [letter] : [];
  });
}

/** The drills that mend faults, by the fault's id and name. */
const drills: WishNames['drills'] = faultList.flatMap(({ id, name, drill }) => {
  const read = readStored(drill.text);
  const letters = read.ok ? plainLetters(read.value.items) : [];
  return letters.length > 0 ? [{ names: [id, name], letters }] : [];
});

/**
 * What wishes may name for a coach: the book, the room's bags, drills for faults; what bags take by the coach's schools; numbers as the scheme has them.
 * @example namesFor([{ name: 'Ladder truck', text: '1 2 3' }], hungBags(room), { schools })
 */
export function namesFor(
  book: readonly { readonly name: string; readonly text: string }[],
  bags: WishNames['bags'],
  conditions: WishNames['conditions'],
  scheme: Scheme = six,
): WishNames {
  return {
    scheme,
    book: book.flatMap(({ name, text }) => {
      const letters = lettersOfText(text);
      return letters ? [{ name, letters }] : [];
    }),
    bags: bags.map((bag) => ({ ...bag, conditions: { ...conditions, ...bag.conditions } })),
    drills,
    conditions,
  };
}

/** Faults that a wish can ask a drill for, by id and name. `taughtFaults[0]?.id` */
export const taughtFaults: readonly { readonly id: string; readonly name: string }[] = faultList.filter(({ id }) =>
  drills.some(({ names }) => names.includes(id)),
);
