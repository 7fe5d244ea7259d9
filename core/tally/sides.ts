import { stepMs, type Repetition } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import { limbOf, mirrorStance, type Stance } from '../mechanics/walk';
import { moveKind } from '../moves/catalogue';
import { isStrike, type Move } from '../moves/move';
import { strikeGroups, targets, type StrikeGroup, type Target } from '../moves/kind';
import type { Freestyle, Slot } from '../notation/combination';
import { isStrikeSlot, slotNature } from '../notation/slot-kinds';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, PaceFactor } from '../units';

/** Planned strikes of a kind by the athlete's own side. */
export type StrikesByKind = Readonly<Record<StrikeGroup, { readonly left: number; readonly right: number }>>;

/** Strikes by the athlete's own side, by target and by kind, as they are added up. */
export interface Sides {
  left: number;
  right: number;
  leftMs: Milliseconds;
  rightMs: Milliseconds;
  byTarget: Record<Target, number>;
  byKind: Record<StrikeGroup, { left: number; right: number }>;
}

/** Nothing struck yet. */
export function noSides(): Sides {
  const byKind = Object.fromEntries(strikeGroups.map((group) => [group, { left: 0, right: 0 }])) as Sides['byKind'];
  return { left: 0, right: 0, leftMs: 0, rightMs: 0, byTarget: { head: 0, body: 0, leg: 0 }, byKind };
}

/** Adds one sum to another. */
export function addSides(out: Sides, more: Sides): void {
  out.left += more.left;
  out.right += more.right;
  out.leftMs += more.leftMs;
  out.rightMs += more.rightMs;
  for (const target of targets) out.byTarget[target] += more.byTarget[target];
  for (const group of strikeGroups) {
    out.byKind[group].left += more.byKind[group].left;
    out.byKind[group].right += more.byKind[group].right;
  }
}

/** Strikes of one kind, `left` the share of the left side. */
function addStrikes(out: Sides, kind: StrikeGroup, strikes: number, left: number): void {
  out.left += strikes * left;
  out.right += strikes * (1 - left);
  out.byKind[kind].left += strikes * left;
  out.byKind[kind].right += strikes * (1 - left);
}

function addTime(out: Sides, ms: Milliseconds, left: number): void {
  out.leftMs += ms * left;
  out.rightMs += ms * (1 - left);
}

/** `ms` is how long one strike of it takes at the leaf's pace. */
function spreadContent(
  out: Sides,
  content: Move | Slot | Freestyle,
  stance: Stance,
  weight: number,
  ms: Milliseconds,
): void {
  if (content.kind === 'move') {
    if (!isStrike(content)) return;
    const limb = limbOf(content, stance);
    const left = limb?.startsWith('left') ? 1 : limb ? 0 : 0.5;
    addStrikes(out, moveKind(content.id).group ?? 'free', weight, left);
    addTime(out, weight * ms, left);
    if (content.target) out.byTarget[content.target] += weight;
    return;
  }
  const slot = content.kind === 'slot' ? content : null;
  const strikes = !slot ? 1 : isStrikeSlot(slot.of) ? (slot.least + slot.most) / 2 - (slot.end ? 1 : 0) : 0;
  addStrikes(out, 'free', strikes * weight, 0.5);
  addTime(out, weight * ms, 0.5);
  for (const [target, share] of Object.entries(slot ? slotNature(slot.of).targets : { head: 1 }) as [Target, number][])
    out.byTarget[target] += strikes * weight * share;
  if (slot?.end) spreadContent(out, slot.end, stance, weight, 0);
}

function spreadRepetition(out: Sides, repetition: Repetition, weight: number, pace: PaceFactor): void {
  for (const { step, stance } of repetition.walk.steps)
    for (const content of step.content) spreadContent(out, content, stance, weight, stepMs(step) / pace);
}

/** Left and right, targets and kinds of all repetitions of a leaf; a combination that turns carries on mirrored. */
export function spreadLeaf(out: Sides, leaf: Leaf, repetitions: number, stance: Stance): void {
  if (!leaf.combination) return;
  const studied = studyOf(leaf.combination, stance, leaf.nonStop, leaf.otherStance);
  const mirrored = studyOf(leaf.combination, mirrorStance(stance), leaf.nonStop, leaf.otherStance);
  const turns = studied.turns.length;
  let facing = stance;
  for (let turn = 0; turn < Math.min(repetitions, 2 * turns); turn += 1) {
    // Everything repeats after two full turns, so each of those is walked once and weighed.
    const weight = Math.floor((repetitions - 1 - turn) / (2 * turns)) + 1;
    const here = (facing === stance ? studied : mirrored).turns[turn % turns];
    if (!here) return;
    spreadRepetition(out, here, weight, leaf.pace);
    if (leaf.otherStance !== 'reset') facing = here.walk.end;
  }
}

/** Free work is half left and half right, and to the head. */
export function addFree(out: Sides, strikes: number, ms: Milliseconds): void {
  addStrikes(out, 'free', strikes, 0.5);
  addTime(out, ms, 0.5);
  out.byTarget.head += strikes;
}

/** Touches are done by the hand they are meant for; halves where the class stands square. */
export function addTouches(out: Sides, leaf: Leaf, facing: Stance): void {
  const all = leaf.touches.length;
  const lead = leaf.touches.filter(({ side }) => side === 'lead').length / Math.max(1, all);
  const left = facing === 'square' ? 0.5 : facing === 'orthodox' ? lead : 1 - lead;
  addStrikes(out, 'free', all, left);
  addTime(out, leaf.ms, left);
  out.byTarget.head += all;
}

/** How an athlete stands in a leaf: as the class does, and in their own stance where it stands square for a while. */
export function facingOf(leaf: Leaf, natural: Stance): Stance {
  if (natural === 'square') return leaf.stance;
  return leaf.mirrored && leaf.stance !== 'square' ? mirrorStance(natural) : natural;
}
