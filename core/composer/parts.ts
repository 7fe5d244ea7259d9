// What wishes about the moves themselves ask of a combination, as parts of a search: each is a small automaton over its moves.
import type { Target } from '../moves/kind';
import { familyOf, isStrike } from '../moves/move';
import { alphabet, type Letter } from './alphabet';
import type { Part } from './part';
import { mostMoves } from './wish';

/** So many of some moves. `countPart(punches, 2, 4)` */
export function countPart(of: ReadonlySet<Letter>, least: number, most: number): Part {
  return {
    start: 0,
    next: (state, letter) => (of.has(letter) ? (state < most ? state + 1 : -1) : state),
    ends: (state) => state >= least,
    tells: (letter) => Number(of.has(letter)),
  };
}

/** These moves first. `beginsPart([jab, cross])` */
export function beginsPart(letters: readonly Letter[]): Part {
  return {
    start: 0,
    next: (state, letter) => (state >= letters.length ? state : letters[state] === letter ? state + 1 : -1),
    ends: (state) => state >= letters.length,
    tells: (letter) => letters.indexOf(letter),
  };
}

/** These moves last: how many of them the beginning ends with (Knuth, Morris and Pratt 1977). `endsPart([hook])` */
export function endsPart(letters: readonly Letter[]): Part {
  const next = (state: number, letter: Letter): number => {
    const seen = [...letters.slice(0, state), letter];
    for (let length = Math.min(seen.length, letters.length); length > 0; length -= 1)
      if (seen.slice(-length).every((each, at) => each === letters[at])) return length;
    return 0;
  };
  return {
    start: 0,
    next,
    ends: (state) => state === letters.length,
    tells: (letter) => letters.indexOf(letter),
  };
}

/** These moves in this order, with others between them or not. `containsPart([slip, cross])` */
export function containsPart(letters: readonly Letter[]): Part {
  return {
    start: 0,
    next: (state, letter) => (letters[state] === letter ? state + 1 : state),
    ends: (state) => state === letters.length,
    tells: (letter) => letters.indexOf(letter),
  };
}

/** These moves and no others, `null` standing for any one. `likePart([jab, null, hook])` */
export function likePart(places: readonly (Letter | null)[]): Part {
  return {
    start: 0,
    next: (state, letter) => (state < places.length && (places[state] ?? letter) === letter ? state + 1 : -1),
    ends: (state) => state === places.length,
    tells: (letter) => places.indexOf(letter),
  };
}

/** Strikes go through these heights, over and over. `heightsPart(['head', 'body'])` */
export function heightsPart(pattern: readonly Target[]): Part {
  return {
    start: 0,
    next: (state, letter) => {
      const move = alphabet[letter];
      if (!move || !isStrike(move)) return state;
      return move.target === pattern[state] ? (state + 1) % pattern.length : -1;
    },
    ends: () => true,
    tells: (letter) => {
      const move = alphabet[letter];
      return move && isStrike(move) ? (move.target ?? 'none') : 'no strike';
    },
  };
}

/** Strikes of one side outnumber those of the other by at most so many per cent of all. `sharePart(20)` */
export function sharePart(percent: number): Part {
  const size = mostMoves + 1;
  return {
    start: 0,
    next: (state, letter) => {
      const move = alphabet[letter];
      return move && isStrike(move) ? state + 1 + (move.side === 'lead' ? size : 0) : state;
    },
    ends: (state) => {
      const [lead, strikes] = [Math.floor(state / size), state % size];
      return Math.abs(2 * lead - strikes) * 100 <= percent * strikes;
    },
    tells: (letter) => {
      const move = alphabet[letter];
      return move && isStrike(move) ? (move.side ?? 'none') : 'no strike';
    },
  };
}

/** After each defence a strike comes next. `answeredPart().ends(1, here)` → `false` */
export function answeredPart(): Part {
  const kindOf = alphabet.map((move) =>
    isStrike(move) ? 'strike' : familyOf(move) === 'defence' ? 'defence' : 'other',
  );
  return {
    start: 0,
    next: (state, letter) => (state === 1 && kindOf[letter] !== 'strike' ? -1 : Number(kindOf[letter] === 'defence')),
    ends: (state) => state === 0,
    tells: (letter) => kindOf[letter] ?? '',
  };
}

/**
 * At least so many edits from each of some combinations: for each the last row of the table of edit distances (Wagner and Fischer
 * 1974), as far as it can still come near. Sets of rows are numbered as they are met.
 * @example awayPart([[jab, cross]], 2)
 */
export function awayPart(others: readonly (readonly Letter[])[], edits: number): Part {
  interface Row {
    readonly of: readonly Letter[];
    readonly row: readonly number[];
  }
  const near = (rows: readonly Row[]): Row[] => rows.filter(({ row }) => row.some((value) => value < edits));
  const ids = new Map<string, number>();
  const states: (readonly Row[])[] = [];
  const idOf = (rows: readonly Row[]): number => {
    const key = rows.map(({ of, row }) => `${of.join(' ')}:${row.join(' ')}`).join('|');
    const known = ids.get(key);
    if (known !== undefined) return known;
    ids.set(key, states.length);
    states.push(rows);
    return states.length - 1;
  };
  const capped = (value: number): number => Math.min(edits, value);
  const after = ({ of, row }: Row, letter: Letter): Row => {
    const next = [capped((row[0] ?? 0) + 1)];
    of.forEach((each, at) => {
      const swapped = (row[at] ?? edits) + Number(each !== letter);
      next.push(capped(Math.min(swapped, (row[at + 1] ?? edits) + 1, (next[at] ?? edits) + 1)));
    });
    return { of, row: next };
  };
  const held = new Set(others.flat());
  const steps = new Map<number, number>();
  return {
    start: idOf(near(others.map((of) => ({ of, row: [0, ...of.map((_, at) => capped(at + 1))] })))),
    next: (state, letter) => {
      const key = state * alphabet.length + letter;
      const known = steps.get(key);
      if (known !== undefined) return known;
      const id = idOf(near((states[state] ?? []).map((row) => after(row, letter))));
      steps.set(key, id);
      return id;
    },
    ends: (state) => (states[state] ?? []).every(({ row }) => (row.at(-1) ?? 0) >= edits),
    tells: (letter) => (held.has(letter) ? letter : -1),
  };
}

/** Which of some sets of moves were met so far, as bits. `coverPart([hooks, body])` */
export function coverPart(elements: readonly ReadonlySet<Letter>[]): Part {
  const bits = alphabet.map((_, letter) =>
    elements.reduce((sum, element, at) => sum + (element.has(letter) ? 1 << at : 0), 0),
  );
  return {
    start: 0,
    next: (state, letter) => state | (bits[letter] ?? 0),
    ends: () => true,
    tells: (letter) => bits[letter] ?? 0,
  };
}
