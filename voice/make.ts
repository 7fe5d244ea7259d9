import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { clipGapMs, samplesOf, shapeClip } from '../core/index';
import { clipTexts } from './words';

// Renders the voice pack once: `npm run voice` on a machine with Debian's flite, opus-tools and ffmpeg. What comes out is
// committed, so that nobody else needs them. Figures: measured facts of the project's page on voices.
const rate = 16_000;
const stretch = '0.8';
const voices = [
  { id: 'rms', name: 'Low voice' },
  { id: 'slt', name: 'High voice' },
] as const;
const out = new URL('../app/public/voice/', import.meta.url).pathname;
/** What was spoken before is kept here, outside version control, so that only new words are rendered. */
const kept = new URL('.cache/', import.meta.url).pathname;

/** The programs that it needs, by Debian's packages. */
const needed = { flite: 'flite', opusenc: 'opus-tools', ffmpeg: 'ffmpeg' } as const;
const missing = Object.entries(needed).filter(([program]) => spawnSync('which', [program]).status !== 0);
if (missing.length > 0) {
  console.error(
    `This needs ${missing.map(([program]) => program).join(', ')}: apt install ${missing.map(([, name]) => name).join(' ')}`,
  );
  process.exit(1);
}

function speak(voice: string, words: string): Float32Array {
  const name = createHash('sha256').update(`${voice} ${stretch} ${words}`).digest('hex').slice(0, 32);
  const file = join(kept, `${name}.wav`);
  if (!existsSync(file)) {
    const begun = `${file}.part`;
    execFileSync('flite', ['-voice', voice, '--setf', `duration_stretch=${stretch}`, '-t', words, '-o', begun]);
    renameSync(begun, file);
  }
  return samplesOf(readFileSync(file));
}

function wav(samples: Float32Array): Buffer {
  const data = Buffer.alloc(44 + samples.length * 2);
  data.write('RIFF', 0);
  data.writeUInt32LE(36 + samples.length * 2, 4);
  data.write('WAVEfmt ', 8);
  data.writeUInt32LE(16, 16);
  data.writeUInt16LE(1, 20);
  data.writeUInt16LE(1, 22);
  data.writeUInt32LE(rate, 24);
  data.writeUInt32LE(rate * 2, 28);
  data.writeUInt16LE(2, 32);
  data.writeUInt16LE(16, 34);
  data.write('data', 36);
  data.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((value, at) => data.writeInt16LE(Math.round(Math.max(-1, Math.min(1, value)) * 32_767), 44 + at * 2));
  return data;
}

mkdirSync(kept, { recursive: true });
const folder = mkdtempSync(join(tmpdir(), 'voice-'));
const texts = clipTexts();
const manifest = { rate, voices: [] as unknown[] };
for (const { id, name } of voices) {
  const clips = texts.map((words) => ({ words, samples: shapeClip(speak(id, words), rate) }));
  const gap = Math.round((clipGapMs / 1000) * rate);
  const sprite = new Float32Array(clips.reduce((sum, { samples }) => sum + samples.length + gap, gap));
  const index: Record<string, [number, number]> = {};
  let at = gap;
  for (const { words, samples } of clips) {
    sprite.set(samples, at);
    index[words] = [Math.round((at / rate) * 1000), Math.round((samples.length / rate) * 1000)];
    at += samples.length + gap;
  }
  const plain = join(folder, `${id}.wav`);
  writeFileSync(plain, wav(sprite));
  execFileSync('opusenc', ['--quiet', '--bitrate', '24', plain, join(out, `${id}.ogg`)]);
  execFileSync('ffmpeg', [
    '-loglevel',
    'error',
    '-y',
    '-i',
    plain,
    '-c:a',
    'aac',
    '-b:a',
    '40k',
    join(out, `${id}.m4a`),
  ]);
  manifest.voices.push({ id, name, files: [`${id}.ogg`, `${id}.m4a`], clips: index });
}
writeFileSync(join(out, 'manifest.json'), `${JSON.stringify(manifest)}\n`);
rmSync(folder, { recursive: true });
console.log(`${texts.length} clips, ${voices.length} voices`);
