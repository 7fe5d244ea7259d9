const signs: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' };

/** Text as it may stand in a page, in an element or in an attribute. `escaped('<b>')` → `&lt;b&gt;` */
export function escaped(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => signs[sign] ?? sign);
}
