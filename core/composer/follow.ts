import { bad, good, type Read } from '../fault';
import { seamsOf, type Verdict } from '../mechanics/seams';
import { unfold } from '../mechanics/steps';
import { walk } from '../mechanics/walk';
import type { Move } from '../moves/move';
import type { Combination } from '../notation/combination';
import type { Milliseconds } from '../units';
import { alphabet, graph, lettersOf, type Letter } from './alphabet';
import { countWays } from './count';
import { machineOf } from './machine';
import type { Wish } from './wish';

/** A move that may come next. */
export interface Next {
  readonly move: Move;
  readonly verdict: Verdict;
  readonly cost: Milliseconds;
  /** How many ways lead on from there. */
  readonly ways: bigint;
}

/** Without wishes so many more moves are looked ahead (the figure). */
const ahead = 3;

/** How many ways of so many more moves go on from a move without a stuck seam. */
function flowing(): (letter: Letter, apart: boolean, more: number) => bigint {
  const { seam, apartAfter } = graph();
  const memo = new Map<number, bigint>();
  const from = (letter: Letter, apart: boolean, more: number): bigint => {
    if (more === 0) return 1n;
    const key = (letter * 2 + Number(apart)) * (ahead + 1) + more;
    const known = memo.get(key);
    if (known !== undefined) return known;
    let sum = 0n;
    for (let next = 0; next < alphabet.length; next += 1)
      if (!seam(letter, next, apart).stuck) sum += from(next, apartAfter(next, apart), more - 1);
    memo.set(key, sum);
    return sum;
  };
  return from;
}

let waysOn: ReturnType<typeof flowing> | null = null;

/** Where the wishes' machine stands after a beginning, and how many ways on it counts; a fault where the beginning holds what is not composed. */
function waysByWishes(beginning: Combination, wishes: readonly Wish[]): Read<(letter: Letter) => bigint> {
  const letters = lettersOf(beginning);
  if (letters.includes(-1))
    return bad({
      ...{ at: 0, end: 0, read: '', what: 'with criteria, start with plain moves only' },
      mend: 'use plain moves only: no "any", pairs, groups, feints or marks',
    });
  const machine = machineOf(wishes);
  if (!machine.ok) return machine;
  const { after, start, most } = machine.value;
  const { from } = countWays(machine.value);
  const state = letters.reduce((here, letter) => (here < 0 ? -1 : after(here, letter)), start);
  return good((letter) => {
    const next = state < 0 || letters.length >= most ? -1 : after(state, letter);
    return next < 0 ? 0n : from(next, letters.length + 1);
  });
}

/**
 * Every move that can follow a beginning, with how it follows and how many ways lead on: by three more moves that flow, or,
 * with wishes, to everything that meets them. What flows best and leads furthest stands first.
 * @example whatFollows(combination, null).value[0].verdict // "smooth"
 */
export function whatFollows(beginning: Combination, wishes: readonly Wish[] | null): Read<readonly Next[]> {
  const { apartAfter } = graph();
  const on = wishes ? waysByWishes(beginning, wishes) : null;
  if (on && !on.ok) return on;
  waysOn ??= flowing();
  const steps = unfold(beginning);
  const walked = walk(steps, 'orthodox');
  const apart = walked.endsApart;
  const all = alphabet.map((move, letter): Next => {
    const further = walk([...steps, { content: [move], path: [steps.length] }], 'orthodox');
    const seam = steps.length === 0 ? null : (seamsOf(further)[steps.length - 1] ?? null);
    const ways = on ? on.value(letter) : seam?.stuck ? 0n : (waysOn?.(letter, apartAfter(letter, apart), ahead) ?? 0n);
    return { move, verdict: seam?.verdict ?? 'smooth', cost: seam?.cost ?? 0, ways };
  });
  return good(all.sort((a, b) => a.cost - b.cost || (a.ways > b.ways ? -1 : a.ways < b.ways ? 1 : 0)));
}
