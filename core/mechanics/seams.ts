import { moveKind } from '../moves/catalogue';
import type { Side } from '../moves/kind';
import { changesStance, familyOf, fullMoveName, isHandStrike, isLegStrike, type Move } from '../moves/move';
import type { Freestyle, Slot } from '../notation/combination';
import type { Milliseconds } from '../units';
import { leadingMove, type Step } from './steps';
import { walk, type Walk, type WalkedStep } from './walk';

export type Verdict = 'smooth' | 'reload' | 'step' | 'turned';

/** How one moment flows into the next. */
export interface Judgement {
  readonly verdict: Verdict;
  readonly cost: Milliseconds;
  readonly reason: string;
  /** A warning wants a repair, a note is worth knowing; flowing seams have none. */
  readonly level: 'none' | 'note' | 'warning';
  /** A kick or knee on the same side as the hand before it: everyday practice, which schools see differently. */
  readonly sameSideKick?: true;
}

/** Which leg a school drills after a hand; opposite unless a coach chooses otherwise (trade page, section 13). */
export type KickSchool = 'opposite' | 'same';

/** Whether a coach wants to hear of a seam: where same-side kicks are the school's own they are no news. */
export function isWorthSaying(seam: Judgement, school: KickSchool = 'opposite'): boolean {
  return seam.level !== 'none' && !(school === 'same' && seam.sameSideKick);
}

/** A judged seam: between step `after` and the next one; the last one leads back to the beginning. */
export interface Seam extends Judgement {
  /** Index of the step before it. */
  readonly after: number;
  readonly loop: boolean;
  /** Stuck enough to want mending: a warning, or a loop that would be one without the breath. */
  readonly stuck: boolean;
}

/** Time that a seam costs (house values, trade page, section 4). */
export const seamCost = { reload: 150, double: 80, step: 250 } as const;

const smooth = (reason: string): Judgement => ({ verdict: 'smooth', cost: 0, reason, level: 'none' });
const reload = (reason: string): Judgement => ({ verdict: 'reload', cost: seamCost.reload, reason, level: 'warning' });
const needsStep = (reason: string, level: 'note' | 'warning'): Judgement => ({
  verdict: 'step',
  cost: seamCost.step,
  reason,
  level,
});

function holds(step: Step, test: (move: Move) => boolean): boolean {
  return step.content.some((each) => each.kind === 'move' && test(each));
}

function isFootMove(move: Move): boolean {
  const family = familyOf(move);
  return family === 'feet' || family === 'wait' || family === 'conditioning' || family === 'hold';
}

function isOpen(content: Move | Slot | Freestyle): content is Slot | Freestyle {
  return content.kind !== 'move';
}

/** The side a defence winds up, or `either` (pull back, cover and check load neither more than the other). */
function loadedBy(defence: Move): Side | 'either' {
  const { loads } = moveKind(defence.id);
  if (loads === 'either' || defence.side === null) return 'either';
  if (loads === 'own side') return defence.side;
  return defence.side === 'rear' ? 'lead' : 'rear';
}

function legSeam(a: Move, b: Move): Judgement {
  const name = fullMoveName(b);
  if (isHandStrike(a)) {
    if (a.side !== b.side) return smooth(`${name} follows naturally from the ${a.side} hand`);
    return {
      ...needsStep(`${name} on the same side as the punch needs a small step`, 'note'),
      sameSideKick: true,
    };
  }
  if (isLegStrike(a)) {
    return a.side === b.side
      ? reload(`the ${b.side} leg has to land and reload first`)
      : smooth('the other leg is free');
  }
  if (moveKind(a.id).readiesLegs && a.side === 'lead') {
    const ready = b.side === 'rear' ? familyOf(b) === 'kick' || familyOf(b) === 'knee' : familyOf(b) === 'teep';
    return ready
      ? smooth('the checking leg lands ready to go')
      : needsStep(`${name} needs a small step after a lead ${moveKind(a.id).name}`, 'warning');
  }
  return smooth('a kick or knee can follow any defence');
}

function sameHand(a: Move, b: Move): Judgement {
  if (moveKind(b.id).takesBack?.includes(a.id))
    return smooth(`the ${moveKind(a.id).name} rotates straight back into it`);
  if (a.target !== b.target || !moveKind(a.id).turnsHips)
    return {
      verdict: 'reload',
      cost: seamCost.double,
      reason: `doubling up with the ${b.side} hand: quick, but less power on the second`,
      level: 'none',
    };
  return reload(`${fullMoveName(b)} straight after ${fullMoveName(a)}: the ${b.side} side has not reloaded`);
}

/** Rules 5 to 9: b is a hand strike. */
function handSeam(a: Move, b: Move): Judgement {
  if (isLegStrike(a) || familyOf(a) === 'push')
    return smooth(`the hips are square after the ${moveKind(a.id).name}, ready for either hand`);
  if (familyOf(a) === 'defence') {
    const loaded = loadedBy(a);
    if (!moveKind(b.id).turnsHips) return smooth(`the ${moveKind(b.id).name} needs no loading`);
    if (loaded === 'either' || loaded === b.side)
      return smooth(`the ${moveKind(a.id).name} loads the ${b.side ?? 'hitting'} side`);
    return reload(
      `the ${moveKind(a.id).name} loads the ${loaded} side, but the ${fullMoveName(b)} comes from the ${b.side ?? 'other'} side`,
    );
  }
  if (!moveKind(b.id).turnsHips) return smooth(`the ${moveKind(b.id).name} can come at any time`);
  if (a.side === b.side) return sameHand(a, b);
  return smooth('turning one side loads the other');
}

/** The ordered rules of the trade page, section 4: the first that fits decides. */
function judge(before: WalkedStep, after: WalkedStep, apart: boolean): Judgement {
  const a = leadingMove(before.step);
  const b = leadingMove(after.step);
  if (holds(after.step, changesStance))
    return {
      verdict: 'turned',
      cost: 0,
      reason: 'the stance switches here: from now on the numbers swap hands',
      level: 'note',
    };
  // A pair that steps in carries its own step, which is what the rule asks for.
  const stepsIn = holds(
    after.step,
    (move) => isFootMove(move) && !move.feint && moveKind(move.id).distance === 'joins',
  );
  if (apart && !stepsIn && b.kind === 'move' && !b.feint && moveKind(b.id).reach === 'close')
    return needsStep(`${fullMoveName(b)} needs a step in: you are out of range here`, 'warning');
  if (isOpen(b)) return smooth('the athlete chooses what follows');
  if (familyOf(b) === 'defence' || isFootMove(b)) return smooth(`${fullMoveName(b)} can follow anything`);
  if (isOpen(a)) return smooth('the athlete chooses what comes before');
  if (isFootMove(a)) return smooth(`both sides are ready after ${moveKind(a.id).name}`);
  if (before.step.content.length > 1 && holds(before.step, changesStance))
    return smooth('both sides are ready after the switch');
  return isLegStrike(b) ? legSeam(a, b) : handSeam(a, b);
}

/** How the end leads back to the beginning. */
export interface LoopSettings {
  /** No breath lies between repetitions, so a stuck loop is a warning and not a note. */
  readonly nonStop: boolean;
  /** What happens where a combination ends in the other stance. */
  readonly otherStance: 'carry on mirrored' | 'reset';
}

function loopSeam(
  last: WalkedStep,
  first: WalkedStep,
  steps: number,
  apart: boolean,
  turned: boolean,
  loop: LoopSettings,
  later: Judgement | null,
): Judgement & { stuck: boolean } {
  if (turned && loop.otherStance === 'reset')
    return {
      verdict: 'turned',
      cost: 0,
      reason: 'it ends in the opposite stance: switch back before repeating',
      level: 'note',
      stuck: false,
    };
  const carried = turned ? '; it carries on mirrored' : '';
  if (steps === 1)
    return { ...smooth(`a single move can always repeat${carried}`), level: turned ? 'note' : 'none', stuck: false };
  const direct = judge(last, { ...first, apart }, apart);
  const judged = direct.level === 'warning' ? direct : (later ?? direct);
  const level = judged.level === 'warning' && !loop.nonStop ? 'note' : judged.level;
  return {
    ...judged,
    level: turned && level === 'none' ? 'note' : level,
    reason: judged.reason + carried,
    stuck: judged.level === 'warning',
  };
}

/**
 * Where a combination ends apart, the next repetition begins so: the first seam of it that then wants a step in, and would not
 * from near by. `sl 4 tp` ends out of reach, and the 4 of its next time is out of reach.
 */
function carriedRange({ steps, start, endsApart }: Walk): Judgement | null {
  if (!endsApart) return null;
  const far = walk(
    steps.map(({ step }) => step),
    start,
    true,
  ).steps;
  for (let at = 1; at < far.length; at += 1) {
    const [before, next, near] = [far[at - 1], far[at], steps[at]];
    if (!before || !next || !near || !next.apart) return null;
    const judged = judge(before, next, true);
    if (judged.level === 'warning' && judge(before, near, near.apart).level !== 'warning') return judged;
  }
  return null;
}

/**
 * Judges every seam of a walked combination, the loop back to `firstOfNext` last (the first step of the next turn,
 * where moves take turns).
 * @example seamsOf(walk(unfold(combination), 'orthodox'))
 */
export function seamsOf(
  walked: Walk,
  loop: LoopSettings = { nonStop: false, otherStance: 'carry on mirrored' },
  firstOfNext?: Step,
): Seam[] {
  const { steps } = walked;
  const seams: Seam[] = [];
  for (let after = 0; after + 1 < steps.length; after += 1) {
    const before = steps[after];
    const next = steps[after + 1];
    if (!before || !next) continue;
    const judged = judge(before, next, next.apart);
    seams.push({ after, loop: false, stuck: judged.level === 'warning', ...judged });
  }
  const last = steps.at(-1);
  const first = steps[0];
  if (last && first) {
    const next = firstOfNext ? { ...first, step: firstOfNext } : first;
    const alone = steps.length === 1 && (!firstOfNext || firstOfNext === first.step);
    seams.push({
      after: steps.length - 1,
      loop: true,
      ...loopSeam(
        last,
        next,
        alone ? 1 : 2,
        walked.endsApart,
        walked.end !== walked.start,
        loop,
        firstOfNext && firstOfNext !== first.step ? null : carriedRange(walked),
      ),
    });
  }
  return seams;
}
