import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** A room as its tablet remembers it. */
export interface RoomPass {
  readonly code: string;
  /** The remotes' secret. */
  readonly control: string;
  /** The server's proof of both. */
  readonly pass: string;
}

const keyBytes = 32;
const keyName = 'rooms.key';

/** Proves to a server, also after a restart, that a code and a remote's secret belong to the tablet that opened the room. */
export class Passes {
  constructor(private readonly key: Buffer) {}

  /** The proof, as text for an address. `passes.of('BCDFG', hostSecret, control)` */
  of(code: string, secret: string, control: string): string {
    return createHmac('sha256', this.key)
      .update(JSON.stringify([code, secret, control]))
      .digest('base64url');
  }

  isRight({ code, control, pass }: RoomPass, secret: string): boolean {
    const [right, given] = [this.of(code, secret, control), pass].map((text) => Buffer.from(text));
    return right !== undefined && given !== undefined && right.length === given.length && timingSafeEqual(right, given);
  }
}

/**
 * The key behind the passes: made at the first start, in a file that its owner alone reads. Where it cannot be written, a key
 * of this start alone: rooms then end with the server.
 * @example new Passes(roomKeyIn('/…/.authority'))
 */
export function roomKeyIn(folder: string): Buffer {
  const file = join(folder, keyName);
  try {
    const known = existsSync(file) ? readFileSync(file) : null;
    if (known?.length === keyBytes) return known;
    const fresh = randomBytes(keyBytes);
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    writeFileSync(file, fresh, { mode: 0o600 });
    return fresh;
  } catch (error) {
    console.error(`Rooms will not outlive a restart: ${file} cannot be used (${String(error)})`);
    return randomBytes(keyBytes);
  }
}
