import type { Decibels, Hertz } from '../units';

// How a clip is cut and levelled: the pack's clips and a coach's own words alike, so that both sound as one voice. Figures:
// measured facts of the project's page on voices.
const level: Decibels = -16;
const trimAt: Decibels = -40;
/** Kept around what is heard, in seconds. */
const pad = 0.008;

const ratio = (decibels: Decibels): number => 10 ** (decibels / 20);

function trimmed(samples: Float32Array, rate: Hertz): Float32Array {
  const peak = samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  const heard = (value: number): boolean => Math.abs(value) > peak * ratio(trimAt);
  const first = samples.findIndex(heard);
  if (first < 0) return new Float32Array(0);
  const around = Math.round(pad * rate);
  return samples.slice(Math.max(0, first - around), Math.min(samples.length, samples.findLastIndex(heard) + around));
}

/** Root mean square of the loud fiftieths of a second: pauses do not make a clip softer. */
function gated(samples: Float32Array, rate: Hertz): number {
  const step = Math.round(rate / 50);
  const powers: number[] = [];
  for (let at = 0; at + step <= samples.length; at += step)
    powers.push(samples.subarray(at, at + step).reduce((sum, value) => sum + value * value, 0) / step);
  const loudest = Math.max(1e-9, ...powers);
  const loud = powers.filter((power) => power > loudest / 100);
  return Math.sqrt(loud.reduce((sum, power) => sum + power, 0) / Math.max(1, loud.length));
}

/** Loudness of a clip, pauses left out, against full scale. `loudnessOf(samples, 16_000)` → `-16.1` */
export function loudnessOf(samples: Float32Array, rate: Hertz): Decibels {
  return 20 * Math.log10(Math.max(1e-6, gated(samples, rate)));
}

/**
 * A clip from what a synthesiser made: silence cut off, as loud as all others, its peaks under full scale; empty where
 * nothing is heard.
 * @example shapeClip(samples, 16_000).length
 */
export function shapeClip(samples: Float32Array, rate: Hertz): Float32Array {
  const clip = trimmed(samples, rate);
  const peak = clip.reduce((most, value) => Math.max(most, Math.abs(value)), 1e-9);
  const gain = Math.min(ratio(level) / Math.max(1e-6, gated(clip, rate)), 0.97 / peak);
  return clip.map((value) => value * gain);
}

/** The samples of a plain 16-bit mono wave file, as a synthesiser writes it. `samplesOf(bytes).length` */
export function samplesOf(wave: Uint8Array): Float32Array {
  // A copy, so that its numbers begin where its memory does.
  const bytes = Uint8Array.from(wave.subarray(44, wave.length - (wave.length % 2)));
  return Float32Array.from(new Int16Array(bytes.buffer, 0, bytes.length >> 1), (value) => value / 32_768);
}
