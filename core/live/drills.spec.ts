import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import { answerLength } from '../progressions/call-drill';
import type { LiveChange } from '../run/live-changes';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import type { Timeline } from '../timeline/leaf';
import { withFreshDrills } from './drills';
import { liveTimeline } from './live';

// Trade page, section 5: a call comes no sooner than the answer and the least stillness (1 s, house value) are over.

const sheetOf = (text: string): Sheet => readTempoText(text).sheet;
const three = sheetOf('round 4:00:\n  2:00 call count 2-6\n  1:00 call direction 2\n  1:00 call go 2-5');
const base = compile(three);

interface Called {
  readonly at: number;
  readonly end: number;
  readonly say: string;
  readonly punches: number;
}
const calledIn = ({ leaves }: Timeline): Called[] =>
  leaves.flatMap((leaf) =>
    leaf.drillCalls.map(({ at, answerMs, say, punches }) => ({
      at: leaf.at + at,
      end: leaf.at + at + answerMs,
      say,
      punches,
    })),
  );
const mean = (all: readonly Called[]): number => all.reduce((sum, { punches }) => sum + punches, 0) / all.length;

describe('calls drills while a session runs', () => {
  it('are others in every run, but for the one whose seed the coach has chosen', () => {
    const words = (seed: number): string => {
      const { leaves } = compile(withFreshDrills(three, seed));
      return leaves.map(({ drillCalls }) => drillCalls.map(({ at, say }) => `${at} ${say}`).join()).join('\n');
    };
    expect(words(7)).toBe(words(7));
    expect(new Set([1, 2, 3, 4, 5, 4_294_967_295].map(words)).size).toBe(6);
    const chosen = sheetOf('round 1:00: call count 2-6 seed 9');
    expect(withFreshDrills(chosen, 5)).toBe(chosen);
  });

  it('never call before the answer is over, whatever is changed', () => {
    const at = fc.integer({ min: 0, max: 260_000 });
    const change = fc.oneof(
      fc.record({ kind: fc.constant('pace' as const), at, factor: fc.integer({ min: 5, max: 15 }).map((n) => n / 10) }),
      fc.record({ kind: fc.constant('drill' as const), at, grows: fc.boolean() }),
      fc.record({ kind: fc.constant('longer' as const), at, ms: fc.constant(30_000) }),
      fc.record({ kind: fc.constant('end piece' as const), at }),
      fc.record({
        kind: fc.constant('version' as const),
        at,
        version: fc.constantFrom('easier' as const, 'harder' as const),
      }),
      fc.record({ kind: fc.constant('undo' as const), at }),
    );
    let pairs = 0;
    fc.assert(
      fc.property(fc.array(change, { maxLength: 6 }), (some) => {
        const changes: LiveChange[] = [...some].sort((a, b) => a.at - b.at);
        const live = liveTimeline(base, changes);
        const all = calledIn(live);
        for (const [index, call] of all.entries()) {
          const before = all[index - 1];
          if (!before) continue;
          pairs += 1;
          expect(call.at).toBeGreaterThanOrEqual(before.end + 1000);
        }
        // What was called before the last change is still what was called.
        const last = changes.at(-1);
        const earlier = calledIn(liveTimeline(base, changes.slice(0, -1)));
        if (last) expect(all.filter((one) => one.at < last.at)).toEqual(earlier.filter((one) => one.at < last.at));
      }),
      { numRuns: 150, seed: 20261126 },
    );
    expect(pairs).toBeGreaterThan(1000);
  });

  it('call more as they go on, where that is wished', () => {
    const seeds = Array.from({ length: 40 }, (_, seed) => compile(withFreshDrills(three, 1000 * seed)));
    const grown = seeds.flatMap((each) => calledIn(liveTimeline(each, [{ kind: 'drill', at: 0, grows: true }])));
    const third = (from: number): number => mean(grown.filter((one) => one.at >= from && one.at < from + 40_000));
    expect(third(0)).toBeLessThan(2.6);
    expect(third(80_000)).toBeGreaterThan(3.6);
    // No count is above what the drill has grown to by then: two and a share of four more.
    const early = grown.filter((one) => one.at < 60_000);
    expect(early.length).toBeGreaterThan(100);
    expect(Math.max(...early.map(({ punches }) => punches))).toBeLessThanOrEqual(4);
    const planned = seeds.flatMap((each) => calledIn(each).filter((one) => one.at < 40_000));
    expect(mean(planned)).toBeGreaterThan(3.5);
  });

  it('leave a slower class the time for its answers', () => {
    const slow = liveTimeline(base, [{ kind: 'pace', at: 0, factor: 0.5 }]);
    const [first] = slow.leaves[0]?.drillCalls ?? [];
    expect(first?.answerMs).toBe(answerLength('count', first?.punches ?? 0, 0.5));
    expect(answerLength('count', 3, 0.5) - 400).toBe(2 * (answerLength('count', 3) - 400));
  });

  it('are drawn on, left out again, where a drill is made longer', () => {
    const longer = liveTimeline(base, [{ kind: 'longer', at: 100_000, ms: 30_000 }]);
    const [drill] = [longer.leaves.filter(({ drill: made }) => made?.kind === 'count')];
    expect(drill?.reduce((sum, { ms }) => sum + ms, 0)).toBe(150_000);
    const added = calledIn(longer).filter((one) => one.at >= 120_000 && one.at < 150_000);
    expect(added.length).toBeGreaterThan(3);
    const gaps = (all: readonly Called[]): string =>
      all
        .slice(1)
        .map((one, at) => one.at - (all[at]?.at ?? 0))
        .join();
    expect(gaps(added)).not.toBe(gaps(calledIn(base).slice(0, added.length)));
    expect(Math.max(...added.map(({ end }) => end))).toBeLessThanOrEqual(150_000);
  });
});
