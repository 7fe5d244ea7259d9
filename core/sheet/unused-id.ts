import type { Sheet } from './schema';

/** An id that stands nowhere in a sheet yet, for parts that a pure edit adds. `unusedId(sheet, 'rest')` → `rest-1` */
export function unusedId(sheet: Sheet, stem: string): string {
  const taken = new Set(sheet.blocks.flatMap((block) => [block.id, ...block.pieces.map((piece) => piece.id)]));
  let number = 1;
  while (taken.has(`${stem}-${number}`)) number += 1;
  return `${stem}-${number}`;
}
