import type { Parts } from '../notation/read';
import type { Sheet } from '../session/schema';
import { readStored } from '../session/stored';

/** A sheet's own named combinations, for use wherever one is typed into it. */
export function sheetPartsOf(parts: Sheet['parts']): Parts {
  return new Map(
    (parts ?? []).flatMap(({ name, text }) => {
      const read = readStored(text);
      return read.ok ? [[name.toLowerCase(), read.value] as const] : [];
    }),
  );
}
