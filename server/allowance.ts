import type { RoomClock } from './room';

/** How often something may be done: so many at once, and so many a second after that (a token bucket). */
export class Allowance {
  private left: number;
  private seen: number;

  constructor(
    private readonly perSecond: number,
    private readonly most: number,
    private readonly clock: RoomClock,
  ) {
    this.left = most;
    this.seen = clock.now();
  }

  private fill(): void {
    const now = this.clock.now();
    this.left = Math.min(this.most, this.left + (Math.max(0, now - this.seen) * this.perSecond) / 1000);
    this.seen = now;
  }

  /** Whether so much is left. */
  has(much = 1): boolean {
    this.fill();
    return this.left >= much;
  }

  /** Takes so much; false where less is left. */
  take(much = 1): boolean {
    if (!this.has(much)) return false;
    this.left -= much;
    return true;
  }

  /** Whether all of it is left, so that nothing need be remembered. */
  full(): boolean {
    this.fill();
    return this.left >= this.most;
  }
}
