import type { Milliseconds, PaceFactor, SessionTime } from '../../core/index';

/** Where a session stands, on a clock of the outside that counts in seconds. */
export class FileClock {
  private anchor: SessionTime = 0;
  private since = 0;
  private rate: PaceFactor = 1;
  running = false;

  constructor(
    private readonly outside: () => number,
    private readonly end: Milliseconds,
  ) {}

  position(): SessionTime {
    if (!this.running) return this.anchor;
    return Math.min(this.end, this.anchor + (this.outside() - this.since) * 1000 * this.rate);
  }

  /** When a moment of the session will be, on the outside's clock. */
  when(at: SessionTime): number {
    return this.since + (at - this.anchor) / 1000 / this.rate;
  }

  go(): void {
    this.since = this.outside();
    this.running = true;
  }

  hold(): void {
    this.anchor = this.position();
    this.running = false;
  }

  to(at: SessionTime): void {
    this.anchor = Math.max(0, Math.min(this.end, at));
    this.since = this.outside();
  }

  pace(rate: PaceFactor): void {
    this.to(this.position());
    this.rate = rate;
  }
}
