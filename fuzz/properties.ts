import {
  alike,
  compile,
  readCombination,
  readIncomingText,
  readTempoText,
  sheetSchema,
  study,
  workFault,
  writeCombination,
  writeSheetJson,
  writeTempoText,
} from '../core/index';

/** Nothing may take longer than this (a hang, by issue 13). */
export const longestMs = 1000;

function timely<T>(what: string, work: () => T): T {
  let took = Infinity;
  // Other work of the machine may hold it up once; a hang comes every time.
  for (let tries = 0; tries < 3; tries += 1) {
    const start = performance.now();
    const value = work();
    took = performance.now() - start;
    if (took <= longestMs) return value;
  }
  throw new Error(`${what} took ${Math.round(took)} ms`);
}

/**
 * What must hold of any file: no throw, no hang; what is accepted is valid, can be laid out, and is written twice alike.
 * Throws with the reason where it does not; true where the file was accepted.
 */
export function fileHolds(text: string): boolean {
  const incoming = timely('reading', () => readIncomingText(text));
  if (incoming.kind !== 'sheet') return false;
  const { sheet } = incoming;
  if (!sheetSchema.safeParse(sheet).success) throw new Error('a sheet was accepted that the schema refuses');
  if (workFault(sheet) !== null) throw new Error('a sheet was accepted that cannot be laid out');
  timely('laying out', () => compile(sheet));
  const json = writeSheetJson(sheet);
  const again = readIncomingText(json);
  // The order of fields aside: a reader may put them in its own.
  if (again.kind !== 'sheet' || !alike(JSON.parse(writeSheetJson(again.sheet)), JSON.parse(json)))
    throw new Error('its JSON is written twice differently');
  const typed = timely('writing as text', () => writeTempoText(sheet));
  const reread = writeTempoText(timely('reading the text', () => readTempoText(typed, sheet.id)).sheet);
  if (reread !== typed) throw new Error('its text is written twice differently');
  return true;
}

/** What must hold of any typed combination: no throw, no hang, a fault in its place, and canonical text that stays itself. */
export function combinationHolds(text: string): boolean {
  const read = timely('reading', () => readCombination(text));
  if (!read.ok) {
    if (read.fault.at < 0 || read.fault.at > text.length) throw new Error('a fault stands outside the text');
    return false;
  }
  const canonical = writeCombination(read.value);
  const again = readCombination(canonical);
  if (!again.ok) throw new Error(`"${canonical}" is not read again: ${again.fault.what}`);
  if (writeCombination(again.value) !== canonical) throw new Error(`"${canonical}" is written twice differently`);
  if (!alike(again.value.items.length, read.value.items.length)) throw new Error(`"${canonical}" has other items`);
  timely('judging', () => study(read.value));
  return true;
}
