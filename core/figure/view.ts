import type { Degrees, Statures } from '../units';
import type { FixedViewName } from './view-names';
import { radians, cross, dot, minus, times, unit, up, type Vector } from './vector';

/** Where one looks from. */
export interface View {
  /** 0 from in front, 90 from the athlete's right. */
  readonly azimuth: Degrees;
  readonly elevation: Degrees;
  /** As in a mirror: the usual way of following along from in front. */
  readonly mirrored: boolean;
}

/** The views on offer, by name. The open side is the rear one of an orthodox stance. */
export const views: Readonly<Record<FixedViewName, View>> = {
  'three-quarter': { azimuth: 48, elevation: 7, mirrored: false },
  'mirrored front': { azimuth: 0, elevation: 14, mirrored: true },
  front: { azimuth: 0, elevation: 14, mirrored: false },
  side: { azimuth: 90, elevation: 4, mirrored: false },
};

/** A point on the picture: x to the right, y down, in statures at the distance of the body's middle; depth away from the eye. */
export interface Seen {
  readonly x: number;
  readonly y: number;
  readonly depth: Statures;
  /** How much larger than at the middle things look here. */
  readonly scale: number;
}

/** Projects points of the world onto the picture. */
export type Camera = (point: Vector) => Seen;

/** What the eye rests on: the middle of the body, a little toward the target. */
const rest: Vector = [0.14, 0.5, 0];
/** From nearer by, gloves leave the picture (trial: 38° of view in front, 30° elsewhere). */
const distance = (view: View): Statures => 0.62 / Math.tan(((Math.abs(view.azimuth) < 20 ? 38 : 30) / 2) * radians);

/**
 * A camera for a view, with perspective, that follows `around` along the floor.
 * @example cameraOf(views.side, [0, 0, 0])([0.14, 0.5, 0]) // { x: 0, y: 0, depth: 2.3, scale: 1 }
 */
export function cameraOf(view: View, around: Vector): Camera {
  const [azimuth, elevation] = [view.azimuth * radians, view.elevation * radians];
  const outward: Vector = [
    Math.cos(azimuth) * Math.cos(elevation),
    Math.sin(elevation),
    Math.sin(azimuth) * Math.cos(elevation),
  ];
  const right = unit(cross(times(outward, -1), up));
  const above = cross(outward, right);
  const far = distance(view);
  const flip = view.mirrored ? -1 : 1;
  const middle: Vector = [around[0] + rest[0], rest[1], around[2] + rest[2]];
  return (point) => {
    const from = minus(point, middle);
    const depth = far - dot(from, outward);
    const scale = far / depth;
    return { x: flip * dot(from, right) * scale, y: -dot(from, above) * scale, depth, scale };
  };
}
