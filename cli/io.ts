import { readFileSync } from 'node:fs';
import { readSheetJson, readTempoText, type Sheet, type TextFault } from '../core/index';

/** Bad input: one line for standard error, exit code 2. */
export class BadInput extends Error {}

/** The text of a file, or of standard input where the path is `-`. */
export function readText(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch {
    throw new BadInput(`${path}: cannot be opened; pass the path of a file, or - for standard input`);
  }
}

/** A sheet from a file, with what could not be read of a text. */
export interface SheetFile {
  readonly sheet: Sheet;
  readonly faults: readonly TextFault[];
  /** Line of each block and piece in a text, by id. */
  readonly lines: ReadonlyMap<string, number>;
}

const textEnding = '.tempo.txt';

function fromJson(path: string, text: string): Sheet {
  const read = readSheetJson(text);
  if (read.ok) return read.value;
  const [first] = read.problems;
  const more = read.problems.length > 1 ? ` (and ${read.problems.length - 1} more)` : '';
  throw new BadInput(`${path}: ${first?.path ? `${first.path}: ` : ''}${first?.what ?? 'unreadable'}${more}`);
}

/** A sheet from a file, by the file's ending; standard input by its first character. */
export function readSheet(path: string): SheetFile {
  const text = readText(path);
  const isJson = path === '-' ? text.trimStart().startsWith('{') : path.endsWith('.json');
  if (isJson) return { sheet: fromJson(path, text), faults: [], lines: new Map() };
  if (path !== '-' && !path.endsWith(textEnding))
    throw new BadInput(`${path}: a sheet file must end in .json or ${textEnding}`);
  return readTempoText(text);
}

/** A sheet from a file of a format that is named. */
export function readSheetAs(path: string, format: 'json' | 'text'): Sheet {
  const text = readText(path);
  return format === 'json' ? fromJson(path, text) : readTempoText(text).sheet;
}
