import { usualDrill } from '../../progressions/call-drill';
import { effortNames, focusNames, type Effort, type Focus } from '../../mechanics/effort';
import { readClock } from '../../clock-text';
import type { Piece, PieceOf } from '../../sheet/schema';
import type { Milliseconds } from '../../units';
import { stanceNames } from '../../sheet/pieces';
import { keepLanes, readBody, takeTail, type Meanings } from './body';
import { fault, rest, skipSpace, splitOutside, take, wholeQuote, type Scan } from './line';
import { isRhythm, readRhythm } from './rhythm';

/** A length at the beginning of a line: `1:30`, `1:02:03`, `90s`, `2 min`. */
export const lengthPattern =
  /(?:\d{1,2}:)?\d{1,4}:\d\d(?:\.\d{1,3})?(?!\d|:\d)|\d{1,5}(?:\.\d{1,3})?\s?(?:seconds?|minutes?|sec|min|s|m)(?![a-z0-9])/;
/** Settling in the other stance, where a change-over is given no length (house value, trade page, section 8). */
const settleMs: Milliseconds = 3000;

/** How hard, how, and how often: what may stand between a piece's length and its words. */
export interface Options {
  effort: Effort;
  focus?: Focus;
  nonStop?: true;
  stance?: (typeof stanceNames)[number];
  /** Per cent of power: `power 80%`. */
  power?: number;
  /** `x6`: as many pieces as there are names. */
  copies?: { readonly count: number; readonly at: number };
}

/** A focus counts as such only before a colon, the end, or another option; `power jab` is words. */
const focusAhead = new RegExp(
  `(${focusNames.join('|')})(?=\\s*(?::|$)|[\\s,]+(?:(?:${[...focusNames, ...effortNames, ...stanceNames].join('|')}|non-?stop|x\\d+)(?![a-z0-9-])|\\d{1,3}\\s?%))`,
);

/** Takes one option where one stands here. */
export function takeOption(scan: Scan, options: Options): boolean {
  const at = scan.at;
  const effort = take(scan, /(all[- ]?out|easy|steady|strong)(?![a-z0-9-])/);
  if (effort) {
    const name = effort[0].toLowerCase().startsWith('all') ? 'all-out' : effort[0].toLowerCase();
    options.effort = effortNames.find((each) => each === name) ?? 'steady';
    return true;
  }
  const power = take(scan, /power\s+(\d{1,3}(?:\.\d+)?)\s?%/);
  if (power) {
    const value = Number(power[1]);
    if (value >= 10 && value <= 100) options.power = value;
    else fault(scan, at, power[0].trim(), `${value}% is not a valid power`, 'use power 10% to power 100%');
    return true;
  }
  const percent = take(scan, /(\d{1,3}(?:\.\d+)?)\s?%/);
  if (percent) {
    const value = Number(percent[1]);
    if (value >= 10 && value <= 100) options.effort = value;
    else fault(scan, at, percent[0].trim(), `${value}% is not a valid effort`, 'use 10% to 100%');
    return true;
  }
  if (take(scan, /non-?stop(?![a-z0-9-])/)) {
    options.nonStop = true;
    return true;
  }
  const stance = take(scan, /(square|orthodox|southpaw)(?![a-z0-9-])/);
  if (stance) {
    const named = stanceNames.find((each) => each === stance[1]?.toLowerCase());
    if (named) options.stance = named;
    return true;
  }
  const focus = take(scan, focusAhead);
  if (focus) {
    const found = focusNames.find((each) => each === focus[1]?.toLowerCase());
    if (found) options.focus = found;
    return true;
  }
  const copies = take(scan, /x(\d{1,3})(?![a-z0-9])/);
  if (copies) options.copies = { count: Number(copies[1]), at };
  return copies !== null;
}

const callLine =
  /^call\s+(count|direction|go)(?:\s+(\d{1,2})(?:\s*[-–]\s*(\d{1,2}))?)?((?:\s+(?:seed\s+\d{1,10}|gap\s+\d{1,2}(?:\.\d{1,3})?\s*[-–]\s*\d{1,2}(?:\.\d{1,3})?))*)\s*$/i;

/** A calls drill: `call count 2-6`, `call go 3`, with `seed 7` and `gap 1-4` where they are told. */
function readCalls(text: string): Omit<PieceOf<'calls'>, 'id' | 'ms' | 'effort'> | null {
  const { text: line, tail } = takeTail(text);
  const match = callLine.exec(line.trim());
  if (!match) return null;
  const drill = (match[1] ?? '').toLowerCase() as PieceOf<'calls'>['drill'];
  const given = match[2] === undefined ? null : Number(match[2]);
  const least = given ?? usualDrill.least;
  const most = match[3] !== undefined ? Number(match[3]) : (given ?? usualDrill.most);
  const more = match[4] ?? '';
  const seed = /seed\s+(\d+)/i.exec(more)?.[1];
  const gap = /gap\s+([\d.]+)\s*[-–]\s*([\d.]+)/i.exec(more);
  if (least < 1 || least > 20 || most < least || most > 20 || Number(seed ?? 1) > 4_294_967_295) return null;
  return {
    kind: 'calls',
    drill,
    least,
    most,
    ...(seed === undefined ? {} : { seed: Number(seed) }),
    ...(gap ? { gapLeastMs: Math.round(Number(gap[1]) * 1000), gapMostMs: Math.round(Number(gap[2]) * 1000) } : {}),
    ...(tail.between === undefined ? {} : { between: tail.between }),
  };
}

/** A drill of calls or a rhythm with the coach's own words before its colon: `stand on the spot: call go 2`. */
function drillBehind(text: string): { readonly words: string | null; readonly bare: string } {
  const [first] = splitOutside(text, ':');
  const behind = first === undefined ? '' : text.slice(first.text.length + 1).trim();
  if (!first || (!isRhythm(behind) && !/^call\s+(count|direction|go)\b/i.test(behind)))
    return { words: null, bare: text };
  return { words: (wholeQuote(first.text) ?? first.text.trim()).slice(0, 400), bare: behind };
}

/** One piece from its options and what stands behind them. */
export function pieceFrom(
  scan: Scan,
  text: string,
  at: number,
  ms: Milliseconds,
  options: Options,
  meanings: Meanings,
  id: string,
): Piece {
  const { effort, focus, nonStop, stance, power } = options;
  const timed = {
    ...{ id, ms, effort },
    ...(focus ? { focus } : {}),
    ...(stance ? { stance } : {}),
    ...(power === undefined ? {} : { power }),
  };
  const whole = text.replace(/^\s*:/, '').trim();
  const { words, bare } = drillBehind(whole);
  const own = words === null ? {} : { words };
  if (/^own[ -]time$/i.test(bare)) return { kind: 'own-time', ...timed };
  if (options.copies === undefined && /^free[ -]work$/i.test(bare)) {
    fault(
      scan,
      at,
      bare,
      'this is read as free work: anything built so far',
      'put it in quotes if you mean the words',
      {
        level: 'note',
        pieceId: id,
      },
    );
    return { kind: 'own-time', ...timed };
  }
  if (/^switch stance$/i.test(bare)) return { kind: 'change-over', ...timed };
  if (/^pause$/i.test(bare)) return { kind: 'pause', ...timed };
  if (isRhythm(bare)) {
    const told = readRhythm(scan, bare, at, id);
    return told
      ? { kind: 'rhythm', ...timed, ...told, ...own }
      : { kind: 'words', ...timed, words: whole.slice(0, 400) };
  }
  const calls = readCalls(bare);
  if (calls) return { ...timed, ...calls, ...own };
  if (/^call\s+(count|direction|go)\b/i.test(bare)) {
    fault(
      scan,
      at,
      bare.slice(0, 40),
      'this call drill could not be read',
      'write call count 2-6, call direction 2 or call go 3',
      { pieceId: id },
    );
    return { kind: 'words', ...timed, words: whole.slice(0, 400) };
  }
  const parted = takeTail(text);
  const body = readBody(scan, parted.text, at, meanings, id);
  if (body.kind === 'words') {
    // A tail belongs to a combination; behind plain words it is part of them.
    const whole = parted.text === text.trimEnd() ? body : readBody(scan, text, at, meanings, id);
    return whole.kind === 'words' ? { ...timed, ...whole } : { ...timed, ...whole };
  }
  const { lanes, ...tail } = parted.tail;
  return { ...timed, ...body, ...(nonStop ? { nonStop } : {}), ...tail, ...keepLanes(lanes, meanings) };
}

/** Reads the pieces of a line that begins with a length: one, or as many as names stand behind `xN`; none without a length. */
export function readPieces(scan: Scan, meanings: Meanings, freshId: () => string): Piece[] {
  const begin = scan.at;
  const length = take(scan, lengthPattern);
  const ms = length ? readClock(length[0]) : null;
  if (!length) {
    if (/^switch stance\s*$/i.test(rest(scan)))
      return [{ kind: 'change-over', id: freshId(), ms: settleMs, effort: 'steady' }];
    const word = /^\S+/.exec(rest(scan))?.[0] ?? '';
    fault(scan, begin, word, 'start the line with a length', 'for example 0:30');
    return [];
  }
  if (ms === null)
    fault(
      scan,
      begin,
      length[0].trim(),
      `"${length[0].trim()}" is not a length`,
      'write a length as m:ss, from one second to a day',
    );
  const off = takeOff(scan);
  const options: Options = { effort: 'steady' };
  while (takeOption(scan, options));
  skipSpace(scan);
  const text = rest(scan);
  const [at, usual] = [scan.at, ms ?? 30_000];
  const { copies } = options;
  /** A piece, and the pause behind it where the line gives one. */
  const withPause = (name: string, from: number): Piece[] => {
    const piece = pieceFrom(scan, name, from, usual, options, meanings, freshId());
    return off === null ? [piece] : [piece, { kind: 'pause', id: freshId(), ms: off, effort: 'steady' }];
  };
  if (!copies) return withPause(text, at);
  const names = splitOutside(text, '/');
  const [only] = names;
  // With time off between, one name is done so many times.
  if (off !== null && only && names.length === 1)
    return Array.from({ length: Math.max(1, Math.min(99, copies.count)) }, () =>
      withPause(only.text, at + only.at),
    ).flat();
  if (names.length !== copies.count)
    fault(
      scan,
      copies.at,
      `x${copies.count}`,
      `x${copies.count}, but ${names.length} ${names.length === 1 ? 'name' : 'names'}`,
      `write x${names.length}, or ${copies.count} names with / between them`,
    );
  return names.flatMap((name) => withPause(name.text, at + name.at));
}

/** Takes the time off behind a length: `0:45/0:15`; null where there is none. */
function takeOff(scan: Scan): Milliseconds | null {
  const at = scan.at;
  if (!take(scan, /\//)) return null;
  const length = take(scan, lengthPattern);
  const ms = length ? readClock(length[0]) : null;
  if (ms === null)
    fault(scan, at, length?.[0].trim() ?? '/', 'the pause needs a length', 'write 0:45/0:15 x5 plank / dead bug');
  return ms;
}
