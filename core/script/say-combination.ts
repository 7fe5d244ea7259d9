import { moveKind } from '../moves/catalogue';
import { familyOf, fullMoveName, type Move } from '../moves/move';
import { unfold } from '../mechanics/steps';
import { fullTurn, type Combination, type Group, type Item, type Slot } from '../notation/combination';
import { defaultSide } from '../notation/forms';
import { slotNature } from '../notation/slot-kinds';
import { numberWord } from '../number-words';
import { joined, plain, type Saying } from './saying';
import { usualSpeech, type Speech } from './speech';

/** The move directly before, as the listener has it; it decides whether a defence's side must be said. */
interface Trail {
  before: Move | null;
}

/** The number of a move in a scheme, where it has one and it is said by numbers. */
function numberOf(move: Move, { scheme, strikesAs }: Speech): string | null {
  if (strikesAs === 'names' || move.feint) return null;
  const number = scheme.numbers.find(({ id, side }) => id === move.id && side === move.side)?.number;
  if (number === undefined) return null;
  const aside = move.target !== moveKind(move.id).targets[0] ? ` ${move.target ?? ''}` : '';
  return `${numberWord(number)}${aside}`;
}

/** A move without its marks. A defence, kick or knee on its usual side is said without it, as it is written. */
function nameOf(move: Move, speech: Speech, before: Move | null): string {
  const kind = moveKind(move.id);
  const usual = kind.marked
    ? move.side === defaultSide(move.id, before)
    : kind.limb === 'leg' && move.side === kind.usual;
  if (!usual || speech.sided) return numberOf(move, speech) ?? fullMoveName(move);
  const aside = move.target !== null && move.target !== kind.targets[0] ? ` to the ${move.target}` : '';
  return numberOf(move, speech) ?? `${move.feint ? 'feint ' : ''}${kind.name}${aside}`;
}

const marked = (name: string, { force, aim }: Move): string => [name, force, aim].filter(Boolean).join(' ');

/** Marks are said behind the move: `two hard`, `low kick thigh` (trade page, section 3). */
function sayMove(move: Move, speech: Speech, trail: Trail): Saying {
  const { force: _, aim: __, ...bare } = move;
  const name = nameOf(bare, speech, trail.before);
  trail.before = move;
  return plain(marked(name, move));
}

/** Several of a move. `three jabs`, `two lead body kicks`, `two squats` */
function sayMany(move: Move, count: number, trail: Trail): Saying {
  const kind = moveKind(move.id);
  const sided = kind.sideInName || (move.side !== null && kind.sides.length > 1 && move.side !== kind.usual);
  const where = move.target !== null && move.target !== kind.targets[0] ? ` to the ${move.target}` : '';
  const name = `${move.feint ? 'feint ' : ''}${sided ? `${move.side ?? ''} ` : ''}${kind.plural}${where}`;
  trail.before = move;
  return plain(marked(`${numberWord(count)} ${name}`, move));
}

/** From how many on a move that is repeated is counted (trade page): punches have their rhythm, what alternates has its sides. */
const countedFrom = (move: Move): number =>
  familyOf(move) === 'punch' ? 3 : moveKind(move.id).alternates ? Infinity : 2;

/** `twice`, `three times` */
function times(count: number): string {
  return count === 2 ? 'twice' : `${numberWord(count)} times`;
}

const sameMove = (a: Move, b: Item | undefined): boolean =>
  b?.kind === 'move' &&
  a.id === b.id &&
  a.side === b.side &&
  a.target === b.target &&
  a.force === b.force &&
  a.aim === b.aim &&
  a.feint === b.feint;

/**
 * An amount has its noun and the end its name, so that neither is heard as the number of a punch.
 * `any two to five hooks, finish with the lead hook`; behind other moves `one punch to the body of your own, hard`
 */
function saySlot({ least, most, of, end, different, force }: Slot, speech: Speech, first: boolean): Saying {
  const amount = most > least ? `${numberWord(least)} to ${numberWord(most)}` : numberWord(least);
  const { said: nouns } = slotNature(of);
  const noun = most === 1 ? nouns.one : nouns.more;
  const names = { ...speech, strikesAs: 'names' as const };
  return joined(
    [
      plain(first ? `any ${amount} ${noun}` : `${amount} ${noun} of your own`),
      ...(force ? [plain(force)] : []),
      ...(end ? [plain(`finish with the ${sayMove(end, names, { before: null }).say}`)] : []),
      ...(different ? [plain('different every time')] : []),
    ],
    ', ',
  );
}

/** What is said of an item, and whether its neighbours are parted from it by "then". */
interface Said {
  readonly saying: Saying;
  readonly group: boolean;
}

const inRow = (saying: Saying): Said => ({ saying, group: false });

function sayGroup(item: Group, speech: Speech, trail: Trail): Said[] {
  const [only] = item.items;
  if (item.times > 1 && item.items.length === 1 && only?.kind === 'move' && item.times >= countedFrom(only))
    return [inRow(sayMany(only, item.times, trail))];
  const inner = said(item.items, speech, trail);
  if (item.times === 1) return inner;
  const plainMoves = item.items.every((each) => each.kind === 'move');
  const words = plainMoves
    ? joined(
        inner.map(({ saying }) => saying),
        ' ',
      )
    : together(inner);
  return [{ saying: joined([words, plain(times(item.times))], ', '), group: true }];
}

function said(items: readonly Item[], speech: Speech, trail: Trail): Said[] {
  const out: Said[] = [];
  for (let at = 0; at < items.length; at += 1) {
    const item = items[at];
    if (!item) continue;
    switch (item.kind) {
      case 'move': {
        let count = 1;
        while (sameMove(item, items[at + count])) count += 1;
        if (count < countedFrom(item)) out.push(inRow(sayMove(item, speech, trail)));
        else {
          out.push(inRow(sayMany(item, count, trail)));
          at += count - 1;
        }
        break;
      }
      case 'slot':
        trail.before = null;
        out.push({ saying: saySlot(item, speech, out.length === 0), group: true });
        break;
      case 'freestyle':
        out.push(inRow(plain('freestyle')));
        break;
      case 'pair':
        out.push(
          inRow(
            joined(
              item.moves.map((each) => sayMove(each, speech, trail)),
              ' with ',
            ),
          ),
        );
        break;
      case 'group':
        out.push(...sayGroup(item, speech, trail));
        break;
      case 'turns':
        // Turns are said as whole repetitions, one after the other: see `sayTurns`.
        out.push(...said(item.options[0] ?? [], speech, trail));
    }
  }
  return out;
}

/** Items in a row with commas; a written group is parted from its neighbours, so that one hears what is repeated. */
function together(parts: readonly Said[]): Saying {
  const rows: Saying[] = [];
  let row: Saying[] = [];
  const close = (): void => {
    if (row.length > 0) rows.push(joined(row, ', '));
    row = [];
  };
  for (const { saying, group } of parts) {
    if (!group) {
      row.push(saying);
      continue;
    }
    close();
    rows.push(saying);
  }
  close();
  return joined(rows, ', then ');
}

/** Items as a repetition has them, with one option of each turn. */
function turned(items: readonly Item[], turn: number): Item[] {
  return items.flatMap((item): Item[] => {
    if (item.kind === 'group') return [{ ...item, items: turned(item.items, turn) }];
    return item.kind === 'turns' ? turned(item.options[turn % item.options.length] ?? [], turn) : [item];
  });
}

/** What is remembered of a combination's words, by whose numbers they are. */
interface Known {
  readonly by: Speech['scheme'];
  readonly as: Speech['strikesAs'];
  readonly sided: boolean;
  readonly turns: readonly Saying[];
  readonly whole: Saying;
}
const known = new WeakMap<Combination, Known>();

/** Whether there is but one move: behind a countdown its number would be heard as a fourth count. */
const isLone = ({ items }: Combination): boolean =>
  items.length > 0 && items.every((item) => item.kind === 'move' && sameMove(item, items[0]));

/** A combination's turns in one way of saying. */
function turnsAs(combination: Combination, speech: Speech): readonly Saying[] {
  return Array.from({ length: fullTurn(combination.items) }, (_, turn) =>
    together(said(turned(combination.items, turn), speech, { before: null })),
  );
}

/** Numbers, then the names they stand for: `one, two: jab, cross`; one of the two where they are the same. */
function turnsWithNames(combination: Combination, speech: Speech): readonly Saying[] {
  const [numbers, names] = (['numbers', 'names'] as const).map((strikesAs) =>
    turnsAs(combination, { ...speech, strikesAs }),
  );
  return (numbers ?? []).map((number, at) => {
    const name = names?.[at];
    return name && name.say !== number.say ? joined([number, name], ': ') : number;
  });
}

function wordsOf(combination: Combination, speech: Speech): Known {
  const before = known.get(combination);
  if (before?.by === speech.scheme && before.as === speech.strikesAs && before.sided === (speech.sided === true))
    return before;
  const lone = isLone(combination);
  const turns =
    speech.strikesAs === 'both' && !lone
      ? turnsWithNames(combination, speech)
      : turnsAs(combination, lone ? { ...speech, strikesAs: 'names' } : speech);
  const words = {
    by: speech.scheme,
    as: speech.strikesAs,
    sided: speech.sided === true,
    turns,
    whole: joined(turns, ', then '),
  };
  known.set(combination, words);
  return words;
}

/** Each repetition of a combination as it is said, until its turns come round again. `[bk / swk]` → `body kick` · `switch kick` */
export function sayTurns(combination: Combination, speech: Speech = usualSpeech): readonly Saying[] {
  return wordsOf(combination, speech).turns;
}

/**
 * A combination as it is said, lead and rear; a lone strike by its name; where moves take turns, one repetition after the other.
 * @example sayCombination(read('sq sq (1 2)x2')).say // "two squats, then one two, twice"
 */
export function sayCombination(combination: Combination, speech: Speech = usualSpeech): Saying {
  return wordsOf(combination, speech).whole;
}

/** What is said of each step of a repetition, for calling strike by strike. `['one', 'two', 'roll']` */
export function sayStrikes(combination: Combination, turn: number, speech: Speech): Saying[] {
  const trail: Trail = { before: null };
  return unfold(combination, turn).map(({ content }) => {
    const words = content.map((each) => ({ each, saying: together(said([each], speech, trail)) }));
    const strike = words.find(({ each }) => each.kind === 'move' && each.target !== null);
    return (strike ?? words[0])?.saying ?? plain('');
  });
}
