import type { CallKind } from '../sheet/call-kinds';
import type { Milliseconds, SessionTime } from '../units';
import { bellPhrase, phraseOf, phrases, type Speech, type Words } from './speech';
import { longestForm, type Candidate, type Phrase } from './call';
import type { Saying } from './saying';
import type { SoundKind } from './sounds';

/** What takes long to say may at least begin so much later (house value). */
const longSlack: Milliseconds = 2500;

/** Makes candidates of one place of the session, with keys that stay the same from one working out to the next. */
export interface Maker {
  /** Somewhere in a window, in whole milliseconds. */
  readonly within: (kind: CallKind, from: SessionTime, until: SessionTime, words: Words) => Candidate;
  /** The same, in a window that is longer where the words take long; it ends by the last moment. */
  readonly withRoom: (
    kind: CallKind,
    from: SessionTime,
    until: SessionTime,
    last: SessionTime,
    words: Words,
  ) => Candidate;
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
  const within: Maker['within'] = (kind, from, until, words) => ({
    key: key(kind),
    kind,
    from: Math.ceil(from),
    until: Math.floor(until),
    phrases: phrases(words, speech),
  });
  return {
    within,
    withRoom: (kind, from, until, last, words) => {
      const made = within(kind, from, until, words);
      const longest = made.from + longestForm(made) + longSlack;
      return { ...made, until: Math.min(last, Math.max(made.until, longest)) };
    },
    exactly: (kind, at, saying, sound) => phrased(kind, at, phraseOf('full', saying, speech), sound),
    phrased,
    bell: (at, sound) => phrased('bell', at, bellPhrase, sound),
  };
}
