import { callTrack, toSeconds, type Call } from '../core/index';
import { readableSheet } from './sheet';

const shown = ({ at, ms, kind, say, form }: Call): unknown => ({
  at: toSeconds(at),
  seconds: toSeconds(ms),
  kind,
  say,
  form,
});

/** `tempo calls FILE`: the script of a session. */
export function calls(path: string): unknown {
  const track = callTrack(readableSheet(path));
  return {
    calls: track.calls.map(shown),
    breaks: track.breaks.map(({ at, calls: said }) => ({ at: toSeconds(at), calls: said.map(shown) })),
    dropped: track.dropped,
    crowded: track.crowded.map(({ from, ...rest }) => ({ at: toSeconds(from), ...rest })),
  };
}
