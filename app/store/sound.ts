import { Dexie } from 'dexie/dist/modern/dexie.mjs';
import { bookEntrySchema, logEntrySchema, sayPath, sheetSchema, type Sheet } from '../../core/index';

/** Stores whose records are looked at. */
export const lookedAt = ['sheets', 'log', 'book', 'runs', 'choices'] as const;
export type LookedAt = (typeof lookedAt)[number];

/** A record that this program cannot read: it is listed, can be exported as it is, and is never overwritten. */
export interface Unread {
  readonly store: LookedAt;
  readonly name: string;
  readonly why: string;
  readonly row: unknown;
}

interface Read {
  readonly success: boolean;
  readonly error?: { readonly issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[] };
}

/** Why a sheet would unfold beyond all bounds; null where it does not. */
export type WorkFault = (sheet: Sheet) => string | null;

/** Verdicts by record and revision: what has not changed is not looked at again. */
const verdicts = new Map<string, string | null>();
const mostVerdicts = 20_000;

// A record that is deleted may come back otherwise under its id and revision, from a file or another tab.
Dexie.on('storagemutated', (parts) => {
  if (Object.keys(parts).some((part) => part.endsWith('/:dels'))) verdicts.clear();
});

/** Why something cannot be read, from what is known by `key` where it was looked at before. */
export function whyNot(key: string | null, read: () => Read): string | null {
  const known = key === null ? undefined : verdicts.get(key);
  if (known !== undefined) return known;
  const { success, error } = read();
  const [issue] = error?.issues ?? [];
  const place = sayPath(issue?.path ?? []);
  const why = success ? null : `${place ? `${place}: ` : ''}${issue?.message ?? 'it is damaged'}`;
  if (verdicts.size > mostVerdicts) verdicts.clear();
  if (key !== null) verdicts.set(key, why);
  return why;
}

/** A sheet that would unfold beyond all bounds is not opened. */
function soundSheet(stored: unknown, workFault: WorkFault | null): Read {
  const read = sheetSchema.safeParse(stored);
  const fault = read.success ? (workFault?.(read.data) ?? null) : null;
  return fault === null ? read : { success: false, error: { issues: [{ path: [], message: fault }] } };
}

/**
 * Why a stored record cannot be read; null where it can. `rev` 0 and none are looked at each time. Whether a sheet can be laid
 * out is asked where `workFault` is given: one with figures was laid out before.
 */
export function faultOf(
  store: 'sheets' | 'log' | 'book',
  row: StoredRecord,
  workFault: WorkFault | null = null,
): string | null {
  const { id, rev } = row;
  return whyNot(rev ? `${store} ${id} ${rev}` : null, () => {
    const content = store === 'sheets' ? row.sheet : row.entry;
    const read =
      store === 'sheets'
        ? soundSheet(content, workFault)
        : (store === 'log' ? logEntrySchema : bookEntrySchema).safeParse(content);
    return read.success && idOf(content) !== id ? { success: false, error: { issues: [otherId] } } : read;
  });
}

const otherId = { path: ['id'], message: 'it is stored under the name of another one' };
const idOf = (content: unknown): unknown =>
  typeof content === 'object' && content !== null && 'id' in content ? content.id : null;

/** A row of a store of records, not looked at yet. */
export interface StoredRecord {
  readonly id: string;
  readonly rev?: number;
  readonly sheet?: unknown;
  readonly entry?: unknown;
}
