/** By this the sheet in a file that was taken home is found again. */
export const sheetOpens = '<script type="application/json" id="keen-tempo-sheet">';

/** JSON that can stand in a page whatever is in it: nothing in it opens or ends an element. `inPage('</script>')` */
export const inPage = (json: string): string => json.replace(/</g, '\\u003c');

/**
 * The sheet in a file that was taken home, as JSON; null where it is no such file.
 * @example sheetInPage(takeHomePage(takeHome, parts)) // '{"format":"keen-tempo-sheet", …}'
 */
export function sheetInPage(html: string): string | null {
  const from = html.indexOf(sheetOpens);
  const to = from < 0 ? -1 : html.indexOf('</script>', from);
  return to < 0 ? null : html.slice(from + sheetOpens.length, to);
}
