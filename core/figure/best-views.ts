import { moveKind } from '../moves/catalogue';
import type { Family, Shape } from '../moves/kind';
import { familyOf, type Move } from '../moves/move';
import type { Milliseconds } from '../units';
import type { Figure } from './figure-of';
import { views, type View } from './view';
import type { FixedViewName, ViewName } from './view-names';

/** Where a kind of move is told best from (found by looking at contact sheets). */
const best: Readonly<Record<Exclude<Family, 'punch'>, FixedViewName>> = {
  elbow: 'front',
  knee: 'three-quarter',
  kick: 'three-quarter',
  teep: 'three-quarter',
  push: 'three-quarter',
  defence: 'front',
  feet: 'three-quarter',
  hold: 'side',
  conditioning: 'front',
  slot: 'three-quarter',
  wait: 'three-quarter',
};
const bestOfPunch: Readonly<Record<Shape, FixedViewName>> = {
  straight: 'three-quarter',
  turning: 'front',
  rising: 'side',
};

/** `bestView(move('hook'))` → `'front'` */
export function bestView(move: Move | null): FixedViewName {
  if (!move) return 'three-quarter';
  const family = familyOf(move);
  return family === 'punch' ? bestOfPunch[moveKind(move.id).shape ?? 'straight'] : best[family];
}

/** The eye goes from one place to the next in this time, and not all at once (house value). */
const goesMs: Milliseconds = 350;

/** Where one looks from at a moment: the view that was chosen, or the one that tells the move best, gone to smoothly. */
export function viewAt(name: ViewName, { motion }: Figure, at: Milliseconds): View {
  if (name !== 'by move') return views[name];
  const index = motion.done.findLastIndex((step) => step.at <= at);
  const [before, now] = [motion.done[index - 1], motion.done[index]];
  const [from, to] = [views[bestView(before?.move ?? null)], views[bestView(now?.move ?? null)]];
  const share = now ? Math.min(1, (at - now.at) / goesMs) : 1;
  const eased = share * share * (3 - 2 * share);
  return {
    azimuth: from.azimuth + (to.azimuth - from.azimuth) * eased,
    elevation: from.elevation + (to.elevation - from.elevation) * eased,
    mirrored: false,
  };
}
