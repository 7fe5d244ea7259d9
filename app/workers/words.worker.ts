import { expose, transfer } from 'comlink';
import { samplesOf, shapeClip, type Hertz } from '../../core/index';
import { speakWords } from './synthesiser';
import { keptSynthesiser, synthesiserAt } from './kept-synthesiser';

/** Rate of the synthesiser's voices, and of the pack. */
const rate: Hertz = 16_000;
let compiled: Promise<WebAssembly.Module> | null = null;

async function compile(): Promise<WebAssembly.Module> {
  const kept = (await keptSynthesiser()) ?? (await fetch(synthesiserAt));
  if (!kept.ok) throw new Error(`the voice engine could not be downloaded (${kept.status})`);
  return WebAssembly.compile(await kept.arrayBuffer());
}

const words = {
  /** Words in a voice, cut and as loud as the pack's clips; empty where nothing is heard. */
  async say(voice: string, text: string): Promise<Float32Array> {
    compiled ??= compile();
    const wave = await speakWords(await compiled, voice, text);
    const samples = shapeClip(wave ? samplesOf(wave) : new Float32Array(0), rate);
    return transfer(samples, [samples.buffer]);
  },
};
export type Words = typeof words;
expose(words);
