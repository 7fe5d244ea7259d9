import { moveKind, type MoveId } from './catalogue';
import { bad, good, type Read } from '../fault';
import type { Side } from './kind';

/** What a number means: a kind of move on one side. */
export interface NumberMeaning {
  readonly number: number;
  readonly id: MoveId;
  readonly side: Side | null;
}

/** A way of numbering moves. Every school agrees on one to six; schemes differ beyond. */
export interface Scheme {
  readonly name: string;
  readonly numbers: readonly NumberMeaning[];
}

const oneToSix: readonly NumberMeaning[] = [
  { number: 1, id: 'jab', side: 'lead' },
  { number: 2, id: 'cross', side: 'rear' },
  { number: 3, id: 'hook', side: 'lead' },
  { number: 4, id: 'hook', side: 'rear' },
  { number: 5, id: 'uppercut', side: 'lead' },
  { number: 6, id: 'uppercut', side: 'rear' },
];

/** One to six only. Stored combinations are spelt in it, so that any other scheme can spell them anew. */
export const six: Scheme = { name: 'six', numbers: oneToSix };

/** Six, and 7 the lead shovel hook, 8 the overhand. */
export const eight: Scheme = {
  name: 'eight',
  numbers: [...oneToSix, { number: 7, id: 'shovel-hook', side: 'lead' }, { number: 8, id: 'overhand', side: 'rear' }],
};

/**
 * A coach's own scheme: one to six and the given numbers from 7 to 99. Refused with a reason where a number would
 * have two meanings or a move two numbers.
 * @example ownScheme('mine', [{ number: 7, id: 'body-kick', side: 'rear' }])
 */
export function ownScheme(name: string, beyondSix: readonly NumberMeaning[]): Read<Scheme> {
  const numbers: NumberMeaning[] = [...oneToSix];
  const refuse = (meaning: NumberMeaning, what: string, mend: string): Read<Scheme> =>
    bad({ at: 0, end: 0, read: String(meaning.number), what, mend });
  for (const meaning of beyondSix) {
    const { number, id, side } = meaning;
    const name = moveKind(id).name;
    if (!Number.isInteger(number) || number < 1 || number > 99)
      return refuse(meaning, `${number} cannot be used`, 'use a whole number from 7 to 99');
    const taken = numbers.find((other) => other.number === number);
    if (taken)
      return refuse(meaning, `${number} already means ${moveKind(taken.id).name}`, `give ${name} a number of its own`);
    const again = numbers.find((other) => other.id === id && other.side === side);
    if (again) return refuse(meaning, `${name} already has the number ${again.number}`, 'remove one of the two');
    if (side !== null && !moveKind(id).sides.includes(side))
      return refuse(meaning, `there is no ${side} ${name}`, `use the ${side === 'lead' ? 'rear' : 'lead'} one`);
    numbers.push(meaning);
  }
  return good({ name, numbers });
}
