import { onsets } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import { unfold } from '../mechanics/steps';
import type { Combination } from '../notation/combination';
import { numberWord } from '../number-words';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, PaceFactor, SessionTime } from '../units';
import { leastGap, type Candidate, type Part, type Phrase } from './call';
import { makerFor } from './candidate';
import { leafPlace } from './leaf-calls';
import type { CallOptions } from './options';
import { filled, joined, plain, type Saying } from './saying';
import { sayCombination, sayStrikes } from './say-combination';
import { partShown, partsToShow } from './show-parts';
import { forNew, worded, type Speech } from './speech';

/** A combination is shown much slower than it is worked (house value). */
export const showPace: PaceFactor = 0.5;
/** Between one showing and the next (house value). */
const betweenShows: Milliseconds = 1500;
/** A single move is shown so often, with time to try it after each (house values; trade page, section 15). */
const mostLoneShows = 3;
const timeToTry: Milliseconds = 4000;

/** One showing: the whole of a combination, or a part of it. */
interface Showing {
  readonly phrase: Phrase;
  readonly whole: boolean;
}

/** A combination move by move, slowly, with a word for what part it is; no move is named before the last word is over. */
function showing(
  combination: Combination,
  label: Saying | null,
  speech: Speech,
  places: readonly string[],
): Phrase | null {
  const [repetition] = studyOf(combination, 'orthodox').turns;
  if (!repetition) return null;
  const words = sayStrikes(combination, 0, speech);
  const parts: Part[] = label ? [{ ...label, at: 0 }] : [];
  let free: Milliseconds = label ? speech.lengthOf(label) + leastGap : 0;
  let last: Milliseconds = free;
  const begins = onsets(repetition).map((onset) => onset / showPace);
  begins.forEach((onset, index) => {
    const saying = words[index];
    if (!saying) return;
    const at = Math.round(Math.max(free, last + onset - (begins[index - 1] ?? 0)));
    const step = places[index];
    parts.push({ ...saying, at, ...(step === undefined ? {} : { step }) });
    last = at;
    free = at + speech.lengthOf(saying) + leastGap;
  });
  const spoken = sayCombination(combination, speech);
  const whole = label ? filled('{label}: {combination}', { label, combination: spoken }) : spoken;
  return { form: 'full', ...whole, ms: Math.round(free - leastGap), parts };
}

/** What part it is: halves by name where there are two, else by number. */
function partLabel(at: number, of: number, speech: Speech): Saying {
  if (of === 2) return worded(speech, at === 0 ? 'first half' : 'second half').full;
  return worded(speech, 'part', { number: plain(numberWord(at + 1)) }).full;
}

/** All that is shown in one go: the parts, then the whole, with every option of what alternates. */
function showingsOf(combination: Combination, speech: Speech): Showing[] {
  const { turns } = studyOf(combination, 'orthodox');
  return turns.flatMap((_, turn): Showing[] => {
    const steps = unfold(combination, turn);
    const places = steps.map(({ path }) => path.join('.'));
    const parts = partsToShow(combination, turn);
    const whole = partShown(combination, turn, { from: 0, to: steps.length });
    const lone = steps.length === 1;
    return [
      ...parts.map((part, at) => ({
        phrase: showing(
          partShown(combination, turn, part),
          partLabel(at, parts.length, speech),
          speech,
          places.slice(part.from),
        ),
        whole: false,
      })),
      { phrase: showing(whole, lone ? null : worded(speech, 'whole').full, speech, places), whole: true },
    ].flatMap(({ phrase, whole: all }) => (phrase ? [{ phrase, whole: all }] : []));
  });
}

/** What a demo is called before its combination: its title, and the coach's own label. */
function named({ title, words }: Leaf, combination: Saying): Saying {
  return joined([...[title, words].flatMap((each) => (each ? [plain(each)] : [])), combination], ', ');
}

/**
 * A demo is taught: the combination is named, then shown in parts and whole, slowly, again and again as long as its time
 * lasts; it ends on the whole. None begins that cannot be ended. A single move is shown three times, with time to try it.
 */
export function showCalls(leaf: Leaf, from: SessionTime, until: SessionTime, { speech }: CallOptions): Candidate[] {
  const { combination } = leaf;
  if (!combination || combination.items[0]?.kind === 'freestyle') return [];
  const make = makerFor(`${leafPlace(leaf)} show`, speech);
  const words = worded(speech, 'watch', { combination: named(leaf, sayCombination(combination, forNew(speech))) });
  const opening = make.within('new', from, until, words);
  const takes = opening.phrases[0]?.ms ?? 0;
  const showings = showingsOf(combination, speech);
  const lone = showings.length === 1 && unfold(combination).length === 1;
  const gap = lone ? timeToTry : betweenShows;
  const out: { readonly call: Candidate; readonly whole: boolean }[] = [];
  let at = from + takes + betweenShows;
  for (let index = 0; showings.length > 0 && (!lone || index < mostLoneShows); index += 1) {
    const shown = showings[index % showings.length];
    if (!shown || at + shown.phrase.ms > until) break;
    out.push({ call: make.phrased('teach', Math.ceil(at / 100) * 100, shown.phrase), whole: shown.whole });
    at += shown.phrase.ms + gap;
  }
  const ends = out.findLastIndex(({ whole }) => whole);
  const shown = ends < 0 ? out : out.slice(0, ends + 1);
  return [
    { ...opening, until: Math.min(until, from + takes + betweenShows - leastGap), due: from },
    ...shown.map(({ call }) => call),
  ];
}
