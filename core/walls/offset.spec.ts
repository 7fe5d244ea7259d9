import fc from 'fast-check';
import { delayOf, offsetBy, offsetOf, type RoundTrip } from './offset';

describe('how far the other clock is ahead', () => {
  it('is worked out of one round trip as in RFC 5905, section 8', () => {
    // Sent at 1000 by our clock; the other is 5000 ahead; 20 there, 3 spent there, 40 back (worked by hand from the formulas).
    const trip: RoundTrip = { t0: 1000, t1: 6020, t2: 6023, t3: 1063 };
    expect(delayOf(trip)).toBe(60);
    expect(offsetBy(trip)).toBe(4990);
    // Wrong by half of the difference between both ways, never by more than half of the delay.
    expect(Math.abs(offsetBy(trip) - 5000)).toBeLessThanOrEqual(delayOf(trip) / 2);
  });

  it('goes by the quickest of the last eight trips, and is not known before the first', () => {
    const quick: RoundTrip = { t0: 0, t1: 105, t2: 105, t3: 10 };
    const slow = (t0: number): RoundTrip => ({ t0, t1: t0 + 400, t2: t0 + 400, t3: t0 + 310 });
    expect(offsetOf([])).toBeNull();
    expect(offsetOf([slow(1), quick, slow(2)])).toBe(100);
    const later = Array.from({ length: 8 }, (_, each) => slow(each + 10));
    expect(offsetOf([quick, ...later])).toBe(245);
  });

  it('brings screens within 50 ms of each other over lines that are slow, uneven and lossy', () => {
    let ran = 0;
    // A radio network in a gym: 2 to 40 ms each way, now and then 300 more, a tenth of the trips lost (house values).
    const way = fc.tuple(fc.double({ min: 2, max: 40, noNaN: true }), fc.integer({ min: 0, max: 9 }));
    const trips = fc.array(fc.tuple(way, way, fc.integer({ min: 0, max: 9 })), { minLength: 30, maxLength: 60 });
    const screen = fc.record({ ahead: fc.double({ min: -1e9, max: 1e9, noNaN: true }), trips });
    fc.assert(
      fc.property(screen, screen, (one, other) => {
        const error = ({ ahead, trips: all }: typeof one): number | null => {
          const kept = all.flatMap(([there, back, luck], index): RoundTrip[] => {
            const spike = ([ms, rare]: readonly [number, number]): number => ms + (rare === 0 ? 300 : 0);
            const t0 = index * 500;
            const t1 = t0 + spike(there) + ahead;
            return luck === 0 ? [] : [{ t0, t1, t2: t1, t3: t0 + spike(there) + spike(back) }];
          });
          const offset = offsetOf(kept);
          return offset === null ? null : offset - ahead;
        };
        const [a, b] = [error(one), error(other)];
        fc.pre(a !== null && b !== null);
        ran += 1;
        expect(Math.abs((a ?? 0) - (b ?? 0))).toBeLessThan(50);
      }),
      { numRuns: 300, seed: 20261126 },
    );
    expect(ran).toBeGreaterThan(250);
  });
});
