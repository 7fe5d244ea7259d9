import { sayClock } from '../clock-text';
import { readStored } from '../notation/stored';
import { writeCombination } from '../notation/write';
import type { ProgrammeGoal, ProgrammeStep } from '../sheet/programme';

/**
 * The steps to a goal, each one thing more than the one before: a move (as a family grows, where that was chosen), a round, or a tenth of the rounds in the other stance.
 * None where a combination cannot be read.
 * @example stepsTo({ kind: 'combination', text: '1 2 3' }).length // 3
 */
export function stepsTo(goal: ProgrammeGoal): ProgrammeStep[] {
  switch (goal.kind) {
    case 'combination': {
      if (goal.steps) return goal.steps.map((text) => ({ kind: 'combination', text }));
      const read = readStored(goal.text);
      if (!read.ok) return [];
      const { items } = read.value;
      return items.map((_, at) => ({ kind: 'combination', text: writeCombination({ items: items.slice(0, at + 1) }) }));
    }
    case 'rounds': {
      const first = Math.max(1, Math.ceil(goal.rounds / 2));
      return Array.from({ length: goal.rounds - first + 1 }, (_, at) => ({
        kind: 'rounds',
        rounds: first + at,
        roundMs: goal.roundMs,
      }));
    }
    case 'stances':
      return [10, 20, 30, 40, 50].map((percent) => ({ kind: 'stances', percent }));
  }
}

/** A step in words. `sayStep({ kind: 'rounds', rounds: 4, roundMs: 180_000 })` → `4 rounds of 3:00` */
export function sayStep(step: ProgrammeStep): string {
  switch (step.kind) {
    case 'combination':
      return step.text;
    case 'rounds':
      return `${step.rounds} ${step.rounds === 1 ? 'round' : 'rounds'} of ${sayClock(step.roundMs)}`;
    case 'stances':
      return step.percent === 50 ? 'both stances equally' : `${step.percent}% in the opposite stance`;
  }
}

/** A goal in words. `sayGoal({ kind: 'stances' })` → `both stances equally` */
export function sayGoal(goal: ProgrammeGoal): string {
  return goal.kind === 'stances' ? 'both stances equally' : goal.kind === 'combination' ? goal.text : sayStep(goal);
}
