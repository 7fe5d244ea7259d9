import fc from 'fast-check';
import { readIncomingText } from './formats/incoming';
import { readCsv, writeCsv } from './formats/csv-cells';
import { writeSrt, writeVtt } from './formats/subtitles';
import { writeTempoText } from './formats/tempo-text/write';
import { readTempoText } from './formats/tempo-text/read';
import { plainData, plainText, sayTaken } from './plain-text';
import type { Sheet } from './sheet/schema';

/** Whether a text can be written as UTF-8 and read back the same (RFC 3629), and holds no control character but tab and line ends. */
function isPlain(text: string): boolean {
  const back = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(new TextEncoder().encode(text));
  return back === text && Array.from(text).every((each) => each >= ' ' || '\t\n\r'.includes(each));
}

describe('plain text', () => {
  it('holds no control characters and no halves of pairs, and leaves everything else as it is', () => {
    expect(plainText('1\u0000 2\ud800 3\t\r\n')).toBe('1 2\ufffd 3\t\r\n');
    fc.assert(
      fc.property(
        fc.string({ unit: 'binary' }),
        (text) => isPlain(plainText(text)) && plainText(plainText(text)) === plainText(text),
      ),
    );
    fc.assert(fc.property(fc.string({ unit: 'grapheme' }), (text) => !isPlain(text) || plainText(text) === text));
    expect(plainData({ 'a\u0001': ['\udc00', 3, null] })).toEqual({ data: { a: ['\ufffd', 3, null] }, taken: 2 });
    expect([sayTaken(0), sayTaken(1)]).toEqual([null, '1 character that no text can hold was removed']);
  });

  it('is made of a file at the door, and that is said', () => {
    const sheet = readTempoText('# T\nround 1:00: 1 2').sheet;
    const json = JSON.stringify({ ...sheet, title: 'Tower\u0000 \ud800' });
    const read = readIncomingText(json);
    expect(read.kind).toBe('sheet');
    if (read.kind !== 'sheet') return;
    expect(read.sheet.title).toBe('Tower \ufffd');
    expect(read.taken).toBe('2 characters that no text can hold were removed');
    const text = readIncomingText('# Tower\u0007\nround 1:00: 1 2');
    expect(text.kind === 'sheet' && [text.sheet.title, text.taken]).toEqual([
      'Tower',
      '1 character that no text can hold was removed',
    ]);
    const { sheet: typed, faults } = readTempoText('# T\nround 1:00: "a\u0007b \\u0000c"');
    expect(typed.blocks[0]?.pieces.map((piece) => piece.kind === 'words' && piece.words)).toEqual(['ab c']);
    expect(faults.map(({ level, line, what }) => [level, line, what])).toEqual([
      ['note', 2, '1 character that no text can hold was removed'],
    ]);
    expect(readCsv('date,note\r\n2026-11-26,a\u0000b\r\n')?.rows).toEqual([['2026-11-26', 'ab']]);
  });

  it('is all that is written', () => {
    const sheet: Sheet = { ...readTempoText('round 1:00: "x"').sheet, title: 'a\u0000\ud800' };
    const words = { ...sheet.blocks[0]?.pieces[0], words: 'b\u0001\udc00' };
    const hostile = { ...sheet, blocks: [{ ...sheet.blocks[0], pieces: [words] }] } as Sheet;
    for (const written of [
      writeTempoText(hostile),
      writeVtt(hostile),
      writeSrt(hostile),
      writeCsv(['a\u0000'], [['b\ud800']]),
    ])
      expect(isPlain(written)).withContext(JSON.stringify(written)).toBeTrue();
  });
});
