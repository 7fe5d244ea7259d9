import { formsOf } from '../notation/forms';
import { partNameFault, type Parts } from '../notation/read';
import type { Combination } from '../notation/combination';
import { six } from '../moves/scheme';
import { readStored } from '../notation/stored';
import type { BookEntry } from '../sheet/book';

/** The word by which an entry can be typed: its name's letters and digits. `Hose reel` → `hosereel` */
export function partWord(name: string): string {
  return name.toLowerCase().replace(/[^a-z0-9]/g, '');
}

/**
 * The book's named combinations as parts, for use wherever a combination is typed: `turnout then 3`. Names that already
 * mean something, or that two entries share, are left out.
 */
export function bookParts(entries: readonly BookEntry[]): Parts {
  const parts = new Map<string, Combination>();
  const twice = new Set<string>();
  for (const { name, text } of entries) {
    const word = partWord(name);
    const read = readStored(text);
    if (!read.ok || read.value.items[0]?.kind === 'freestyle' || partNameFault(word, formsOf(six)) !== null) continue;
    if (parts.has(word)) twice.add(word);
    parts.set(word, read.value);
  }
  for (const word of twice) parts.delete(word);
  return parts;
}
