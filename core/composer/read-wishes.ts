import { bagKinds, levels } from '../bags/kind-names';
import { shownBag } from '../bags/kinds';
import { bad, good, type Read } from '../fault';
import { effortNames, focusNames, paceOf } from '../mechanics/effort';
import { targets } from '../moves/kind';
import { readNumberWord } from '../number-words';
import type { Letter } from './alphabet';
import type { PaceFactor } from '../units';
import { barredBy, gatheredBy, spelled } from './gatherings';
import { mostMoves, noNames, type Wish, type WishKind, type WishNames } from './wish';

/** No pace is faster (trade page, section 4: the effective pace is capped there, here rounded up). */
const fastest: PaceFactor = 1.5;

type Reading = readonly WishKind[] | { readonly mend: string };

const oneWish = (wish: WishKind): Reading => [wish];

function counted(least: number, most: number, what: string, { scheme }: WishNames): Reading {
  if (least > most) return { mend: `write the smaller number first: ${most}-${least}` };
  if (what === 'move' || what === 'moves')
    return most > mostMoves
      ? { mend: `use at most ${mostMoves} moves` }
      : oneWish({ kind: 'moves', least: Math.max(1, least), most });
  const of = gatheredBy(what);
  if (of) return oneWish({ kind: 'count', of, least, most });
  const letters = spelled(what, scheme) ?? spelled(what.replace(/s$/, ''), scheme);
  const [letter] = letters ?? [];
  return letter === undefined || letters?.length !== 1
    ? { mend: `“${what}” is not a kind of strike or a move: use punches, strikes, moves, defences, or a move` }
    : oneWish({ kind: 'count', of: barredBy(letter), least, most });
}

/** The moves of a text, or of a combination of the book by its name. */
const movesOf = (text: string, { book, scheme }: WishNames): readonly Letter[] | null =>
  spelled(text, scheme) ?? book.find(({ name }) => name.toLowerCase() === text)?.letters ?? null;

function withText(kind: 'begins' | 'ends' | 'contains', text: string, names: WishNames): Reading {
  const letters = movesOf(text, names);
  return letters
    ? oneWish({ kind, letters })
    : { mend: `after ${kind} put plain moves (${kind} 1 2 3b) or the name of one of your combinations` };
}

function barred(text: string, { scheme }: WishNames): Reading {
  const many = gatheredBy(text);
  if (many) return oneWish({ kind: 'without', letters: many });
  const letters = spelled(text, scheme);
  if (!letters) return { mend: 'after without, put a move, a kind of strike (kicks) or a height (body)' };
  return oneWish({ kind: 'without', letters: new Set(letters.flatMap((letter) => [...barredBy(letter)])) });
}

function allowedOnly(text: string, { scheme }: WishNames): Reading {
  const letters = gatheredBy(text) ?? spelled(text, scheme);
  return letters
    ? oneWish({ kind: 'only', letters: new Set(letters) })
    : { mend: 'after only, put moves: only 1 2 3 sl' };
}

/** Kinds of bag as screens name them: so they are offered, and so they are read beside their keys. */
const shownBags = bagKinds.map((kind) => shownBag(kind));

function onBag(text: string, { bags, conditions }: WishNames): Reading {
  const own = bags.find(({ name }) => name.toLowerCase() === text);
  if (own) return oneWish({ kind: 'on', bag: own.kind, conditions: own.conditions });
  const said = text.replace(/^the\s+/, '');
  const bag = bagKinds.find((kind) => [kind, shownBag(kind)].includes(said));
  return bag
    ? oneWish({ kind: 'on', bag, conditions })
    : {
        mend: `after on write a bag: ${[...bags.map(({ name }) => name), ...shownBags].join(', ')}`,
      };
}

const allBags = ({ bags }: WishNames): Reading =>
  bags.length > 0
    ? bags.map(({ kind, conditions }) => ({ kind: 'on', bag: kind, conditions }))
    : {
        mend: `this room has no bags; use "on" with a kind of bag: ${shownBags.join(', ')}`,
      };

/** Moves with `_` for any one. */
function alike(text: string, { scheme }: WishNames): Reading {
  const places = text.split(' ').map((word) => (word === '_' ? null : (spelled(word, scheme) ?? [])));
  if (places.some((place) => place?.length === 0) || places.length > mostMoves)
    return { mend: `after like use at most ${mostMoves} moves, and _ for any: like 1 2 _ 3` };
  return oneWish({ kind: 'like', places: places.flatMap((place): (Letter | null)[] => (place ? [...place] : [null])) });
}

function throughHeights(text: string): Reading {
  const pattern = text.split(' ').flatMap((word) => targets.find((target) => target === word) ?? []);
  return pattern.length === text.split(' ').length
    ? oneWish({ kind: 'heights', pattern })
    : { mend: `after heights, put ${targets.join(', ')}: heights head head body` };
}

function awayFrom(edits: string, text: string, names: WishNames): Reading {
  const number = readNumberWord(edits);
  const from =
    text === 'the book' || text === 'my combinations'
      ? names.book.map(({ letters }) => letters)
      : [movesOf(text, names)];
  return number === null || from.includes(null)
    ? { mend: 'use 2 changes from my combinations, or 2 changes from 1 2 3' }
    : oneWish({ kind: 'away', from: from.flatMap((letters) => (letters ? [letters] : [])), edits: number });
}

function teaching(text: string, { drills }: WishNames): Reading {
  const drill = drills.find(({ names }) => names.some((name) => name.toLowerCase() === text));
  const [first] = drills;
  if (drill) return oneWish({ kind: 'contains', letters: drill.letters });
  return {
    mend: `after teaches write a fault${first ? `, as ${drills.map(({ names }) => names[0]).join(', ')}` : ''}`,
  };
}

/** Seconds at a pace: as a factor, or as an effort or focus is worked. The wish is kept at steady pace. */
function withSeconds(seconds: string, at: string | undefined): Reading {
  const effort = effortNames.find((each) => each === at);
  const focus = focusNames.find((each) => each === at);
  const factor = at === undefined ? 1 : effort || focus ? paceOf(effort ?? 'steady', focus) : Number(at);
  return factor > 0 && factor <= fastest
    ? oneWish({ kind: 'at most', ms: Math.round(Number(seconds) * 1000 * factor) })
    : { mend: `after at, put a pace up to ${fastest}, or ${[...effortNames, ...focusNames].join(', ')}` };
}

function withNumbers(least: string, most: string, what: string, names: WishNames): Reading | null {
  const [from, to] = [least, most].map(readNumberWord);
  return from === null || to === null || from === undefined || to === undefined ? null : counted(from, to, what, names);
}

/** A phrase, how it is written in a mend, and what it wishes; null where it only looked like it. */
interface Phrase {
  readonly written: string;
  readonly form: RegExp;
  readonly read: (words: readonly (string | undefined)[], names: WishNames) => Reading | null;
}

/** Every phrase; a new one is a line here and one in docs/compose.md. */
const phrases: readonly Phrase[] = [
  { written: 'flows', form: /^flows$/, read: () => oneWish({ kind: 'flows' }) },
  { written: 'loops', form: /^loops$/, read: () => oneWish({ kind: 'loops' }) },
  { written: 'same stance', form: /^same stance$/, read: () => oneWish({ kind: 'same stance' }) },
  { written: 'answered', form: /^(?:(?:each )?defences? )?answered$/, read: () => oneWish({ kind: 'answered' }) },
  {
    written: 'all bags',
    form: /^(?:(?:fits )?(?:on )?)?(?:all|both)(?: the)? bags$/,
    read: (_, names) => allBags(names),
  },
  {
    written: 'begins TEXT',
    form: /^(?:begins|starts)(?: (?:on|with|from))? (.+)$/,
    read: ([text = ''], names) => withText('begins', text, names),
  },
  {
    written: 'ends TEXT',
    form: /^ends(?: (?:on|with|in))? (.+)$/,
    read: ([text = ''], names) => withText('ends', text, names),
  },
  {
    written: 'contains MOVE',
    form: /^contains (.+)$/,
    read: ([text = ''], names) => withText('contains', text, names),
  },
  { written: 'without MOVE', form: /^(?:without|no) (.+)$/, read: ([text = ''], names) => barred(text, names) },
  { written: 'only MOVES', form: /^only (.+)$/, read: ([text = ''], names) => allowedOnly(text, names) },
  { written: 'like 1 2 _', form: /^like (.+)$/, read: ([text = ''], names) => alike(text, names) },
  { written: 'heights head body', form: /^heights (.+)$/, read: ([text = '']) => throughHeights(text) },
  {
    written: 'sides within 20%',
    form: /^sides within (\d+(?:\.\d+)?) ?(?:%|per cent)$/,
    read: ([percent = '']) => oneWish({ kind: 'sides', percent: Number(percent) }),
  },
  { written: 'on BAG', form: /^(?:fits )?on (.+)$/, read: ([text = ''], names) => onBag(text, names) },
  {
    written: 'level LEVEL',
    form: /^level (.+)$/,
    read: ([text]) => {
      const level = levels.find((each) => each === text);
      return level ? oneWish({ kind: 'level', level }) : { mend: `after level write ${levels.join(', ')}` };
    },
  },
  {
    written: 'at most S s',
    form: /^at most (\d+(?:\.\d+)?) ?(?:s|seconds?)(?: at (\S+))?$/,
    read: ([seconds = '', at]) => withSeconds(seconds, at),
  },
  {
    written: 'at most N kicks',
    form: /^at most (\S+) (.+)$/,
    read: ([most = '', what = ''], names) => withNumbers('0', most, what, names),
  },
  {
    written: '2 changes from my combinations',
    form: /^(\S+) (?:edits?|changes?) (?:away )?from (.+)$/,
    read: ([edits = '', text = ''], names) => awayFrom(edits, text, names),
  },
  { written: 'teaches FAULT', form: /^teaches (.+)$/, read: ([text = ''], names) => teaching(text, names) },
  {
    written: 'N-M moves',
    form: /^(\S+?) ?- ?(\S+) (.+)$/,
    read: ([least = '', most = '', what = ''], names) => withNumbers(least, most, what, names),
  },
  {
    written: 'N punches',
    form: /^(\S+) (.+)$/,
    read: ([number = '', what = ''], names) => withNumbers(number, number, what, names),
  },
];

const howTo = `use phrases separated by commas: ${phrases.map(({ written }) => written).join(', ')}`;

function wishesOf(phrase: string, names: WishNames): Reading {
  for (const { form, read } of phrases) {
    const words = form.exec(phrase);
    const said = words && read(words.slice(1), names);
    if (said) return said;
  }
  return { mend: howTo };
}

/**
 * Reads wishes: short phrases parted by commas (docs/compose.md). A phrase that is none says where it stands and how to mend it.
 * `names` are the combinations, bags and drills that they may name.
 * @example readWishes('4-6 moves, begins 1 2, ends 3, flows')
 */
export function readWishes(text: string, names: WishNames = noNames): Read<readonly Wish[]> {
  const wishes: Wish[] = [];
  let at = 0;
  for (const part of text.split(',')) {
    const phrase = part.trim().replace(/\s+/g, ' ').toLowerCase();
    const start = at + (part.length - part.trimStart().length);
    at += part.length + 1;
    if (phrase === '') continue;
    const read = wishesOf(phrase, names);
    if ('mend' in read)
      return bad({
        at: start,
        end: start + part.trim().length,
        read: part.trim(),
        what: `“${part.trim()}” is not a criterion we know`,
        mend: read.mend,
      });
    wishes.push(...read.map((wish) => ({ ...wish, phrase })));
  }
  return wishes.length > 0
    ? good(wishes)
    : bad({ at: 0, end: text.length, read: text, what: 'enter at least one criterion', mend: howTo });
}
