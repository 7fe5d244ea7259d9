import { compile } from '../../timeline/compile';
import { scriptOf } from '../../script/script';
import type { PieceOf, Sheet } from '../../sheet/schema';
import { readTempoText } from './read';
import { writeTempoText } from './write';

const sheetOf = (text: string): Sheet => {
  const { sheet, faults } = readTempoText(text);
  expect(faults).toEqual([]);
  return sheet;
};

/** Lines that version 3 added, each as it is written again. Forms: the page on tempo text. */
const kept = [
  'round 3:00 for "review under fatigue": 1 2',
  'talk: names\n\nround 1:00\n  1:00: 1 2',
  'sides: always\n\nround 1:00\n  1:00: 1 2',
  'strikes said as: both\n\nround 1:00\n  1:00: 1 2',
  'round 1:00\n  1:00 power 80%: 1 2',
  'round 1:40\n  build effort 50,60,70,80,100 every 0:20: 2 3 2',
  'round 1:00\n  1:00 "stand on the spot": call go 2',
  'origin: "6 rds x 2 min"\norigin: "30s rest"\n\nround 1:00\n  1:00: 1 2',
];

describe('what version 3 of a sheet keeps', () => {
  for (const text of kept)
    it(`“${text.replaceAll('\n', ' / ')}” is read and written`, () => {
      const written = writeTempoText(sheetOf(text));
      for (const line of text.split('\n').filter(Boolean)) expect(written).toContain(line.trim());
      expect(writeTempoText(sheetOf(written))).toBe(written);
    });

  it('per cent before the word is the effort, behind it the power of each strike', () => {
    const { pieces = [] } = sheetOf('round 1:00\n  0:30 80% power: 1 2\n  0:30 power 80%: 1 2').blocks[0] ?? {};
    const [effort, power] = pieces as PieceOf<'combination'>[];
    expect(effort).toEqual(jasmine.objectContaining({ effort: 80, focus: 'power' }));
    expect(effort?.power).toBeUndefined();
    expect(power).toEqual(jasmine.objectContaining({ effort: 'steady', power: 80 }));
    expect(power?.focus).toBeUndefined();
  });

  it('a build of effort has a stage for each per cent, all of one combination, which is named once', () => {
    const sheet = sheetOf('round 1:40\n  build effort 50,60,70,80,100 every 0:20: 2 3 2');
    const timeline = compile(sheet);
    expect(timeline.leaves.map(({ effort, ms }) => [effort, ms])).toEqual(
      [50, 60, 70, 80, 100].map((each) => [each, 20_000]),
    );
    const said = scriptOf(sheet).calls.map(({ say }) => say);
    expect(said.filter((say) => /per cent/i.test(say)).length).toBe(5);
    expect(said.filter((say) => say.startsWith('Two, three, two')).length).toBe(1);
  });

  it('a level of talk of the sheet goes before the coach’s own', () => {
    const sheet = sheetOf('talk: bells\nround 1:00\n  1:00: 1 2');
    const kinds = new Set(scriptOf(sheet, { talk: 'all' }).calls.map(({ kind }) => kind));
    expect(kinds.has('bell')).toBeTrue();
    expect(kinds.has('new')).toBeFalse();
  });

  it('beginners hear numbers and names where a combination begins; a lone strike has its name alone', () => {
    const text = 'level: beginner\nround 1:00\n  build ladder every 0:30: 1 2\nround 1:00: 1 2';
    const opened = (level: string): string[] =>
      scriptOf(sheetOf(text.replace('beginner', level))).calls.flatMap(({ kind, say }) =>
        kind === 'new' ? [say] : [],
      );
    expect(opened('beginner')).toEqual(['Jab.', 'Add the cross. All together: one, two.', 'One, two: jab, cross.']);
    expect(opened('advanced').at(-1)).toBe('One, two.');
  });

  it('bad lines are named with their mend', () => {
    const { faults } = readTempoText(
      'talk: loud\nsides: never\nround 1:00\n  build effort 5,60 every 0:20: 1 2\n  0:20 power 180%: 1',
    );
    expect(faults.map(({ line, mend }) => [line, mend])).toEqual([
      [1, 'write talk: all, main, names, bells'],
      [2, 'write sides: always'],
      [4, 'use 10 to 100'],
      [5, 'use power 10% to power 100%'],
    ]);
  });
});
