import type { Shortcut } from '../../services/keys.service';

/** What the keys of a row can do; the row is the one that has the focus. */
export interface RowHands {
  readonly go: (id: string, row: string, mark: boolean) => void;
  readonly move: (row: string, by: -1 | 1) => void;
  readonly nudge: (row: string, ms: number) => void;
  readonly mark: (row: string) => void;
  readonly unmark: () => void;
  readonly edit: (row: string) => void;
  readonly options: (row: string) => void;
  readonly unfold: (row: string) => void;
  readonly remove: (row: string) => void;
  readonly duplicate: (row: string) => void;
  readonly find: () => void;
}

const nudge = 5000;
const controls = 'button, input, [role="combobox"]';

/** The row that a key goes to, or null where it goes to something in it, or elsewhere. */
export function rowOf(event: KeyboardEvent): string | null {
  if (!(event.target instanceof Element) || event.target.closest(controls)) return null;
  return event.target.closest<HTMLElement>('[data-row]')?.dataset['row'] ?? null;
}

/** The keys of a row. Rows are given in the order they stand, as they are when a key is pressed. */
export function rowShortcuts(ids: () => readonly string[], hands: RowHands): readonly Shortcut[] {
  const on = (
    keys: readonly string[],
    does: string,
    press: (row: string) => void,
    { repeats } = { repeats: false },
  ): Shortcut => ({
    keys,
    does,
    repeats,
    when: (event) => rowOf(event) !== null,
    press: (event) => {
      const row = rowOf(event);
      if (row !== null) press(row);
    },
  });
  const go = (row: string, by: -1 | 1, mark: boolean): void => {
    const all = ids();
    hands.go(all[all.indexOf(row) + by] ?? row, row, mark);
  };
  /** A key that is held goes on. */
  const goesOn = { repeats: true };
  return [
    on(['ArrowUp'], 'Previous row', (row) => go(row, -1, false), goesOn),
    on(['ArrowDown'], 'Next row', (row) => go(row, 1, false), goesOn),
    on(['Home'], 'First row', (row) => hands.go(ids()[0] ?? row, row, false)),
    on(['End'], 'Last row', (row) => hands.go(ids().at(-1) ?? row, row, false)),
    on(['Enter'], 'Edit in the entry line', hands.edit),
    on(['o'], 'Options', hands.options),
    on(['u'], 'Expand or collapse the stages', hands.unfold),
    on(['+'], '5 s longer', (row) => hands.nudge(row, nudge), goesOn),
    on(['-'], '5 s shorter', (row) => hands.nudge(row, -nudge), goesOn),
    on(['Alt+ArrowUp'], 'Move up', (row) => hands.move(row, -1), goesOn),
    on(['Alt+ArrowDown'], 'Move down', (row) => hands.move(row, 1), goesOn),
    on(['Space'], 'Select or deselect', hands.mark),
    on(['Shift+ArrowUp'], 'Extend the selection up', (row) => go(row, -1, true), goesOn),
    on(['Shift+ArrowDown'], 'Extend the selection down', (row) => go(row, 1, true), goesOn),
    on(['Escape'], 'Clear the selection', hands.unmark),
    on(['$mod+d'], 'Duplicate', hands.duplicate),
    on(['Delete', 'Backspace'], 'Delete', hands.remove),
    on(['f'], 'Find on this sheet', hands.find),
  ];
}
