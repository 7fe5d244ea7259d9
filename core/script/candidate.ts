import type { CallKind } from '../sheet/call-kinds';
import type { SessionTime } from '../units';
import { bellPhrase, phraseOf, phrases, type Speech, type Words } from './speech';
import type { Candidate, Phrase } from './call';
import type { Saying } from './saying';
import type { SoundKind } from './sounds';

/** Makes candidates of one place of the session, with keys that stay the same from one working out to the next. */
export interface Maker {
  /** Somewhere in a window, in whole milliseconds. */
  readonly within: (kind: CallKind, from: SessionTime, until: SessionTime, words: Words) => Candidate;
  /** At its one moment. */
  readonly exactly: (kind: CallKind, at: SessionTime, saying: Saying, sound?: SoundKind) => Candidate;
  readonly phrased: (kind: CallKind, at: SessionTime, phrase: Phrase, sound?: SoundKind) => Candidate;
  readonly bell: (at: SessionTime, sound: SoundKind) => Candidate;
}

/** A maker for a place that is named by what stays when times change: block, piece, round, stage. */
export function makerFor(place: string, speech: Speech): Maker {
  const counts = new Map<CallKind, number>();
  const key = (kind: CallKind): string => {
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    return `${place} ${kind}${count > 1 ? ` ${count}` : ''}`;
  };
  const phrased: Maker['phrased'] = (kind, at, phrase, sound) => ({
    key: key(kind),
    kind,
    from: at,
    until: at + phrase.ms,
    phrases: [phrase],
    ...(sound ? { sound } : {}),
  });
  return {
    within: (kind, from, until, words) => ({
      key: key(kind),
      kind,
      from: Math.ceil(from),
      until: Math.floor(until),
      phrases: phrases(words, speech),
    }),
    exactly: (kind, at, saying, sound) => phrased(kind, at, phraseOf('full', saying, speech), sound),
    phrased,
    bell: (at, sound) => phrased('bell', at, bellPhrase, sound),
  };
}
