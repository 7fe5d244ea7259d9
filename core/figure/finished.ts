import type { Milliseconds } from '../units';
import type { Body } from './body';
import type { BodyMotion } from './body-motion';
import { curveThrough } from './curve';
import type { Frame } from './frame';
import { layHands } from './hands';

/** The motion that was laid out: curves through all its keys, the hands last, because they hang on the rest. `finished(body, home, 1200)` */
export function finished(body: Body, home: Frame, ms: Milliseconds): BodyMotion {
  const trunk = {
    hips: curveThrough(body.hips),
    chest: curveThrough(body.chest),
    feet: { left: curveThrough(body.feet.left), right: curveThrough(body.feet.right) },
  };
  const { stands, done, hits } = body;
  return {
    ...trunk,
    stands,
    done,
    hits,
    ground: curveThrough(body.ground),
    hands: layHands(trunk, body.handIntents, home),
    ms,
  };
}
