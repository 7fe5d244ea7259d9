import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { handOver } from './clock';
import { begin, notice, pause, type Moment, type RunState } from './run';
import { whereIs } from './where';

const timeline = compile(readTempoText('round 1:00: 1 2\nrest open\nround 2:00\n  1:00: 1 2\n  1:00: 3 2').sheet);
const at = (source: number): Moment => ({ source, wall: 0 });
const started = begin(at(0), 10_000);
const looked = (state: RunState, source: number): RunState => notice(state, timeline, at(source));

describe('where a run stands', () => {
  it('counts to second zero, then what is left of the piece, with what is on and what is next', () => {
    const before = whereIs(started, timeline, 4000);
    expect([before.clock, before.leaf, before.next?.at]).toEqual([6000, null, 0]);
    const inside = whereIs(started, timeline, 25_000);
    expect([inside.position, inside.clock, inside.leaf?.round, inside.next?.open]).toEqual([15_000, 45_000, 1, true]);
    expect(inside.parts.map((leaf) => timeline.leaves.indexOf(leaf))).toEqual([0]);
  });

  it('says of an open break how long it has lasted, on whatever clock', () => {
    const waiting = looked(started, 71_000);
    expect(waiting.phase).toBe('break');
    expect([71_000, 83_000].map((source) => whereIs(waiting, timeline, source).clock)).toEqual([0, 12_000]);
    // Handed over to a clock that shows another time, it has lasted as long.
    const other = { ...waiting, clock: handOver(waiting.clock, 76_000, 1_000_000) };
    expect(whereIs(other, timeline, 1_007_000).clock).toBe(12_000);
    expect(whereIs(other, timeline, 1_007_000).position).toBe(60_000);
  });

  it('keeps its figure while it stands, and has nothing left at the end', () => {
    const paused = pause(started, at(30_000));
    expect([whereIs(paused, timeline, 30_000).clock, whereIs(paused, timeline, 90_000).clock]).toEqual([
      40_000, 40_000,
    ]);
    const end = whereIs({ ...started, breaksPassed: 1 }, timeline, 500_000);
    expect([end.leaf, end.next, end.clock]).toEqual([null, null, 0]);
  });
});
