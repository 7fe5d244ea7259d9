import { fullMoveName } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { writeSlot } from '../notation/write';
import type { Leaf } from '../session/compile';

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
  if (leaf.doing === 'combination' && leaf.combination) {
    const said = sayCombination(leaf.combination);
    const words = leaf.words ? `${leaf.words}: ` : '';
    const lead = leaf.stage && leaf.stage.number > 1 ? 'Add on: ' : '';
    return `${words}${lead}${said}.${effort}`.replace(/^./, (letter) => letter.toUpperCase());
  }
  if (leaf.words) return `${leaf.words}.${effort}`;
  return `${leaf.label}.`;
}
