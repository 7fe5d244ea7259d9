import type { BookEntry } from '../sheet/book';

/** What becomes of one entry of somebody else's book. */
export interface MergeRow {
  readonly theirs: BookEntry;
  /** The entry here that it meets, or null. */
  readonly mine: BookEntry | null;
  /** new: not here yet; same: nothing to do; changed: the same entry, written otherwise; twin: the same moves under another name. */
  readonly what: 'new' | 'same' | 'changed' | 'twin';
}

/** What to do with a row: leave mine, take theirs in its place, or keep both. */
export type MergeChoice = 'leave' | 'take' | 'both';

function equal(one: BookEntry, other: BookEntry): boolean {
  const plain = ({ name, text, level, bag, note, tags }: BookEntry): string =>
    JSON.stringify([name, text, level ?? null, bag ?? null, note, [...tags].sort()]);
  return plain(one) === plain(other);
}

/** Lays their entries beside mine; changes nothing. `previewMerge(mine, theirs)[0].what` → `new` */
export function previewMerge(mine: readonly BookEntry[], theirs: readonly BookEntry[]): MergeRow[] {
  const byId = new Map(mine.map((entry) => [entry.id, entry]));
  const byText = new Map(mine.map((entry) => [entry.text, entry]));
  return theirs.map((entry): MergeRow => {
    const known = byId.get(entry.id);
    if (known) return { theirs: entry, mine: known, what: equal(known, entry) ? 'same' : 'changed' };
    const twin = byText.get(entry.text);
    if (twin) return { theirs: entry, mine: twin, what: equal({ ...twin, id: entry.id }, entry) ? 'same' : 'twin' };
    return { theirs: entry, mine: null, what: 'new' };
  });
}

/** What is done with a row unless somebody chooses otherwise: new ones come in, nothing of mine is written over. */
export function usualChoice(row: MergeRow): MergeChoice {
  return row.what === 'new' ? 'take' : 'leave';
}

/** The entries to write, by the choices made; those kept beside mine get a fresh id. */
export function mergedEntries(
  rows: readonly MergeRow[],
  choiceOf: (row: MergeRow) => MergeChoice,
  freshId: () => string,
): BookEntry[] {
  return rows.flatMap((row): BookEntry[] => {
    switch (choiceOf(row)) {
      case 'leave':
        return [];
      case 'take':
        return [row.mine ? { ...row.theirs, id: row.mine.id } : row.theirs];
      case 'both':
        return [{ ...row.theirs, id: row.mine ? freshId() : row.theirs.id }];
    }
  });
}
