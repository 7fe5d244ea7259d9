// What a body and a bag ask of a combination, as parts of a search: seams, the loop, seconds, stance, bags.
import { ballAfter, type WildHook } from '../bags/fit-order';
import { natureHere, type Conditions } from '../bags/conditions';
import { fitToBag } from '../bags/fit';
import { bagNatures } from '../bags/kinds';
import type { BagKind } from '../bags/kind-names';
import { seamCost } from '../mechanics/seams';
import { moveKind } from '../moves/catalogue';
import { isStrike } from '../moves/move';
import type { Milliseconds } from '../units';
import { alphabet, graph, type Letter } from './alphabet';
import type { Here, Part } from './part';

const always = (): boolean => true;

/** No stuck seam inside. `flowsPart().next(0, cross, { last: cross, apart: false, length: 1 })` → `-1` */
export function flowsPart(): Part {
  const { seam } = graph();
  return {
    start: 0,
    next: (_, letter, here) => (here && seam(here.last, letter, here.apart).stuck ? -1 : 0),
    ends: always,
    tells: () => 0,
  };
}

/** The class ends in the stance in which it began. `stancePart().ends(1, here)` → `false` */
export function stancePart(): Part {
  const { turns } = graph();
  return {
    start: 0,
    next: (state, letter) => (turns(letter) ? 1 - state : state),
    ends: (state) => state === 0,
    tells: (letter) => Number(turns(letter)),
  };
}

/** How the beginning goes when it is begun from afar: still apart, come near, or stuck for want of a step. */
const far = { apart: 0, near: 1, stuck: 2 } as const;

/**
 * The seam from the end to the beginning, and the seconds up to there: it remembers the first move, and how the next time goes
 * where this one ends out of reach. `most` is null where seconds do not matter, `loops` whether the seam must not stick.
 * @example loopPart(true, null)
 */
export function loopPart(loops: boolean, most: Milliseconds | null): Part {
  const { seam, apartAfter } = graph();
  const longest = most ?? 0;
  const times = most === null ? 1 : longest + 1;
  const pack = (first: Letter, from: number, ms: number): number => (first * 3 + from) * times + ms;
  const unpack = (state: number): { first: Letter; from: number; ms: number } => {
    const ms = state % times;
    const rest = (state - ms) / times;
    return { first: Math.floor(rest / 3), from: rest % 3, ms };
  };
  // First moves that every other leads to alike close alike: one of them stands for all.
  const columns = new Map<string, Letter>();
  const firstOf = alphabet.map((_, letter) => {
    const column = alphabet
      .flatMap((_each, from) => [false, true].map((apart) => seam(from, letter, apart)))
      .map(({ stuck, cost }) => (most === null ? Number(stuck) : `${Number(stuck)}${cost}`))
      .join(' ');
    const known = columns.get(column) ?? letter;
    columns.set(column, known);
    return known;
  });
  const lengthOf = (letter: Letter): Milliseconds => moveKind(alphabet[letter]?.id ?? 'jab').ms;
  const loopOf = ({ first, from }: { first: Letter; from: number }, { last, apart, length }: Here) => {
    if (length === 1) return { stuck: false, cost: 0 };
    const direct = seam(last, first, apart);
    return !direct.stuck && apart && from === far.stuck ? { stuck: true, cost: seamCost.step } : direct;
  };
  return {
    start: -2,
    next: (state, letter, here) => {
      const own = most === null ? 0 : lengthOf(letter);
      if (state === -2 || !here) {
        if (own > longest && most !== null) return -1;
        return pack(
          firstOf[letter] ?? letter,
          apartAfter(letter, true) && !apartAfter(letter, false) ? far.apart : far.near,
          own,
        );
      }
      const { first, from, ms } = unpack(state);
      const judged = seam(here.last, letter, here.apart);
      const now = ms + (most === null ? 0 : own + judged.cost);
      if (most !== null && now > longest) return -1;
      let then = from;
      if (from === far.apart) {
        const begunFar = seam(here.last, letter, true);
        if (begunFar.stuck && !judged.stuck) then = far.stuck;
        else if (!apartAfter(letter, true) || apartAfter(letter, false)) then = far.near;
      }
      return pack(first, then, now);
    },
    ends: (state, here) => {
      const known = unpack(state);
      const loop = loopOf(known, here);
      return (!loops || !loop.stuck) && (most === null || known.ms + loop.cost <= longest);
    },
    // What flows alike from and to every other closes alike: only lengths are asked about besides.
    tells: (letter) => (most === null ? 0 : lengthOf(letter)),
  };
}

/** What a bag takes as it hangs here: each move by itself, a ball's path through them, no more strikes than are useful. `bagPart('double-end', { level: 'beginner' })` */
export function bagPart(bag: BagKind, conditions: Conditions): Part {
  const nature = natureHere(bagNatures[bag], conditions);
  const { level } = conditions;
  const most = level ? (nature.longest?.[level] ?? null) : null;
  const taken = alphabet.map(
    (move) => fitToBag({ items: [move] }, { ...nature, wildAfterHooks: false, oneAtATime: false }).verdict === 'fits',
  );
  const strikes = alphabet.map(isStrike);
  const hooks: readonly (WildHook | null)[] = [null, ...alphabet];
  const size = hooks.length * 2;
  return {
    start: 0,
    next: (state, letter) => {
      if (!taken[letter]) return -1;
      const [open, hurried, count] = [hooks[(state % size) >> 1] ?? null, state % 2 === 1, Math.floor(state / size)];
      if (!strikes[letter]) return count * size + ((state % size) & ~1);
      if (nature.oneAtATime && hurried) return -1;
      if (most !== null && count >= most) return -1;
      const strike = alphabet[letter] ?? null;
      const ball = nature.wildAfterHooks
        ? ballAfter<WildHook>(open, strike, conditions.schools?.afterHook ?? 'rear straight')
        : { open: null, back: true };
      if (open && !ball.back) return -1;
      const wild = ball.open ? letter + 1 : 0;
      return (most === null ? 0 : count + 1) * size + wild * 2 + Number(nature.oneAtATime === true);
    },
    ends: (state) => (state % size) >> 1 === 0,
    tells: (letter) => {
      const move = alphabet[letter];
      const kind = move && moveKind(move.id);
      return [taken[letter], strikes[letter], kind?.wild, kind?.bringsBack, kind?.shape, move?.side].join(' ');
    },
  };
}
