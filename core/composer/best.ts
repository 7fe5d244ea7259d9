// The best combinations under some wishes: best-first search with a bound that no combination can exceed (Hart, Nilsson and
// Raphael 1968), so that the first that is whole is the best there is.
import TinyQueue from 'tinyqueue';
import { good, type Read } from '../fault';
import { alphabet, graph, type Letter } from './alphabet';
import { machineOf, type Machine, type StateId } from './machine';
import { evenness, evenWorth, leanOf, markOf, scoreFrom, type Liking } from './score';
import type { Wish } from './wish';

/** A combination and its score, 0 to 100. */
export interface Scored {
  readonly letters: readonly Letter[];
  readonly score: number;
}

/** The best of what was asked. */
export interface Best {
  readonly found: readonly Scored[];
  /** Nothing that is not among those found can have a higher score than this; null where all there are were found. */
  readonly bound: number | null;
}

/** So many beginnings are looked at before a search stops where it is; it then says so by its bound (house value). */
const mostLooks = 200_000;

interface Beginning {
  readonly state: StateId;
  readonly length: number;
  /** Moves in the whole combination that it is to become. */
  readonly goal: number;
  readonly marks: number;
  readonly lean: number;
  readonly bound: number;
  readonly last: Letter | null;
  readonly before: Beginning | null;
}

/** What a move is worth after another, remembered. */
function marking(liking: Liking): (machine: Machine, state: StateId, letter: Letter) => number {
  const { seam } = graph();
  const known = new Map<number, number>();
  return (machine, state, letter) => {
    const here = machine.here(state);
    const move = alphabet[letter];
    if (!move) return 0;
    if (!here) return markOf(null, move, null, liking);
    const key = (here.last * alphabet.length + letter) * 2 + Number(here.apart);
    const mark =
      known.get(key) ?? markOf(alphabet[here.last] ?? null, move, seam(here.last, letter, here.apart), liking);
    known.set(key, mark);
    return mark;
  };
}

/** The most marks that so many more moves can still bring from a state; minus infinity where none of them meet the wishes. */
function mostMarks(machine: Machine, mark: ReturnType<typeof marking>) {
  const known: Map<StateId, number>[] = [];
  const from = (state: StateId, length: number, more: number): number => {
    if (more === 0) return machine.ends(state, length) ? 0 : -Infinity;
    const column = (known[more] ??= new Map<StateId, number>());
    const before = column.get(state);
    if (before !== undefined) return before;
    let most = -Infinity;
    machine.next(state).forEach((next, at) => {
      if (next < 0) return;
      const rest = from(next, length + 1, more - 1);
      if (rest > -Infinity) most = Math.max(most, rest + mark(machine, state, machine.classes[at]?.first ?? 0));
    });
    column.set(state, most);
    return most;
  };
  return from;
}

function lettersOf(beginning: Beginning): Letter[] {
  const letters: Letter[] = [];
  for (let each: Beginning | null = beginning; each?.before; each = each.before)
    if (each.last !== null) letters.unshift(each.last);
  return letters;
}

/**
 * The best combinations that meet some wishes, the best first; a fault where the wishes have no bound.
 * @example bestOf(wishes, anyLiking, 5).value.found[0].score
 */
export function bestOf(wishes: readonly Wish[], liking: Liking, size: number): Read<Best> {
  const read = machineOf(wishes, { single: true });
  if (!read.ok) return read;
  const machine = read.value;
  const mark = marking(liking);
  const rest = mostMarks(machine, mark);
  const bounded = (state: StateId, length: number, goal: number, marks: number, lean: number): number => {
    const more = goal - length;
    // Each move that is left can take back one strike of lean at the most.
    const even = evenWorth * evenness(Math.max(0, Math.abs(lean) - more), goal);
    return (marks + rest(state, length, more)) / goal + even;
  };
  // Of two that may become as good, the longer is nearer to its end.
  const queue = new TinyQueue<Beginning>([], (a, b) => b.bound - a.bound || a.goal - a.length - (b.goal - b.length));
  for (let goal = machine.least; goal <= machine.most; goal += 1) {
    const bound = bounded(machine.start, 0, goal, 0, 0);
    if (bound > -Infinity)
      queue.push({ state: machine.start, length: 0, goal, marks: 0, lean: 0, bound, last: null, before: null });
  }
  const found: Scored[] = [];
  for (let looks = 0; looks < mostLooks && found.length < size; looks += 1) {
    const beginning = queue.pop();
    if (!beginning) return good({ found, bound: null });
    const { state, length, goal, marks, lean } = beginning;
    if (length === goal) {
      found.push({ letters: lettersOf(beginning), score: Math.round(scoreFrom(marks, lean, length)) });
      continue;
    }
    machine.next(state).forEach((next, at) => {
      const letter = machine.classes[at]?.first;
      const move = letter === undefined ? undefined : alphabet[letter];
      if (next < 0 || letter === undefined || !move) return;
      const [sum, leaning] = [marks + mark(machine, state, letter), lean + leanOf(move)];
      const bound = bounded(next, length + 1, goal, sum, leaning);
      if (bound > -Infinity)
        queue.push({
          ...{ state: next, length: length + 1, goal, marks: sum, lean: leaning, bound },
          ...{ last: letter, before: beginning },
        });
    });
  }
  const next = queue.peek();
  return good({ found, bound: next ? Math.round(next.bound) : null });
}
