import { readFileSync } from 'node:fs';
import { assemble, scriptOf, lengthIn, readTempoText, sessionTemplates, voicePackSchema } from '../core/index';
import { demoSheets } from '../demo/sheets';
import { clipTexts } from './words';

const pack = voicePackSchema.parse(
  JSON.parse(readFileSync(new URL('../app/public/voice/manifest.json', import.meta.url), 'utf8')),
);

describe('the words of the voice pack', () => {
  it('are all recorded in both voices', () => {
    expect(pack.voices.length).toBeGreaterThan(0);
    for (const { id, clips } of pack.voices)
      for (const words of clipTexts())
        expect(Object.hasOwn(clips, words)).withContext(`${words} in ${id}: npm run voice renders it`).toBeTrue();
  });

  it('say our own sheets and templates whole', () => {
    const sheets = [...demoSheets, ...sessionTemplates.map(({ text }) => readTempoText(text).sheet)];
    expect(pack.voices.length).toBeGreaterThan(0);
    for (const voice of pack.voices)
      for (const sheet of sheets)
        for (const call of scriptOf(sheet, { lengthOf: lengthIn(voice), countFrom: 5 }).calls)
          if (call.kind !== 'bell')
            expect(assemble(call, voice).missing).withContext(`${voice.id}: ${call.say}`).toEqual([]);
  });

  // Facts measured for the project: numbers take 245 to 515 ms, brisk clips up to about 1.1 s; whole sentences take longer.
  it('are as brisk as they were measured to be', () => {
    expect(pack.voices.length).toBeGreaterThan(0);
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
