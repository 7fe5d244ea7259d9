import type { Joules, Kilograms, Metres, MetresPerSecond, Newtons, Seconds } from '../../units';
import type { DoubleEnd } from './double-end';
import { gravity } from './pendulum';

/** Where the ball is and how it moves: x away from the hitter, y toward the rear side, z up; metres from the middle. */
export interface BallState {
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  readonly vx: MetresPerSecond;
  readonly vy: MetresPerSecond;
  readonly vz: MetresPerSecond;
}

/** Rubber cords are hung about this much longer than they lie (house value); it sets how fast their pull grows. */
const stretched = 0.6;

interface Cord {
  readonly anchor: Metres;
  readonly length: Metres;
  readonly tension: Newtons;
  /** Growth of the pull with length, N/m. */
  readonly stiffness: number;
}

function cord(anchor: Metres, tension: Newtons): Cord {
  const length = Math.abs(anchor);
  return { anchor, length, tension, stiffness: (tension * (1 + stretched)) / (stretched * length) };
}

const cordsOf = (ball: DoubleEnd): readonly [Cord, Cord] => [
  cord(ball.upper, ball.tensionUpper),
  cord(-ball.lower, ball.tensionLower),
];

const lengthTo = ({ anchor }: Cord, { x, y, z }: BallState): Metres => Math.hypot(x, y, anchor - z);
/** A slack cord does not push. */
const pull = (one: Cord, length: Metres): Newtons => Math.max(0, one.tension + one.stiffness * (length - one.length));

/** How the state changes; `drag` in N per m/s. */
function slope(cords: readonly Cord[], mass: Kilograms, drag: number, state: BallState): BallState {
  let [fx, fy, fz] = [-drag * state.vx, -drag * state.vy, -mass * gravity - drag * state.vz];
  for (const one of cords) {
    const length = lengthTo(one, state);
    const share = pull(one, length) / length;
    fx -= share * state.x;
    fy -= share * state.y;
    fz += share * (one.anchor - state.z);
  }
  return { x: state.vx, y: state.vy, z: state.vz, vx: fx / mass, vy: fy / mass, vz: fz / mass };
}

function plus(state: BallState, change: BallState, by: number): BallState {
  return {
    x: state.x + change.x * by,
    y: state.y + change.y * by,
    z: state.z + change.z * by,
    vx: state.vx + change.vx * by,
    vy: state.vy + change.vy * by,
    vz: state.vz + change.vz * by,
  };
}

/** A ball between its cords, to be moved on step by step. */
export interface BallModel {
  /** Where it hangs still. */
  readonly rest: BallState;
  /** One classical Runge-Kutta step of fourth order (textbook). */
  readonly step: (state: BallState, dt: Seconds) => BallState;
  /** Kinetic, of the cords and of height, above that at rest. */
  readonly energy: (state: BallState) => Joules;
}

function energyOf(cords: readonly Cord[], mass: Kilograms, state: BallState): Joules {
  const kinetic = (mass * (state.vx ** 2 + state.vy ** 2 + state.vz ** 2)) / 2;
  const held = cords.reduce((sum, one) => {
    const longer = Math.max(lengthTo(one, state) - one.length, -one.tension / one.stiffness);
    return sum + one.tension * longer + (one.stiffness * longer ** 2) / 2;
  }, 0);
  return kinetic + held + mass * gravity * state.z;
}

const still: BallState = { x: 0, y: 0, z: 0, vx: 0, vy: 0, vz: 0 };

/** The height at which nothing pulls any more, by halving: the pull down grows with height. */
function restHeight(cords: readonly Cord[], mass: Kilograms, { upper, lower }: DoubleEnd): Metres {
  let [low, high] = [-lower * 0.999, upper * 0.999];
  for (let round = 0; round < 60; round += 1) {
    const middle = (low + high) / 2;
    if (slope(cords, mass, 0, { ...still, z: middle }).vz > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * A ball on two springy cords with its weight, by Newton's law; `drag` (N per m/s) takes the swing out of it, 0 for none.
 * @example ballModel(ball).step(state, 0.001)
 */
export function ballModel(ball: DoubleEnd, drag = 0): BallModel {
  const cords = cordsOf(ball);
  const { mass } = ball;
  const rest = { ...still, z: restHeight(cords, mass, ball) };
  const restEnergy = energyOf(cords, mass, rest);
  return {
    rest,
    energy: (state) => energyOf(cords, mass, state) - restEnergy,
    step: (state, dt) => {
      const a = slope(cords, mass, drag, state);
      const b = slope(cords, mass, drag, plus(state, a, dt / 2));
      const c = slope(cords, mass, drag, plus(state, b, dt / 2));
      const d = slope(cords, mass, drag, plus(state, c, dt));
      return plus(plus(plus(plus(state, a, dt / 6), b, dt / 3), c, dt / 3), d, dt / 6);
    },
  };
}
