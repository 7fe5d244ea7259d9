/** A record whose fields are not known. */
export type Fields = Readonly<Record<string, unknown>>;

/** Whether a value has fields. */
export const isRecord = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Whether two values are the same, the order of fields aside; undefined counts as not there.
 * @example alike({ a: 1, b: undefined }, { a: 1 }) === true
 */
export function alike(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) || Array.isArray(b))
    return Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((each, at) => alike(each, b[at]));
  if (!isRecord(a) || !isRecord(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => alike(a[key], b[key]));
}
