import type { BookRow } from '../book/search';
import { nameOfFault } from '../live/live';
import { faultList } from '../library/faults';
import type { Day } from '../log/day';
import type { Digest } from '../log/digest';
import { coverageOfCombination, isShort, type AimMet } from '../log/coverage';
import { writeCombination } from '../notation/write';
import type { DueAgain } from './due';

/** Something to do next, why, and the combination that does it. */
export interface Suggestion {
  readonly kind: 'due' | 'lack' | 'fault' | 'harder';
  readonly text: string;
  readonly name: string;
  readonly reason: string;
}

const days = (count: number): string => (count === 1 ? '1 day' : `${count} days`);

/**
 * The build tree of a book: for each combination by its text, those that go on from it by one move.
 * @example buildTree(rows).get('1 2') // the rows "1 2 3b", "1 2 5", …
 */
export function buildTree(rows: readonly BookRow[]): ReadonlyMap<string, readonly BookRow[]> {
  const tree = new Map<string, BookRow[]>();
  for (const row of rows) {
    const { items } = row.combination;
    if (items.length < 2) continue;
    const shorter = writeCombination({ items: items.slice(0, -1) });
    tree.set(shorter, [...(tree.get(shorter) ?? []), row]);
  }
  return tree;
}

const nameOf = (rows: readonly BookRow[], text: string): string =>
  rows.find(({ entry }) => entry.text === text)?.entry.name || text;

/** Combinations that are due on a day, the longest overdue first. `suggestDue(dueOf(digests), rows, today)[0]?.reason` */
export function suggestDue(due: readonly DueAgain[], rows: readonly BookRow[], today: Day): Suggestion[] {
  return due
    .filter((each) => each.due <= today)
    .sort((a, b) => a.due - b.due || (a.text < b.text ? -1 : 1))
    .map(({ text, last, due: since, recall, times, known }) => ({
      kind: 'due',
      text,
      name: nameOf(rows, text),
      reason: `last done ${days(today - last)} ago, ${times === 1 ? 'once' : `${times} times`} in total${recall === 'good' || recall === 'easy' ? '' : ', and it did not go well'}; ${since === today ? 'due today' : `overdue by ${days(today - since)}`} (${Math.round(known(today) * 100)}% remembered)`,
    }));
}

/** For each aim that is short, the combination of the book that serves it best. `suggestForLacks(met, rows)[0]?.text` */
export function suggestForLacks(met: readonly AimMet[], rows: readonly BookRow[]): Suggestion[] {
  const covered = rows.map((row) => ({ row, coverage: coverageOfCombination(row.combination) }));
  return met.filter(isShort).flatMap(({ aim, got, least }): Suggestion[] => {
    const [best] = covered
      .map(({ row, coverage }) => ({ row, share: aim.part(coverage) / Math.max(1, aim.whole(coverage)) }))
      .filter(({ share }) => share > 0)
      .sort((a, b) => b.share - a.share || (a.row.entry.id < b.row.entry.id ? -1 : 1));
    if (!best) return [];
    const { entry } = best.row;
    const reason = `${Math.round(got ?? 0)}% of ${aim.of} are ${aim.name}; the target is ${Math.round(least)}%`;
    return [{ kind: 'lack', text: entry.text, name: entry.name || entry.text, reason }];
  });
}

/** Faults that were seen in the last sessions, with the drill that mends each. `suggestForFaults(digests, today)[0]?.name` */
export function suggestForFaults(digests: readonly Digest[], today: Day, span = 28): Suggestion[] {
  const seen = new Map<string, number>();
  for (const { learns, day, faults } of digests)
    if (learns && day > today - span && day <= today) for (const id of faults) seen.set(id, (seen.get(id) ?? 0) + 1);
  return [...seen]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .flatMap(([id, times]): Suggestion[] => {
      const fault = faultList.find((each) => each.id === id);
      if (!fault) return [];
      const reason = `“${nameOfFault(id)}” was seen ${times === 1 ? 'once' : `${times} times`} in four weeks`;
      return [{ kind: 'fault', text: fault.drill.text, name: fault.drill.name, reason }];
    });
}

/** So often it has to have gone well before a step is added (house value). */
const ready = 2;

/** Next harder steps: what goes on by one move from a combination that went well twice and is not due. `suggestHarder(due, rows, today)[0]?.text` */
export function suggestHarder(due: readonly DueAgain[], rows: readonly BookRow[], today: Day): Suggestion[] {
  const tree = buildTree(rows);
  const done = new Set(due.map(({ text }) => text));
  return due
    .filter((each) => each.times >= ready && each.due > today && (each.recall === 'good' || each.recall === 'easy'))
    .sort((a, b) => b.times - a.times || (a.text < b.text ? -1 : 1))
    .flatMap(({ text, times }) =>
      (tree.get(text) ?? [])
        .filter(({ entry }) => !done.has(entry.text))
        .map(({ entry }): Suggestion => ({
          kind: 'harder',
          text: entry.text,
          name: entry.name || entry.text,
          reason: `one move more than ${nameOf(rows, text)}, which has gone well ${times} times`,
        })),
    );
}
