import type { Fault, Read } from '../fault';
import { bad, good } from '../fault';
import { eight, ownScheme, six, type NumberMeaning, type Scheme } from '../moves/scheme';
import type { Combination } from './combination';
import { readCombination, type Parts } from './read';
import { writeCombination } from './write';

/** What numbers mean, as it is kept: a scheme by name, or a coach's own numbers beyond six, each with a move as text. */
export type Numbers =
  | 'six'
  | 'eight'
  | { readonly name: string; readonly beyondSix: readonly { readonly number: number; readonly move: string }[] };

const remembered = new Map<string, Read<Combination>>();
const mostRemembered = 4096;

/**
 * Reads a combination kept in a sheet (six-number scheme). The same text gives the same object, so that whatever is
 * derived from it can be remembered by it.
 */
export function readStored(text: string): Read<Combination> {
  let read = remembered.get(text);
  if (!read) {
    if (remembered.size >= mostRemembered) remembered.clear();
    read = readCombination(text);
    remembered.set(text, read);
  }
  return read;
}

/** What the sheet's numbers mean; a coach's own scheme may be refused. */
export function schemeOf(numbers: Numbers): Read<Scheme> {
  if (numbers === 'six') return good(six);
  if (numbers === 'eight') return good(eight);
  const beyond: NumberMeaning[] = [];
  for (const { number, move } of numbers.beyondSix) {
    const read = readCombination(move);
    if (!read.ok) return read;
    const [only] = read.value.items;
    if (read.value.items.length !== 1 || only?.kind !== 'move')
      return bad({
        at: 0,
        end: move.length,
        read: move,
        what: `"${move}" is not a single move`,
        mend: `give ${number} one move, for example bk`,
      });
    beyond.push({ number, id: only.id, side: only.side });
  }
  return ownScheme(numbers.name, beyond);
}

/** The scheme, or six where the sheet's own is refused. */
export function schemeOrSix(numbers: Numbers): Scheme {
  const read = schemeOf(numbers);
  return read.ok ? read.value : six;
}

/** What was typed, ready to be kept: canonical in six where it reads, else as it stands, with the fault. */
export interface Typed {
  readonly text: string;
  readonly combination: Combination | null;
  readonly fault: Fault | null;
}

/** Takes in typed text under a sheet's scheme. `takeIn('7 2', eight)` → text `sh 2` */
export function takeIn(typed: string, scheme: Scheme, parts?: Parts): Typed {
  const read = readCombination(typed, { scheme, ...(parts ? { parts } : {}) });
  if (!read.ok) return { text: typed, combination: null, fault: read.fault };
  return { text: writeCombination(read.value), combination: read.value, fault: null };
}

/** Kept text as the sheet's scheme spells it; unread text as it stands. */
export function spell(text: string, scheme: Scheme): string {
  const read = readStored(text);
  return read.ok ? writeCombination(read.value, scheme) : text;
}
