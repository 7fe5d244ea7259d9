import { scriptOf, toSeconds, type Call, type Dropped } from '../core/index';
import { readableSheet } from './sheet';

/** A call with every moment on the session's clock. */
const shown = ({ at, ms, kind, say, form, parts }: Call): unknown => ({
  at: toSeconds(at),
  seconds: toSeconds(ms),
  kind,
  say,
  form,
  ...(parts ? { parts: parts.map((part) => ({ at: toSeconds(at + part.at), say: part.say })) } : {}),
});

const unsaid = ({ kind, say, why, opens }: Dropped): unknown => ({ at: toSeconds(opens), kind, say, why });

/** `tempo calls FILE`: the script of a session. */
export function calls(path: string): unknown {
  const track = scriptOf(readableSheet(path));
  return {
    calls: track.calls.map(shown),
    breaks: track.breaks.map(({ at, calls: said }) => ({ at: toSeconds(at), calls: said.map(shown) })),
    dropped: track.dropped.map(unsaid),
    shortened: track.shortened.map(unsaid),
    crowded: track.crowded.map(({ from, ...rest }) => ({ at: toSeconds(from), ...rest })),
  };
}
