import type { Kilograms, Metres } from '../../units';
import { stiffness, type DoubleEnd } from './double-end';
import { gravity } from './pendulum';

/** What a loose weight under the lower cord should have to spare (house value). */
const reserve = 1.5;

/** Whether a loose weight holds the lower cord, at rest and at the far end of a swing, with the weight it would take. */
export interface AnchorCheck {
  readonly holds: boolean;
  readonly needed: Kilograms;
}

/**
 * The lower anchor must outweigh the pull of its cord: at the far end of a swing the pull has grown with the cord's length,
 * taken as in proportion to it, and half as much again is kept in reserve.
 * @example anchorCheck(ball, 10, 0.3).holds
 */
export function anchorCheck(ball: DoubleEnd, weight: Kilograms, swing: Metres): AnchorCheck {
  const longer = Math.hypot(ball.lower, swing) / ball.lower;
  const needed = (ball.tensionLower * longer * reserve) / gravity;
  return { holds: weight >= needed, needed };
}

/** How tightness shows, both schools at once: how much faster and how much nearer than with the other tensions. */
export function compareTension(ball: DoubleEnd, other: DoubleEnd): { readonly faster: number; readonly wider: number } {
  const ratio = Math.sqrt(stiffness(ball) / ball.mass) / Math.sqrt(stiffness(other) / other.mass);
  return { faster: ratio, wider: Math.sqrt(stiffness(other) * other.mass) / Math.sqrt(stiffness(ball) * ball.mass) };
}

/** What twice the tension in both cords does, as factors: both schools are right. `twiceAsTight(ball).frequency` → `1.414` */
export function twiceAsTight(ball: DoubleEnd): { readonly frequency: number; readonly excursion: number } {
  const tight = { ...ball, tensionUpper: 2 * ball.tensionUpper, tensionLower: 2 * ball.tensionLower };
  const { faster, wider } = compareTension(tight, ball);
  return { frequency: faster, excursion: wider };
}
