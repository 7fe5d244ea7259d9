import { isIPv6 } from 'node:net';
import { wallLimits } from '../core/index';
import { Allowance } from './allowance';
import type { RoomClock } from './room';

/** What one address has used of the live channel. */
export interface Share {
  /** Lines that are open from there. */
  lines: number;
  readonly most: { readonly lines: number; readonly rooms: number };
  /** Wrong codes and secrets. */
  readonly wrong: Allowance;
  /** New rooms. */
  readonly opens: Allowance;
  readonly bytes: Allowance;
}

/**
 * Where a line comes from, as limits count it: one network of IPv6 is one address, since a device may take any in it.
 * @example addressOf('::ffff:192.0.2.7') // "192.0.2.7"
 */
export function addressOf(from: string): string {
  const inside = /^::ffff:(\d+\.\d+\.\d+\.\d+)$/i.exec(from)?.[1];
  if (inside !== undefined) return inside;
  if (!isIPv6(from)) return from;
  const [head = '', tail] = from.split('%')[0]?.split('::') ?? [];
  const groups = (text: string): string[] => (text === '' ? [] : text.split(':'));
  const [before, after] = [groups(head), groups(tail ?? '')];
  const zeros = tail === undefined ? [] : Array.from({ length: 8 - before.length - after.length }, () => '0');
  return `${[...before, ...zeros, ...after].slice(0, 4).join(':')}::/64`;
}

/** So much that nobody uses it up. */
const endless = Number.MAX_SAFE_INTEGER;

const isThisMachine = (from: string): boolean => from === '::1' || addressOf(from).startsWith('127.');

/** What each address has used. The machine of the server itself has no limit but that on guessing. */
export class Shares {
  private readonly all = new Map<string, Share>();

  constructor(private readonly clock: RoomClock) {}

  of(from: string): Share {
    const address = addressOf(from);
    const known = this.all.get(address);
    if (known) return known;
    const own = isThisMachine(from);
    const allowance = (perSecond: number, most: number): Allowance => new Allowance(perSecond, most, this.clock);
    const fresh: Share = {
      lines: 0,
      most: own
        ? { lines: Infinity, rooms: Infinity }
        : { lines: wallLimits.linesOfAddress, rooms: wallLimits.roomsOfAddress },
      wrong: allowance(wallLimits.wrongPerMinute / 60, wallLimits.wrongPerMinute),
      opens: own ? allowance(endless, endless) : allowance(wallLimits.opensPerMinute / 60, wallLimits.opensPerMinute),
      bytes: own ? allowance(endless, endless) : allowance(wallLimits.bytesPerSecond, wallLimits.bytesBurst),
    };
    this.all.set(address, fresh);
    return fresh;
  }

  /** Forgets whoever has used nothing. */
  sweep(): void {
    for (const [address, { lines, wrong, opens, bytes }] of this.all)
      if (lines === 0 && wrong.full() && opens.full() && bytes.full()) this.all.delete(address);
  }
}
