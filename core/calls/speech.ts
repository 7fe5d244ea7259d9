import { six, type Scheme } from '../moves/scheme';
import type { Sheet } from '../session/schema';
import { schemeOrSix } from '../session/stored';
import type { Milliseconds } from '../units';
import { bellMs, spokenLength, type Part, type Phrase } from './call';
import type { PhraseKey } from './kinds';
import {
  usualCheers,
  usualFocuses,
  usualPhrases,
  type TechniqueFocus,
  type Wording,
  type Wordings,
} from './phrasebook';

/** How things are said: whose words, whose numbers, and how long they take. */
export interface Speech {
  readonly wording: (key: PhraseKey) => Wording;
  readonly focuses: readonly TechniqueFocus[];
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
  words.includes('{') ? words.replace(/\{(\w+)\}/g, (whole, name: string) => values[name] ?? whole) : words;

/** A wording with its blanks filled in. `worded(speech, 'seconds left', { seconds: 'thirty' }).full` */
export function worded(speech: Speech, key: PhraseKey, values: Readonly<Record<string, string>> = {}): Wording {
  const { full, short } = speech.wording(key);
  return { full: filled(full, values), ...(short === undefined ? {} : { short: filled(short, values) }) };
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

type Timing = Pick<Phrase, 'ms' | 'parts'>;

/** The same words come again in every round; in one voice they take the same time. */
const timings = new WeakMap<Speech['lengthOf'], Map<string, Timing>>();
const mostTimings = 5000;

function timingOf(say: string, speech: Speech): Timing {
  let known = timings.get(speech.lengthOf);
  if (!known || known.size > mostTimings) timings.set(speech.lengthOf, (known = new Map<string, Timing>()));
  let timing = known.get(say);
  if (!timing) {
    const words = partsOf(say);
    timing = words.length === 1 ? { ms: speech.lengthOf(say) } : inParts(words, speech);
    known.set(say, timing);
  }
  return timing;
}

function phraseOf(form: Phrase['form'], say: string, speech: Speech): Phrase {
  return say === 'bell' ? { form, say, ms: bellMs } : { form, say, ...timingOf(say, speech) };
}

/** A candidate's forms from its words. */
export function phrases(full: string, short?: string, speech: Speech = usualSpeech): Phrase[] {
  const whole = phraseOf('full', full, speech);
  return short !== undefined && short !== full ? [whole, phraseOf('short', short, speech)] : [whole];
}
