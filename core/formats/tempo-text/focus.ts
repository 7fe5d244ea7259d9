import { levels, type Level } from '../../bags/kind-names';
import { isBagKind } from '../../bags/kinds';
import { exactClock, readClock } from '../../clock-text';
import { readCombination } from '../../notation/read';
import { writeMove } from '../../notation/write';
import { wantedBy } from '../../script/focus';
import type { TechniqueFocus } from '../../sheet/calls';
import { takeBag } from './block';
import type { Meanings } from './body';
import { fault, quote, rest, skipSpace, take, takeQuoted, type Scan, type TextFault } from './line';
import { lengthPattern } from './piece';

const keyword = /(?:on|bag|level|every|only)(?![a-z0-9-])/;
const example = 'write cue: "Chin down" on 2 3b bag heavy level beginner every 0:45 only';

interface Found {
  readonly moves: string[];
  readonly bags: string[];
  readonly levels: Level[];
  everyMs?: number;
  only?: true;
}

/** The words up to the next keyword or quotation. */
function takeRun(scan: Scan): { readonly text: string; readonly at: number } | null {
  const at = scan.at;
  const words: string[] = [];
  while (rest(scan) !== '' && !new RegExp(`^${keyword.source}`, 'i').test(rest(scan))) {
    const word = take(scan, /[^\s,"“”]+/);
    if (!word) break;
    words.push(word[0].replace(/[\s,]+$/, ''));
  }
  return words.length > 0 ? { text: words.join(' '), at } : null;
}

/** Moves in a run of words: each word by itself where it is one, else names of several words. */
function movesOf(run: string, { scheme }: Meanings): string[] | null {
  const words = run.split(' ');
  if (words.every((word) => wantedBy(word, scheme) !== null)) return words;
  const read = readCombination(run, { scheme });
  if (!read.ok) return null;
  const moves = read.value.items.flatMap((item) => (item.kind === 'move' ? [writeMove(item, scheme)] : []));
  return moves.length === read.value.items.length ? moves : null;
}

function takeNamed(scan: Scan, ownBags: readonly string[]): string | null {
  const at = scan.at;
  const quoted = takeQuoted(scan);
  const own = (name: string): boolean => ownBags.some((each) => each.toLowerCase() === name.toLowerCase());
  if (quoted !== null) {
    if (own(quoted) || isBagKind(quoted)) return quoted;
    scan.at = at;
    return null;
  }
  return takeBare(scan, ownBags);
}

/** A kind without quotes; one of the coach's own that has the name of one that is built in goes first. */
function takeBare(scan: Scan, ownBags: readonly string[]): string | null {
  const here = rest(scan).trimStart().toLowerCase();
  const own = ownBags.find(
    (name) => here.startsWith(name.toLowerCase()) && !/^[a-z0-9-]/.test(here.slice(name.length)),
  );
  if (own === undefined) return takeBag(scan);
  skipSpace(scan);
  scan.at += own.length;
  return own;
}

/** Whatever stands behind `on`: bags and moves, until the next keyword. False at something that is neither. */
function takeOn(scan: Scan, found: Found, meanings: Meanings, ownBags: readonly string[]): boolean {
  for (;;) {
    const at = scan.at;
    const bag = takeNamed(scan, ownBags);
    if (bag !== null) {
      found.bags.push(bag);
      continue;
    }
    const quoted = takeQuoted(scan);
    if (quoted !== null) {
      if (wantedBy(quoted, meanings.scheme) === null) return unread(scan, at, quoted);
      found.moves.push(quoted);
      continue;
    }
    const run = takeRun(scan);
    if (!run) return true;
    const moves = movesOf(run.text, meanings);
    if (!moves) return unread(scan, run.at, run.text);
    found.moves.push(...moves);
  }
}

function unread(scan: Scan, at: number, text: string): false {
  fault(scan, at, text.slice(0, 40), `"${text.slice(0, 40)}" is not a move or a bag on this sheet`, example);
  return false;
}

function takeBagWord(scan: Scan, found: Found, ownBags: readonly string[]): boolean {
  const at = scan.at;
  const bag = takeBare(scan, ownBags) ?? takeQuoted(scan);
  if (bag === null || bag === '') return unread(scan, at, rest(scan).trim());
  found.bags.push(bag.slice(0, 40));
  return true;
}

function takeLevels(scan: Scan, found: Found): boolean {
  const at = scan.at;
  const pattern = new RegExp(`(${levels.join('|')})s?(?![a-z0-9])`);
  for (let word = take(scan, pattern); word; word = take(scan, pattern)) {
    const level = levels.find((each) => each === word?.[1]?.toLowerCase());
    if (level && !found.levels.includes(level)) found.levels.push(level);
  }
  if (found.levels.length > 0) return true;
  fault(scan, at, rest(scan).trim().slice(0, 40), 'this is not a level', `write ${levels.join(', ')}`);
  return false;
}

function takeEvery(scan: Scan, found: Found): boolean {
  const at = scan.at;
  const length = take(scan, lengthPattern);
  const ms = length ? readClock(length[0]) : null;
  if (ms !== null && ms >= 5000 && ms <= 3_600_000) {
    found.everyMs = ms;
    return true;
  }
  fault(scan, at, length?.[0].trim() ?? '', '"every" needs a length from 0:05 to an hour', 'write every 0:45');
  return false;
}

/** Reads a focus line behind `cue:` or the older `focus:`; null where it cannot be read, which is a fault. */
export function readFocusLine(scan: Scan, meanings: Meanings, ownBags: readonly string[]): TechniqueFocus | null {
  const at = scan.at;
  skipSpace(scan);
  const words = takeQuoted(scan);
  if (!words || words.length > 400) {
    fault(scan, at, rest(scan).trim().slice(0, 40), 'a cue needs its words in quotes', example);
    return null;
  }
  const found: Found = { moves: [], bags: [], levels: [] };
  while (rest(scan).trim() !== '') {
    const here = scan.at;
    if (take(scan, /on(?![a-z0-9-])/)) {
      if (!takeOn(scan, found, meanings, ownBags)) return null;
    } else if (take(scan, /bag(?![a-z0-9-])/)) {
      if (!takeBagWord(scan, found, ownBags)) return null;
    } else if (take(scan, /level(?![a-z0-9-])/)) {
      if (!takeLevels(scan, found)) return null;
    } else if (take(scan, /every(?![a-z0-9-])/)) {
      if (!takeEvery(scan, found)) return null;
    } else if (take(scan, /only(?![a-z0-9-])/)) found.only = true;
    // The older form has its moves in quotes without a word before them.
    else if (!takeOn(scan, found, meanings, ownBags)) return null;
    if (scan.at === here) {
      unread(scan, here, rest(scan).trim());
      return null;
    }
  }
  const { moves, bags, levels: for_, everyMs, only } = found;
  return {
    words,
    moves: moves.slice(0, 40).map((move) => move.slice(0, 40)),
    ...(bags.length > 0 ? { bags: bags.slice(0, 20) } : {}),
    ...(for_.length > 0 ? { levels: for_ } : {}),
    ...(everyMs === undefined ? {} : { everyMs }),
    ...(only ? { only } : {}),
  };
}

/** Words that stand alone without being taken for something else. */
const bare = /^[a-z0-9+]+$/i;

/** A focus as it is typed by itself: in quotes with what it belongs to, or bare words that belong to anything. */
export function readFocusText(
  text: string,
  meanings: Meanings,
  ownBags: readonly string[] = [],
): { readonly focus: TechniqueFocus | null; readonly faults: readonly TextFault[] } {
  const typed = /["“]/.test(text) ? text : quote(text.trim().slice(0, 400));
  const scan: Scan = { line: { number: 1, text: typed }, at: 0, faults: [] };
  return { focus: readFocusLine(scan, meanings, ownBags), faults: scan.faults };
}

/** A focus line as the reader takes it. */
export function focusLine(focus: TechniqueFocus): string {
  return `focus: ${focusText(focus)}`;
}

/** A focus as it is typed by itself. `"Elbows in" on 3b bag heavy every 0:45` */
export function focusText({ words, moves, bags, levels: for_, everyMs, only }: TechniqueFocus): string {
  const named = (move: string): string =>
    bare.test(move) && !isBagKind(move) && !keyword.test(move) && !/^(?:none)$/i.test(move) ? move : quote(move);
  return [
    quote(words),
    ...(moves.length > 0 ? [`on ${moves.map(named).join(' ')}`] : []),
    ...(bags ?? []).map((bag) => `bag ${isBagKind(bag) ? bag : quote(bag)}`),
    ...(for_ ? [`level ${for_.join(' ')}`] : []),
    ...(everyMs === undefined ? [] : [`every ${exactClock(everyMs)}`]),
    ...(only ? ['only'] : []),
  ].join(' ');
}
