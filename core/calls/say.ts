import { unfold } from '../mechanics/steps';
import { fullMoveName } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { writeSlot } from '../notation/write';
import type { DrillKind } from '../progressions/call-drill';
import type { Leaf } from '../session/compile';
import type { Milliseconds } from '../units';
import { numberWord } from './number-words';

const numberWords: Readonly<Record<string, string>> = {
  jab: 'one',
  cross: 'two',
  'lead hook': 'three',
  'rear hook': 'four',
  'lead uppercut': 'five',
  'rear uppercut': 'six',
};

function sayItem(item: Item): string {
  switch (item.kind) {
    case 'move': {
      const name = fullMoveName({ ...item, target: null });
      const spoken = item.feint ? name : (numberWords[name] ?? name);
      return item.target === 'body' && numberWords[name] ? `${spoken} body` : spoken;
    }
    case 'slot':
      return writeSlot(item).replace(/^any (\d+)-(\d+)/, 'any $1 to $2');
    case 'freestyle':
      return 'freestyle';
    case 'pair':
      return item.moves.map(sayItem).join(' with ');
    case 'group':
      return item.times > 1 ? `${sayItems(item.items)}, ${item.times} times` : sayItems(item.items);
    case 'turns':
      return item.options.map((option) => sayItems(option)).join(', next time ');
  }
}

function sayItems(items: readonly Item[]): string {
  return items.map(sayItem).join(', ');
}

/** A combination as it is said, lead and rear. `sayCombination(read('1 2 3b ro 4'))` → `one, two, three body, rear roll, four` */
export function sayCombination(combination: Combination): string {
  return sayItems(combination.items);
}

const drillCalls: Readonly<Record<DrillKind, string>> = {
  count: 'Count calls: that many punches, at once.',
  direction: 'Direction calls: step there, punch, come back.',
  go: 'Go calls: fast hands on the word.',
};

/** What is called when a leaf begins, short enough to be said in a breath. */
export function callFor(leaf: Leaf): string {
  if (leaf.open) return 'Open break. Go on when you are ready.';
  const effort =
    leaf.effort === 'steady' || leaf.kind === 'rest'
      ? ''
      : typeof leaf.effort === 'number'
        ? ` At ${leaf.effort} per cent.`
        : ` ${leaf.effort.replace('-', ' ').replace(/^./, (letter) => letter.toUpperCase())}.`;
  if (leaf.kind === 'rest') return leaf.words ? `Rest. ${leaf.words}.` : 'Rest. Water, and breathe out long.';
  if (leaf.doing === 'own-time') return 'Own time: anything built so far.';
  if (leaf.doing === 'change-over') return 'Switch stance.';
  if (leaf.drill) return drillCalls[leaf.drill];
  if (leaf.doing === 'combination' && leaf.combination) {
    const said = sayCombination(leaf.combination);
    const words = leaf.words ? `${leaf.words}: ` : '';
    const lead = leaf.stage && leaf.stage.number > 1 ? 'Add on: ' : '';
    return `${words}${lead}${said}.${effort}`.replace(/^./, (letter) => letter.toUpperCase());
  }
  if (leaf.words) return `${leaf.words}.${effort}`;
  return `${leaf.label}.`;
}

/** A call inside a leaf: of its drill, or of the coach's own. */
export interface InnerCall {
  readonly at: Milliseconds;
  readonly words: string;
}

/** What is called while a leaf runs, from its beginning, in order. A direction is said with its punches where they are more than one. */
export function innerCalls(leaf: Leaf): InnerCall[] {
  const drill = leaf.script.map(({ at, say, punches }) => ({
    at,
    words: say === 'go' || say === numberWord(punches) ? say : `${say}, ${numberWord(punches)}`,
  }));
  return [...drill, ...leaf.says].sort((a, b) => a.at - b.at);
}

/** The early part that a stage should be reminded of, as a combination; null where there is none. */
export function earlyMoves(leaf: Leaf): Combination | null {
  if (leaf.remind.length === 0 || !leaf.combination) return null;
  const listed = unfold(leaf.combination).flatMap((step) => step.content);
  const items = leaf.remind.flatMap((place) => listed[place] ?? []);
  return items.length > 0 ? { items } : null;
}
