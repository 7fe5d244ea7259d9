import type { Scheme } from '../moves/scheme';
import { formsOf } from './forms';

/** Words that begin a line of a sheet and are no moves: a slot, a build, calls, a rhythm, own time, words in quotes, a length. */
const others = [
  'any',
  'freestyle',
  'build',
  'call',
  'rhythm',
  'own time',
  'change-over',
  '(',
  '[',
  '"',
  ...'0123456789',
];

const built = new WeakMap<Scheme, ReadonlySet<string>>();

/** Whether a typed character can begin a combination, or a line that stands in its place. `beginsCombination('z', six)` → `false` */
export function beginsCombination(character: string, scheme: Scheme): boolean {
  let first = built.get(scheme);
  if (!first) {
    first = new Set([...formsOf(scheme).meanings.keys(), ...others].map((form) => form.charAt(0)));
    built.set(scheme, first);
  }
  return first.has(character.toLowerCase());
}
