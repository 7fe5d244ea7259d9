import type { SoundKind } from '../script/sounds';
import type { Hertz, Seconds } from '../units';

/** A struck or blown sound: partials in hertz, how long it rings, how often it is struck and how far apart. */
export interface Sound {
  readonly partials: readonly Hertz[];
  readonly wave: 'sine' | 'triangle' | 'square';
  readonly ring: Seconds;
  readonly strikes: number;
  readonly apart: Seconds;
  readonly level: number;
}

/** Every sound that is made here from plain waves. A new one is a line here. */
export const sounds: Readonly<Record<SoundKind, Sound>> = {
  'start bell': { partials: [784, 1177, 1862], wave: 'sine', ring: 1.6, strikes: 1, apart: 0, level: 0.5 },
  'end bell': { partials: [784, 1177, 1862], wave: 'sine', ring: 1.3, strikes: 3, apart: 0.32, level: 0.5 },
  change: { partials: [523, 1046], wave: 'triangle', ring: 0.22, strikes: 2, apart: 0.13, level: 0.4 },
  ten: { partials: [1480, 2217], wave: 'square', ring: 0.06, strikes: 2, apart: 0.16, level: 0.16 },
  count: { partials: [988], wave: 'triangle', ring: 0.14, strikes: 1, apart: 0, level: 0.4 },
  click: { partials: [1760], wave: 'square', ring: 0.03, strikes: 1, apart: 0, level: 0.12 },
};

/** Attack of every sound. */
export const attack: Seconds = 0.004;
/** How much shorter and softer each higher partial is. */
export const partialRing = (sound: Sound, index: number): Seconds => sound.ring / (1 + index * 0.6);
export const partialLevel = (sound: Sound, index: number): number => sound.level / (index + 1);

function waveAt(wave: Sound['wave'], turns: number): number {
  const phase = turns - Math.floor(turns);
  if (wave === 'sine') return Math.sin(2 * Math.PI * phase);
  if (wave === 'square') return phase < 0.5 ? 1 : -1;
  return 1 - 4 * Math.abs(phase - 0.5);
}

const rendered = new Map<string, Float32Array>();

/** A sound as samples, remembered. `renderSound('start bell', 16000).length` */
export function renderSound(kind: SoundKind, rate: Hertz): Float32Array {
  const key = `${kind} ${rate}`;
  const known = rendered.get(key);
  if (known) return known;
  const sound = sounds[kind];
  const out = new Float32Array(Math.ceil((sound.ring + sound.apart * (sound.strikes - 1) + 0.02) * rate));
  for (let strike = 0; strike < sound.strikes; strike += 1)
    for (const [index, frequency] of sound.partials.entries()) {
      const [ring, level] = [partialRing(sound, index), partialLevel(sound, index)];
      const first = Math.round(strike * sound.apart * rate);
      for (let at = 0; at < ring * rate && first + at < out.length; at += 1) {
        const time = at / rate;
        const envelope = time < attack ? time / attack : (0.0001 / level) ** ((time - attack) / (ring - attack));
        out[first + at] = (out[first + at] ?? 0) + level * envelope * waveAt(sound.wave, time * frequency);
      }
    }
  rendered.set(key, out);
  return out;
}
