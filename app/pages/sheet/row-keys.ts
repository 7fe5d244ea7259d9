/** What a key on a row of the rundown asks for. */
export type RowAction =
  | { readonly what: 'go'; readonly id: string; readonly mark: boolean }
  | { readonly what: 'move'; readonly by: -1 | 1 }
  | { readonly what: 'nudge'; readonly ms: number }
  | { readonly what: 'mark' | 'unmark' | 'edit' | 'remove' | 'duplicate' };

const nudge = 5000;

/** The meaning of a key on a row, or null where it has none. Rows are given in the order they stand. */
export function rowAction(event: KeyboardEvent, ids: readonly string[], id: string): RowAction | null {
  const at = ids.indexOf(id);
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  const control = event.ctrlKey || event.metaKey;
  if (by !== 0 && event.altKey) return { what: 'move', by };
  if (by !== 0) return { what: 'go', id: ids[at + by] ?? id, mark: event.shiftKey };
  switch (event.key) {
    case 'Home':
      return { what: 'go', id: ids[0] ?? id, mark: false };
    case 'End':
      return { what: 'go', id: ids.at(-1) ?? id, mark: false };
    case '+':
      return { what: 'nudge', ms: nudge };
    case '-':
      return { what: 'nudge', ms: -nudge };
    case ' ':
      return { what: 'mark' };
    case 'Escape':
      return { what: 'unmark' };
    case 'Enter':
      return { what: 'edit' };
    case 'Delete':
    case 'Backspace':
      return { what: 'remove' };
    default:
      return control && event.key.toLowerCase() === 'd' ? { what: 'duplicate' } : null;
  }
}
