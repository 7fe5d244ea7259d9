import type { Side } from '../moves/kind';
import type { Milliseconds } from '../units';
import { trunkAt, type TrunkMotion } from './body-motion';
import { curveThrough, type Curve } from './curve';
import { directionIn, handed, pointIn, type Frame } from './frame';
import { guard, type HandKey } from './motion';
import { bodySides, type BodySide } from './pose';
import { lengths } from './rig';
import { chestAxes, solveTrunk } from './solve';
import { begin, lastRow, newTrack, put, release, type Track } from './track';
import { minus, plus, squareTo, times, turned, unit, type Vector } from './vector';

/** What a hand is to do: laid out once the trunk it hangs on is known. */
export type HandIntent =
  | { readonly kind: 'begin'; readonly at: Milliseconds }
  | {
      readonly kind: 'put';
      readonly at: Milliseconds;
      readonly frame: Frame;
      readonly key: HandKey;
      /** It lands here: most of the way is gone in the last part of the time. */
      readonly lands: boolean;
      /** How much of the way it goes: all of it, unless it is only shown. */
      readonly way: number;
    }
  | { readonly kind: 'release'; readonly at: Milliseconds; readonly frame: Frame; readonly side: Side };

/** By this share of its time a strike has gone this share of its way: it accelerates into the target. */
const slowShare = { time: 0.6, way: 0.42 } as const;

/** A fist as seen from the head, and its elbow, at a moment of a trunk. */
function handRow(trunk: TrunkMotion, at: Milliseconds, frame: Frame, side: BodySide, key: HandKey): readonly number[] {
  const elbow = directionIn(frame, key.elbow);
  if ('near' in key) {
    const spun = ((key.turned ?? 0) * Math.PI * handed(frame)) / 180;
    return [...turned(directionIn(frame, key.near), spun), ...turned(elbow, spun)];
  }
  const pose = trunkAt(trunk, at);
  const { head, chest } = solveTrunk(pose);
  if ('to' in key) return [...minus(pointIn(frame, key.to), head), ...elbow];
  const { right } = chestAxes(pose.chestTurn, pose.lean);
  const shoulder = plus(chest, times(right, (side === 'right' ? 1 : -1) * lengths.halfShoulders));
  const upper = unit(elbow);
  const fist = plus(
    plus(shoulder, times(upper, lengths.upperArm)),
    times(unit(directionIn(frame, key.fold)), lengths.forearm),
  );
  const pole: Vector = squareTo(upper, unit(minus(fist, shoulder)));
  return [...minus(fist, head), ...pole];
}

function partWay(from: readonly number[], to: readonly number[], way: number): readonly number[] {
  return way === 1 ? to : to.map((value, channel) => (from[channel] ?? 0) * (1 - way) + value * way);
}

const guardKey = (side: Side): HandKey => guard.hands[side];

function layHand(trunk: TrunkMotion, side: BodySide, intents: readonly HandIntent[], home: Frame): Curve {
  const first: Side = (home.lead === 'left') === (side === 'left') ? 'lead' : 'rear';
  const track: Track = newTrack(handRow(trunk, 0, home, side, guardKey(first)));
  for (const intent of intents) {
    switch (intent.kind) {
      case 'begin':
        begin(track, intent.at);
        break;
      case 'put': {
        const whole = handRow(trunk, intent.at, intent.frame, side, intent.key);
        const start = lastRow(track);
        const row = partWay(start, whole, intent.way);
        const from = track.at(-1)?.at ?? 0;
        const slow = from + (intent.at - from) * slowShare.time;
        if (intent.lands && intent.at - from > 40) {
          put(track, slow, partWay(start, row, slowShare.way));
        }
        put(track, intent.at, row);
        break;
      }
      case 'release':
        release(track, intent.at, handRow(trunk, intent.at, intent.frame, side, guardKey(intent.side)));
    }
  }
  return curveThrough(track);
}

/** The curves of both hands. Points of the world are turned into ways from the head, so that a guard follows it. */
export function layHands(
  trunk: TrunkMotion,
  intents: Readonly<Record<BodySide, readonly HandIntent[]>>,
  home: Frame,
): Readonly<Record<BodySide, Curve>> {
  const [left, right] = bodySides.map((side) => layHand(trunk, side, intents[side], home));
  if (!left || !right) throw new Error('a body has two hands');
  return { left, right };
}
