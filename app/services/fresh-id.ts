/**
 * A name used nowhere else: a random UUID (RFC 9562, version 4). Made of random bytes, since browsers offer
 * `crypto.randomUUID` on secure addresses only, and a tablet in the gym has plain http.
 * @example freshId() // '3f0c…'
 */
export function freshId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
