import type { SessionTime } from '../units';
import type { Candidate, Phrase } from './call';
import type { CallKind } from './kinds';
import { phrases, type Speech } from './speech';

/** Makes candidates of one place of the session, with keys that stay the same from one working out to the next. */
export interface Maker {
  /** Somewhere in a window, in whole milliseconds. */
  readonly within: (kind: CallKind, from: SessionTime, until: SessionTime, full: string, short?: string) => Candidate;
  /** At its one moment. */
  readonly exactly: (kind: CallKind, at: SessionTime, say: string) => Candidate;
  readonly phrased: (kind: CallKind, at: SessionTime, phrase: Phrase) => Candidate;
}

/** A maker for a place that is named by what stays when times change: block, piece, round, stage. */
export function makerFor(place: string, speech: Speech): Maker {
  const counts = new Map<CallKind, number>();
  const key = (kind: CallKind): string => {
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    return `${place} ${kind}${count > 1 ? ` ${count}` : ''}`;
  };
  const phrased = (kind: CallKind, at: SessionTime, phrase: Phrase): Candidate => ({
    key: key(kind),
    kind,
    from: at,
    until: at + phrase.ms,
    phrases: [phrase],
  });
  return {
    within: (kind, from, until, full, short) => ({
      key: key(kind),
      kind,
      from: Math.ceil(from),
      until: Math.floor(until),
      phrases: phrases(full, short, speech),
    }),
    exactly: (kind, at, say) => phrased(kind, at, phrases(say, undefined, speech)[0] as Phrase),
    phrased,
  };
}
