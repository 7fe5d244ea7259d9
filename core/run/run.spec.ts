import fc from 'fast-check';
import { compile } from '../timeline/compile';
import type { Timeline } from '../timeline/leaf';
import type { Block, Piece, Sheet } from '../sheet/schema';
import { emptySheet } from '../sheet/fresh';
import { clockAt, handOver, setRunning, setTo, sourceAt, stoppedClock } from './clock';
import { sayCombination } from '../script/say-combination';
import { scriptOf } from '../script/script';
import { sayDeeds, stretchesOf, whatWasDone } from './done';
import {
  begin,
  endRun,
  go,
  hold,
  lastJump,
  leafIndexOf,
  notice,
  pause,
  positionOf,
  resume,
  stopNow,
  takeJumpBack,
  takeUp,
  type RunState,
} from './run';
import { readCombination } from '../notation/read';

let count = 0;
const freshId = (): string => `r${(count += 1)}`;
const combo = (ms: number, text = '1 2'): Piece => ({ kind: 'combination', id: freshId(), ms, effort: 'steady', text });
const block = (kind: Block['kind'], ms: number | null, pieces: Piece[] = []): Block => ({
  id: freshId(),
  kind,
  ms,
  pieces,
});
const timelineOf = (...blocks: Block[]): Timeline => compile({ ...emptySheet(freshId), blocks });
const at = (source: number) => ({ source, wall: 1_000_000 + source });

/** Warm-up 1:00, round 1:00 of two pieces, an open break, round 1:00. */
const session = timelineOf(
  block('warm-up', 60_000),
  block('round', 60_000, [combo(30_000), combo(30_000, '3')]),
  block('rest', null),
  block('round', 60_000),
);

describe('the run clock', () => {
  it('is one line through its anchor, however late it is looked at', () => {
    let ran = 0;
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 600_000, noNaN: true }), { maxLength: 50 }),
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        (looks, rate) => {
          const clock = setRunning(stoppedClock(-10_000, rate), true, 500);
          let source = 500;
          ran += looks.length;
          for (const later of looks) {
            source += later;
            // Looking changes nothing: the reading depends on the source alone.
            expect(clockAt(clock, source)).toBe(-10_000 + (source - 500) * rate);
            expect(sourceAt(clock, clockAt(clock, source))).toBeCloseTo(source, 3);
          }
        },
      ),
    );
    expect(ran).toBeGreaterThan(0);
  });

  it('does not jump when handed over to another clock, or paused and resumed', () => {
    const clock = setRunning(stoppedClock(0, 1), true, 1000);
    const other = handOver(clock, 61_000, 5);
    expect(clockAt(other, 5)).toBe(60_000);
    expect(clockAt(other, 1005)).toBe(61_000);
    const paused = setRunning(other, false, 1005);
    expect(clockAt(paused, 999_999)).toBe(61_000);
    expect(clockAt(setRunning(paused, true, 999_999), 1_000_999)).toBe(62_000);
    expect(clockAt(setTo(other, 5000, 1005), 1005)).toBe(5000);
  });
});

describe('a run', () => {
  const started = begin(at(0), 10_000);
  const looked = (state: RunState, source: number) => notice(state, session, at(source));

  it('counts in below zero, then goes through the leaves', () => {
    expect(leafIndexOf(started, session, 9999)).toBe(-1);
    expect(positionOf(started, 4000)).toBe(-6000);
    expect(leafIndexOf(started, session, 10_000)).toBe(0);
    expect(leafIndexOf(started, session, 70_000)).toBe(1);
    expect(leafIndexOf(started, session, 100_000)).toBe(2);
  });

  it('waits in an open break until a key is pressed, and ends by itself', () => {
    const waiting = looked(started, 135_000);
    expect(waiting.phase).toBe('break');
    expect(positionOf(waiting, 500_000)).toBe(120_000);
    expect(leafIndexOf(waiting, session, 500_000)).toBe(3);
    const on = resume(waiting, at(500_000));
    expect(leafIndexOf(on, session, 500_001)).toBe(4);
    const over = looked(on, 560_000);
    expect([over.phase, over.deeds.at(-1)?.what]).toEqual(['over', 'finish']);
    expect(whatWasDone(over.deeds, session)).toEqual(
      jasmine.objectContaining({ ms: 180_000, rounds: 2, finished: true }),
    );
  });

  it('pauses, goes back and on, repeats; what is done twice counts twice', () => {
    const paused = pause(started, at(80_000));
    expect(positionOf(paused, 200_000)).toBe(70_000);
    const on = resume(paused, at(200_000));
    const back = go(on, session, 'repeat', at(205_000));
    expect(positionOf(back, 205_000)).toBe(60_000);
    const earlier = go(back, session, 'back', at(206_000));
    expect(positionOf(earlier, 206_000)).toBe(0);
    const stopped = stopNow(earlier, at(208_000));
    expect(stretchesOf(stopped.deeds)).toEqual([
      { from: 0, to: 70_000 },
      { from: 70_000, to: 75_000 },
      { from: 60_000, to: 61_000 },
      { from: 0, to: 2000 },
    ]);
    expect(whatWasDone(stopped.deeds, session)).toEqual(
      jasmine.objectContaining({ ms: 78_000, rounds: 0, finished: false }),
    );
  });

  it('moving while paused stays paused; moving out of a break goes on', () => {
    const paused = go(pause(started, at(20_000)), session, 'forward', at(20_000));
    expect([paused.phase, positionOf(paused, 90_000)]).toEqual(['paused', 60_000]);
    const waiting = looked(started, 130_000);
    const forward = go(waiting, session, 'forward', at(140_000));
    expect([forward.phase, leafIndexOf(forward, session, 140_000)]).toEqual(['running', 4]);
    const back = go(waiting, session, 'back', at(140_000));
    expect(positionOf(back, 140_000)).toBe(90_000);
    expect(looked(back, 171_000).phase).toBe('break');
    expect(whatWasDone(stopNow(forward, at(145_000)).deeds, session).ms).toBe(125_000);
  });

  it('is stopped by one press and ended by another, or goes on where it stood', () => {
    const stopped = stopNow(started, at(20_000));
    expect([stopped.phase, positionOf(stopped, 99_000)]).toEqual(['stopped', 10_000]);
    expect(stopNow(stopped, at(21_000))).toBe(stopped);
    const on = resume(stopped, at(30_000));
    expect([on.phase, positionOf(on, 31_000)]).toEqual(['running', 11_000]);
    const over = endRun(stopNow(on, at(35_000)), at(40_000));
    expect([over.phase, positionOf(over, 99_000)]).toEqual(['over', 15_000]);
    expect(whatWasDone(over.deeds, session)).toEqual(jasmine.objectContaining({ ms: 15_000, finished: false }));
    expect(endRun(over, at(41_000))).toBe(over);
    const again = go(go(started, session, 'repeat', at(20_000)), session, 'repeat', at(21_000));
    expect(sayDeeds(pause(again, at(22_000)).deeds)).toEqual(['paused', 'repeated a drill, 2 times']);
    // Going somewhere while it stands leaves it standing.
    expect(go(stopped, session, 'forward', at(22_000)).phase).toBe('stopped');
  });

  it('going past the last piece ends it, and nothing changes after the end', () => {
    const waiting = looked(started, 130_000);
    const last = go(waiting, session, 'forward', at(130_000));
    const over = go(last, session, 'forward', at(131_000));
    expect(over.phase).toBe('over');
    expect(go(over, session, 'back', at(132_000))).toBe(over);
    expect(stopNow(over, at(132_000))).toBe(over);
    expect(pause(over, at(132_000))).toBe(over);
  });

  it('is taken up after a reload, paused at its second', () => {
    const again = takeUp(75_500, 0, started.deeds, 1);
    expect([again.phase, positionOf(again, 123)]).toEqual(['paused', 75_500]);
    const on = resume(again, at(1000));
    expect(positionOf(on, 2000)).toBe(76_500);
  });
});

describe('what is heard', () => {
  const sheetOf = (...blocks: Block[]): Sheet => ({ ...emptySheet(() => 's'), blocks });
  const sounds = (sheet: Sheet, countFrom: 3 | 5 = 3) => scriptOf(sheet, { countFrom }).sounds;
  const kinds = (sheet: Sheet) => sounds(sheet).map((cue) => `${cue.at / 1000} ${cue.kind}`);

  it('bells round rounds, ten before the end, and a count from three or five, before second zero too', () => {
    expect(kinds(sheetOf(block('round', 30_000)))).toEqual([
      '-3 count',
      '-2 count',
      '-1 count',
      '0 start bell',
      '20 ten',
      '27 count',
      '28 count',
      '29 count',
      '30 end bell',
    ]);
    const counts = sounds(sheetOf(block('round', 30_000)), 5).filter((cue) => cue.kind === 'count');
    expect(counts.map((cue) => cue.at / 1000)).toEqual([-5, -4, -3, -2, -1, 25, 26, 27, 28, 29]);
  });

  it('every tick of a count has its word, wherever it stands', () => {
    const { sounds: all, calls, lead } = scriptOf(sheetOf(block('warm-up', 60_000), block('round', 30_000)));
    const ticks = all.filter(({ kind }) => kind === 'count').map(({ at }) => at);
    expect(ticks.length).toBe(9);
    const words = [...lead, ...calls].filter(({ sound }) => sound === 'count').map(({ at }) => at);
    expect(words).toEqual(ticks);
  });

  it('counts down to a round out of the rest, and one bell serves two rounds that touch', () => {
    const all = kinds(
      sheetOf(block('round', 20_000), block('rest', 10_000), block('round', 20_000), block('round', 20_000)),
    );
    expect(all.filter((cue) => cue.includes('bell'))).toEqual([
      '0 start bell',
      '20 end bell',
      '30 start bell',
      '50 start bell',
      '70 end bell',
    ]);
    expect(all).toContain('27 count');
    expect(all.filter((cue) => cue.includes('change'))).toEqual([]);
  });

  it('the bell that ends a round stands before an open break, and the next one after it, at the same second', () => {
    const all = sounds(
      sheetOf(block('round', 20_000), block('rest', null), block('round', 20_000), block('rest', null)),
    );
    const bells = all.filter((cue) => cue.kind.endsWith('bell'));
    expect(bells.map((cue) => [cue.at, cue.kind, cue.breaksBefore])).toEqual([
      [0, 'start bell', 0],
      [20_000, 'end bell', 0],
      [20_000, 'start bell', 1],
      [40_000, 'end bell', 1],
    ]);
  });

  it('marks changes inside a round', () => {
    expect(kinds(sheetOf(block('round', 60_000, [combo(30_000), combo(30_000)])))).toContain('30 change');
  });

  it('is said in the coach’s words, lead and rear', () => {
    const said = (text: string) => {
      const read = readCombination(text);
      return read.ok ? sayCombination(read.value).say : '';
    };
    expect(said('1 2 3b ro 4')).toBe('one, two, three body, roll, four');
    expect(said('bk in+1 (1 2)x3 any 2-4 hooks [bk / swk] ft 2')).toBe(
      'body kick, step in with one, then one two, three times, then two to four hooks of your own, then body kick, feint cross, ' +
        'then body kick, step in with one, then one two, three times, then two to four hooks of your own, then switch kick, feint cross',
    );
    const calls = scriptOf(sheetOf(block('round', 60_000, [{ ...combo(60_000), effort: 'all-out' }]))).calls;
    expect(calls.slice(1, 3).map(({ say }) => say)).toEqual(['One, two.', 'All-out']);
  });
});

describe('a jump that is taken back', () => {
  const started = resume(pause(begin(at(0), 0, 1), at(1)), at(1));

  it('goes on where it was pressed, and counts the open breaks that lie before that', () => {
    const later = go(started, session, 'forward', at(20_000));
    expect(lastJump(later)?.what).toBe('forward');
    const back = takeJumpBack(later, session, at(25_000));
    expect(Math.round(positionOf(back, 25_000))).toBe(20_000);
    expect(back.breaksPassed).toBe(0);
    expect(back.deeds.at(-1)).toEqual(jasmine.objectContaining({ what: 'back', to: positionOf(back, 25_000) }));
    expect(positionOf(back, 26_000) - positionOf(back, 25_000)).toBe(1000);
  });

  it('leaves an open break again that it led into', () => {
    const inBreak = go(started, session, 'forward', at(95_000));
    expect(inBreak.phase).toBe('break');
    const back = takeJumpBack(inBreak, session, at(99_000));
    expect([back.phase, back.breaksPassed, Math.round(positionOf(back, 100_000))]).toEqual(['running', 0, 96_000]);
  });

  it('is nothing where nothing was jumped; a hold between does not hide it', () => {
    expect(lastJump(started)).toBeNull();
    expect(takeJumpBack(started, session, at(5000))).toBe(started);
    const held = hold(go(started, session, 'repeat', at(70_000)), at(71_000));
    expect(lastJump(held)?.what).toBe('repeat');
  });
});

describe('the clock of a run over an hour', () => {
  // Less than 5 ms: the issue’s own bound. Late looks, a minute of throttling, a sleep and hand-overs, from any seed.
  it('does not drift, however late it is looked at and from whichever clock', () => {
    const hour = 3_600_000;
    let looks = 0;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 30_000 }), { minLength: 300, maxLength: 600 }), (steps) => {
        let [audio, page, expected] = [1234.5, 98_765.25, 0];
        let clock = setRunning(stoppedClock(0, 1), true, audio);
        let onAudio = true;
        for (const [count, step] of steps.entries()) {
          audio += step;
          page += step * 1.00002;
          expected += onAudio ? step : step * 1.00002;
          if (expected > hour) break;
          if (count % 97 === 96) {
            clock = onAudio ? handOver(clock, audio, page) : handOver(clock, page, audio);
            onAudio = !onAudio;
          }
          looks += 1;
          expect(Math.abs(clockAt(clock, onAudio ? audio : page) - expected)).toBeLessThan(5);
        }
      }),
      { numRuns: 20, seed: 7 },
    );
    expect(looks).toBeGreaterThan(3000);
  });
});
