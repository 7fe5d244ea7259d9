import fc from 'fast-check';
import { contentOf, rowsOf, withHeld, type Rows } from '../app/store/backup-rows';
import { faultOf, type StoredRecord } from '../app/store/sound';
import { workFault } from '../core/index';
import { demoRows } from '../demo/rows';
import { damagedData } from './inputs';

const { sheets, log, book, room } = demoRows(Date.UTC(2026, 10, 23));

/** Rows as they are stored now, and as versions before stored them: without revisions, figures or a count of changes, and sheets of the first version. */
const seeds: readonly { readonly store: 'sheets' | 'log' | 'book'; readonly row: { readonly id: string } }[] = [
  ...sheets.slice(0, 2).flatMap((row) => {
    const { figures: _, ...before } = row;
    const first = { ...before, sheet: { ...row.sheet, version: 1 } };
    return [row, { ...row, rev: 3 }, before, first].map((each) => ({ store: 'sheets' as const, row: each }));
  }),
  ...log.slice(0, 2).flatMap((row) => {
    const { rev: _, ...before } = row;
    return [row, before, { ...row, entry: null }].map((each) => ({ store: 'log' as const, row: each }));
  }),
  ...book
    .slice(0, 2)
    .flatMap((row) => [row, { ...row, entry: null }].map((each) => ({ store: 'book' as const, row: each }))),
];

export interface DamagedRow {
  readonly store: 'sheets' | 'log' | 'book';
  readonly row: StoredRecord;
}

/** A stored row after an accident, under its own id, as storage has none without. */
export const damagedRow: fc.Arbitrary<DamagedRow> = fc.constantFrom(...seeds).chain(({ store, row }) =>
  damagedData([row]).map((data) => ({
    store,
    row: { ...(typeof data === 'object' && data !== null ? data : {}), id: row.id },
  })),
);

/**
 * What must hold of any stored row: it is judged without a throw, and a backup holds it, sound or not, and gives it back.
 * Throws with the reason where it does not; true where it can be read.
 */
export function rowHolds({ store, row }: DamagedRow): boolean {
  const why = faultOf(store, row, workFault);
  const none: Rows = { sheets: [], log: [], book: [], choices: [{ key: 'room', value: room }] };
  const content = contentOf(withHeld({ ...none, [store]: [row] }, []));
  if (rowsOf(content)[store].length !== 1) throw new Error('a backup has lost a row');
  return why === null;
}
