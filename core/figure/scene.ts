import type { Milliseconds, Statures } from '../units';
import { contactPoint, jointsAt, type Hit } from './body-motion';
import { valueAt } from './curve';
import { mirrorJoints, type Figure } from './figure-of';
import { pictureOf, type PicturePart } from './picture';
import type { BodySide, Joints } from './pose';
import type { Vector } from './vector';
import { cameraOf, type Camera, type View } from './view';

/** A path that fades toward its beginning: of the limb that strikes, or of a head that goes out of the way. */
export interface Trail {
  readonly points: readonly (readonly [x: number, y: number])[];
  readonly paint: 'lead glove' | 'rear glove' | 'line';
}

/** A ring where something lands; it fades from 1 to 0. */
export interface Ring {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly strength: number;
}

/** What a picture of a figure at a moment holds, in statures of the picture, from back to front. */
export interface Scene {
  readonly shadows: readonly { readonly x: number; readonly y: number; readonly rx: number; readonly ry: number }[];
  readonly parts: readonly PicturePart[];
  readonly trails: readonly Trail[];
  readonly ring: Ring | null;
}

/** Things beside the body that are drawn with it, in their right depth (a bag). */
export type Beside = (camera: Camera, at: Milliseconds) => readonly PicturePart[];

const ringMs: Milliseconds = 260;
const trailMs: Milliseconds = 130;
const trailAfter: Milliseconds = 90;
const trailSteps = 7;
const ringRadius: Statures = 0.06;

const opposite = (side: BodySide): BodySide => (side === 'left' ? 'right' : 'left');

/** Which side of the body leads at a moment, as the figure is seen. */
export function leadAt({ motion, mirrored }: Figure, at: Milliseconds): BodySide {
  const lead = motion.stands.findLast((stand) => stand.at <= at)?.frame.lead ?? 'left';
  return mirrored ? opposite(lead) : lead;
}

/** The camera of a view that follows a figure along the floor; a southpaw is seen from the southpaw's own open side. */
export function cameraAt({ motion, mirrored }: Figure, view: View, at: Milliseconds): Camera {
  const [x = 0, z = 0] = valueAt(motion.ground, at, []);
  const seen = mirrored ? { ...view, azimuth: -view.azimuth } : view;
  return cameraOf(seen, [x, 0, mirrored ? -z : z]);
}

/**
 * Everything to be drawn of a figure at a moment, undrawn.
 * @example sceneAt(figureOf(combination, 'orthodox'), 150, views.side).ring // where the jab lands
 */
export function sceneAt(figure: Figure, at: Milliseconds, view: View, beside: Beside | null = null): Scene {
  const { motion, mirrored } = figure;
  const camera = cameraAt(figure, view, at);
  const solve = (when: Milliseconds): Joints => {
    const joints = jointsAt(motion, when);
    return mirrored ? mirrorJoints(joints) : joints;
  };
  const joints = solve(at);
  const seenSide = (side: BodySide): BodySide => (mirrored ? opposite(side) : side);
  const point = (when: Milliseconds, hit: Hit): Vector => contactPoint(solve(when), seenSide(hit.body), hit.point);
  const path = (from: Milliseconds, to: Milliseconds, of: (when: Milliseconds) => Vector): [number, number][] =>
    Array.from({ length: trailSteps }, (_, index) => {
      const { x, y } = camera(of(from + ((to - from) * index) / (trailSteps - 1)));
      return [x, y];
    });
  const trails: Trail[] = [];
  for (const hit of motion.hits) {
    if (at < hit.at - 2 * trailMs || at > hit.at + trailAfter) continue;
    const to = Math.min(at, hit.at);
    const from = Math.max(0, hit.at - 1.6 * trailMs, at - trailMs);
    const paint = leadAt(figure, at) === seenSide(hit.body) ? 'lead glove' : 'rear glove';
    if (to - from > 12) trails.push({ points: path(from, to, (when) => point(when, hit)), paint });
  }
  const dodge = motion.done.find(({ dodges, at: begins, ms }) => dodges && at > begins && at < begins + ms);
  if (dodge)
    trails.push({ points: path(Math.max(dodge.at, at - 2 * trailMs), at, (when) => solve(when).head), paint: 'line' });
  const landed = motion.hits.findLast((hit) => hit.at <= at && at - hit.at < ringMs);
  const ringAt = landed ? camera(point(landed.at, landed)) : null;
  const shadows = (['left', 'right'] as const).map((side) => {
    const { x, y, scale } = camera([joints[`${side} ball`][0], 0, joints[`${side} ball`][2]]);
    return { x, y, rx: 0.07 * scale, ry: 0.018 * scale };
  });
  const parts = [...pictureOf(joints, leadAt(figure, at), camera), ...(beside?.(camera, at) ?? [])];
  return {
    shadows,
    parts: parts.sort((a, b) => b.depth - a.depth),
    trails,
    ring:
      ringAt && landed
        ? { x: ringAt.x, y: ringAt.y, r: ringRadius * ringAt.scale, strength: 1 - (at - landed.at) / ringMs }
        : null,
  };
}
