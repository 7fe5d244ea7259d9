import type { Parts } from './read';
import { readStored } from './stored';

/** Named combinations as they are kept, for use wherever one is typed. `sheetPartsOf(sheet.parts)` */
export function sheetPartsOf(parts: readonly { readonly name: string; readonly text: string }[] | undefined): Parts {
  return new Map(
    (parts ?? []).flatMap(({ name, text }) => {
      const read = readStored(text);
      return read.ok ? [[name.toLowerCase(), read.value] as const] : [];
    }),
  );
}
