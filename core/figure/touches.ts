import type { Side } from '../moves/kind';
import type { Stance } from '../mechanics/walk';
import type { Milliseconds } from '../units';
import { newBody } from './body';
import type { Figure } from './figure-of';
import { finished } from './finished';
import { bodySide, chestRow, hipsRow, startFrame } from './frame';
import type { HandKey } from './motion';
import { put } from './track';
import { sided, type Vector } from './vector';

/** A touch of a ball or a speed bag: when, and by which hand. */
export interface BallTouch {
  readonly at: Milliseconds;
  readonly side: Side;
}

const elbow: Vector = [0.1, -0.35, 0.9];
/** Hands are held up before the bag and go round in small circles: down through the touch, back under it, up again (common practice). */
const before: Vector = [0.25, 0.99, 0.05];
const touch: Vector = [0.325, 0.95, 0.015];
const after: Vector = [0.27, 0.89, 0.05];
const most: Milliseconds = 120;

/**
 * Touches as a figure does them: small circles of the hands at the bag, the trunk turning a little with each.
 * @example touchesFigure([{ at: 0, side: 'lead' }, { at: 400, side: 'rear' }], 60_000, 'orthodox')
 */
export function touchesFigure(touches: readonly BallTouch[], ms: Milliseconds, stance: Stance): Figure {
  const frame = startFrame(true);
  const body = newBody(frame);
  touches.forEach(({ at, side }, index) => {
    const gap = Math.min(most, ((touches[index + 1]?.at ?? at + 4 * most) - at) / 3);
    const which = bodySide(frame, side);
    const go = (when: Milliseconds, point: Vector): void => {
      const key: HandKey = { to: sided(side, point), elbow: sided(side, elbow) };
      if (when > 0) body.handIntents[which].push({ kind: 'put', at: when, frame, key, lands: false, way: 1 });
    };
    go(at - gap, before);
    go(at, touch);
    go(at + gap, after);
    const turn = side === 'lead' ? 14 : -6;
    if (at > 0) {
      put(body.chest, at, chestRow(frame, { turn, lean: 6, side: 0 }));
      put(body.hips, at, hipsRow(frame, { x: 0.02, y: 0.495, z: 0, turn: turn * 0.5, tip: 0 }));
    }
    body.done.push({ at, ms: gap, step: index, move: null, dodges: false });
  });
  return { motion: finished(body, frame, ms), mirrored: stance === 'southpaw', square: true };
}
