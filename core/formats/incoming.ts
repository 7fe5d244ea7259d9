import { countUnplain, plainText, sayTaken } from '../plain-text';
import { bookFormat } from '../sheet/book';
import type { Sheet } from '../sheet/schema';
import { workFault } from '../timeline/work';
import { backupFormat } from './backup';
import { sheetInPage } from './sheet-in-page';
import { readSheetJson, type FromFile, type Problem } from './sheet-json';
import { mostCharacters, readTempoText } from './tempo-text/read';
import type { TextFault } from './tempo-text/line';

/** A file, or pasted text, by what is in it. */
export type Incoming =
  /** A sheet; of text, with what could not be read of it. */
  | {
      readonly kind: 'sheet';
      readonly sheet: Sheet;
      readonly faults: readonly TextFault[];
      readonly titled: boolean;
      /** What was removed of it, in words. */
      readonly taken: string | null;
    }
  /** One of our files that is taken in elsewhere. */
  | { readonly kind: 'book' | 'backup'; readonly text: string }
  | { readonly kind: 'refused'; readonly problems: readonly Problem[] };

const refused = (what: string): Incoming => ({ kind: 'refused', problems: [{ path: '', what }] });

/** The name of the format that a text of JSON gives itself; null where it is no JSON object, or gives none. */
function formatOf(text: string): string | null {
  try {
    const data: unknown = JSON.parse(text);
    const format = typeof data === 'object' && data !== null && 'format' in data ? data.format : null;
    return typeof format === 'string' ? format : null;
  } catch {
    return null;
  }
}

function fromJson(text: string, taken: number): Incoming {
  const format = formatOf(text);
  if (format === bookFormat) return { kind: 'book', text };
  if (format === backupFormat) return { kind: 'backup', text };
  const read: FromFile<Sheet> = readSheetJson(text);
  if (!read.ok) return { kind: 'refused', problems: read.problems };
  const fault = workFault(read.value);
  if (fault) return refused(fault);
  return { kind: 'sheet', sheet: read.value, faults: [], titled: true, taken: sayTaken(taken + (read.taken ?? 0)) };
}

/**
 * What a text is, by its content alone: JSON of ours, a file that was taken home, or a session in tempo text. What would unfold beyond all bounds is
 * refused before it is laid out.
 * @example readIncomingText('round 3:00: 1 2').kind // "sheet"
 */
export function readIncomingText(text: string): Incoming {
  const taken = countUnplain(text);
  const plain = plainText(text).replace(/^\uFEFF/, '');
  if (plain.trim() === '') return refused('the file is empty');
  if (/^\s*[{[]/.test(plain)) {
    const json = fromJson(plain, taken);
    // A text may begin with a bracket, too: "[1 / 2] 3" in a first line.
    if (json.kind !== 'refused' || !/^\s*\[/.test(plain)) return json;
  }
  const inside = /^\s*<!doctype html/i.test(plain) ? sheetInPage(plain) : null;
  if (inside !== null) return fromJson(inside, taken);
  if (plain.length > mostCharacters)
    return refused(`a session as text can have up to ${mostCharacters.toLocaleString('en')} characters; this has more`);
  const { sheet, faults } = readTempoText(plain);
  const fault = workFault(sheet);
  if (fault) return refused(fault);
  return { kind: 'sheet', sheet, faults, titled: sheet.title !== '', taken: sayTaken(taken) };
}
