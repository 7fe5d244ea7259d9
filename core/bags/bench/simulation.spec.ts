import fc from 'fast-check';
import { readCombination } from '../../notation/read';
import type { Combination } from '../../notation/combination';
import { ballDrill } from './ball-drill';
import { ballRhythm, landings } from './ball-rhythm';
import { ballModel, type BallState } from './ball-simulation';
import { doubleEndSwing, type DoubleEnd } from './double-end';
import { anchorCheck, compareTension } from './double-end-notes';
import { gravity } from './pendulum';

const mass = 0.3;
/** Balanced: the upper cord carries the weight. */
const balanced = (tension: number, upper = 1.2, lower = 0.9): DoubleEnd => ({
  mass,
  upper,
  lower,
  tensionUpper: tension + mass * gravity,
  tensionLower: tension,
});
const combo = (text: string): Combination => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
};

/** Frequency from the first and last of many passages through the middle. */
function measuredFrequency(ball: DoubleEnd, out: number): number {
  const model = ballModel(ball);
  const dt = 0.0005;
  let state: BallState = { ...model.rest, x: out };
  const passages: number[] = [];
  for (let step = 0; passages.length < 21; step += 1) {
    const next = model.step(state, dt);
    if (state.x > 0 !== next.x > 0) passages.push((step + state.x / (state.x - next.x)) * dt);
    state = next;
  }
  return 10 / ((passages[20] ?? NaN) - (passages[0] ?? NaN));
}

describe('the ball, step by step', () => {
  // Textbook: small sideways swing of a mass between two stretched cords, f = (1/2π)·√((T₁/L₁ + T₂/L₂)/m).
  it('swings within 1 % of the formula while the swing is small', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 250, noNaN: true }),
        fc.double({ min: 0.5, max: 1.5, noNaN: true }),
        fc.double({ min: 0.5, max: 1.5, noNaN: true }),
        (tension, upper, lower) => {
          const ball = balanced(tension, upper, lower);
          const { frequency } = doubleEndSwing(ball);
          expect(Math.abs(measuredFrequency(ball, 0.01) / frequency - 1)).toBeLessThan(0.01);
        },
      ),
      { numRuns: 25 },
    );
  });

  // Without drag nothing takes energy away: conservation of energy (textbook).
  it('keeps its energy within 0.1 % over a minute', () => {
    const model = ballModel(balanced(57));
    let state: BallState = { ...model.rest, vx: 4, vy: 1 };
    const before = model.energy(state);
    for (let step = 0; step < 120_000; step += 1) state = model.step(state, 0.0005);
    expect(Math.abs(model.energy(state) / before - 1)).toBeLessThan(0.001);
  });

  it('hangs still where it hangs, above the middle when the upper cord pulls too much', () => {
    const heavy = ballModel({ ...balanced(57), tensionUpper: 80 });
    expect(heavy.rest.z).toBeGreaterThan(0);
    const after = heavy.step(heavy.rest, 0.01);
    expect(Math.hypot(after.x, after.y, after.z - heavy.rest.z)).toBeLessThan(1e-9);
    expect(Math.abs(ballModel(balanced(57)).rest.z)).toBeLessThan(1e-9);
  });

  // Trade page, section 7: straights meet the ball on odd returns.
  it('is hit by straights that wait for odd returns, and missed on even ones', () => {
    const ball = balanced(30);
    const { returnInterval } = doubleEndSwing(ball);
    const at = (returns: number) =>
      ballDrill(ball, combo('1 1'), { times: [0, returns * returnInterval], speed: 2 }).blows.map(({ hit }) => hit);
    expect(at(1)).toEqual([true, true]);
    expect(at(3)).toEqual([true, true]);
    expect(at(2)).toEqual([true, false]);
  });

  it('goes sideways after a hook, straight after a straight', () => {
    const after = (text: string): BallState => {
      const { path } = ballDrill(balanced(57), combo(text));
      const [x, y] = [
        Math.max(...path.map((each) => Math.abs(each.x))),
        Math.max(...path.map((each) => Math.abs(each.y))),
      ];
      return { x, y, z: 0, vx: 0, vy: 0, vz: 0 };
    };
    expect(after('1').y).toBe(0);
    expect(after('3').y).toBeGreaterThan(2 * after('3').x);
    expect(ballDrill(balanced(57), combo('1')).farthest).toBeGreaterThan(0.1);
  });

  it('says why a strike misses', () => {
    const late = ballDrill(balanced(30), combo('1 1'), { times: [0, 0.1], speed: 6 });
    expect(late.blows[1]?.why).toMatch(/cm away|going away/);
  });
});

describe('which returns a combination meets', () => {
  // Worked by hand: two straights land 0.30 s apart at steady pace; a ball that returns every 0.25 s is met at the third return, 0.75 s.
  it('takes the first odd return that the hands can reach', () => {
    expect(landings(combo('1 2'))).toEqual([300, 600]);
    const { meetings } = ballRhythm(combo('1 2'), 0.18);
    expect(meetings.map(({ returns }) => returns)).toEqual([3]);
    expect(ballRhythm(combo('1 2'), 0.3 / 1.45).meetings[0]?.returns).toBe(1);
  });

  it('names the paces at which hands need not wait', () => {
    expect(ballRhythm(combo('1 2 1 2'), 0.3).flows.map(({ name }) => name)).toEqual(['steady']);
    expect(ballRhythm(combo('1'), 0.3).flows.length).toBe(6);
    expect(ballRhythm(combo('1 2'), 10).pace).toBeCloseTo(0.03, 2);
  });
});

describe('cords and anchors', () => {
  it('asks a loose weight to outweigh the cord, more so the farther the ball swings', () => {
    // 57 N is the weight of 5.81 kg; half as much again is 8.72 kg.
    expect(anchorCheck(balanced(57), 9, 0).holds).toBeTrue();
    expect(anchorCheck(balanced(57), 8.5, 0).holds).toBeFalse();
    expect(anchorCheck(balanced(57), 9, 0.4).needed).toBeGreaterThan(9);
  });

  // Both schools: four times the tension is twice as fast and swings half as far (textbook, √k).
  it('shows both effects of tension', () => {
    const ball = { mass, upper: 1, lower: 1, tensionUpper: 160, tensionLower: 160 };
    const { faster, wider } = compareTension(ball, { ...ball, tensionUpper: 40, tensionLower: 40 });
    expect(faster).toBeCloseTo(2, 12);
    expect(wider).toBeCloseTo(0.5, 12);
  });
});
