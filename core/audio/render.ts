import type { Call } from '../script/call';
import type { Script } from '../script/script';
import type { SoundCue } from '../script/sounds';
import type { Hertz, Milliseconds } from '../units';
import { renderSound } from './bells';
import { clipsOfCall, type Voice } from './voice';

/** Something to be heard: samples from a place of a recording, at a moment of the session. */
export interface Heard {
  readonly at: Milliseconds;
  readonly samples: Float32Array;
  readonly from: number;
  readonly length: number;
}

/** A voice with its recording as samples. */
export interface Recording {
  readonly voice: Voice;
  readonly samples: Float32Array;
}

export interface RenderWishes {
  readonly rate: Hertz;
  /** Without one only bells and clicks are heard. */
  readonly recording: Recording | null;
}

function bells(cues: readonly SoundCue[], rate: Hertz): Heard[] {
  return cues.flatMap(({ kind, at }): Heard[] => {
    const samples = renderSound(kind, rate);
    return at < 0 ? [] : [{ at, samples, from: 0, length: samples.length }];
  });
}

function spoken(calls: readonly Call[], { voice, samples }: Recording, rate: Hertz): Heard[] {
  const place = (ms: Milliseconds): number => Math.round((ms / 1000) * rate);
  return calls
    .filter(({ kind }) => kind !== 'bell')
    .flatMap((call) =>
      clipsOfCall(call, voice).clips.map(({ at, from, ms }) => ({
        at: call.at + at,
        samples,
        from: place(from),
        length: place(ms),
      })),
    );
}

/** Everything that is heard in a session, in order: bells, clicks, and the calls that the voice has clips for. */
export function heardIn(script: Script, { rate, recording }: RenderWishes): Heard[] {
  const voice = recording ? spoken(script.calls, recording, rate) : [];
  return [...bells(script.sounds, rate), ...voice].sort((a, b) => a.at - b.at);
}

/** Above this the limiter begins to press. */
const knee = 0.8;

/** Full scale is never passed, and what is soft stays as it is. */
export function softLimit(value: number): number {
  const size = Math.abs(value);
  if (size <= knee) return value;
  return Math.sign(value) * (knee + (1 - knee) * Math.tanh((size - knee) / (1 - knee)));
}

/** Every clip ends in a fade, so that one that is cut short does not click. */
const fadeSeconds = 0.008;

/** A plain loop: this runs for every sample of a session. */
function toInts(block: Float32Array): Int16Array {
  const out = new Int16Array(block.length);
  for (let at = 0; at < block.length; at += 1) {
    const value = block[at] ?? 0;
    if (value !== 0) out[at] = Math.round((value > knee || value < -knee ? softLimit(value) : value) * 32_767);
  }
  return out;
}

function add(block: Float32Array, start: number, { at, samples, from, length }: Heard, rate: Hertz): void {
  const first = Math.round((at / 1000) * rate);
  const fade = fadeSeconds * rate;
  const begin = Math.max(0, start - first);
  const end = Math.min(length, start + block.length - first);
  for (let index = begin, place = first + begin - start; index < end; index += 1, place += 1) {
    const left = length - index;
    const value = samples[from + index] ?? 0;
    block[place] = (block[place] ?? 0) + (left < fade ? (value * left) / fade : value);
  }
}

/**
 * Mixes a session block by block, so that no more than a block is held at a time; 16-bit samples, one channel.
 * @example [...renderBlocks(heard, 60_000, 16_000)].length
 */
export function* renderBlocks(
  heard: readonly Heard[],
  ms: Milliseconds,
  rate: Hertz,
  blockSeconds = 10,
): Generator<Int16Array> {
  const total = Math.ceil((ms / 1000) * rate);
  const size = blockSeconds * rate;
  let next = 0;
  let sounding: Heard[] = [];
  for (let start = 0; start < total; start += size) {
    const block = new Float32Array(Math.min(size, total - start));
    const end = start + block.length;
    for (let one = heard[next]; one && (one.at / 1000) * rate < end; one = heard[(next += 1)]) sounding.push(one);
    for (const one of sounding) add(block, start, one, rate);
    sounding = sounding.filter(({ at, length }) => (at / 1000) * rate + length > end);
    yield toInts(block);
  }
}

/** The head of a WAV file of 16-bit samples, one channel (RIFF/WAVE, 44 bytes). */
export function wavHead(samples: number, rate: Hertz): Uint8Array<ArrayBuffer> {
  const head = new Uint8Array(44);
  const view = new DataView(head.buffer);
  const text = (at: number, words: string): void => {
    for (let index = 0; index < words.length; index += 1) head[at + index] = words.charCodeAt(index);
  };
  const bytes = samples * 2;
  text(0, 'RIFF');
  view.setUint32(4, 36 + bytes, true);
  text(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  text(36, 'data');
  view.setUint32(40, bytes, true);
  return head;
}
