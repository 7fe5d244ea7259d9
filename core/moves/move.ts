import { kindNamed, moveKind, type MoveId } from './catalogue';
import type { Family, Side, Target } from './kind';

/** One move as it stands in a combination. Sides are lead and rear, never left and right. */
export interface Move {
  readonly kind: 'move';
  readonly id: MoveId;
  readonly side: Side | null;
  readonly target: Target | null;
  /** Thrown hard (`!`) or light (`~`). */
  readonly force?: 'hard' | 'light';
  /** A finer aim, shown and said, not computed with (`@thigh`). */
  readonly aim?: string;
  /** Shown, not thrown: a foot move for counting and loading. */
  readonly feint?: true;
}

/** A plain move of a kind, on its usual side and target unless told. `move('hook', 'rear')` */
export function move(id: MoveId, side?: Side, target?: Target): Move {
  const kind = moveKind(id);
  return { kind: 'move', id, side: side ?? kind.usual, target: target ?? kind.targets[0] ?? null };
}

/** The family a move counts in; a feint is feet. */
export function familyOf(move: Move): Family {
  return move.feint ? 'feet' : moveKind(move.id).family;
}

const handStrikes: readonly Family[] = ['punch', 'elbow', 'push'];
const legStrikes: readonly Family[] = ['knee', 'kick', 'teep'];
const countedStrikes: readonly Family[] = ['punch', 'elbow', 'knee', 'kick', 'teep'];

/** Thrown with a hand: punches, elbows, pushes. */
export function isHandStrike(move: Move): boolean {
  return handStrikes.includes(familyOf(move));
}

/** Thrown with a leg: knees, kicks, teeps. */
export function isLegStrike(move: Move): boolean {
  return legStrikes.includes(familyOf(move));
}

/** Counted as a strike: punches, elbows, knees, kicks, teeps; a push is not (trade page, section 10). */
export function isStrike(move: Move): boolean {
  return countedStrikes.includes(familyOf(move));
}

/** Changes which foot leads for everything after it; a feint only shows it. */
export function changesStance(move: Move): boolean {
  return !move.feint && moveKind(move.id).feet === 'trade places';
}

/** The canonical name. `lead hook`, `low kick`, `feint jab` */
export function moveName(move: Move): string {
  const kind = moveKind(move.id);
  const name = kind.sideInName && move.side ? `${move.side} ${kind.name}` : kind.name;
  return move.feint ? `feint ${name}` : name;
}

/** The name with everything a listener needs. `rear low kick`, `cross to the body, hard` */
export function fullMoveName(move: Move): string {
  const kind = moveKind(move.id);
  const sided =
    kind.sides.length > 1 && move.side && !kind.sideInName
      ? kind.family === 'feet'
        ? `${moveName(move)} to the ${move.side} side`
        : `${move.side} ${moveName(move)}`
      : moveName(move);
  const aimed = move.target && move.target !== kind.targets[0] ? `${sided} to the ${move.target}` : sided;
  const force = move.force ? `, ${move.force}` : '';
  return `${aimed}${force}${move.aim ? `, ${move.aim}` : ''}`;
}

/** The same move for somebody who stands the other way round: only the athlete's own left and right trade places. */
export function mirrorMove(given: Move): Move {
  const mirrored = kindNamed(moveKind(given.id).mirror);
  return mirrored ? { ...given, id: mirrored.id } : given;
}

/** The same move by the other side, or null where there is none, or it has no side. `jab` ↔ `cross` */
export function otherSide(given: Move): Move | null {
  if (given.side === null) return null;
  const kind = moveKind(given.id);
  const side: Side = given.side === 'lead' ? 'rear' : 'lead';
  const id = kind.sides.length > 1 ? given.id : kindNamed(kind.otherSide)?.id;
  if (id === undefined || !moveKind(id).sides.includes(side)) return null;
  const targets = moveKind(id).targets;
  const target = given.target && targets.includes(given.target) ? given.target : (targets[0] ?? null);
  return { ...given, id, side, target };
}
