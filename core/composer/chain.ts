import TinyQueue from 'tinyqueue';
import { alphabet, lettersFlow, type Letter } from './alphabet';
import { editsBetween } from './varied';

type Letters = readonly Letter[];

/** The way from one combination to another. */
export interface Chain {
  /** Both ends and what lies between, each one edit from the one before; empty where none was found. */
  readonly steps: readonly Letters[];
  /** No chain can be shorter than so many edits; infinity where there is none. */
  readonly least: number;
}

/** So many combinations are looked at before a search gives up (house value). */
const mostLooks = 4000;

function* edited(letters: Letters): Generator<Letters> {
  for (let at = 0; at <= letters.length; at += 1) {
    const [before, after] = [letters.slice(0, at), letters.slice(at)];
    if (at < letters.length && letters.length > 1) yield [...before, ...after.slice(1)];
    for (let letter = 0; letter < alphabet.length; letter += 1) {
      if (at < letters.length && letters[at] !== letter) yield [...before, letter, ...after.slice(1)];
      yield [...before, letter, ...after];
    }
  }
}

interface Look {
  readonly letters: Letters;
  readonly done: number;
  readonly left: number;
  readonly before: Look | null;
}

function pathTo(look: Look): Letters[] {
  const steps: Letters[] = [];
  for (let each: Look | null = look; each; each = each.before) steps.unshift(each.letters);
  return steps;
}

/**
 * The shortest way from one combination to another in single edits, on which all that lies between flows: best-first, with the edit
 * distance as what is left at the least, so that what is found first is as short as can be.
 * @example chainBetween([jab, cross], [jab, hook, cross]).steps.length // 2
 */
export function chainBetween(from: Letters, to: Letters): Chain {
  const goal = to.join(' ');
  // Edits go both ways: an end from which no edit leads to anything that flows is the end of nothing longer.
  const closed = (end: Letters): boolean => ![...edited(end)].some(lettersFlow);
  if (editsBetween(from, to) > 1 && (closed(from) || closed(to))) return { steps: [], least: Infinity };
  const queue = new TinyQueue<Look>(
    [{ letters: from, done: 0, left: editsBetween(from, to), before: null }],
    (a, b) => a.done + a.left - (b.done + b.left) || a.left - b.left,
  );
  const known = new Map<string, number>([[from.join(' '), 0]]);
  for (let looks = 0; looks < mostLooks; looks += 1) {
    const look = queue.pop();
    if (!look) break;
    if (look.letters.join(' ') === goal) return { steps: pathTo(look), least: look.done };
    const done = look.done + 1;
    for (const letters of edited(look.letters)) {
      const key = letters.join(' ');
      if ((known.get(key) ?? Infinity) <= done || !(key === goal || lettersFlow(letters))) continue;
      known.set(key, done);
      queue.push({ letters, done, left: editsBetween(letters, to), before: look });
    }
  }
  const next = queue.peek();
  return { steps: [], least: next ? next.done + next.left : Infinity };
}
