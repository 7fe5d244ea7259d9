import { readFileSync } from 'node:fs';
import wavefile from 'wavefile';
import { spokenLength } from '../script/call';
import { scriptOf } from '../script/script';
import { readTempoText } from '../formats/tempo-text/read';
import { plain } from '../script/saying';
import { compile } from '../timeline/compile';
import { heardIn, renderBlocks, softLimit, wavHead, type Recording } from './render';
import { renderSound } from './bells';
import { assemble, clipsOfCall, lengthIn, voicePackSchema, type Voice } from './voice';

const pack = voicePackSchema.parse(
  JSON.parse(readFileSync(new URL('../../app/public/voice/manifest.json', import.meta.url), 'utf8')),
);
const rate = 16_000;
const voice: Voice = {
  id: 'test',
  name: 'Test',
  files: ['x.ogg'],
  clips: {
    one: [0, 300],
    two: [400, 300],
    'three body': [800, 500],
    three: [1400, 300],
    rest: [1800, 400],
    water: [2300, 400],
  },
};
/** A recording that hums wherever a clip is. */
const recording: Recording = {
  voice,
  samples: Float32Array.from({ length: 3 * rate }, (_, at) => 0.5 * Math.sin((2 * Math.PI * 440 * at) / rate)),
};

describe('words from clips', () => {
  it('takes the longest clips, with pauses where signs stand', () => {
    const { clips, ms, missing } = assemble(plain('One, three body. Two'), voice);
    expect(clips.map(({ words }) => words)).toEqual(['one', 'three body', 'two']);
    expect(missing).toEqual([]);
    expect(clips[1]?.at).toBe(300 + 130);
    expect(ms).toBe((clips[2]?.at ?? 0) + 300);
    expect(assemble(plain('Round 2'), { ...voice, clips: { ...voice.clips, round: [2800, 100] } }).missing).toEqual([]);
  });

  it('says which words have no clip, and gives the call the time that saying it takes', () => {
    const spoken = assemble(plain('one, hose, two'), voice);
    expect(spoken.missing).toEqual(['hose']);
    expect(spoken.ms).toBeGreaterThanOrEqual(spokenLength('one, hose, two'));
    expect(assemble(plain('constructor'), voice).missing).toEqual(['constructor']);
    expect(lengthIn(voice)(plain('one'))).toBe(300);
  });

  it('cuts a strike short where the next one begins, and the last one where the call ends', () => {
    const parts = [
      { at: 0, say: 'three body' },
      { at: 250, say: 'two' },
    ];
    const { clips } = clipsOfCall({ say: '', ms: 450, parts }, voice);
    expect(clips.map(({ at, ms }) => [at, ms])).toEqual([
      [0, 250],
      [250, 200],
    ]);
  });
});

describe('the voice pack', () => {
  it('has two voices that say numbers, moves, times and our own wordings', () => {
    expect(pack.voices.length).toBe(2);
    const wanted = [
      'one, two, three body, rear roll, four',
      'Switch stance',
      'ten seconds',
      'thirty seconds left',
      'Breathe in for two, out for four',
      'Rest. Water',
      'rear low kick',
      'switch kick',
      'Rear hand stays on your cheek',
      'One minute left',
      'halfway',
      'Add on: five',
    ];
    expect(pack.voices.length).toBeGreaterThan(0);
    for (const each of pack.voices)
      for (const words of wanted)
        expect(assemble(plain(words), each).missing)
          .withContext(`${each.id} ${words}`)
          .toEqual([]);
    expect(Object.keys(pack.voices[0]?.clips ?? {}).length).toBeGreaterThan(300);
  });

  // Ogg: the last page's granule position is the length in samples at 48 kHz, the encoder's delay included (RFC 7845).
  it('is as long as its manifest says, and clips never run into each other', () => {
    for (const each of pack.voices) {
      const bytes = readFileSync(new URL(`../../app/public/voice/${each.files[0] ?? ''}`, import.meta.url));
      const last = bytes.lastIndexOf('OggS');
      const seconds = Number(bytes.readBigUInt64LE(last + 6)) / 48_000;
      const clips = Object.values(each.clips).sort((a, b) => a[0] - b[0]);
      const end = (clips.at(-1)?.[0] ?? 0) + (clips.at(-1)?.[1] ?? 0);
      expect(Math.abs(seconds * 1000 - end)).toBeLessThan(200);
      expect(clips.length).toBeGreaterThan(1);
      clips.slice(1).forEach(([from], at) => {
        expect(from - ((clips[at]?.[0] ?? 0) + (clips[at]?.[1] ?? 0))).toBeGreaterThanOrEqual(50);
      });
      for (const [, ms] of clips) expect(ms).toBeGreaterThan(80);
    }
  });
});

describe('the session as sound', () => {
  const sheet = readTempoText('round 0:30: 1 2\nrest 0:20\nround 0:30: 1 2').sheet;
  const timeline = compile(sheet);
  const track = scriptOf(sheet, { lengthOf: lengthIn(voice) }, timeline);
  const render = (blockSeconds: number): Int16Array => {
    const heard = heardIn(track, { rate, recording });
    const blocks = [...renderBlocks(heard, timeline.ms, rate, blockSeconds)];
    const all = new Int16Array(blocks.reduce((sum, block) => sum + block.length, 0));
    let at = 0;
    for (const block of blocks) {
      all.set(block, at);
      at += block.length;
    }
    return all;
  };
  const all = render(10);

  it('is a WAV file by its own layout, read by a library that is not ours', () => {
    const file = new Uint8Array(44 + all.length * 2);
    file.set(wavHead(all.length, rate));
    file.set(new Uint8Array(all.buffer), 44);
    const read = new wavefile.WaveFile(file);
    const format = read.fmt as Record<string, number>;
    expect(format).toEqual(
      jasmine.objectContaining({ audioFormat: 1, numChannels: 1, sampleRate: rate, bitsPerSample: 16 }),
    );
    expect((read.data as { chunkSize: number }).chunkSize).toBe(all.length * 2);
    expect(read.getSamples(false, Int16Array).length).toBe(all.length);
    expect(all.length / rate).toBe(timeline.ms / 1000);
  });

  it('has energy where something is called and silence where nothing is', () => {
    const heard = heardIn(track, { rate, recording });
    const sounding = new Uint8Array(all.length);
    for (const { at, length } of heard) {
      const first = Math.round((at / 1000) * rate);
      sounding.fill(1, first, first + length);
    }
    expect(heard.length).toBeGreaterThan(0);
    for (const { at, length } of heard) {
      const first = Math.round((at / 1000) * rate);
      const part = all.subarray(first, first + Math.min(length, rate / 5));
      if (part.length > rate / 100)
        expect(part.some((value) => Math.abs(value) > 300))
          .withContext(`${at}`)
          .toBeTrue();
    }
    expect(all.every((value, at) => value === 0 || sounding[at] === 1)).toBeTrue();
    expect(sounding.includes(0)).toBeTrue();
  });

  it('is the same in whatever blocks it is mixed, and never over full scale', () => {
    const other = render(3);
    expect(other.length).toBe(all.length);
    expect(other.every((value, at) => value === all[at])).toBeTrue();
    expect(Math.abs(softLimit(7))).toBeLessThanOrEqual(1);
    expect(softLimit(0.5)).toBe(0.5);
    expect(renderSound('start bell', rate).some((value) => Math.abs(value) > 0.2)).toBeTrue();
  });

  it('clicks at a chosen tempo', () => {
    const clicks = scriptOf(readTempoText('round 0:30\n0:30: 1 2 clicks at 120 bpm').sheet).sounds.filter(
      ({ kind }) => kind === 'click',
    );
    expect(clicks.length).toBe(60);
    expect(clicks[1]?.at).toBe(500);
  });
});
