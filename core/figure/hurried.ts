import type { Milliseconds, PaceFactor } from '../units';
import type { BodyMotion } from './body-motion';
import type { Curve } from './curve';

/**
 * Motions are shaped so that a body keeps its limits up to this pace, that of all-out work (`figure.spec.ts`). Past it returns
 * and windings would have no time left: what is faster is the same motion in less time, so that speeds grow with the pace alone.
 */
const fastestShaped: PaceFactor = 1.45;

/** How much faster than it can be shaped a pace is; 1 where it can. `hurryOf(2.9)` → `2` */
export const hurryOf = (pace: PaceFactor): number => Math.max(1, pace / fastestShaped);

function curveIn({ times, rows, slopes }: Curve, hurry: number): Curve {
  const faster = slopes.map((row) => row.map((slope) => slope * hurry));
  return { times: times.map((at) => at / hurry), rows, slopes: faster };
}

/** The same motion, so many times as fast. `hurried(motion, 2).ms // half of it` */
export function hurried(motion: BodyMotion, hurry: number): BodyMotion {
  const { hips, chest, feet, hands, ground, hits, stands, done, ms } = motion;
  const curve = (each: Curve): Curve => curveIn(each, hurry);
  const sooner = <T extends { readonly at: Milliseconds }>(each: T): T => ({ ...each, at: each.at / hurry });
  return {
    hips: curve(hips),
    chest: curve(chest),
    ground: curve(ground),
    feet: { left: curve(feet.left), right: curve(feet.right) },
    hands: { left: curve(hands.left), right: curve(hands.right) },
    hits: hits.map(sooner),
    stands: stands.map(sooner),
    done: done.map((step) => ({ ...sooner(step), ms: step.ms / hurry })),
    ms: ms / hurry,
  };
}
