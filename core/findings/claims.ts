import { readNumberWord, numberPattern } from '../number-words';
import type { BlockKind } from '../sheet/schema';
import type { Milliseconds } from '../units';

/** Things whose number a title or note may promise. */
export type CountedThing =
  'round' | 'rest' | 'punch' | 'strike' | 'kick' | 'knee' | 'elbow' | 'move' | 'drill' | 'set' | 'stage';

/** Things whose length may be promised: the whole of what is titled, each round, each rest, work and pause, a kind of block. */
export type LongThing =
  'whole' | 'round' | 'rest' | 'on' | 'off' | 'drill' | 'set' | Exclude<BlockKind, 'round' | 'rest'>;

/** A promise that words make. */
export type Claim = {
  /** As it was written, and the number alone in it. */
  readonly words: string;
  readonly number: string;
} & (
  | { readonly kind: 'count'; readonly of: CountedThing; readonly count: number }
  | { readonly kind: 'length'; readonly of: LongThing; readonly ms: Milliseconds }
  | { readonly kind: 'ordinal'; readonly count: number }
);

const number = numberPattern;
const unit = 'seconds?|secs?|minutes?|mins?|hours?|s';
const clock = '\\d{1,2}:[0-5]\\d(?::[0-5]\\d)?';
// A unit stands apart from a number in words: “ones and twos” are no seconds.
const named = `(?:${number}|an?)(?:[\\s-]|(?<=\\d))(?:${unit})(?![a-z])`;
const length = `(?:${clock}|${named})`;
const counted =
  'rounds?|rests?|breaks?|punch(?:es)?|strikes?|kicks?|knees?|elbows?|moves?|drills?|exercises?|pieces?|sets?|stages?';
const long =
  'rounds?|rests?|breaks?|drills?|exercises?|pieces?|intervals?|sets?|warm[ -]?ups?|cool[ -]?downs?|core|conditioning|shows?|sessions?|class(?:es)?';

const things: readonly (readonly [stem: string, of: CountedThing])[] = [
  ['round', 'round'],
  ['rest', 'rest'],
  ['break', 'rest'],
  ['punch', 'punch'],
  ['strike', 'strike'],
  ['kick', 'kick'],
  ['knee', 'knee'],
  ['elbow', 'elbow'],
  ['move', 'move'],
  ['drill', 'drill'],
  ['exercise', 'drill'],
  ['piece', 'drill'],
  ['set', 'set'],
  ['stage', 'stage'],
];
const longThings: readonly (readonly [stem: string, of: LongThing])[] = [
  ['round', 'round'],
  ['rest', 'rest'],
  ['break', 'rest'],
  ['drill', 'drill'],
  ['exercise', 'drill'],
  ['piece', 'drill'],
  ['interval', 'drill'],
  ['set', 'set'],
  ['warm', 'warm-up'],
  ['cool', 'cool-down'],
  ['core', 'core'],
  ['conditioning', 'conditioning'],
  ['show', 'show'],
  ['session', 'whole'],
  ['class', 'whole'],
];
const thingNamed = (noun: string): CountedThing | null =>
  things.find(([stem]) => noun.toLowerCase().startsWith(stem))?.[1] ?? null;
const longNamed = (noun: string): LongThing | null =>
  longThings.find(([stem]) => noun.toLowerCase().startsWith(stem))?.[1] ?? null;

/** Small letters, each in the place of its capital: patterns that take both cases take ten times as long to compile. */
const small = (text: string): string => text.replace(/[A-Z]/g, (letter) => letter.toLowerCase());

/** Nothing is promised without a number, so most texts need none of the long patterns below. */
const anyNumber = new RegExp(`(?<!\\p{L})(?:${number}|an?[\\s-]?(?:${unit}))`, 'u');
const lengthPattern = new RegExp(`^(${number}|an?)[\\s-]?(${unit})?$`);
const numberOrClock = new RegExp(`${number}|${clock}`);
const unitPattern = new RegExp(`(${unit})$`);

/** A length as it is written; without a unit it takes another's. */
function readLength(text: string, otherUnit = ''): Milliseconds | null {
  const said = small(text.trim());
  const parts = /^(?:(\d{1,2}):)?(\d{1,2}):([0-5]\d)$/.exec(said);
  if (parts) return ((Number(parts[1] ?? 0) * 60 + Number(parts[2])) * 60 + Number(parts[3])) * 1000;
  const spoken = lengthPattern.exec(said);
  const value = readNumberWord(spoken?.[1] ?? '');
  const of = spoken?.[2] ?? otherUnit;
  if (value === null || of === '') return null;
  return Math.round(value * (of.startsWith('h') ? 3_600_000 : of.startsWith('m') ? 60_000 : 1000));
}

function numberOf(text: string): string {
  const found = numberOrClock.exec(small(text));
  return found ? text.slice(found.index, found.index + found[0].length) : text;
}

function count(of: CountedThing | null, text: string): Claim[] {
  const value = readNumberWord(text);
  return of === null || value === null ? [] : [{ kind: 'count', of, count: value, words: text, number: text.trim() }];
}

function lengthOf(of: LongThing | null, text: string, otherUnit = ''): Claim[] {
  const ms = readLength(text, otherUnit);
  return of === null || ms === null ? [] : [{ kind: 'length', of, ms, words: text, number: numberOf(text) }];
}

/** A way in which lengths and numbers are put; the first that fits a place takes it, so that nothing is read twice. */
interface Order {
  readonly pattern: RegExp;
  readonly read: (groups: Readonly<Record<string, string | undefined>>) => Claim[];
}

const order = (pattern: string, read: Order['read']): Order => ({
  pattern: new RegExp(`(?<![\\p{L}\\p{N}:.])(?:${pattern})(?![\\p{L}\\p{N}])`, 'duy'),
  read,
});
const unitOf = (text: string): string => unitPattern.exec(small(text.trim()))?.[1] ?? 's';

const orders: readonly Order[] = [
  // 45 s on, 15 off
  order(
    `(?<on>${length})\\s*(?:on|work)[\\s,/]+(?:and\\s+)?(?<off>${length}|${number})\\s*(?:off|rest)`,
    ({ on = '', off = '' }) => [...lengthOf('on', on), ...lengthOf('off', off, unitOf(on))],
  ),
  // 3 x 5 min rounds; 5 x 2:00
  order(
    `(?<n>${number})\\s*(?:x|×|times|by)\\s*(?<each>${length})(?:[\\s-]*(?<noun>rounds?|drills?|exercises?|pieces?|intervals?|sets?))?`,
    ({ n = '', each = '', noun }) => [
      ...count(noun ? thingNamed(noun) : 'round', n),
      ...lengthOf(noun ? longNamed(noun) : 'round', each),
    ],
  ),
  // four two-minute rounds
  order(`(?<n>${number})[\\s-]+(?<each>${length})[\\s-]+(?<noun>${long})`, ({ n = '', each = '', noun = '' }) => [
    ...count(thingNamed(noun), n),
    ...lengthOf(longNamed(noun), each),
  ]),
  // three rounds of five minutes; 5 rounds x 2 min
  order(
    `(?<n>${number})[\\s-]+(?<noun>rounds?|rests?|breaks?|sets?|drills?|exercises?|pieces?)\\s*(?:of|x|×|at|@|for)?\\s*(?<each>${length})(?:\\s+each)?`,
    ({ n = '', each = '', noun = '' }) => [...count(thingNamed(noun), n), ...lengthOf(longNamed(noun), each)],
  ),
  // one minute of rest; 30 second rests; five-minute core
  order(`(?<each>${length})[\\s-]+(?:of\\s+)?(?<noun>${long})`, ({ each = '', noun = '' }) =>
    lengthOf(longNamed(noun), each),
  ),
  // rests of 30 s; core of five minutes; warm-up 5:00
  order(
    `(?<noun>rests?|breaks?|rounds|warm[ -]?ups?|cool[ -]?downs?|core|conditioning)\\s*(?:of|:|,)?\\s*(?<each>${length})`,
    ({ each = '', noun = '' }) => lengthOf(longNamed(noun), each),
  ),
  // A clock alone may be a moment, so only a length with its unit is one of the whole.
  // “Every thirty seconds” says how often, not how long.
  order(`(?<!\\bevery\\s+)(?<each>${named})`, ({ each = '' }) => lengthOf('whole', each)),
  // round two, but not "round 3 minutes", which is a length
  order(`round\\s+(?:no\\.?\\s*|number\\s+)?(?<n>${number})`, ({ n = '' }) => {
    const value = readNumberWord(n);
    return value === null ? [] : [{ kind: 'ordinal', count: value, words: n, number: n }];
  }),
  order(`(?<n>${number})[\\s-]+(?<noun>${counted})`, ({ n = '', noun = '' }) => count(thingNamed(noun), n)),
];

/** The named parts of a match, as they are written. */
function asWritten(text: string, match: RegExpExecArray): Readonly<Record<string, string | undefined>> {
  const places = Object.entries(match.indices?.groups ?? {});
  return Object.fromEntries(places.map(([name, place]) => [name, place && text.slice(...place)]));
}

/**
 * What words promise, in figures or in words and in the usual orders: numbers of rounds, drills, punches, kicks, moves and
 * sets; lengths of the whole, of a round, of a rest, of a kind of block; which round it is.
 * @example claimsIn('four two-minute rounds') // four rounds, each 2:00
 */
export function claimsIn(text: string): Claim[] {
  const out: Claim[] = [];
  const smallText = small(text);
  if (!anyNumber.test(smallText)) return out;
  for (let at = 0; at < text.length;) {
    let end = 0;
    for (const { pattern, read } of orders) {
      pattern.lastIndex = at;
      const match = pattern.exec(smallText);
      if (!match) continue;
      const claims = read(asWritten(text, match));
      if (claims.length === 0) continue;
      end = at + match[0].length;
      const words = text.slice(at, end);
      out.push(...claims.map((claim) => ({ ...claim, words })));
      break;
    }
    at = Math.max(at + 1, end);
  }
  return out;
}
