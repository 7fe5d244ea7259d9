import type { Side } from '../moves/kind';
import type { Statures } from '../units';
import { bagAhead, guard, squareFeet, type FootKey, type Key, type Travel } from './motion';
import type { BodySide } from './pose';
import { radians, plus, times, turned, type Vector } from './vector';

/** Where an athlete stands and how: the frame in which motions are written, in the world. */
export interface Frame {
  readonly origin: Vector;
  /** Which way is forward, in radians toward the right; the body's own full turns are in it. */
  readonly heading: number;
  readonly lead: BodySide;
  readonly square: boolean;
}

/** The frame of somebody who has just taken up their stance. */
export const startFrame = (square: boolean): Frame => ({ origin: [0, 0, 0], heading: 0, lead: 'left', square });

/** Lead and rear of a stance as sides of the body. `bodySide(startFrame(false), 'rear')` → `'right'` */
export function bodySide({ lead }: Frame, side: Side): BodySide {
  return (side === 'lead') === (lead === 'left') ? 'left' : 'right';
}

/** 1 where the rear side is the right one, as in an orthodox stance, else -1. */
export function handed({ lead }: Frame): number {
  return lead === 'left' ? 1 : -1;
}

/** A direction of the frame in the world. */
export function directionIn(frame: Frame, [x, y, z]: Vector): Vector {
  return turned([x, y, z * handed(frame)], frame.heading);
}

/** A point of the frame in the world. */
export function pointIn(frame: Frame, point: Vector): Vector {
  return plus(frame.origin, directionIn(frame, point));
}

/** An angle of the frame (degrees toward the rear side) in the world (radians toward the right). */
export function angleIn(frame: Frame, degrees: number): number {
  return frame.heading + handed(frame) * degrees * radians;
}

/** The frame after a foot move. Around means around the bag, which stays in front. */
export function travelled(frame: Frame, travel: Travel): Frame {
  const ahead = travel.trades === 'through' ? guard.feet.lead.ball[0] * 2 : (travel.forward ?? 0);
  const moved = plus(frame.origin, turned([ahead, 0, travel.right ?? 0], frame.heading));
  const lead = travel.trades ? (frame.lead === 'left' ? 'right' : 'left') : frame.lead;
  if (!travel.around) return { ...frame, origin: moved, lead };
  const bag = plus(moved, turned([bagAhead, 0, 0], frame.heading));
  const heading = frame.heading + travel.around * radians * handed(frame);
  return { ...frame, origin: plus(bag, times(turned([1, 0, 0], heading), -bagAhead)), heading, lead };
}

/** Part of the way from one frame to another, still in the first one's stance. */
export function frameBetween(from: Frame, to: Frame, share: number): Frame {
  const eased = share * share * (3 - 2 * share);
  return {
    ...from,
    origin: plus(times(from.origin, 1 - eased), times(to.origin, eased)),
    heading: from.heading + (to.heading - from.heading) * eased,
  };
}

/** What a foot does in the guard of a frame. */
export function guardFoot(frame: Frame, side: Side): Required<Pick<FootKey, 'ball' | 'turn' | 'heel' | 'knee'>> {
  return frame.square ? squareFeet[side] : guard.feet[side];
}

/** Rows of the curves, as they are written by a key; what it leaves out stands in `before`. */
export type HipsRow = readonly [x: Statures, y: Statures, z: Statures, turn: number, tip: number];
export type ChestRow = readonly [turn: number, forward: number, right: number];
export type FootRow = readonly [x: Statures, y: Statures, z: Statures, yaw: number, pitch: number, ...knee: Vector];

/** On level feet there is less floor in front and behind: weight goes forward this much less, from this far behind (house values). */
const level = { share: 0.35, back: -0.035, lean: 0.7 } as const;

/** Hips of a key in the world. */
export function hipsRow(frame: Frame, key: Required<NonNullable<Key['hips']>>): HipsRow {
  const ahead = frame.square ? (key.x > 0 ? key.x * level.share : key.x) + level.back : key.x;
  const [x, , z] = pointIn(frame, [ahead, 0, key.z]);
  return [x, key.y, z, angleIn(frame, key.turn), handed(frame) * key.tip * radians];
}

/** Chest of a key in the world. */
export function chestRow(frame: Frame, key: Required<NonNullable<Key['chest']>>): ChestRow {
  const lean = frame.square && key.lean > 0 ? key.lean * level.lean : key.lean;
  const [forward, , right] = directionIn(frame, [lean * radians, 0, key.side * radians]);
  return [angleIn(frame, key.turn), forward, right];
}

/** A foot in the world. */
export function footRow(frame: Frame, key: Required<Pick<FootKey, 'ball' | 'turn' | 'heel' | 'knee'>>): FootRow {
  return [...pointIn(frame, key.ball), angleIn(frame, key.turn), key.heel * radians, ...directionIn(frame, key.knee)];
}
