import { moveKind } from '../moves/catalogue';
import type { Side } from '../moves/kind';
import { changesStance, type Move } from '../moves/move';
import type { Freestyle, Slot } from '../notation/combination';
import type { Step } from './steps';

/** Which foot leads: the left (orthodox), the right (southpaw) or neither (square). */
export type Stance = 'orthodox' | 'southpaw' | 'square';
export type Limb = 'left hand' | 'right hand' | 'left leg' | 'right leg';

/** The other stance; square has none. `mirrorStance('orthodox')` → `southpaw` */
export function mirrorStance(stance: Stance): Stance {
  return stance === 'orthodox' ? 'southpaw' : stance === 'southpaw' ? 'orthodox' : 'square';
}

/** The limb that carries out a side in a stance, or null where no single limb does. `limbOf(move('jab'), 'orthodox')` → `left hand` */
export function limbOf(move: Move, stance: Stance): Limb | null {
  const limb = moveKind(move.id).limb;
  if (limb === null || move.side === null || stance === 'square' || move.feint) return null;
  return `${bodySide(move.side, stance)} ${limb}`;
}

function bodySide(side: Side, stance: 'orthodox' | 'southpaw'): 'left' | 'right' {
  return (side === 'lead') === (stance === 'orthodox') ? 'left' : 'right';
}

/** A step with the body's state around it. */
export interface WalkedStep {
  readonly step: Step;
  /** Stance when it begins; a strike paired with a shift still uses this one. */
  readonly stance: Stance;
  readonly stanceAfter: Stance;
  /** Whether bag and hitter stand apart when it begins. */
  readonly apart: boolean;
}

export interface Walk {
  readonly steps: readonly WalkedStep[];
  readonly start: Stance;
  readonly end: Stance;
  readonly endsApart: boolean;
}

type Content = Move | Slot | Freestyle;

function isMove(content: Content): content is Move {
  return content.kind === 'move';
}

/** Whether bag and hitter stand apart after a step: some moves part them, some join them; a feint does neither. */
function apartAfter(step: Step, before: boolean): boolean {
  const moves = step.content.filter(isMove);
  const does = (distance: 'parts' | 'joins') => (move: Move) => !move.feint && moveKind(move.id).distance === distance;
  if (moves.some(does('parts'))) return true;
  return moves.length < step.content.length || moves.some(does('joins')) ? false : before;
}

/**
 * Follows a body through unfolded steps: which foot leads and whether the bag is in reach, step by step.
 * @example walk(unfold(combination), 'orthodox').end
 */
export function walk(steps: readonly Step[], start: Stance, startsApart = false): Walk {
  let stance = start;
  let apart = startsApart;
  const walked = steps.map((step): WalkedStep => {
    const swaps = step.content.some((each) => isMove(each) && changesStance(each));
    const here: WalkedStep = { step, stance, stanceAfter: swaps ? mirrorStance(stance) : stance, apart };
    stance = here.stanceAfter;
    apart = apartAfter(step, apart);
    return here;
  });
  return { steps: walked, start, end: stance, endsApart: apart };
}
