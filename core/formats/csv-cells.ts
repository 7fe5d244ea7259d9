import Papa from 'papaparse';
import { plainText } from '../plain-text';

/**
 * What a spreadsheet would run as a formula, or take for one (OWASP, "CSV Injection"), with the marks that were put before it:
 * behind blanks, line ends, zero-width signs and a byte order mark, too, which importers drop, and in full-width forms, which
 * some take for the narrow ones.
 */
const formula = /^'*(?:[\t\r\n]|[\s\u200b-\u200f\u2060\ufeff]*[=+\-@\uff1d\uff0b\uff0d\uff20])/;

/**
 * A cell that no spreadsheet runs: a mark is put before what looks like a formula, and before what has such marks already,
 * so that `plainCell` takes exactly one away again.
 * @example safeCell('=1+1') // "'=1+1"
 */
export const safeCell = (text: string): string => (formula.test(text) ? `'${text}` : text);

/** A cell as it was. `plainCell("'=1+1")` → `=1+1` */
export const plainCell = (cell: string): string => (/^'/.test(cell) && formula.test(cell) ? cell.slice(1) : cell);

/** Rows as CSV by RFC 4180: commas, CRLF, quotes where they are needed; what looks like a formula is made safe. `writeCsv(['a', 'b'], [[1, null]])` → `a,b`, `1,` */
export function writeCsv(header: readonly string[], rows: readonly (readonly (string | number | null)[])[]): string {
  const safe = (cell: string | number | null): string | number =>
    typeof cell === 'string' ? safeCell(plainText(cell)) : (cell ?? '');
  return `${Papa.unparse(
    [header, ...rows].map((row) => row.map(safe)),
    { newline: '\r\n' },
  )}\r\n`;
}

/** A table as it stands in a file. */
export interface CsvTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Rows that are read of one file, at the most. */
export const mostCsvRows = 20_000;

/**
 * Reads CSV with whatever parts its cells (comma, semicolon, tab); null where there is no table with a head and a row.
 * @example readCsv('date,minutes\r\n2026-11-26,40\r\n')?.rows.length // 1
 */
export function readCsv(text: string): CsvTable | null {
  const { data } = Papa.parse<string[]>(plainText(text.replace(/^\uFEFF/, '')), {
    skipEmptyLines: 'greedy',
    preview: mostCsvRows + 1,
  });
  const [header, ...rows] = data.map((row) => row.map(plainCell));
  if (!header || header.length < 2 || rows.length === 0) return null;
  return { header: header.map((name) => name.trim()), rows };
}
