import { onsets } from '../mechanics/study';
import type { Combination } from '../notation/combination';
import type { Leaf } from '../timeline/leaf';
import { repetitionsOf } from '../timeline/repetitions';
import type { Milliseconds } from '../units';
import { leastGap, type Candidate, type Part, type Phrase } from './call';
import type { Maker } from './candidate';
import { joined, plain } from './saying';
import { sayStrikes } from './say-combination';
import type { Speech } from './speech';

/** Repetitions with less than the least gap between them are called in lines about this long (house value). */
const lineMs: Milliseconds = 4000;
/** What is left of a word has to last this long to be heard (house value; the shortest clip of a number is 0.25 s). */
const shortestWord: Milliseconds = 120;

/** A repetition with its words, from the leaf's beginning. */
interface Called {
  readonly at: Milliseconds;
  readonly end: Milliseconds;
  readonly parts: readonly Part[];
}

/** The whole repetitions of a leaf, each strike on the combination's own time. */
function calledRepetitions(leaf: Leaf, combination: Combination, speech: Speech): Called[] {
  return repetitionsOf(leaf).map(({ at, end, turn, repetition }) => {
    const words = sayStrikes(combination, turn, speech);
    const parts = onsets(repetition).map((onset, index) => ({
      at: at + onset / leaf.pace,
      ...(words[index] ?? plain('')),
    }));
    return { at, end, parts };
  });
}

/** Repetitions in lines: each its own where there is a breath between them, else as many as make a line. */
function linesOf(repetitions: readonly Called[], gapMs: Milliseconds): Called[][] {
  if (gapMs >= leastGap) return repetitions.map((each) => [each]);
  const lines: Called[][] = [];
  for (const repetition of repetitions) {
    const line = lines.at(-1);
    if (line && repetition.end - (line[0]?.at ?? 0) <= lineMs) line.push(repetition);
    else lines.push([repetition]);
  }
  return lines;
}

/**
 * Each strike of a leaf that wants it called on the combination's own time grid; none elsewhere. What is said for a step
 * stops where the next one begins; a line stops early enough for the least gap before the next one, so non-stop work has
 * a silent strike now and then.
 * @example strikeCalls(leaf, make, speech)[0].phrases[0].parts // [{ at: 0, say: 'one' }, { at: 300, say: 'two' }]
 */
export function strikeCalls(leaf: Leaf, make: Maker, speech: Speech): Candidate[] {
  if (leaf.voice !== 'strikes' || !leaf.combination) return [];
  return linesOf(calledRepetitions(leaf, leaf.combination, speech), leaf.gapMs).map((line) => {
    const begin = Math.round(line[0]?.at ?? 0);
    const end = Math.floor((line.at(-1)?.end ?? 0) - Math.max(0, leastGap - leaf.gapMs));
    const parts = line
      .flatMap((repetition) => repetition.parts)
      .filter(({ at }) => end - at >= shortestWord)
      .map((part): Part => ({ ...part, at: Math.round(part.at) - begin }));
    const phrase: Phrase = {
      form: 'full',
      ...joined(
        parts.map(({ at: _, ...saying }) => saying),
        ', ',
      ),
      ms: end - begin,
      parts,
    };
    return make.phrased('strikes', leaf.at + begin, phrase);
  });
}
