import { aims, coverageOfCombination } from '../log/coverage';
import { readStored } from '../notation/stored';
import { alphabet, lettersOf, type Letter } from './alphabet';
import { combinationOf } from './compose';
import { pairOf, type Liking } from './score';

/** A combination that was had, and how often. */
export interface Had {
  readonly text: string;
  readonly times: number;
}

/** The letters of a stored text, -1 for what is not searched for; null where it cannot be read. `lettersOfText('1 2')` */
export function lettersOfText(text: string): readonly Letter[] | null {
  const read = readStored(text);
  return read.ok ? lettersOf(read.value) : null;
}

/** Moves that serve one of these aims of coverage. `lettersFor(['body'])` */
function lettersFor(short: readonly string[]): ReadonlySet<Letter> {
  const wanted = aims.filter(({ id }) => short.includes(id));
  return new Set(
    alphabet.flatMap((_, letter) => {
      const coverage = coverageOfCombination(combinationOf([letter]));
      return wanted.some(({ part }) => part(coverage) > 0) ? [letter] : [];
    }),
  );
}

/**
 * What a coach has had, in the book and lately, and which moves serve the aims that are short.
 * @example likingOf([{ text: '1 2', times: 5 }], ['body']).seen.size // 1
 */
export function likingOf(had: readonly Had[], short: readonly string[]): Liking {
  const seen = new Map<number, number>();
  for (const { text, times } of had)
    lettersOfText(text)?.forEach((letter, at, letters) => {
      const before = letters[at - 1];
      if (before === undefined || before < 0 || letter < 0) return;
      const pair = pairOf(before, letter);
      seen.set(pair, (seen.get(pair) ?? 0) + times);
    });
  const lacks = short.length > 0 ? lettersFor(short) : null;
  return { seen, lacks: lacks && lacks.size > 0 ? lacks : null };
}
