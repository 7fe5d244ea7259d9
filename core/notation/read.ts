import { bad, good, type Read } from '../fault';
import type { Move } from '../moves/move';
import { six, type Scheme } from '../moves/scheme';
import { fullTurn, limits, nesting, unfoldedLength, type Combination, type Item } from './combination';
import { isSign, Stop, stop, type Cursor } from './cursor';
import { formsOf, type Forms } from './forms';
import { lex, type Token } from './lex';
import { readMove } from './read-move';
import { readSlot } from './read-slot';

/** Named parts that a combination may refer to, by name in small letters. */
export type Parts = ReadonlyMap<string, Combination>;

export interface ReadOptions {
  /** What the numbers mean; six unless told. */
  readonly scheme?: Scheme;
  readonly parts?: Parts;
}

function readTimes(cursor: Cursor): number {
  const token = cursor.tokens[cursor.next];
  const times = token?.kind === 'word' && token.joint !== 'comma' ? /^x(\d+)$/.exec(token.text) : null;
  if (!times || !token) return 1;
  const count = times[1] !== undefined && times[1].length < 6 ? Number(times[1]) : Infinity;
  if (count < 1 || count > limits.repeats)
    stop(cursor, token, `a group can repeat 1 to ${limits.repeats} times`, `write x2 to x${limits.repeats}`);
  cursor.next += 1;
  return count;
}

function readGroup(cursor: Cursor, depth: number): Item {
  const open = cursor.tokens[cursor.next];
  cursor.next += 1;
  const items = readItems(cursor, depth + 1, [')']);
  if (!isSign(cursor.tokens[cursor.next], ')')) stop(cursor, open, 'this ( is never closed', 'add ) after the group');
  cursor.next += 1;
  if (items.length === 0) stop(cursor, open, 'this group is empty', 'write moves between ( and )');
  return { kind: 'group', items, times: readTimes(cursor) };
}

function readTurns(cursor: Cursor, depth: number): Item {
  const open = cursor.tokens[cursor.next];
  cursor.next += 1;
  const before = cursor.before;
  const options: Item[][] = [];
  for (;;) {
    cursor.before = before;
    const option = readItems(cursor, depth + 1, ['/', ']']);
    if (option.length === 0 && cursor.tokens[cursor.next])
      stop(
        cursor,
        cursor.tokens[cursor.next],
        'one side of the / is empty',
        'write a move on each side of /, for example [bk / swk]',
      );
    options.push(option);
    const sign = cursor.tokens[cursor.next];
    if (!sign) stop(cursor, open, 'this [ is never closed', 'write ] after the last turn');
    cursor.next += 1;
    if (sign.text === ']') break;
  }
  cursor.before = null;
  if (options.length < 2)
    stop(cursor, open, 'alternating needs two or more', 'write [bk / swk], or leave the brackets out');
  if (fullTurn(options.flat()) > 1) stop(cursor, open, 'brackets inside brackets', 'put them one after the other');
  return { kind: 'turns', options };
}

/** Counts what is being read and stops before parts named in parts can grow without end. */
function note(cursor: Cursor, moves: number): void {
  cursor.written += moves;
  if (cursor.written > limits.moves) tooMany(cursor, cursor.written);
}

function readPlain(cursor: Cursor): readonly Item[] {
  const token = cursor.tokens[cursor.next];
  if (token?.text === 'any') {
    const slot = readSlot(cursor);
    cursor.before = null;
    return [slot];
  }
  const part = token ? cursor.parts.get(token.text) : undefined;
  if (part) {
    cursor.next += 1;
    cursor.before = lastMove(part.items);
    note(cursor, unfoldedLength(part.items));
    return part.items;
  }
  note(cursor, 1);
  const first = readMove(cursor);
  if (!isSign(cursor.tokens[cursor.next], '+')) return [first];
  cursor.next += 1;
  const second = readMove(cursor);
  if (isSign(cursor.tokens[cursor.next], '+'))
    stop(cursor, cursor.tokens[cursor.next], 'three moves joined with +', 'join two moves with +, not more');
  return [{ kind: 'pair', moves: [first, second] }];
}

function lastMove(items: readonly Item[]): Move | null {
  const last = items.at(-1);
  if (last?.kind === 'move') return last;
  if (last?.kind === 'pair') return last.moves[1];
  return last?.kind === 'group' ? lastMove(last.items) : null;
}

function readItems(cursor: Cursor, depth: number, closers: readonly string[], stageEnds?: number[]): Item[] {
  if (depth > limits.depth)
    stop(
      cursor,
      cursor.tokens[cursor.next - 1],
      `more than ${limits.depth} groups inside each other`,
      'write the inner groups out in full',
    );
  const items: Item[] = [];
  for (;;) {
    const token = cursor.tokens[cursor.next];
    if (!token || (token.kind === 'sign' && closers.includes(token.text))) return items;
    if (isSign(token, '(')) items.push(readGroup(cursor, depth));
    else if (isSign(token, '[')) items.push(readTurns(cursor, depth));
    else if (isSign(token, '|') && stageEnds) {
      if (items.length === 0 || stageEnds.at(-1) === items.length)
        stop(cursor, token, 'there is no move before this |', 'write | after at least one move');
      stageEnds.push(items.length);
      cursor.next += 1;
    } else if (token.kind === 'sign') misplaced(cursor, token);
    else if (token.text === 'then') readThen(cursor, token, items.length);
    else items.push(...readPlain(cursor));
  }
}

function readThen(cursor: Cursor, token: Token, before: number): void {
  const after = cursor.tokens[cursor.next + 1];
  if (before === 0 || !after || (after.kind === 'sign' && after.text !== '(' && after.text !== '['))
    stop(cursor, token, '"then" joins two parts', 'write something before and after it');
  cursor.next += 1;
}

function misplaced(cursor: Cursor, token: Token): never {
  const reasons: Record<string, [string, string]> = {
    ')': ['this ) has no matching (', 'write ( before the group, or remove it'],
    ']': ['this ] has no matching [', 'write [ before the first turn, or remove it'],
    '/': ['/ parts turns only inside [ ]', 'write [bk / swk], or a space'],
    '+': ['+ goes between two moves', 'write in+1, for example'],
    '|': ['a stage end stands inside a group', 'mark stage ends with | outside groups and turns'],
    ':': ['a name before : belongs at the start of a part', 'write A: 1 2; A then 3'],
    ';': ['there is nothing before this ;', 'write a part such as A: 1 2 before it'],
  };
  const [what, mend] = reasons[token.text] ?? ['this sign has no meaning here', 'remove it'];
  stop(cursor, token, what, mend);
}

const partName = /^[a-z][a-z0-9]*$/;
const reserved = new Set(['any', 'then', 'end', 'different', 'freestyle', 'ft', 'feint', 'to', 'the', 'x']);

/** Why a name cannot name a part, or null where it can. `partNameFault('jab', formsOf(six))` */
export function partNameFault(name: string, forms: Forms): string | null {
  if (!partName.test(name)) return 'a part’s name is letters and digits, starting with a letter';
  return reserved.has(name) || forms.meanings.has(name) || /^x\d+$/.test(name)
    ? `"${name}" already means something`
    : null;
}

function readClauses(cursor: Cursor): Combination {
  const parts = new Map(cursor.parts);
  const here: Cursor = { ...cursor, parts };
  for (;;) {
    const name = here.tokens[here.next];
    const named = name?.kind === 'word' && isSign(here.tokens[here.next + 1], ':');
    if (named) {
      const fault = partNameFault(name.text, here.forms);
      if (fault) stop(here, name, fault, 'give the part another name, for example A');
      if (parts.has(name.text) && !cursor.parts.has(name.text))
        stop(here, name, `part ${name.text} is defined twice`, 'give the second another name');
      here.next += 2;
    }
    here.before = null;
    here.written = 0;
    const stageEnds: number[] = [];
    const items = readItems(here, 0, [';'], stageEnds);
    const last = here.tokens[here.next];
    if (last && !named) stop(here, last, 'only named parts can come before ;', 'write A: before the part');
    if (items.length === 0)
      stop(
        here,
        last,
        named ? 'this part is empty' : 'there is no combination here',
        'write at least one move, for example 1 2',
      );
    if (nesting(items) > limits.depth)
      stop(here, name, `more than ${limits.depth} groups inside each other`, 'write the inner groups out in full');
    if (last && named) {
      if (unfoldedLength(items) > limits.moves) tooMany(here, unfoldedLength(items));
      parts.set(name.text, { items });
      here.next += 1;
      continue;
    }
    if (stageEnds.at(-1) === items.length) stageEnds.pop();
    return stageEnds.length > 0 ? { items, stageEnds } : { items };
  }
}

function tooMany(cursor: Cursor, moves: number): never {
  throw new Stop({
    at: 0,
    end: cursor.source.length,
    read: cursor.source.slice(0, 40),
    what: `${moves} moves in full; the limit is ${limits.moves}`,
    mend: 'use fewer repeats, or split it in two',
  });
}

function readAll(cursor: Cursor): Combination {
  const only = cursor.tokens[0];
  if (cursor.tokens.length === 1 && only?.text === 'freestyle') return { items: [{ kind: 'freestyle' }] };
  const free = cursor.tokens.find((token) => token.text === 'freestyle');
  if (free) stop(cursor, free, 'freestyle must be on its own', 'remove the other moves, or use something like any 3');
  const combination = readClauses(cursor);
  const moves = unfoldedLength(combination.items);
  if (moves > limits.moves) tooMany(cursor, moves);
  if (fullTurn(combination.items) > limits.fullTurn)
    stop(
      cursor,
      only,
      `the alternatives only line up again after ${fullTurn(combination.items)} repetitions`,
      'give each the same number of alternatives',
    );
  return combination;
}

/**
 * Reads a combination: numbers, short forms and names in any case, parted by spaces, commas or hyphens.
 * Never throws; the fault says where, what was read and what would be right.
 * @example readCombination('1-2, 3b') // three moves
 */
export function readCombination(source: string, options: ReadOptions = {}): Read<Combination> {
  if (source.length > limits.characters)
    return bad({
      at: limits.characters,
      end: source.length,
      read: '',
      what: `${source.length} characters; the limit is ${limits.characters}`,
      mend: 'split it in two',
    });
  const cursor: Cursor = {
    source,
    tokens: lex(source),
    forms: formsOf(options.scheme ?? six),
    parts: options.parts ?? new Map(),
    next: 0,
    written: 0,
    before: null,
  };
  try {
    return good(readAll(cursor));
  } catch (thrown) {
    if (thrown instanceof Stop) return bad(thrown.fault);
    throw thrown;
  }
}
