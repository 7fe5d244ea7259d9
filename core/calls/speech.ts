import { unfold } from '../mechanics/steps';
import { fullMoveName, type Move } from '../moves/move';
import { six, type Scheme } from '../moves/scheme';
import type { Combination, Item } from '../notation/combination';
import { writeMove, writeSlot } from '../notation/write';
import type { Sheet } from '../session/schema';
import { schemeOrSix } from '../session/stored';
import type { Milliseconds } from '../units';
import { bellMs, spokenLength, type Part, type Phrase } from './call';
import type { PhraseKey } from './kinds';
import { numberWord } from './number-words';
import { usualCheers, usualFocuses, usualPhrases, type Focus, type Wording, type Wordings } from './phrasebook';

/** How things are said: whose words, whose numbers, and how long they take. */
export interface Speech {
  readonly wording: (key: PhraseKey) => Wording;
  readonly focuses: readonly Focus[];
  readonly cheers: readonly string[];
  readonly scheme: Scheme;
  readonly strikesAs: 'numbers' | 'names';
  /** Time that words take, in the chosen voice or by the speaking rate. */
  readonly lengthOf: (words: string) => Milliseconds;
}

/** Speech from the sheet's wordings, then the coach's, then ours. `speechOf(sheet).wording('rest').full` */
export function speechOf(
  sheet: Sheet | null,
  coach: Wordings = {},
  lengthOf: Speech['lengthOf'] = spokenLength,
): Speech {
  const own = sheet?.calls?.wordings ?? {};
  const said = new Map<PhraseKey, Wording>();
  for (const { key, full, short } of [...(coach.phrases ?? []), ...(own.phrases ?? [])])
    said.set(key, { full, ...(short === undefined ? {} : { short }) });
  return {
    wording: (key) => said.get(key) ?? usualPhrases[key],
    focuses: own.focuses ?? coach.focuses ?? usualFocuses,
    cheers: own.cheers ?? coach.cheers ?? usualCheers,
    scheme: sheet ? schemeOrSix(sheet.numbers) : six,
    strikesAs: own.strikesAs ?? coach.strikesAs ?? 'numbers',
    lengthOf,
  };
}

/** Our own words, at the usual rate. */
export const usualSpeech: Speech = speechOf(null);

const filled = (words: string, values: Readonly<Record<string, string>>): string =>
  words.replace(/\{(\w+)\}/g, (whole, name: string) => values[name] ?? whole);

/** A wording with its blanks filled in. `worded(speech, 'seconds left', { seconds: 'thirty' }).full` */
export function worded(speech: Speech, key: PhraseKey, values: Readonly<Record<string, string>> = {}): Wording {
  const { full, short } = speech.wording(key);
  return { full: filled(full, values), ...(short === undefined ? {} : { short: filled(short, values) }) };
}

/** The number of a move in a scheme, where it has one and it is said by numbers. */
function numberOf(move: Move, { scheme, strikesAs }: Speech): string | null {
  if (strikesAs === 'names' || move.feint) return null;
  const { force: _, aim: __, ...plain } = move;
  const match = /^(\d+)(b?)(h?)$/.exec(writeMove(plain, scheme));
  if (!match) return null;
  const number = numberWord(Number(match[1]));
  return match[2] ? `${number} body` : match[3] ? `${number} head` : number;
}

function sayMove(move: Move, speech: Speech): string {
  return numberOf(move, speech) ?? fullMoveName(move);
}

function sayItem(item: Item, speech: Speech): string {
  switch (item.kind) {
    case 'move':
      return sayMove(item, speech);
    case 'slot':
      return writeSlot(item).replace(/^any (\d+)-(\d+)/, 'any $1 to $2');
    case 'freestyle':
      return 'freestyle';
    case 'pair':
      return item.moves.map((each) => sayMove(each, speech)).join(' with ');
    case 'group':
      return item.times > 1 ? `${sayItems(item.items, speech)}, ${item.times} times` : sayItems(item.items, speech);
    case 'turns':
      return item.options.map((option) => sayItems(option, speech)).join(', next time ');
  }
}

function sayItems(items: readonly Item[], speech: Speech): string {
  return items.map((item) => sayItem(item, speech)).join(', ');
}

/** A combination as it is said, lead and rear. `sayCombination(read('1 2 3b ro 4'))` → `one, two, three body, rear roll, four` */
export function sayCombination(combination: Combination, speech: Speech = usualSpeech): string {
  const known = sayings.get(speech) ?? new WeakMap<Combination, string>();
  sayings.set(speech, known);
  const said = known.get(combination) ?? sayItems(combination.items, speech);
  known.set(combination, said);
  return said;
}

/** The same combination is named, previewed and reminded of; each speech says it one way. */
const sayings = new WeakMap<Speech, WeakMap<Combination, string>>();

/** What is said of each step of a repetition, for calling strike by strike. */
export function sayStrikes(combination: Combination, turn: number, speech: Speech): string[] {
  return unfold(combination, turn).map(({ content }) => {
    const [first] = content;
    const strike = content.find((each): each is Move => each.kind === 'move' && each.target !== null);
    const said = strike ?? first;
    return said ? sayItem(said, speech) : '';
  });
}

/** A combination this long is said in parts with a breath between them (house values). */
const longItems = 6;
const partItems = 4;
const partPause: Milliseconds = 450;

/** Words in parts, each after the other with a pause. */
function inParts(words: readonly string[], speech: Speech): { readonly parts: Part[]; readonly ms: Milliseconds } {
  let at = 0;
  const parts = words.map((say): Part => {
    const part = { at, say };
    at += speech.lengthOf(say) + partPause;
    return part;
  });
  return { parts, ms: Math.max(0, at - partPause) };
}

/** The parts in which a long list of moves is said, from commas; one where it is short. `one, two, three, four` + `five, six, two` */
export function partsOf(words: string): string[] {
  const pieces = words.split(', ');
  if (pieces.length <= longItems) return [words];
  const count = Math.ceil(pieces.length / partItems);
  const size = Math.ceil(pieces.length / count);
  return Array.from({ length: count }, (_, at) => pieces.slice(at * size, (at + 1) * size).join(', ')).filter(Boolean);
}

function phraseOf(form: Phrase['form'], say: string, speech: Speech): Phrase {
  if (say === 'bell') return { form, say, ms: bellMs };
  const words = partsOf(say);
  if (words.length === 1) return { form, say, ms: speech.lengthOf(say) };
  return { form, say, ...inParts(words, speech) };
}

/** A candidate's forms from its words. */
export function phrases(full: string, short?: string, speech: Speech = usualSpeech): Phrase[] {
  const whole = phraseOf('full', full, speech);
  return short !== undefined && short !== full ? [whole, phraseOf('short', short, speech)] : [whole];
}
