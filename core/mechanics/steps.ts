import type { Combination, Freestyle, Item, Slot } from '../notation/combination';
import type { Move } from '../moves/move';

/** What happens at one moment: a move, a slot, or two moves at once. */
export type StepContent = readonly (Move | Slot | Freestyle)[];

/** One moment of an unfolded combination, and where it was written. */
export interface Step {
  readonly content: StepContent;
  /** Indexes into items, groups, turns (option, item), down to where this stands. */
  readonly path: readonly number[];
}

function unfoldItems(items: readonly Item[], turn: number, path: readonly number[], out: Step[]): void {
  items.forEach((item, index) => {
    const here = [...path, index];
    switch (item.kind) {
      case 'move':
      case 'slot':
      case 'freestyle':
        out.push({ content: [item], path: here });
        break;
      case 'pair':
        out.push({ content: item.moves, path: here });
        break;
      case 'group':
        for (let time = 0; time < item.times; time += 1) unfoldItems(item.items, turn, here, out);
        break;
      case 'turns': {
        const option = turn % item.options.length;
        unfoldItems(item.options[option] ?? [], turn, [...here, option], out);
      }
    }
  });
}

/** A combination as it is done in its `turn`-th repetition (from 0): groups written out, one turn chosen. */
export function unfold(combination: Combination, turn = 0): Step[] {
  const steps: Step[] = [];
  unfoldItems(combination.items, turn, [], steps);
  return steps;
}

/** The strike of a step, else its first move; a pair stands in the rules as its strike. */
export function leadingMove(step: Step): Move | Slot | Freestyle {
  const [first, second] = step.content;
  if (first === undefined) throw new Error('a step without content');
  const isFoot = (each: Move | Slot | Freestyle): boolean => each.kind === 'move' && !each.target;
  return second !== undefined && isFoot(first) && !isFoot(second) ? second : first;
}
