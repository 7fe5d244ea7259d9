import { moveKind } from '../moves/catalogue';
import type { Freestyle, Combination, Slot } from '../notation/combination';
import { slotNature } from '../notation/slot-kinds';
import { fullTurn } from '../notation/combination';
import type { Move } from '../moves/move';
import type { Milliseconds } from '../units';
import { seamsOf, type LoopSettings, type Seam } from './seams';
import { unfold, type Step } from './steps';
import { walk, type Stance, type Walk } from './walk';

/** One repetition, unfolded, walked and judged. */
export interface Repetition {
  readonly walk: Walk;
  readonly seams: readonly Seam[];
  /** Length at steady pace: moves and seams, the loop seam included. */
  readonly ms: Milliseconds;
}

/** A combination as a body does it: one repetition for each turn until the turns come round again. */
export interface Study {
  readonly combination: Combination;
  readonly turns: readonly Repetition[];
  /** Mean length of a repetition at steady pace. */
  readonly ms: Milliseconds;
}

/** One free strike a second at steady pace (house value, trade page, section 4). */
export const freestyleMs: Milliseconds = 1000;

function contentMs(content: Move | Slot | Freestyle): Milliseconds {
  switch (content.kind) {
    case 'move':
      return content.feint ? moveKind('step-in').ms : moveKind(content.id).ms;
    case 'freestyle':
      return freestyleMs;
    case 'slot': {
      const middle = (content.least + content.most) / 2;
      const { ms } = slotNature(content.of);
      return content.end ? (middle - 1) * ms + moveKind(content.end.id).ms : middle * ms;
    }
  }
}

/** Length of a step at steady pace; moves done together take the longer of their times. */
export function stepMs(step: Step): Milliseconds {
  return Math.max(...step.content.map(contentMs));
}

/** When each step of a repetition begins, in milliseconds at steady pace: its own rhythm, seam costs included. */
export function onsets(repetition: Repetition): Milliseconds[] {
  let at = 0;
  return repetition.walk.steps.map(({ step }, index) => {
    const here = at;
    at += stepMs(step) + (repetition.seams[index]?.cost ?? 0);
    return here;
  });
}

export interface StudyOptions {
  readonly stance?: Stance;
  readonly loop?: LoopSettings;
}

/**
 * Unfolds, walks and judges a combination for a stance. Pure; the one place where its length is worked out.
 * @example study(combination, { stance: 'southpaw' }).ms
 */
export function study(combination: Combination, options: StudyOptions = {}): Study {
  const count = fullTurn(combination.items);
  const unfolded = Array.from({ length: count }, (_, turn) => unfold(combination, turn));
  const turns = unfolded.map((steps, turn): Repetition => {
    const walked = walk(steps, options.stance ?? 'orthodox');
    const seams = seamsOf(walked, options.loop, unfolded[(turn + 1) % count]?.[0]);
    const ms = steps.reduce((sum, step) => sum + stepMs(step), 0) + seams.reduce((sum, seam) => sum + seam.cost, 0);
    return { walk: walked, seams, ms };
  });
  return { combination, turns, ms: turns.reduce((sum, turn) => sum + turn.ms, 0) / count };
}
