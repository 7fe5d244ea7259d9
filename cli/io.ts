import { readFileSync } from 'node:fs';
import { readSheetJson, type Sheet } from '../core/index';

/** Bad input: one line for standard error, exit code 2. */
export class BadInput extends Error {}

/** The text of a file, or of standard input where the path is `-`. */
export function readText(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch {
    throw new BadInput(`${path}: cannot be opened; give the path of a file, or - for standard input`);
  }
}

/** A sheet from a file, by the file's ending. */
export function readSheet(path: string): Sheet {
  const text = readText(path);
  if (path !== '-' && !path.endsWith('.json'))
    throw new BadInput(`${path}: sheets are read from .json files; export the sheet first`);
  const read = readSheetJson(text);
  if (read.ok) return read.value;
  const [first] = read.problems;
  const more = read.problems.length > 1 ? ` (and ${read.problems.length - 1} more)` : '';
  throw new BadInput(`${path}: ${first?.path ? `${first.path}: ` : ''}${first?.what ?? 'unreadable'}${more}`);
}
