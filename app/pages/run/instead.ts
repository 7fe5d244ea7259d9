import type { BookEntry } from '../../../core/index';

/** Combinations of the book as they are offered in place of what is on. `insteadOf(book)[0].name` → `Turnout · 1 2` */
export function insteadOf(book: readonly BookEntry[]): { readonly name: string; readonly text: string }[] {
  return book.map(({ name, text }) => ({ name: name ? `${name} · ${text}` : text, text }));
}
