import { unfold } from '../../mechanics/steps';
import { moveKind } from '../../moves/catalogue';
import { fullMoveName, isStrike, type Move } from '../../moves/move';
import type { Combination } from '../../notation/combination';
import type { Metres, MetresPerSecond, PaceFactor, Seconds } from '../../units';
import { ballModel, type BallState } from './ball-simulation';
import { landings } from './ball-rhythm';
import type { DoubleEnd } from './double-end';

/** What came of a strike at the ball. */
export interface Blow {
  readonly at: Seconds;
  readonly name: string;
  readonly hit: boolean;
  /** Where the ball was, for a miss. */
  readonly why: string | null;
}

/** The ball's way through a combination, sampled for drawing. */
export interface BallDrill {
  readonly blows: readonly Blow[];
  /** Time between two samples. */
  readonly every: Seconds;
  readonly path: readonly Pick<BallState, 'x' | 'y' | 'z'>[];
  /** Farthest it swung from the middle. */
  readonly farthest: Metres;
}

export interface BallDrillOptions {
  readonly pace?: PaceFactor;
  /** How fast the ball leaves the fist; the fist is far heavier than the ball. */
  readonly speed?: MetresPerSecond;
  /** When the strikes land, where they wait for the ball; else as the combination's own rhythm has them. */
  readonly times?: readonly Seconds[];
}

const stepTime: Seconds = 0.0005;
export const sampleEvery: Seconds = 1 / 60;
/** Air and rubber, N per m/s (house value: the swing is halved in about a second for a ball of 0.3 kg). */
const usualDrag = 0.4;
const usualSpeed: MetresPerSecond = 4;
/** A fist meets the ball within this of the middle (house value: about a ball's and a fist's width). */
const window: Metres = 0.2;
/** Faster than this away from the hitter it cannot be caught up with (house value). */
const chase: MetresPerSecond = 1;
const lead: Seconds = 0.3;
const tail: Seconds = 1.5;
/** Most time that is worked out. */
const longest: Seconds = 60;

/** Which way a strike sends the ball, as a unit vector: away, toward the rear side, up. Turning strikes go across, rising ones up. */
function direction(strike: Move): readonly [number, number, number] {
  const across = strike.side === 'rear' ? -1 : 1;
  switch (moveKind(strike.id).shape) {
    case 'turning':
      return [0.35, 0.937 * across, 0];
    case 'rising':
      return [0.5, 0, 0.866];
    default:
      return [1, 0, 0];
  }
}

function missed(state: BallState, rest: BallState): string | null {
  const off = Math.hypot(state.x, state.y, state.z - rest.z);
  const centimetres = Math.round(off * 100);
  if (off > window) {
    const where =
      Math.abs(state.y) > Math.abs(state.x)
        ? `to the ${state.y > 0 ? 'rear' : 'lead'} side`
        : state.x > 0
          ? 'out in front'
          : 'on its way past';
    return `the ball is ${centimetres} cm away, ${where}`;
  }
  return state.vx > chase ? 'the ball is moving away' : null;
}

/**
 * Throws a combination at a ball and follows it step by step: what hits, what misses, and where the ball goes.
 * @example ballDrill(ball, combination, { pace: 1.3 }).blows.filter(({ hit }) => !hit)
 */
export function ballDrill(ball: DoubleEnd, combination: Combination, options: BallDrillOptions = {}): BallDrill {
  const { pace = 1, speed = usualSpeed } = options;
  const strikes = unfold(combination).flatMap(({ content }) => {
    const strike = content.find((each): each is Move => each.kind === 'move' && isStrike(each));
    return strike ? [strike] : [];
  });
  const own = landings(combination, pace).map((ms) => ms / 1000);
  const times = (options.times ?? own.map((at) => at - (own[0] ?? 0))).map((at) => at + lead);
  const model = ballModel(ball, usualDrag);
  const end = Math.min(longest, (times.at(-1) ?? 0) + tail);
  const blows: Blow[] = [];
  const path: BallDrill['path'][number][] = [];
  let state = model.rest;
  let farthest = 0;
  for (let step = 0, sampled = 0; step * stepTime <= end; step += 1) {
    const now = step * stepTime;
    const strike = strikes[blows.length];
    const at = times[blows.length];
    if (strike && at !== undefined && now >= at) {
      const why = missed(state, model.rest);
      blows.push({ at: at - lead, name: fullMoveName(strike), hit: why === null, why });
      if (why === null) {
        const [x, y, z] = direction(strike);
        state = { ...state, vx: speed * x, vy: speed * y, vz: speed * z };
      }
    }
    if (now >= sampled * sampleEvery) {
      path.push({ x: state.x, y: state.y, z: state.z - model.rest.z });
      sampled += 1;
    }
    farthest = Math.max(farthest, Math.hypot(state.x, state.y));
    state = model.step(state, stepTime);
  }
  return { blows, every: sampleEvery, path, farthest };
}
