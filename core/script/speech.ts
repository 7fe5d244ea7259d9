import { six, type Scheme } from '../moves/scheme';
import { schemeOrSix } from '../notation/stored';
import type { PhraseKey } from '../sheet/call-kinds';
import type { StrikeWords, Wording, Wordings } from '../sheet/calls';
import type { Sheet } from '../sheet/schema';
import type { Milliseconds } from '../units';
import { bellMs, spokenLength, type Part, type Phrase } from './call';
import { usualCheers, usualFocuses, type Cheer, type TechniqueCue } from './cues';
import { usualPhrases } from './phrasebook';
import { chunksOf, filled, plain, type Chunk, type Saying } from './saying';

/** How things are said: whose words, whose numbers, and how long they take. */
export interface Speech {
  readonly wording: (key: PhraseKey) => Wording;
  readonly focuses: readonly TechniqueCue[];
  readonly cheers: readonly Cheer[];
  readonly scheme: Scheme;
  readonly strikesAs: StrikeWords;
  /** Whether strikes are said by number and name where they are new: beginners learn which is which. */
  readonly bothOfNew: boolean;
  /** Whether a defence, kick or step is said with its side where it is new: beginners cannot know the usual one. */
  readonly sidesOfNew: boolean;
  /** Whether it is said with its side now. */
  readonly sided?: true;
  /** Time that words take, in the chosen voice or by the speaking rate. */
  readonly lengthOf: (saying: Saying) => Milliseconds;
}

/** Something to say in full, and in short where there is a shorter way; at length where there is much time. */
export interface Words {
  readonly long?: Saying;
  readonly full: Saying;
  readonly short?: Saying;
}

const byRate = ({ say }: Saying): Milliseconds => spokenLength(say);

/** Speech from the sheet's wordings, then the coach's, then ours. `speechOf(sheet).wording('rest').full` */
export function speechOf(sheet: Sheet | null, coach: Wordings = {}, lengthOf: Speech['lengthOf'] = byRate): Speech {
  const own = sheet?.calls?.wordings ?? {};
  const said = new Map<PhraseKey, Wording>();
  for (const { key, full, short } of [...(coach.phrases ?? []), ...(own.phrases ?? [])])
    said.set(key, { full, ...(short === undefined ? {} : { short }) });
  return {
    wording: (key) => said.get(key) ?? usualPhrases[key],
    focuses: coach.focuses ?? usualFocuses,
    cheers: (own.cheers ?? coach.cheers)?.map((words): Cheer => ({ words, fits: 'any' })) ?? usualCheers,
    scheme: sheet ? schemeOrSix(sheet.numbers) : six,
    strikesAs: own.strikesAs ?? coach.strikesAs ?? 'numbers',
    bothOfNew: (own.strikesAs ?? coach.strikesAs) === undefined && sheet?.class.level === 'beginner',
    sidesOfNew: sheet?.class.level === 'beginner',
    ...((own.sides ?? coach.sides) ? { sided: true as const } : {}),
    lengthOf,
  };
}

/** Speech for what people meet for the first time. */
export function forNew(speech: Speech): Speech {
  if (!speech.sidesOfNew && !speech.bothOfNew) return speech;
  return {
    ...speech,
    ...(speech.sidesOfNew ? { sided: true as const } : {}),
    strikesAs: speech.bothOfNew ? 'both' : speech.strikesAs,
  };
}

/** Our own words, at the usual rate. */
export const usualSpeech: Speech = speechOf(null);

/** A wording with its blanks filled in. `worded(speech, 'seconds left', { seconds: plain('thirty') }).full.say` */
export function worded(speech: Speech, key: PhraseKey, values: Readonly<Record<string, Saying>> = {}): Words {
  const { full, short } = speech.wording(key);
  const whole = filled(full, values);
  return short === undefined ? { full: whole } : { full: whole, short: filled(short, values) };
}

/** A combination this long is said in parts with a breath between them (house values). */
const longItems = 6;
const partItems = 4;
const partPause: Milliseconds = 450;

function sayingOf(chunks: readonly Chunk[]): Saying {
  const of = chunks.map(({ words, sign }, at) =>
    plain(at === chunks.length - 1 && sign === ',' ? words : `${words}${sign}`),
  );
  return { say: of.map(({ say }) => say).join(' '), of };
}

/** The parts in which a long list of moves is said; one where it is short. `one, two, three, four` + `five, six, two` */
export function partsOf(saying: Saying): readonly Saying[] {
  const chunks = chunksOf(saying);
  if (chunks.length <= longItems) return [saying];
  const count = Math.ceil(chunks.length / partItems);
  const size = Math.ceil(chunks.length / count);
  return Array.from({ length: count }, (_, at) => chunks.slice(at * size, (at + 1) * size))
    .filter((part) => part.length > 0)
    .map(sayingOf);
}

type Timing = Pick<Phrase, 'ms' | 'parts'>;

/** Each part after the other with a pause. */
function timed(sayings: readonly Saying[], speech: Speech): Timing {
  let at = 0;
  const parts = sayings.map((saying): Part => {
    const part = { ...saying, at };
    at += speech.lengthOf(saying) + partPause;
    return part;
  });
  return { parts, ms: Math.max(0, at - partPause) };
}

/** The same words come again in every round; in one voice they take the same time. */
const timings = new WeakMap<Speech['lengthOf'], Map<string, Timing>>();
const mostTimings = 5000;

function timingOf(saying: Saying, speech: Speech): Timing {
  let known = timings.get(speech.lengthOf);
  if (!known || known.size > mostTimings) timings.set(speech.lengthOf, (known = new Map<string, Timing>()));
  let timing = known.get(saying.say);
  if (!timing) {
    const parts = partsOf(saying);
    timing = parts.length === 1 ? { ms: speech.lengthOf(saying) } : timed(parts, speech);
    known.set(saying.say, timing);
  }
  return timing;
}

/** Words in one form with the time they take. */
export function phraseOf(form: Phrase['form'], saying: Saying, speech: Speech): Phrase {
  const { say, of } = saying;
  const { ms, parts } = timingOf(saying, speech);
  const phrase = of ? { form, say, of, ms } : { form, say, ms };
  return parts ? { ...phrase, parts } : phrase;
}

/** A bell, which is no words but takes its time. */
export const bellPhrase: Phrase = { form: 'full', ...plain('bell'), ms: bellMs };

/** A candidate's forms from its words: the longest is the full one. */
export function phrases({ long, full, short }: Words, speech: Speech = usualSpeech): Phrase[] {
  const [first, ...shorter] = [long, full, short].filter((each): each is Saying => each !== undefined);
  if (!first) return [];
  const others = shorter.filter(({ say }, at) => say !== (at === 0 ? first : shorter[at - 1])?.say);
  return [phraseOf('full', first, speech), ...others.map((each) => phraseOf('short', each, speech))];
}
