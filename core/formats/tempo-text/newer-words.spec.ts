import { readTempoText } from './read';
import { writeTempoText } from './write';

/** A text in newer words, and the same in the older ones, which are written. Pairs: the page on tempo text. */
const pairs = [
  ['station: heavy, 2 places', 'lane: heavy, 2 places'],
  ['station: heavy, 2 places\nstation change: 0:20', 'lane: heavy, 2 places\nlane change: 0:20'],
  ['cue: "Chin down" on 2', 'focus: "Chin down" on 2'],
  ['conventions: kick same', 'schools: kick same'],
  ['demo 0:30: 1 2 3b', 'show 0:30: 1 2 3b'],
  ['round 1:00\n  cue: "Chin down"\n  1:00: 1 2', 'round 1:00\n  focus: "Chin down"\n  1:00: 1 2'],
  ['round 1:00\n  1:00: 1 2 3b station heavy "1 2"', 'round 1:00\n  1:00: 1 2 3b lane heavy "1 2"'],
] as const;

describe('newer words in tempo text', () => {
  for (const [newer, older] of pairs)
    it(`“${newer.replaceAll('\n', ' / ')}” reads as “${older.replaceAll('\n', ' / ')}”, which is written`, () => {
      const [read, asBefore] = [readTempoText(newer), readTempoText(older)];
      expect(read.faults).toEqual([]);
      expect(writeTempoText(read.sheet)).toBe(writeTempoText(asBefore.sheet));
      expect(writeTempoText(read.sheet)).toContain(older.split('\n').at(-1)?.trim().split(' ')[0] ?? '-');
    });

  it('free work is all of a line, is noted, and is written as own time', () => {
    const { sheet, faults } = readTempoText('round 1:00\n  1:00 free work');
    expect(sheet.blocks[0]?.pieces[0]?.kind).toBe('own-time');
    expect(faults.map(({ level, line, read }) => [level, line, read])).toEqual([['note', 2, 'free work']]);
    expect(writeTempoText(sheet)).toContain('1:00 own time');
  });

  it('the words “free work” stay words in quotes and in a list of names, and are written so', () => {
    const text = 'core 1:30\n  0:30 "free work"\n  0:30 x2 free work / plank';
    const { sheet, faults } = readTempoText(text);
    const kinds = sheet.blocks[0]?.pieces.map((piece) => (piece.kind === 'words' ? piece.words : piece.kind));
    expect(faults).toEqual([]);
    expect(kinds).toEqual(['free work', 'free work', 'plank']);
    const again = readTempoText(writeTempoText(sheet));
    expect(again.sheet.blocks[0]?.pieces.length).toBe(3);
    expect(again.sheet).toEqual(sheet);
  });

  it('a head line “demo: …” of an older file is still kept as it was', () => {
    expect(readTempoText('demo: in the yard\nround 1:00').sheet.head).toEqual([{ key: 'demo', value: 'in the yard' }]);
  });
});
