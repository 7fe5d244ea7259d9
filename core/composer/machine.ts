import { bad, good, type Read } from '../fault';
import { alphabet, graph, type Letter } from './alphabet';
import { bagPart, flowsPart, loopPart, stancePart } from './body-parts';
import type { Here, Part } from './part';
import {
  answeredPart,
  awayPart,
  beginsPart,
  containsPart,
  countPart,
  endsPart,
  heightsPart,
  likePart,
  sharePart,
} from './parts';
import { mostMoves, type Wish } from './wish';

/** Letters that may stand for each other anywhere: a search goes over one of them and counts for all. */
export interface LetterClass {
  readonly letters: readonly Letter[];
  readonly first: Letter;
}

/** A state of a search, by its number. */
export type StateId = number;

/** What a search goes through: states, their ways on, and where a combination may end. */
export interface Machine {
  readonly start: StateId;
  readonly least: number;
  readonly most: number;
  readonly classes: readonly LetterClass[];
  /** The states after a state by class; -1 where that may not come. */
  readonly next: (state: StateId) => readonly StateId[];
  /** The state after one certain letter; -1 where it may not come. */
  readonly after: (state: StateId, letter: Letter) => StateId;
  readonly ends: (state: StateId, length: number) => boolean;
  /** The move that led to a state, where the machine keeps to single letters; null at the beginning. */
  readonly here: (state: StateId) => Here | null;
  /** What one of the parts that came with the question holds. */
  readonly held: (state: StateId, extra: number) => number;
}

/** What is asked of a machine besides its wishes. */
export interface MachineWishes {
  /** Stands in for a missing bound; then any moves may lie between. For wishes that are only a part of those that were said. */
  readonly bound?: number;
  /** Whether every letter stands for itself, with the move before it known everywhere. */
  readonly single?: boolean;
  /** Parts that are kept an eye on besides. */
  readonly extra?: readonly Part[];
}

interface State {
  readonly here: Here | null;
  readonly parts: readonly number[];
}

function partsOf(wishes: readonly Wish[]): Part[] {
  const level = wishes.find((wish) => wish.kind === 'level')?.level;
  const seconds = wishes.flatMap((wish) => (wish.kind === 'at most' ? [wish.ms] : []));
  const loops = wishes.some(({ kind }) => kind === 'loops');
  return [
    ...wishes.flatMap((wish): Part[] => {
      switch (wish.kind) {
        case 'count':
          return [countPart(wish.of, wish.least, wish.most)];
        case 'begins':
          return [beginsPart(wish.letters)];
        case 'ends':
          return [endsPart(wish.letters)];
        case 'contains':
          return [containsPart(wish.letters)];
        case 'like':
          return [likePart(wish.places)];
        case 'heights':
          return [heightsPart(wish.pattern)];
        case 'sides':
          return [sharePart(wish.percent)];
        case 'answered':
          return [answeredPart()];
        case 'away':
          return [awayPart(wish.from, wish.edits)];
        case 'on':
          return [bagPart(wish.bag, { ...wish.conditions, level })];
        case 'same stance':
          return [stancePart()];
        case 'moves':
        case 'without':
        case 'only':
        case 'level':
        case 'flows':
        case 'loops':
        case 'at most':
          return [];
      }
    }),
    ...(wishes.some(({ kind }) => kind === 'flows') ? [flowsPart()] : []),
    ...(loops || seconds.length > 0 ? [loopPart(loops, seconds.length > 0 ? Math.min(...seconds) : null)] : []),
  ];
}

const named = (wishes: readonly Wish[]): readonly Letter[] =>
  wishes.flatMap((wish) => {
    if (wish.kind === 'like') return wish.places.flatMap((place) => place ?? []);
    return wish.kind === 'contains' || wish.kind === 'begins' || wish.kind === 'ends' ? wish.letters : [];
  });

/** Which moves may come at all, and how many there may be; null where nothing bounds them. */
function bounds(
  wishes: readonly Wish[],
  anyMoves: boolean,
): {
  readonly allowed: readonly Letter[];
  readonly least: number;
  readonly most: number | undefined;
} {
  const lengths = wishes.flatMap((wish) => {
    if (wish.kind === 'like') return [{ least: wish.places.length, most: wish.places.length }];
    return wish.kind === 'moves' ? [wish] : [];
  });
  const counts = wishes.flatMap((wish) => (wish.kind === 'count' ? [wish] : []));
  const only = wishes.flatMap((wish) => (wish.kind === 'only' ? [wish.letters] : []));
  const barred = new Set(wishes.flatMap((wish) => (wish.kind === 'without' ? [...wish.letters] : [])));
  const counted = new Set(counts.flatMap(({ of }) => [...of]));
  // What is counted alone admits nothing else, unless it is named.
  const told = anyMoves || lengths.length > 0 || counts.length === 0;
  const admitted = new Set([...counted, ...named(wishes), ...only.flatMap((letters) => [...letters])]);
  const allowed = alphabet.flatMap((_, letter) =>
    !barred.has(letter) && only.every((letters) => letters.has(letter)) && (told || admitted.has(letter))
      ? [letter]
      : [],
  );
  const least = Math.max(1, ...lengths.map((wish) => wish.least));
  const all = counts.reduce((sum, wish) => sum + wish.most, 0);
  const most =
    lengths.length > 0
      ? Math.min(...lengths.map((wish) => wish.most))
      : counts.length > 0 && allowed.every((letter) => counted.has(letter))
        ? Math.min(all, mostMoves)
        : undefined;
  return { allowed, least, most };
}

/** Letters of which everything asks the same, and that flow alike from and to every other, by their first ones. */
function classesOf(
  allowed: readonly Letter[],
  parts: readonly Part[],
  seams: 'none' | 'stuck' | 'cost',
): LetterClass[] {
  const { seam, apartAfter, turns } = graph();
  const tellSeam = (from: Letter, to: Letter): string =>
    [false, true]
      .map((apart) => {
        const { stuck, cost } = seam(from, to, apart);
        return seams === 'cost' ? `${Number(stuck)}${cost}` : Number(stuck);
      })
      .join('/');
  const keyOf = (letter: Letter): string => {
    const asked = parts.map(({ tells }) => tells(letter)).join(' ');
    if (seams === 'none') return asked;
    const range = [apartAfter(letter, false), apartAfter(letter, true), turns(letter)].map(Number).join('');
    const others = allowed.map((other) => `${tellSeam(letter, other)} ${tellSeam(other, letter)}`).join(',');
    return `${asked}|${range}|${others}`;
  };
  const byKey = new Map<string, Letter[]>();
  for (const letter of allowed) {
    const key = keyOf(letter);
    byKey.set(key, [...(byKey.get(key) ?? []), letter]);
  }
  return [...byKey.values()].map((letters) => ({ letters, first: letters[0] ?? 0 }));
}

/** More numbers than a part or a search ever has; two of them still make one whole number that is exact. */
const room = 2 ** 26;

/** Gives each different row of numbers one of its own, from 0 on: number by number, each together with what came before it. */
function numbering(): (first: number, rest: readonly number[]) => number {
  const byDepth: Map<number, number>[] = [];
  return (first, rest) => {
    let id = first;
    for (let depth = 0; depth <= rest.length; depth += 1) {
      // Last of all comes a number that says nothing: so rows of one length are counted from 0.
      const known = (byDepth[depth] ??= new Map<number, number>());
      const key = id * room + (rest[depth] ?? 0);
      id = known.get(key) ?? known.size;
      if (id === known.size) known.set(key, id);
    }
    return id;
  };
}

/** What a set of wishes without a bound is told. */
const unbounded = 'say how many moves, for example 5-8 moves';

/**
 * The machine of some wishes; a fault where nothing bounds how many moves there may be.
 * @example machineOf(wishes)
 */
export function machineOf(
  wishes: readonly Wish[],
  { bound, single = false, extra = [] }: MachineWishes = {},
): Read<Machine> {
  const { allowed, least, most: own } = bounds(wishes, bound !== undefined);
  const most = own ?? bound;
  if (most === undefined)
    return bad({
      at: 0,
      end: 0,
      read: wishes.map(({ phrase }) => phrase).join(', '),
      what: 'there is no limit on the length',
      mend: unbounded,
    });
  const parts = [...partsOf(wishes), ...extra];
  const seconds = wishes.some(({ kind }) => kind === 'at most');
  const judged = wishes.some(({ kind }) => kind === 'flows' || kind === 'loops');
  const classes = single
    ? allowed.map((letter): LetterClass => ({ letters: [letter], first: letter }))
    : classesOf(allowed, parts, seconds ? 'cost' : judged ? 'stuck' : 'none');
  const { apartAfter } = graph();
  const classOf = new Map(classes.flatMap(({ letters }, at) => letters.map((letter) => [letter, at] as const)));
  const states: State[] = [];
  const idOfKey = numbering();
  // Where no seam is asked about, the last move and the range tell nothing.
  const keepsRange = seconds || judged || single;
  const idOf = (state: State): StateId => {
    const { here } = state;
    const range = here && keepsRange ? 4 * here.last + 2 * Number(here.apart) + Number(here.length === 1) : 0;
    const id = idOfKey(here ? range + 1 : 0, state.parts);
    if (id === states.length) states.push(state);
    return id;
  };
  const step = (id: StateId, letter: Letter): StateId => {
    const state = states[id];
    if (!state) return -1;
    const next: number[] = [];
    for (const [at, part] of parts.entries()) {
      const value = part.next(state.parts[at] ?? part.start, letter, state.here);
      if (value < 0) return -1;
      next.push(value);
    }
    const { here } = state;
    return idOf({
      here: { last: letter, apart: apartAfter(letter, here?.apart ?? false), length: (here?.length ?? 0) + 1 },
      parts: next,
    });
  };
  const ways: (readonly StateId[])[] = [];
  const firstExtra = parts.length - extra.length;
  return good({
    here: (state) => states[state]?.here ?? null,
    held: (state, at) => states[state]?.parts[firstExtra + at] ?? 0,
    start: idOf({ here: null, parts: parts.map(({ start }) => start) }),
    ...{ least, most, classes },
    next: (state) => (ways[state] ??= classes.map(({ first }) => step(state, first))),
    after: (state, letter) => {
      const at = classOf.get(letter);
      return at === undefined ? -1 : step(state, classes[at]?.first ?? letter);
    },
    ends: (state, length) => {
      const found = states[state];
      if (!found?.here || length < least) return false;
      const here = { ...found.here, length };
      return parts.every((part, at) => part.ends(found.parts[at] ?? part.start, here));
    },
  });
}
