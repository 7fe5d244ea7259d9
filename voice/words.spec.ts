import { readFileSync } from 'node:fs';
import { assemble, callTrack, lengthIn, readTempoText, sessionTemplates, voicePackSchema } from '../core/index';
import { demoSheets } from '../demo/sheets';
import { clipTexts } from './words';

const pack = voicePackSchema.parse(
  JSON.parse(readFileSync(new URL('../app/public/voice/manifest.json', import.meta.url), 'utf8')),
);

describe('the words of the voice pack', () => {
  it('are all recorded in both voices', () => {
    for (const { id, clips } of pack.voices)
      for (const words of clipTexts())
        expect(Object.hasOwn(clips, words)).withContext(`${words} in ${id}: npm run voice renders it`).toBeTrue();
  });

  it('say our own sheets and templates whole', () => {
    const sheets = [...demoSheets, ...sessionTemplates.map(({ text }) => readTempoText(text).sheet)];
    for (const voice of pack.voices)
      for (const sheet of sheets)
        for (const { kind, say } of callTrack(sheet, { lengthOf: lengthIn(voice), countFrom: 5 }).calls)
          if (kind !== 'bell') expect(assemble(say, voice).missing).withContext(`${voice.id}: ${say}`).toEqual([]);
  });

  // Facts measured for the project: numbers take 245 to 515 ms, brisk clips up to about 1.1 s; whole sentences take longer.
  it('are as brisk as they were measured to be', () => {
    for (const { id, clips } of pack.voices)
      for (const [words, [, ms]] of Object.entries(clips)) {
        const count = words.split(' ').length;
        expect(ms).withContext(`${id}: ${words}`).toBeGreaterThan(110);
        expect(ms / count)
          .withContext(`${id}: ${words}`)
          .toBeLessThan(900);
      }
  });

  it('never hold two that sound alike: a low kick is never called a leg kick', () => {
    expect(clipTexts().filter((words) => words.includes('leg kick'))).toEqual([]);
  });
});
