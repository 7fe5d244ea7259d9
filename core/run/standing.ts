import type { Milliseconds } from '../units';
import type { SourceTime } from './clock';

/** A clock that has not moved for so long stands still, whatever it says of itself (noticed within half a second). */
export const standsAfter: Milliseconds = 400;

/**
 * Watches a clock that may stand still while it says that it runs (an audio clock without a device, say), by another one.
 * @example new ClockWatch().read(1000, 0) // 1000; the same reading 400 ms later is null
 */
export class ClockWatch {
  private last: SourceTime | null = null;
  private movedAt: SourceTime = 0;

  /** The reading, or null while the clock stands still or gives none; `page` is read at the same moment. */
  read(reading: SourceTime | null, page: SourceTime): SourceTime | null {
    if (reading === null || reading !== this.last) {
      this.last = reading;
      this.movedAt = page;
      return reading;
    }
    return page - this.movedAt > standsAfter ? null : reading;
  }
}
