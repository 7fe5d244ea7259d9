import type { Milliseconds } from '../units';

/** Values at moments, in order of time; each row holds one number per channel. */
export interface Curve {
  readonly times: readonly Milliseconds[];
  readonly rows: readonly (readonly number[])[];
  readonly slopes: readonly (readonly number[])[];
}

/** A row of values at a moment. */
export interface CurveKey {
  readonly at: Milliseconds;
  readonly row: readonly number[];
}

/**
 * Slope at a key between two stretches: none at a turning point, else the weighted harmonic mean of both, so that the
 * curve never leaves the range of its two keys (Fritsch and Butland 1984, the monotone cubic of most numerical libraries).
 */
function slopeBetween(widthA: number, riseA: number, widthB: number, riseB: number): number {
  if (riseA * riseB <= 0) return 0;
  const [weightA, weightB] = [2 * widthB + widthA, widthB + 2 * widthA];
  return (weightA + weightB) / (weightA / riseA + weightB / riseB);
}

/**
 * A curve through keys in order of time that goes no further than they do and starts and ends at rest: position and
 * velocity are continuous. Keys must stand apart in time.
 * @example valueAt(curveThrough([{ at: 0, row: [0] }, { at: 100, row: [1] }]), 50, []) // [0.5]
 */
export function curveThrough(keys: readonly CurveKey[]): Curve {
  const slopes = keys.map(({ at, row }, index) => {
    const [before, after] = [keys[index - 1], keys[index + 1]];
    if (!before || !after) return row.map(() => 0);
    const [widthA, widthB] = [at - before.at, after.at - at];
    return row.map((value, channel) =>
      slopeBetween(
        widthA,
        (value - (before.row[channel] ?? 0)) / widthA,
        widthB,
        ((after.row[channel] ?? 0) - value) / widthB,
      ),
    );
  });
  return { times: keys.map(({ at }) => at), rows: keys.map(({ row }) => row), slopes };
}

/** The last key at or before a moment, or 0. */
function keyBefore(times: readonly Milliseconds[], at: Milliseconds): number {
  let [low, high] = [0, times.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((times[middle] ?? 0) <= at) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** The values at a moment, put into `out` and returned; before the first key and after the last they stand still. */
export function valueAt(curve: Curve, at: Milliseconds, out: number[]): number[] {
  const index = keyBefore(curve.times, at);
  const [rowA, rowB] = [curve.rows[index] ?? [], curve.rows[index + 1]];
  const [timeA, timeB] = [curve.times[index] ?? 0, curve.times[index + 1] ?? 0];
  if (!rowB || at <= timeA) {
    rowA.forEach((value, channel) => (out[channel] = value));
    return out;
  }
  const [slopeA, slopeB] = [curve.slopes[index] ?? [], curve.slopes[index + 1] ?? []];
  const width = timeB - timeA;
  const share = (at - timeA) / width;
  const [square, cube] = [share * share, share * share * share];
  for (let channel = 0; channel < rowA.length; channel += 1) {
    const [from, to] = [rowA[channel] ?? 0, rowB[channel] ?? 0];
    // A share of the way, so that two equal keys are held to the last bit: a planted foot stands still.
    out[channel] =
      from +
      (to - from) * (3 * square - 2 * cube) +
      (slopeA[channel] ?? 0) * width * (cube - 2 * square + share) +
      (slopeB[channel] ?? 0) * width * (cube - square);
  }
  return out;
}
