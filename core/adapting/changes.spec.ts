import { readTempoText } from '../formats/tempo-text/read';
import { listChanges } from './changes';
import { evenStages, fitBuild } from './build-fit';
import { unusedId } from '../sheet/unused-id';
import type { PieceOf, Sheet } from '../sheet/schema';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const changed = (before: Sheet, ...lines: string[]): string[] => listChanges(before, sheetOf(...lines));

describe('a list of changes', () => {
  const before = sheetOf(
    '# Tower',
    'bag: heavy',
    'round 3:00 x3 rest 1:00 goal 100',
    '  1:00 strong: 1 2',
    '  2:00: 2 3',
    'rest 1:00',
  );

  it('says nothing of what is the same', () => {
    expect(listChanges(before, before)).toEqual([]);
  });

  it('says lengths, repeats, goals, efforts and moves, in the order of the sheet', () => {
    expect(
      changed(
        before,
        '# Tower, easier',
        'bag: shadow',
        'pace: 0.9',
        'round 2:00 x2 rest 0:45 goal 80',
        '  1:00: 1 2',
        '  1:00 nonstop: 2 3b',
        'rest open',
      ),
    ).toEqual([
      'Title: Tower → Tower, easier',
      'Bag: heavy → shadow',
      'Pace: 1 → 0.9',
      'Round 1: 3:00 → 2:00',
      'Round 1: 3 times → 2 times',
      'Round 1: rest between 1:00 → 0:45',
      'Round 1: goal 100 → 80',
      'Round 1: 1 2: strong → steady',
      'Round 1: 2 3 → 2 3b',
      'Round 1: 2 3b: 2:00 → 1:00',
      'Round 1: 2 3b: non-stop',
      'Rest: 1:00 → open',
    ]);
  });

  it('says what was put in and taken out', () => {
    expect(changed(before, '# Tower', 'bag: heavy', 'round 3:00 x3 rest 1:00 goal 100', '  1:00 strong: 1 2')).toEqual([
      'Round 1: 2 3 taken out',
      'Rest taken out',
    ]);
    expect(
      listChanges(sheetOf('round 3:00'), sheetOf('round 3:00 learn then mirror', '  1:00 own time', 'cool-down 2:00')),
    ).toEqual(['Round 1: learnt and then mirrored', 'Round 1: own time put in', 'Cool-down put in, 2:00']);
  });
});

describe('what a build takes', () => {
  const fitOf = (head: string, build: string) => {
    const [block] = sheetOf(head, `  ${build}`).blocks;
    if (!block) throw new Error('no block');
    return fitBuild(block, block.pieces[0] as PieceOf<'build'>);
  };

  it('parts a time evenly on five seconds, the last taking what is over', () => {
    expect(evenStages(6, 180_000)).toEqual([30_000]);
    expect(evenStages(4, 170_000)).toEqual([40_000, 40_000, 40_000, 50_000]);
    expect(evenStages(7, 10_000).reduce((sum, ms) => sum + ms, 0)).toBe(10_000);
  });

  it('is shorter stages, a longer block, or spread over rounds, each of which fits', () => {
    const fit = fitOf('round 2:00', 'build pyramid every 0:30: 1 2 3');
    expect([fit.stages, fit.takes, fit.has]).toEqual([5, 150_000, 120_000]);
    expect(fit.ways.map(({ label }) => label)).toEqual([
      'Make each stage 0:20, the last 0:40',
      'Make the round 2:30',
      'One stage a round, 5 rounds of 2:00',
    ]);
    for (const { label, edit } of fit.ways) {
      const [block] = edit(sheetOf('round 2:00', '  build pyramid every 0:30: 1 2 3')).blocks;
      if (!block) throw new Error(label);
      expect(fitBuild(block, block.pieces[0] as PieceOf<'build'>).ways)
        .withContext(label)
        .toEqual([]);
    }
  });

  it('needs no way where it fits, and names no stage too short to practise', () => {
    expect(fitOf('round 1:30', 'build ladder every 0:30: 1 2 3').ways).toEqual([]);
    expect(fitOf('round 0:20', 'build ladder every 0:30: 1 2 3 2').ways.map(({ label }) => label)[0]).toBe(
      'Make the round 2:00',
    );
  });
});

describe('an id that a pure edit gives', () => {
  it('stands nowhere else', () => {
    const sheet = sheetOf('round 1:00: 1', 'rest 1:00');
    expect(unusedId(sheet, 'rest')).toBe('rest-1');
    expect(
      unusedId({ ...sheet, blocks: sheet.blocks.map((block, at) => ({ ...block, id: `rest-${at + 1}` })) }, 'rest'),
    ).toBe('rest-3');
  });
});
