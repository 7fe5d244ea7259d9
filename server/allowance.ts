import type { RoomClock } from './rooms';

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

  /** Whether once more is allowed. */
  has(): boolean {
    this.fill();
    return this.left >= 1;
  }

  /** Takes one; false where none is left. */
  take(): boolean {
    if (!this.has()) return false;
    this.left -= 1;
    return true;
  }

  /** Whether all of it is left, so that nothing need be remembered. */
  full(): boolean {
    this.fill();
    return this.left >= this.most;
  }
}
