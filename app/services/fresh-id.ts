/** A name used nowhere else. */
export function freshId(): string {
  return crypto.randomUUID();
}
