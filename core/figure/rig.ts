import type { Degrees, Metres, Statures } from '../units';

/** The stature that the command's figure has; everything else is drawn to whatever stature is asked for. */
export const figureStature: Metres = 1.75;

/**
 * Lengths as shares of stature (Drillis and Contini 1966, as reprinted in Winter, Biomechanics and Motor Control of Human
 * Movement; from memory). Trunk: hip 0.530 to shoulder 0.818. A fist's middle lies about half a clenched hand from the
 * wrist; the foot is 0.152 long and its ball a third behind the toe (common practice, no source).
 */
export const lengths = {
  halfHips: 0.191 / 2,
  trunk: 0.288,
  halfShoulders: 0.259 / 2,
  neck: 0.052,
  head: 0.07,
  upperArm: 0.186,
  forearm: 0.146 + 0.05,
  thigh: 0.245,
  shank: 0.246,
  ankleHeight: 0.039,
  ankleToBall: 0.1,
} as const satisfies Readonly<Record<string, Statures>>;

/** How thick each part is: half its width (house values, for drawing and for keeping parts out of one another). */
export const radii = {
  head: 0.052,
  neck: 0.032,
  chest: 0.062,
  pelvis: 0.06,
  upperArm: 0.025,
  forearm: 0.021,
  glove: 0.043,
  thigh: 0.038,
  shank: 0.027,
  foot: 0.019,
} as const satisfies Readonly<Record<string, Statures>>;

/**
 * Masses as shares of the body's (Dempster 1955, as reprinted in Winter; from memory): trunk 0.497, head and neck 0.081,
 * upper arm 0.028, forearm and hand 0.022, thigh 0.100, shank 0.0465, foot 0.0145.
 */
export const masses = {
  trunk: 0.497,
  head: 0.081,
  upperArm: 0.028,
  forearm: 0.022,
  thigh: 0.1,
  shank: 0.0465,
  foot: 0.0145,
} as const;

/** Where along a segment its mass lies, from its upper end (same source, from memory). */
export const massAt = {
  trunk: 0.5,
  head: 1,
  upperArm: 0.436,
  forearm: 0.6,
  thigh: 0.433,
  shank: 0.433,
  foot: 0.5,
} as const;

/**
 * How far joints move (American Academy of Orthopaedic Surgeons, Joint Motion, 1965, as in Norkin and White, Measurement
 * of Joint Motion; from memory): degrees from the anatomical position.
 */
export const jointRanges = {
  hip: { flexion: 120, extension: 30, abduction: 45, adduction: 30 },
  knee: { flexion: 135 },
  elbow: { flexion: 150 },
  shoulder: { flexion: 180, extension: 60, abduction: 180 },
  trunk: { rotation: 45 },
} as const satisfies Readonly<Record<string, Readonly<Record<string, Degrees>>>>;

/** No joint is drawn straighter than this (the usual caution: elbows and knees not to full lock; house value). */
export const leastBend: Degrees = 7;
