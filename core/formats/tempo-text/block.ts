import { readClock } from '../../clock-text';
import { blockKinds, type Block, type BlockKind } from '../../sheet/schema';
import { bagKinds, type BagKind } from '../../bags/kind-names';
import type { Milliseconds } from '../../units';
import type { Meanings } from './body';
import { knowsAny } from './body';
import { fault, rest, skipSpace, take, takeQuoted, type Scan } from './line';
import { lengthPattern, pieceFrom, takeOption, type Options } from './piece';

const blockWord = /(warm[- ]?up|cool[- ]?down|conditioning|show|demo(?!\s*:)|round|rest|core)(?![a-z0-9-])/;

/** Takes the word that begins a block: `round`, `warm-up`, also `warm up`, and `demo` for `show`. */
export function takeBlockKind(scan: Scan): BlockKind | null {
  const found = take(scan, blockWord);
  if (!found) return null;
  const word = found[0]
    .trim()
    .toLowerCase()
    .replace(/[\s,]+$/, '');
  const name = word.startsWith('warm')
    ? 'warm-up'
    : word.startsWith('cool')
      ? 'cool-down'
      : word === 'demo'
        ? 'show'
        : word;
  return blockKinds.find((kind) => kind === name) ?? null;
}

/** A kind of bag by its name: `double-end`, also `double end`; `none` is shadow. */
export function takeBag(scan: Scan): BagKind | null {
  if (take(scan, /none(?![a-z0-9-])/)) return 'shadow';
  for (const kind of bagKinds) if (take(scan, new RegExp(`${kind.replace('-', '[- ]?')}(?![a-z0-9-])`))) return kind;
  return null;
}

interface Found {
  title?: string;
  purpose?: string;
  bag?: BagKind;
  goal?: number;
  times?: number;
  restMs?: Milliseconds;
  switchStance?: true;
  learnThenMirror?: true;
}

function takeRest(scan: Scan, found: Found): boolean {
  const at = scan.at;
  if (!take(scan, /rest(?![a-z0-9-])/)) return false;
  const length = take(scan, lengthPattern);
  const ms = length ? readClock(length[0]) : null;
  if (ms !== null) found.restMs = ms;
  else
    fault(
      scan,
      at,
      `rest ${/^[^\s:]*/.exec(rest(scan))?.[0] ?? ''}`.trim(),
      'the rest between repeats needs a length',
      'write rest 0:30',
    );
  return true;
}

function takeNumber(scan: Scan, pattern: RegExp, most: number): number | null {
  const at = scan.at;
  const match = take(scan, pattern);
  if (!match) return null;
  const value = Number(match[1]);
  if (value >= 1 && value <= most) return value;
  fault(scan, at, match[0].trim(), `${match[1] ?? ''} is out of range`, `write 1 to ${most}`);
  return Math.min(most, Math.max(1, value));
}

/** Takes one of a block's own options, in any order. */
function takeBlockOption(scan: Scan, found: Found): boolean {
  const title = takeQuoted(scan);
  if (title !== null) {
    found.title = title.slice(0, 400);
    return true;
  }
  const at = scan.at;
  if (take(scan, /for(?=\s*["“])/)) {
    found.purpose = (takeQuoted(scan) ?? '').slice(0, 400);
    return true;
  }
  if (take(scan, /on(?![a-z0-9-])/)) {
    const bag = takeBag(scan);
    if (bag) found.bag = bag;
    else {
      const word = take(scan, /[^\s:]+/)?.[0].trim() ?? '';
      fault(
        scan,
        at,
        `on ${word}`.trim(),
        word ? `"${word}" is not a kind of bag` : '"on" needs a bag',
        `write ${bagKinds.join(', ')}`,
      );
    }
    return true;
  }
  const goal = takeNumber(scan, /goal\s+(\d{1,9})(?:\s+punches)?(?![a-z0-9])/, 100_000);
  if (goal !== null) found.goal = goal;
  const times = goal === null ? takeNumber(scan, /x\s?(\d{1,6})(?![a-z0-9])/, 99) : null;
  if (times !== null) found.times = times;
  if (goal !== null || times !== null) return true;
  if (take(scan, /switch\s+stance(?![a-z0-9])/)) found.switchStance = true;
  else if (take(scan, /learn\s+then\s+mirror(?![a-z0-9])/)) found.learnThenMirror = true;
  else return takeRest(scan, found);
  return true;
}

function takeLength(scan: Scan, kind: BlockKind): Milliseconds | null | undefined {
  const at = scan.at;
  if (take(scan, /open(?![a-z0-9-])/)) {
    if (kind === 'rest') return null;
    fault(scan, at, 'open', 'only a rest can be open', 'write a length, for example 3:00');
    return undefined;
  }
  const length = take(scan, lengthPattern);
  const ms = length ? readClock(length[0]) : null;
  if (ms !== null) return ms;
  const word = length?.[0].trim() ?? /^[^\s:]*/.exec(rest(scan))?.[0] ?? '';
  fault(scan, at, word, `this ${kind} needs a length`, 'put its length after the word, for example 3:00');
  return undefined;
}

/** What a block's own line says. `ms` is undefined where no length could be read. */
export type BlockLine = Omit<Block, 'id' | 'ms'> & { readonly ms: Milliseconds | null | undefined };

/** Reads the line of a block behind its first word, with the piece that may stand on it behind a colon. */
export function readBlockLine(scan: Scan, kind: BlockKind, meanings: Meanings, pieceId: string): BlockLine {
  const ms = takeLength(scan, kind);
  const found: Found = {};
  const options: Options = { effort: 'steady' };
  while (takeBlockOption(scan, found) || takeOption(scan, options));
  skipSpace(scan);
  const text = rest(scan);
  const line = { kind, ms, ...found, pieces: [] };
  if (text.trim() === '' || text.trim() === ':') return line;
  if (!text.startsWith(':') && !knowsAny(text, meanings)) {
    fault(
      scan,
      scan.at,
      text.trim().slice(0, 40),
      'this could not be read',
      'put titles in quotes and a colon before a combination',
    );
    return line;
  }
  // The forgiving case: a combination whose colon is missing.
  const [body, at] = text.startsWith(':') ? [text, scan.at] : [`:${text}`, scan.at - 1];
  return { ...line, pieces: [pieceFrom(scan, body, at, ms ?? 30_000, options, meanings, pieceId)] };
}
