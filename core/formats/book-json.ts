import { bookFormat, bookSchema, bookVersion, type Book, type BookEntry } from '../sheet/book';
import { isEmptyPhrasebook, type Wordings } from '../sheet/calls';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { sayFault } from '../fault';
import { parseJson, readVersioned, type FromFile, type Problem } from './sheet-json';

/** A book, or a selection, as a file's text; with the coach's phrasebook where there is anything in it. `writeBookJson('Ours', entries)` */
export function writeBookJson(title: string, entries: readonly BookEntry[], wordings: Wordings = {}): string {
  const book: Book = {
    format: bookFormat,
    version: bookVersion,
    title,
    entries: [...entries],
    ...(isEmptyPhrasebook(wordings) ? {} : { wordings }),
  };
  return `${JSON.stringify(book, null, 2)}\n`;
}

/** Reads a book's file; every entry must be a combination, which comes back in canonical text. */
export function readBookJson(text: string): FromFile<Book> {
  const data = parseJson(text);
  if (!data.ok) return data;
  const read = readVersioned(data.value, { name: bookFormat, version: bookVersion, schema: bookSchema, thing: 'book' });
  if (!read.ok) return read;
  const problems: Problem[] = [];
  const entries = read.value.entries.map((entry, at): BookEntry => {
    const combination = readCombination(entry.text);
    if (combination.ok) return { ...entry, text: writeCombination(combination.value) };
    problems.push({ path: `entries[${at}].text`, what: sayFault(combination.fault) });
    return entry;
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: { ...read.value, entries } };
}
