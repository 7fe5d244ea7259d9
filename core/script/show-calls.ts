import { unfold } from '../mechanics/steps';
import { onsets } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import type { Combination } from '../notation/combination';
import type { PhraseKey } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, PaceFactor, SessionTime } from '../units';
import { leastGap, type Candidate, type Part, type Phrase } from './call';
import { makerFor } from './candidate';
import { leafPlace } from './leaf-calls';
import type { CallOptions } from './options';
import { filled } from './saying';
import { sayCombination, sayStrikes } from './say-combination';
import { worded, type Speech } from './speech';

/** A combination is shown much slower than it is worked (house value). */
export const showPace: PaceFactor = 0.5;
/** Between one showing and the next (house value). */
const betweenShows: Milliseconds = 1500;

/** The two halves of a combination, cut behind the middle move; null where there is nothing to halve. */
function halvesOf(combination: Combination): readonly [Combination, Combination] | null {
  const moves = unfold(combination).flatMap((step) => step.content);
  if (moves.length < 2) return null;
  const cut = Math.ceil(moves.length / 2);
  return [{ items: moves.slice(0, cut) }, { items: moves.slice(cut) }];
}

/** The places of a combination's steps, in order. */
const placesOf = (combination: Combination): string[] =>
  studyOf(combination, 'orthodox').turns[0]?.walk.steps.map(({ step }) => step.path.join('.')) ?? [];

/** A combination move by move, slowly, with a word for what part it is; no move is named before the last word is over. */
function showing(combination: Combination, key: PhraseKey, speech: Speech, places: readonly string[]): Phrase | null {
  const [repetition] = studyOf(combination, 'orthodox').turns;
  if (!repetition) return null;
  const label = worded(speech, key).full;
  const words = sayStrikes(combination, 0, speech);
  const parts: Part[] = [{ ...label, at: 0 }];
  let free: Milliseconds = speech.lengthOf(label) + leastGap;
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
  const whole = filled('{label}: {combination}', { label, combination: sayCombination(combination, speech) });
  return { form: 'full', ...whole, ms: Math.round(free - leastGap), parts };
}

/**
 * A show is taught: the combination is named, then shown in halves and whole, slowly, again and again as long as its time
 * lasts. None begins that cannot be ended.
 */
export function showCalls(leaf: Leaf, until: SessionTime, { speech }: CallOptions): Candidate[] {
  const { combination } = leaf;
  if (!combination || combination.items[0]?.kind === 'freestyle') return [];
  const make = makerFor(`${leafPlace(leaf)} show`, speech);
  const named = worded(speech, 'watch', { combination: sayCombination(combination, speech) });
  const opening = make.within('new', leaf.at, until, named);
  const [full] = opening.phrases;
  const takes = full?.ms ?? 0;
  const halves = halvesOf(combination);
  const places = placesOf(combination);
  const cut = halves ? placesOf(halves[0]).length : 0;
  const showings = [
    ...(halves
      ? [showing(halves[0], 'first half', speech, places), showing(halves[1], 'second half', speech, places.slice(cut))]
      : []),
    showing(combination, 'whole', speech, places),
  ].flatMap((phrase) => phrase ?? []);
  const out: Candidate[] = [{ ...opening, until: Math.min(until, leaf.at + takes) }];
  let at = leaf.at + takes + betweenShows;
  for (let index = 0; showings.length > 0; index += 1) {
    const phrase = showings[index % showings.length];
    if (!phrase || at + phrase.ms > until) break;
    out.push(make.phrased('teach', Math.ceil(at / 100) * 100, phrase));
    at += phrase.ms + betweenShows;
  }
  return out;
}
