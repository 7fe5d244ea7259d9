import { study } from '../mechanics/study';
import type { Combination, Item } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { alphabet } from './alphabet';
import { anyLiking, scoreOf, type Liking } from './score';

/** What is done to a combination in one edit. */
export const editKinds = ['swap', 'insert', 'drop', 'target', 'side'] as const;
export type EditKind = (typeof editKinds)[number];

/** A combination one edit away. */
export interface Neighbour {
  readonly combination: Combination;
  readonly text: string;
  readonly edit: EditKind;
  /** Which item was touched, from 0. */
  readonly at: number;
  readonly score: number;
}

/** Whether nothing sticks inside a combination, in none of its turns. `flows(combination)` */
export const flows = (combination: Combination): boolean =>
  study(combination).turns.every(({ seams }) => seams.every(({ stuck, loop }) => loop || !stuck));

function editOf(before: Item, after: Item): EditKind {
  if (before.kind !== 'move' || after.kind !== 'move' || before.id !== after.id) return 'swap';
  return before.side === after.side ? 'target' : 'side';
}

/**
 * Every combination that is one edit away and flows, the best first: a move swapped, put in or left out, at another height or of the
 * other side. Groups, pairs and slots stay as they are; moves go in between them.
 * @example neighboursOf(combination)[0].text
 */
export function neighboursOf({ items }: Combination, liking: Liking = anyLiking): readonly Neighbour[] {
  const found = new Map<string, Neighbour>();
  const own = writeCombination({ items });
  const offer = (edited: readonly Item[], edit: EditKind, at: number): void => {
    if (edited.length === 0) return;
    const combination: Combination = { items: [...edited] };
    const text = writeCombination(combination);
    if (text === own || found.has(text) || !flows(combination)) return;
    found.set(text, { combination, text, edit, at, score: scoreOf(combination, liking) });
  };
  items.forEach((item, at) => {
    if (item.kind !== 'move') return;
    const [before, after] = [items.slice(0, at), items.slice(at + 1)];
    for (const other of alphabet) offer([...before, other, ...after], editOf(item, other), at);
    offer([...before, ...after], 'drop', at);
  });
  for (let at = 0; at <= items.length; at += 1)
    for (const move of alphabet) offer([...items.slice(0, at), move, ...items.slice(at)], 'insert', at);
  return [...found.values()].sort((a, b) => b.score - a.score || (a.text < b.text ? -1 : 1));
}
