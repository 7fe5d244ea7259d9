import { distance } from 'fastest-levenshtein';
import type { Forms } from './forms';
import { slotKinds } from './slot-kinds';

const otherWords = ['any', 'freestyle', 'end', 'different', 'then', 'ft', ...slotKinds];

/** Splits a run such as `112` or `1b2` into moves where it can be split in one way, longest first. */
function splitRun(word: string, forms: Forms): string | null {
  if (word.length > 40) return null;
  const parts: string[] = [];
  let at = 0;
  while (at < word.length) {
    let end = Math.min(word.length, at + (/\d/.test(word.charAt(at)) ? 2 : 5));
    while (end > at && !forms.meanings.has(word.slice(at, end))) end -= 1;
    if (end === at) return null;
    parts.push(word.slice(at, end));
    at = end;
  }
  return parts.length > 1 ? parts.join(' ') : null;
}

/** The nearest valid spelling of a word that is no move, or null where nothing is near. `112` → `1 1 2`; `jabb` → `jab` */
export function suggest(word: string, forms: Forms): string | null {
  const bare = word.replace(/[!~@].*$/, '');
  const split = splitRun(bare, forms);
  if (split) return split;
  // Long words are not misspelt moves; comparing them all would make the reader slow on hostile text.
  if (bare.length === 0 || bare.length > 24) return null;
  const allowed = bare.length < 3 ? 1 : 2;
  let best: string | null = null;
  let bestDistance = allowed + 1;
  for (const form of [...forms.meanings.keys(), ...otherWords]) {
    if (Math.abs(form.length - bare.length) > allowed) continue;
    const apart = distance(bare, form);
    if (apart < bestDistance) [best, bestDistance] = [form, apart];
  }
  // A one-letter word is near everything, and nothing near a lone sign is meant.
  return bestDistance < bare.length ? best : null;
}
