import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import { scriptOf } from '../script/script';
import { anySheet } from '../sheet/arbitrary-sheet.spec';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import { wholeOf, type Leaf, type Timeline } from '../timeline/leaf';
import { repetitionsOf } from '../timeline/repetitions';
import type { LiveChange } from '../run/live-changes';
import { begin, go, notice, positionOf, resume, stopNow, type Moment } from '../run/run';
import { whatWasDone } from '../run/done';
import { endIn } from './end-in';
import { canChange, faultsSeen, liveSheet, liveTimeline, withRemindersOf } from './live';

// Values from the trade page, sections 5, 8 and 9 (house values), and plain sums on the clock.

const sheetOf = (text: string): Sheet => readTempoText(text).sheet;

/** Two rounds of 2:00 with a rest of 1:00, and a cool-down. */
const plain = sheetOf(`round 2:00:
  1:00 1 2
  1:00 2 3
rest 1:00
round 2:00:
  2:00 1 2 3 2
rest 1:00
round 2:00:
  2:00 6 3 2
cool-down 2:00:
  2:00 "easy breathing"
`);
const base = compile(plain);
const lengths = ({ leaves }: Timeline): number[] => leaves.map(({ ms }) => ms);

function isGapless({ leaves, ms }: Timeline): boolean {
  let now = 0;
  return (
    leaves.every((leaf) => {
      const fits = leaf.at === now && leaf.ms >= 0 && Number.isInteger(leaf.ms);
      now += leaf.ms;
      return fits;
    }) && now === ms
  );
}

describe('live changes', () => {
  it('lay the sheet out as planned while nothing is changed', () => {
    expect(liveTimeline(base, [])).toBe(base);
    expect(base.ms).toBe(10 * 60_000);
  });

  it('add thirty seconds to what is on, and everything behind it comes as much later', () => {
    const live = liveTimeline(base, [{ kind: 'longer', at: 20_000, ms: 30_000 }]);
    expect(lengths(live)).toEqual([90_000, 60_000, 60_000, 120_000, 60_000, 120_000, 120_000]);
    expect(live.ms).toBe(base.ms + 30_000);
  });

  it('end the piece now: what was done stays, the next begins at once', () => {
    const live = liveTimeline(base, [{ kind: 'end piece', at: 20_000 }]);
    expect(lengths(live).slice(0, 3)).toEqual([20_000, 60_000, 60_000]);
    expect(live.leaves[1]?.at).toBe(20_000);
  });

  it('are taken back from the moment of the undo: what was done stays', () => {
    const longer: LiveChange = { kind: 'longer', at: 20_000, ms: 30_000 };
    expect(lengths(liveTimeline(base, [longer, { kind: 'undo', at: 40_000 }]))).toEqual(lengths(base));
    // Too late: the thirty seconds have begun, and end with the undo.
    expect(lengths(liveTimeline(base, [longer, { kind: 'undo', at: 70_000 }])).slice(0, 2)).toEqual([70_000, 60_000]);
    const ended: LiveChange = { kind: 'end piece', at: 20_000 };
    // The second piece has begun: it goes on, and nothing is done twice.
    expect(lengths(liveTimeline(base, [ended, { kind: 'undo', at: 30_000 }])).slice(0, 3)).toEqual([
      20_000, 60_000, 60_000,
    ]);
  });

  it('make the class slower or faster from the next repetition on, never above 1.45', () => {
    const second = repetitionsOf(base.leaves[0] as Leaf)[1];
    expect(second).toBeDefined();
    const live = liveTimeline(base, [{ kind: 'pace', at: (second?.at ?? 0) - 200, factor: 0.5 }]);
    expect(live.leaves[0]?.ms).toBe(Math.round(second?.at ?? 0));
    expect(live.leaves[1]).toEqual(jasmine.objectContaining({ pace: 0.5, kind: 'piece' }));
    expect(live.leaves.slice(1).every(({ pace, combination }) => !combination || pace === 0.5)).toBeTrue();
    expect(live.ms).toBe(base.ms);
    const strong = compile(sheetOf('round 2:00:\n  2:00 all-out 1 2\n'));
    const fast = liveTimeline(strong, [{ kind: 'pace', at: 0, factor: 1.5 }]);
    expect(fast.leaves.at(-1)?.pace).toBe(1.45);
    expect(liveTimeline(base, [{ kind: 'pace', at: 0, factor: 1.5 }]).leaves.at(-3)?.pace).toBe(1.45);
  });

  it('keep a rest until resumed is pressed', () => {
    const live = liveTimeline(base, [{ kind: 'until a key', at: 130_000 }]);
    expect(live.openBreaks).toBe(1);
    expect(live.leaves[3]).toEqual(jasmine.objectContaining({ open: true, ms: 0, at: 180_000 }));
    expect(canChange(base, [], { kind: 'until a key', at: 10_000 })).toBeFalse();
  });

  it('switch the stance at the end of a repetition: three seconds to settle, the first time at 0.8', () => {
    const live = liveTimeline(base, [{ kind: 'switch stance', at: 10_000 }]);
    const over = live.leaves.findIndex(({ kind }) => kind === 'change-over');
    expect(over).toBe(1);
    const [before, settle, first, then] = live.leaves.slice(over - 1);
    expect(repetitionsOf(base.leaves[0] as Leaf).map(({ end }) => Math.round(end))).toContain(before?.ms ?? -1);
    expect(settle?.ms).toBe(3000);
    expect(first).toEqual(jasmine.objectContaining({ stance: 'southpaw', mirrored: true, pace: 0.8 }));
    expect(then).toEqual(jasmine.objectContaining({ stance: 'southpaw', pace: 1 }));
    expect(
      live.leaves.slice(over + 1).every(({ stance, combination }) => !combination || stance === 'southpaw'),
    ).toBeTrue();
    expect(live.ms).toBe(base.ms);
    expect(scriptOf(plain, {}, live).calls.some(({ kind }) => kind === 'stance')).toBeTrue();
  });

  it('never turn the class round together with a new combination', () => {
    // Too late in the first piece: the first end of a repetition of the second one.
    const live = liveTimeline(base, [{ kind: 'switch stance', at: 58_000 }]);
    const over = live.leaves.find(({ kind }) => kind === 'change-over');
    const second = base.leaves[1] as Leaf;
    expect(over?.at).toBe(second.at + Math.round(repetitionsOf(second)[0]?.end ?? 0));
  });

  it('swap the combination at the end of the repetition, for as long as the piece lasts', () => {
    const live = liveTimeline(base, [{ kind: 'swap', at: 10_000, text: '1 1 2' }]);
    const words = live.leaves.map(({ combination }) => combination?.items.length ?? 0);
    expect(words.slice(0, 3)).toEqual([2, 3, 2]);
    expect((live.leaves[0]?.ms ?? 0) + (live.leaves[1]?.ms ?? 0)).toBe(60_000);
    expect(canChange(base, [], { kind: 'swap', at: 10_000, text: 'xyz' })).toBeFalse();
  });

  it('make what is on easier: at most five moves, one step of effort less', () => {
    const long = compile(sheetOf('round 2:00:\n  2:00 steady 1 2 3 2 3 2 1\n'));
    const live = liveTimeline(long, [{ kind: 'version', at: 0, version: 'easier' }]);
    expect(live.leaves[0]?.combination?.items.length).toBe(5);
    expect(live.leaves[0]).toEqual(jasmine.objectContaining({ effort: 'easy', pace: 0.8 }));
    const harder = liveTimeline(long, [{ kind: 'version', at: 0, version: 'harder' }]);
    expect(harder.leaves[0]).toEqual(jasmine.objectContaining({ effort: 'strong', pace: 0.9 }));
  });

  it('end in N minutes: rests give up to half, then rounds go whole, and the cool-down stays', () => {
    const inNine = liveTimeline(base, [{ kind: 'end in', at: 0, ms: 9.5 * 60_000 }]);
    expect(inNine.ms).toBe(9.5 * 60_000);
    expect(liveTimeline(base, [{ kind: 'end in', at: 0, ms: 9.2 * 60_000 + 123 }]).ms).toBe(9.2 * 60_000 + 123);
    expect(lengths(inNine)).toEqual([60_000, 60_000, 45_000, 120_000, 45_000, 120_000, 120_000]);
    const { dropped, over, edits } = endIn(base, { leaf: 0, offset: 0 }, [], 7 * 60_000);
    expect(dropped.map(({ leaves }) => leaves[0]?.round)).toEqual([3]);
    expect(over).toBe(0);
    expect(edits.length).toBeGreaterThan(0);
    const inSeven = liveTimeline(base, [{ kind: 'end in', at: 0, ms: 7 * 60_000 }]);
    expect(lengths(inSeven)).toEqual([60_000, 60_000, 60_000, 120_000, 120_000]);
    // Two rests of a minute give a minute, and no more: a second above it, and a round goes.
    expect(endIn(base, { leaf: 0, offset: 0 }, [], base.ms - 60_000).dropped).toEqual([]);
    expect(endIn(base, { leaf: 0, offset: 0 }, [], base.ms - 61_000).dropped.length).toBe(1);
    // What is on and the cool-down are kept; how much longer it takes is said.
    expect(endIn(base, { leaf: 0, offset: 0 }, [], 60_000).over).toBe(3 * 60_000);
    expect(endIn(base, { leaf: 0, offset: 0 }, [], 60 * 60_000).edits).toEqual([]);
  });

  it('leave the rounds that were let go out of what was done', () => {
    const live = liveTimeline(base, [{ kind: 'end in', at: 0, ms: 7 * 60_000 }]);
    const started = begin({ source: 0, wall: 0 }, 0);
    const over = notice(started, live, { source: live.ms, wall: live.ms });
    expect(over.phase).toBe('over');
    expect(whatWasDone(over.deeds, live)).toEqual(
      jasmine.objectContaining({ rounds: 2, ms: 7 * 60_000, finished: true }),
    );
  });

  it('part a piece without parting it for the class: nothing is announced or sounded, and going on goes past all of it', () => {
    const live = liveTimeline(base, [{ kind: 'pace', at: 10_000, factor: 0.8 }]);
    const [first, second] = live.leaves;
    expect([first?.goesOn, second?.goesOn, live.leaves[2]?.goesOn]).toEqual([false, true, false]);
    expect(wholeOf(live, second as Leaf)).toEqual([first as Leaf, second as Leaf]);
    const heard = scriptOf(plain, {}, live);
    expect(heard.sounds.filter(({ at }) => at === second?.at)).toEqual([]);
    expect(heard.calls.filter(({ at, kind }) => kind === 'new' && at >= (second?.at ?? 0) && at < 59_000)).toEqual([]);
    const state = go(begin({ source: 0, wall: 0 }, 0), live, 'forward', { source: 2000, wall: 2000 });
    expect(positionOf(state, 2000)).toBe(60_000);
    expect(positionOf(go(state, live, 'back', { source: 3000, wall: 3000 }), 3000)).toBe(0);
  });

  it('faults seen are carried to the next session, each once, without what was taken back, within what a sheet may hold', () => {
    const seen = faultsSeen([
      { kind: 'fault', at: 1000, fault: 'wrist' },
      { kind: 'fault', at: 2000, fault: 'wrist' },
      { kind: 'fault', at: 3000, fault: 'leaning' },
      { kind: 'undo', at: 4000 },
    ]);
    expect(seen).toEqual(['wrist']);
    const { sheet } = readTempoText('round 1:00: 1 2');
    expect(withRemindersOf(sheet, seen).focuses?.length).toBe(1);
    expect(withRemindersOf(withRemindersOf(sheet, seen), seen).focuses?.length).toBe(1);
    expect(withRemindersOf(sheet, ['no such fault'])).toBe(sheet);
    const full = { ...sheet, focuses: Array.from({ length: 60 }, (_, at) => ({ words: `word ${at}`, moves: [] })) };
    expect(withRemindersOf(full, seen)).toBe(full);
  });

  it('bring the reminder of a fault that was seen into the session', () => {
    const live = liveSheet(plain, [{ kind: 'fault', at: 10_000, fault: 'wrist' }]);
    expect(live.focuses?.map(({ words }) => words)).toEqual(['Keep your wrist in line with your forearm']);
    expect(
      liveSheet(plain, [
        { kind: 'fault', at: 1, fault: 'wrist' },
        { kind: 'undo', at: 2 },
      ]),
    ).toBe(plain);
    const said = scriptOf(live, {}, base).calls.map(({ say }) => say.toLowerCase());
    expect(said.some((words) => words.includes('wrist in line'))).toBeTrue();
  });
});

type Press =
  | { readonly do: 'change'; readonly after: number; readonly make: (moment: number) => LiveChange }
  | { readonly do: 'go'; readonly after: number; readonly where: 'back' | 'forward' | 'repeat' };

const change = (make: (moment: number) => LiveChange): fc.Arbitrary<Press> =>
  fc.record({
    do: fc.constant('change' as const),
    after: fc.integer({ min: 0, max: 90_000 }),
    make: fc.constant(make),
  });

const press: fc.Arbitrary<Press> = fc.oneof(
  ...[
    (moment: number): LiveChange => ({ kind: 'pace', at: moment, factor: 0.7 }),
    (moment: number): LiveChange => ({ kind: 'pace', at: moment, factor: 1.5 }),
    (moment: number): LiveChange => ({ kind: 'longer', at: moment, ms: 30_000 }),
    (moment: number): LiveChange => ({ kind: 'end piece', at: moment }),
    (moment: number): LiveChange => ({ kind: 'until a key', at: moment }),
    (moment: number): LiveChange => ({ kind: 'version', at: moment, version: 'easier' }),
    (moment: number): LiveChange => ({ kind: 'version', at: moment, version: 'harder' }),
    (moment: number): LiveChange => ({ kind: 'switch stance', at: moment }),
    (moment: number): LiveChange => ({ kind: 'swap', at: moment, text: '1 2 3b' }),
    (moment: number): LiveChange => ({ kind: 'fault', at: moment, fault: 'wrist' }),
    (moment: number): LiveChange => ({ kind: 'end in', at: moment, ms: 240_000 }),
    (moment: number): LiveChange => ({ kind: 'undo', at: moment }),
  ].map(change),
  fc.record({
    do: fc.constant('go' as const),
    after: fc.integer({ min: 0, max: 90_000 }),
    where: fc.constantFrom('back' as const, 'forward' as const, 'repeat' as const),
  }),
);

describe('any changes, one after the other', () => {
  it('come to the same whether each was worked out from the one before or all at once, from copies too', () => {
    const kinds: LiveChange[] = [
      { kind: 'pace', at: 5000, factor: 1.1 },
      { kind: 'longer', at: 9000, ms: 30_000 },
      { kind: 'undo', at: 12_000 },
      { kind: 'version', at: 20_000, version: 'easier' },
      { kind: 'switch stance', at: 31_000 },
      { kind: 'swap', at: 64_000, text: '1 2' },
      { kind: 'undo', at: 70_000 },
      { kind: 'end in', at: 90_000, ms: 240_000 },
    ];
    const one = compile(plain);
    for (let count = 1; count <= 8; count += 1) {
      const changes = structuredClone(kinds.slice(0, count));
      expect(liveTimeline(one, changes))
        .withContext(String(count))
        .toEqual(liveTimeline(compile(plain), changes));
    }
    // Pacing that goes on puts another change in the place of the last: what came before that is not laid out again.
    const before: LiveChange[] = [{ kind: 'pace', at: 5000, factor: 1.1 }];
    const planned = liveTimeline(one, before);
    const leavesOf = (factor: number) => liveTimeline(one, [...before, { kind: 'pace', at: 40_000, factor }]).leaves;
    const begun = [1.2, 1.25, 1.3].map((factor) => leavesOf(factor)[0] === planned.leaves[0]);
    expect(begun).toEqual([true, true, true]);
  });

  it('leave a plan without a gap, calls that do not overlap, and a log that says what happened', () => {
    let plans = 0;
    fc.assert(
      fc.property(
        fc.oneof(fc.constant(plain), anySheet),
        fc.array(press, { minLength: 1, maxLength: 8 }),
        (sheet, presses) => {
          const planned = compile(sheet);
          fc.pre(planned.leaves.length > 0 && planned.leaves.length < 400);
          const mostPace = Math.max(1.45, ...planned.leaves.map(({ pace }) => pace));
          const changes: LiveChange[] = [];
          let timeline = planned;
          let source = 0;
          const moment = (): Moment => ({ source, wall: source });
          let state = begin(moment(), 0);
          let ran = 0;
          const wait = (ms: number): void => {
            const before = positionOf(state, source);
            source += ms;
            state = notice(state, timeline, moment());
            ran += positionOf(state, source) - before;
          };
          for (const each of presses) {
            wait(each.after);
            if (state.phase === 'break') state = resume(state, moment());
            if (state.phase === 'over') break;
            if (each.do === 'go') {
              state = go(state, timeline, each.where, moment());
              continue;
            }
            const now = Math.round(positionOf(state, source));
            const past = timeline.leaves.filter(({ at: begins, ms }) => begins + ms <= now);
            changes.push(each.make(now));
            timeline = liveTimeline(planned, changes);
            plans += 1;
            if (!isGapless(timeline))
              throw new Error(
                JSON.stringify({
                  changes,
                  leaves: timeline.leaves.map(({ at, ms, kind, open }) => [at, ms, kind, open]),
                  planned: planned.leaves.map(({ at, ms, kind }) => [at, ms, kind]),
                }),
              );
            const kept = timeline.leaves.filter(({ at: begins, ms }) => begins + ms <= now);
            expect(kept.slice(0, past.length).map(({ at: begins }) => begins)).toEqual(
              past.map(({ at: begins }) => begins),
            );
            expect(Math.max(...timeline.leaves.map(({ pace }) => pace))).toBeLessThanOrEqual(mostPace);
          }
          const heard = scriptOf(liveSheet(sheet, changes), {}, timeline).calls.filter(({ sound }) => !sound);
          heard.slice(1).forEach((call, index) => {
            const last = heard[index];
            expect(call.at).toBeGreaterThanOrEqual((last?.at ?? 0) + (last?.ms ?? 0) - 1);
          });
          state = stopNow(state, moment());
          expect(Math.abs(whatWasDone(state.deeds, timeline).ms - ran)).toBeLessThan(presses.length * 2 + 2);
        },
      ),
      { numRuns: 60, seed: 15 },
    );
    expect(plans).toBeGreaterThan(50);
  });
});
