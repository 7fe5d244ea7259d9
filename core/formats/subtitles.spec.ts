import fc from 'fast-check';
import webvtt from 'node-webvtt';
import { parseSync } from 'subtitle';
import { scriptOf } from '../script/script';
import { sessionTemplates } from '../library/templates';
import { anySheet } from '../sheet/arbitrary-sheet.spec';
import type { Sheet } from '../sheet/schema';
import { readTempoText } from './tempo-text/read';
import { writeSrt, writeVtt } from './subtitles';

interface Read {
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

const vtt = (text: string): Read[] =>
  webvtt.parse(text, { strict: true }).cues.map(({ start, end, text: words }) => ({
    from: Math.round(start * 1000),
    to: Math.round(end * 1000),
    text: words,
  }));
const srt = (text: string): Read[] =>
  parseSync(text).flatMap((node) =>
    node.type === 'cue' ? [{ from: node.data.start, to: node.data.end, text: node.data.text }] : [],
  );

// Read by node-webvtt (strict) and subtitle, two parsers from the registry.
describe('subtitles', () => {
  it('carry every call at its second, in both forms alike', () => {
    expect(sessionTemplates.length).toBeGreaterThan(0);
    for (const { id, text } of sessionTemplates) {
      const { sheet } = readTempoText(text);
      const { calls } = scriptOf(sheet);
      const read = vtt(writeVtt(sheet));
      expect(srt(writeSrt(sheet)))
        .withContext(id)
        .toEqual(read);
      expect(calls.length).toBeGreaterThan(0);
      for (const call of calls)
        expect(
          read.some(
            ({ from, text: words }) => from === call.at && words === (call.kind === 'bell' ? '[bell]' : call.say),
          ),
        )
          .withContext(`${id} ${call.at} ${call.say}`)
          .toBeTrue();
      expect(read.length).toBeGreaterThan(1);
      read.slice(1).forEach(({ from }, at) => {
        expect(from).toBeGreaterThanOrEqual(read[at]?.to ?? 0);
      });
    }
  });

  it('are read by both parsers whatever the sheet', () => {
    let ran = 0;
    const check = (sheet: Sheet): void => {
      const { calls } = scriptOf(sheet);
      const read = vtt(writeVtt(sheet));
      expect(read.map(({ from, to }) => [from, to])).toEqual(srt(writeSrt(sheet)).map(({ from, to }) => [from, to]));
      // Two calls less than a twentieth of a second apart share a subtitle's place; bells and counts may.
      expect(read.length).toBeLessThanOrEqual(calls.length);
      const moments = new Set(calls.map(({ at }) => at));
      ran += read.length;
      for (const { from, to } of read) expect(moments.has(from) && to > from).toBeTrue();
    };
    fc.assert(fc.property(anySheet, check), { numRuns: 40 });
    expect(ran).toBeGreaterThan(0);
  });

  it('hold words that the format would take for marks', () => {
    const { sheet } = readTempoText('round 1:00\n  1:00 "hands <b> & --> high"');
    expect(writeVtt(sheet)).toContain('Hands &lt;b&gt; &amp; --&gt; high');
    expect(srt(writeSrt(sheet)).some(({ text }) => text.includes('Hands ‹b› & --› high'))).toBeTrue();
    const placed = readTempoText('round 1:00\n  1:00 "{\\\\an8} high <i>hands</i>"').sheet;
    expect(writeSrt(placed)).not.toMatch(/[<{}]|-->[^\n]*[a-z]/);
    expect(vtt(writeVtt(readTempoText('').sheet))).toEqual([]);
  });
});
