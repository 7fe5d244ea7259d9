import { unfold } from '../mechanics/steps';
import { moveKind } from '../moves/catalogue';
import { fullMoveName, type Move } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { defaultSide } from '../notation/forms';
import { writeMove, writeSlot } from '../notation/write';
import { numberWord } from './number-words';
import { usualSpeech, type Speech } from './speech';

/** The move directly before, as the listener has it; it decides whether a defence's side must be said. */
interface Trail {
  before: Move | null;
}

/** The number of a move in a scheme, where it has one and it is said by numbers. */
function numberOf(move: Move, { scheme, strikesAs }: Speech): string | null {
  if (strikesAs === 'names' || move.feint) return null;
  const match = /^(\d+)(b?)(h?)$/.exec(writeMove(move, scheme));
  if (!match) return null;
  const number = numberWord(Number(match[1]));
  return match[2] ? `${number} body` : match[3] ? `${number} head` : number;
}

/** A move without its marks. A defence on its usual side is said without it, as it is written. */
function nameOf(move: Move, speech: Speech, before: Move | null): string {
  const kind = moveKind(move.id);
  const usual = kind.marked && move.side === defaultSide(move.id, before);
  return numberOf(move, speech) ?? (usual ? `${move.feint ? 'feint ' : ''}${kind.name}` : fullMoveName(move));
}

/** Marks are said behind the move: `two hard`, `low kick thigh` (trade page, section 3). */
function sayMove(move: Move, speech: Speech, trail: Trail): string {
  const { force, aim, ...plain } = move;
  const name = nameOf(plain, speech, trail.before);
  trail.before = move;
  return [name, force, aim].filter(Boolean).join(' ');
}

function sayItem(item: Item, speech: Speech, trail: Trail): string {
  switch (item.kind) {
    case 'move':
      return sayMove(item, speech, trail);
    case 'slot':
      trail.before = null;
      return writeSlot(item).replace(/^any (\d+)-(\d+)/, 'any $1 to $2');
    case 'freestyle':
      return 'freestyle';
    case 'pair':
      return item.moves.map((each) => sayMove(each, speech, trail)).join(' with ');
    case 'group': {
      const said = sayItems(item.items, speech, trail);
      return item.times > 1 ? `${said}, ${item.times} times` : said;
    }
    case 'turns': {
      const { before } = trail;
      const options = item.options.map((option) => sayItems(option, speech, Object.assign(trail, { before })));
      trail.before = null;
      return options.join(', next time ');
    }
  }
}

function sayItems(items: readonly Item[], speech: Speech, trail: Trail): string {
  return items.map((item) => sayItem(item, speech, trail)).join(', ');
}

/** The same combination is named, previewed and reminded of; by scheme, by numbers or names, it is said one way. */
const sayings = new WeakMap<
  Combination,
  { readonly by: Speech['scheme']; readonly as: string; readonly said: string }
>();

/** A combination as it is said, lead and rear. `sayCombination(read('2 3b ro 4'))` → `two, three body, roll, four` */
export function sayCombination(combination: Combination, speech: Speech = usualSpeech): string {
  const known = sayings.get(combination);
  if (known?.by === speech.scheme && known.as === speech.strikesAs) return known.said;
  const said = sayItems(combination.items, speech, { before: null });
  sayings.set(combination, { by: speech.scheme, as: speech.strikesAs, said });
  return said;
}

/** What is said of each step of a repetition, for calling strike by strike. `['one', 'two', 'roll']` */
export function sayStrikes(combination: Combination, turn: number, speech: Speech): string[] {
  const trail: Trail = { before: null };
  return unfold(combination, turn).map(({ content }) => {
    const said = content.map((each) => ({ each, words: sayItem(each, speech, trail) }));
    const strike = said.find(({ each }) => each.kind === 'move' && each.target !== null);
    return (strike ?? said[0])?.words ?? '';
  });
}
