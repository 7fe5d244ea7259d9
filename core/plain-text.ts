/**
 * Characters that no text of ours holds: NUL and the other control characters but tab and the ends of lines (Unicode's
 * category Cc below U+0020, and U+007F), which WebVTT, iCalendar and XML forbid, and lone halves of surrogate pairs, which
 * UTF-8 cannot say (RFC 3629, section 3).
 */
// eslint-disable-next-line no-control-regex -- they are what is looked for
const unplain = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]|\p{Surrogate}/gu;

/** How often a text holds something that none of ours may. `countUnplain('a\u0000b')` → `1` */
export const countUnplain = (text: string): number => text.match(unplain)?.length ?? 0;

/** A text without control characters; half a surrogate pair becomes the sign for what cannot be read. `plainText('1\u0000 2')` → `1 2` */
export const plainText = (text: string): string =>
  text.replace(unplain, (found) => (found >= '\ud800' && found <= '\udfff' ? '\ufffd' : ''));

/** Data as JSON has it, every text in it plain, names of fields too; and how many characters that took. */
export function plainData(data: unknown): { readonly data: unknown; readonly taken: number } {
  let taken = 0;
  const plain = (value: unknown): unknown => {
    if (typeof value === 'string') {
      const found = countUnplain(value);
      taken += found;
      return found === 0 ? value : plainText(value);
    }
    if (Array.isArray(value)) return value.map(plain);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([name, each]) => [plain(name) as string, plain(each)]));
  };
  return { data: plain(data), taken };
}

/** What is said of characters that were taken out; null where none were. `sayTaken(2)` → `2 characters that no text can hold were removed` */
export const sayTaken = (taken: number): string | null =>
  taken === 0
    ? null
    : `${taken} ${taken === 1 ? 'character that no text can hold was' : 'characters that no text can hold were'} removed`;
