import type { Milliseconds } from '../units';
import type { CurveKey } from './curve';

/** Keys nearer than this to one another would be a jerk: the later one gives way. */
export const leastApart: Milliseconds = 4;

interface TrackKey extends CurveKey {
  /** A return to guard that the next move may cut short. */
  readonly loose: boolean;
}

/** Keys of one group of channels while a motion is put together, in order of time. */
export type Track = TrackKey[];

/** A track that begins at rest. `newTrack([0, 0])` */
export function newTrack(row: readonly number[]): Track {
  return [{ at: 0, row, loose: false }];
}

/** Where a track has come to at a moment after its last firm key: on its way back, if it is. */
function rowAt(track: Track, at: Milliseconds): readonly number[] {
  const [before, last] = [track.at(-2), track.at(-1)];
  if (!last) return [];
  if (last.at <= at || !before) return last.row;
  const share = Math.max(0, (at - before.at) / (last.at - before.at));
  const eased = share * share * (3 - 2 * share);
  return last.row.map((value, channel) => (before.row[channel] ?? 0) + (value - (before.row[channel] ?? 0)) * eased);
}

function add(track: Track, key: TrackKey): void {
  const last = track.at(-1);
  if (last && key.at - last.at < leastApart) {
    if (key.loose) return;
    track.push({ ...key, at: last.at + leastApart });
    return;
  }
  track.push(key);
}

/** A move of this group begins: a return that has not arrived ends here, where it has come to. Nothing where it is later already. */
export function begin(track: Track, at: Milliseconds): void {
  const row = rowAt(track, at);
  const last = track.at(-1);
  if (last?.loose && last.at > at) track.pop();
  if ((track.at(-1)?.at ?? 0) + leastApart <= at) add(track, { at, row, loose: false });
}

/** A place to be at a moment. */
export function put(track: Track, at: Milliseconds, row: readonly number[]): void {
  const last = track.at(-1);
  if (last?.loose && last.at > at - leastApart) track.pop();
  add(track, { at, row, loose: false });
}

/** Back in guard by a moment, if nothing comes first. */
export function release(track: Track, at: Milliseconds, row: readonly number[]): void {
  add(track, { at, row, loose: true });
}

/** When the last firm key stands: until then the group is busy. */
export function firmUntil(track: Track): Milliseconds {
  return track.findLast(({ loose }) => !loose)?.at ?? 0;
}

/** What a track does last. */
export function lastRow(track: Track): readonly number[] {
  return track.at(-1)?.row ?? [];
}
