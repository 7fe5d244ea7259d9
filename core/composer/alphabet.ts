// What can follow what: the moves that a search goes over, and the seams between any two of them, judged by the very rules that
// judge a combination (`core/mechanics`). Begin with `graph`.
import { seamsOf, type Seam } from '../mechanics/seams';
import type { Step } from '../mechanics/steps';
import { walk } from '../mechanics/walk';
import { moveKinds } from '../moves/catalogue';
import { changesStance, type Move } from '../moves/move';
import type { Family } from '../moves/kind';
import type { Combination } from '../notation/combination';

/** A place in the alphabet. */
export type Letter = number;

/** Open choices and held beats are no moves to search for. */
const left: readonly Family[] = ['slot', 'wait'];

/** Every move of the catalogue with each side and target it can have, in the catalogue's order. */
export const alphabet: readonly Move[] = moveKinds
  .filter(({ family }) => !left.includes(family))
  .flatMap(({ id, sides, targets }) =>
    (sides.length > 0 ? sides : [null]).flatMap((side) =>
      (targets.length > 0 ? targets : [null]).map((target): Move => ({ kind: 'move', id, side, target })),
    ),
  );

const stepOf = (move: Move): Step => ({ content: [move], path: [0] });

/** Everything that a search asks of two moves that follow each other. */
export interface Graph {
  /** How the seam from one to the next is judged; `apart` is whether bag and hitter stand apart when the second begins. */
  readonly seam: (from: Letter, to: Letter, apart: boolean) => Seam;
  /** Whether they stand apart after a move, by how they stood before it. */
  readonly apartAfter: (letter: Letter, before: boolean) => boolean;
  readonly turns: (letter: Letter) => boolean;
}

function judgements(): Graph {
  const steps = alphabet.map(stepOf);
  const after = steps.map((step) => [false, true].map((before) => walk([step], 'orthodox', before).endsApart));
  const apartAfter = (letter: Letter, before: boolean): boolean => after[letter]?.[Number(before)] ?? false;
  const seams: (Seam | undefined)[] = [];
  const turning = alphabet.map(changesStance);
  return {
    apartAfter,
    turns: (letter) => turning[letter] ?? false,
    seam: (from, to, apart) => {
      const key = (from * steps.length + to) * 2 + Number(apart);
      const known = seams[key];
      if (known) return known;
      const [one, two] = [steps[from], steps[to]];
      if (!one || !two) throw new Error(`there is no letter ${from} or ${to}`);
      const walked = walk([one, two], 'orthodox');
      const [first, second] = walked.steps;
      // The range here is the one of the whole beginning, which two moves alone do not tell.
      const here = first && second ? { ...walked, steps: [first, { ...second, apart }] } : walked;
      const [seam] = seamsOf(here);
      if (!seam) throw new Error('give two moves');
      seams[key] = seam;
      return seam;
    },
  };
}

let known: Graph | null = null;

/** The seams of any two moves, each judged when it is first asked for. `graph().seam(jab, cross, false).verdict` → `smooth` */
export function graph(): Graph {
  known ??= judgements();
  return known;
}

const sameMove = (a: Move, b: Move): boolean => a.id === b.id && a.side === b.side && a.target === b.target;

/** The letter of a move; -1 for a feint, a mark or anything else that is not searched for. `letterOf(move('jab'))` */
export function letterOf(move: Move): Letter {
  const plain = !move.feint && !move.force && move.aim === undefined;
  return plain ? alphabet.findIndex((each) => sameMove(each, move)) : -1;
}

/** Whether nothing sticks inside. `lettersFlow([jab, cross])` → `true` */
export function lettersFlow(letters: readonly Letter[]): boolean {
  const { seam, apartAfter } = graph();
  let apart = false;
  return letters.every((letter, at) => {
    const before = letters[at - 1];
    const stuck = before !== undefined && seam(before, letter, apart).stuck;
    apart = apartAfter(letter, apart);
    return !stuck;
  });
}

/** The letters of a combination's items, -1 for each that is not searched for. `lettersOf(combination)` → `[jab, -1]` */
export const lettersOf = ({ items }: Combination): readonly Letter[] =>
  items.map((item) => (item.kind === 'move' ? letterOf(item) : -1));
