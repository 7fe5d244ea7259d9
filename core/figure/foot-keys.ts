import type { Side } from '../moves/kind';
import type { Degrees } from '../units';
import { angleIn, directionIn, footRow, guardFoot, pointIn, type Frame } from './frame';
import type { FootKey, Key } from './motion';
import type { BodySide } from './pose';
import { lengths } from './rig';
import { ankleToBall, pelvisAxes } from './solve';
import { radians, minus, plus, squareTo, swung, times, turned, unit, type Vector } from './vector';

/** Hips and a foot with nothing left out. */
export type HipsKey = Required<NonNullable<Key['hips']>>;
export type FootState = Required<Pick<FootKey, 'turn' | 'heel' | 'knee' | 'ball'>> &
  Pick<FootKey, 'ankle' | 'leg' | 'carried'>;

/** What a foot does by a key, what is left out taken from before; a new place takes the one before it away. */
export function nextFoot(before: FootState, key: FootKey): FootState {
  const { ankle: _, leg: __, carried: ___, ...plain } = before;
  return (key.ball ?? key.ankle ?? key.leg ?? key.carried) ? { ...plain, ...key } : { ...before, ...key };
}

/** A foot of the guard as it is when the whole body has turned. */
function carriedFoot(
  foot: ReturnType<typeof guardFoot>,
  { by, lift }: NonNullable<FootKey['carried']>,
  heel: Degrees,
): ReturnType<typeof guardFoot> {
  const [x, , z] = turned(foot.ball, by * radians);
  return { ball: [x, lift, z], turn: foot.turn + by, heel, knee: turned(foot.knee, by * radians) };
}

/** A foot in the world: planted by its ball, in the air by its ankle or by the way of thigh and shank. */
export function footIn(frame: Frame, side: Side, foot: FootState, hip: Vector): readonly number[] {
  const { ankle, leg, turn, heel, carried } = foot;
  if (carried) return footRow(frame, carriedFoot(guardFoot(frame, side), carried, heel));
  if (!ankle && !leg) return footRow(frame, foot);
  const [yaw, pitch] = [angleIn(frame, turn), heel * radians];
  const thigh = leg ? times(unit(directionIn(frame, leg.thigh)), lengths.thigh) : null;
  const end =
    thigh && leg
      ? plus(plus(hip, thigh), times(unit(directionIn(frame, leg.shank)), lengths.shank))
      : pointIn(frame, ankle ?? [0, 0, 0]);
  const knee = thigh ? unit(squareTo(thigh, unit(minus(end, hip)))) : directionIn(frame, foot.knee);
  return [...plus(end, ankleToBall(yaw, pitch)), yaw, pitch, ...knee];
}

/** Where a hip joint is, by the row of the hips. */
export function hipOf([x = 0, y = 0, z = 0, turn = 0, tip = 0]: readonly number[], body: BodySide): Vector {
  const { right } = pelvisAxes(turn, tip);
  return plus([x, y, z], times(right, (body === 'right' ? 1 : -1) * lengths.halfHips));
}

/** A leg on its way between two keys, by its joints. */
export function footBetween(from: FootState, to: FootState, way: number): FootState {
  const number = (a: number, b: number): number => a + (b - a) * way;
  return {
    ...to,
    turn: number(from.turn, to.turn),
    heel: number(from.heel, to.heel),
    ...(from.leg &&
      to.leg && {
        leg: {
          thigh: swung(unit(from.leg.thigh), unit(to.leg.thigh), way),
          shank: swung(unit(from.leg.shank), unit(to.leg.shank), way),
        },
      }),
  };
}

/** Hips on their way between two keys. */
export function hipsBetween(from: HipsKey, to: HipsKey, way: number): HipsKey {
  const number = (name: keyof HipsKey): number => from[name] + (to[name] - from[name]) * way;
  return { x: number('x'), y: number('y'), z: number('z'), turn: number('turn'), tip: number('tip') };
}
