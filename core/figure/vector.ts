import type { Side } from '../moves/kind';

/** A point or a direction: x toward the target, y up, z to the athlete's right. */
export type Vector = readonly [x: number, y: number, z: number];

export const up: Vector = [0, 1, 0];

/** A degree. */
export const radians = Math.PI / 180;

/** A point or way of the rear side, mirrored for the lead one. `sided('lead', [1, 0, 2])` → `[1, 0, -2]` */
export function sided(side: Side, [x, y, z]: Vector): Vector {
  return [x, y, side === 'rear' ? z : -z];
}

/** `plus([1, 0, 0], [0, 1, 0])` → `[1, 1, 0]` */
export function plus(a: Vector, b: Vector): Vector {
  return [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
}

/** `minus([1, 1, 0], [0, 1, 0])` → `[1, 0, 0]` */
export function minus(a: Vector, b: Vector): Vector {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
}

/** `times([1, 0, 2], 2)` → `[2, 0, 4]` */
export function times(a: Vector, by: number): Vector {
  return [a[0] * by, a[1] * by, a[2] * by];
}

/** `dot([1, 2, 3], [1, 0, 0])` → `1` */
export function dot(a: Vector, b: Vector): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

/** Right-handed: `cross([1, 0, 0], [0, 1, 0])` → `[0, 0, 1]` */
export function cross(a: Vector, b: Vector): Vector {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

/** `length([3, 4, 0])` → `5` */
export function length(a: Vector): number {
  return Math.sqrt(dot(a, a));
}

/** The same direction, of length one; a vector of no length stays as it is. `unit([0, 2, 0])` → `[0, 1, 0]` */
export function unit(a: Vector): Vector {
  const size = length(a);
  return size === 0 ? a : times(a, 1 / size);
}

/** From `a` (0) to `b` (1). `between([0, 0, 0], [2, 0, 0], 0.5)` → `[1, 0, 0]` */
export function between(a: Vector, b: Vector, share: number): Vector {
  return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];
}

/** What of `a` is square to the direction `axis` (of length one). `squareTo([1, 1, 0], [0, 1, 0])` → `[1, 0, 0]` */
export function squareTo(a: Vector, axis: Vector): Vector {
  return minus(a, times(axis, dot(a, axis)));
}

/** Turned about the upright axis, forward toward right. `turned([1, 0, 0], Math.PI / 2)` → `[0, 0, 1]` */
export function turned([x, y, z]: Vector, radians: number): Vector {
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  return [x * cos - z * sin, y, x * sin + z * cos];
}

/** From one direction to another along the shortest turn; both of length one. `swung([1, 0, 0], [0, 1, 0], 0.5)` → halfway round */
export function swung(a: Vector, b: Vector, share: number): Vector {
  const angle = Math.acos(Math.max(-1, Math.min(1, dot(a, b))));
  if (angle < 1e-6) return b;
  const sin = Math.sin(angle);
  return plus(times(a, Math.sin((1 - share) * angle) / sin), times(b, Math.sin(share * angle) / sin));
}
