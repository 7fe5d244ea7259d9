import { readTempoText } from '../formats/tempo-text/read';
import { moveMarked } from '../sheet/edit-many';
import { moveBlock, movePiece } from '../sheet/edit';
import { listChanges, sayChanges } from './changes';
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
      'Bag: heavy bag → shadow boxing',
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
      'Round 1: 2 3 removed',
      'Rest removed',
    ]);
    expect(
      listChanges(sheetOf('round 3:00'), sheetOf('round 3:00 learn then mirror', '  1:00 own time', 'cool-down 2:00')),
    ).toEqual(['Round 1: now learn, then mirror', 'Round 1: free work added', 'Cool-down added, 2:00']);
  });

  describe('of what was moved', () => {
    const whole = sheetOf(
      'warm-up 3:00',
      'round 2:00',
      '  1:00: 1 2',
      '  0:30: 2 3',
      '  0:30: 3 4',
      'core 1:00',
      'rest 1:00',
    );
    const [, round, core] = whole.blocks;
    const [first, , third] = round?.pieces ?? [];
    if (!round || !core || !first || !third) throw new Error('not read');

    it('names the one block and where it stands now, up or down', () => {
      expect(listChanges(whole, moveBlock(whole, core.id, 0))).toEqual(['Core moved, now 1 of 4']);
      expect(listChanges(whole, moveBlock(whole, round.id, 3))).toEqual(['Round 1 moved, now 4 of 4']);
    });

    it('names the one piece in its block', () => {
      expect(listChanges(whole, movePiece(whole, third.id, round.id, 0))).toEqual(['Round 1: 3 4 moved, now 1 of 3']);
      expect(listChanges(whole, movePiece(whole, first.id, round.id, 2))).toEqual(['Round 1: 1 2 moved, now 3 of 3']);
    });

    it('is not what was taken out or put in beside it', () => {
      const without = { ...whole, blocks: whole.blocks.filter(({ id }) => id !== round.id) };
      expect(listChanges(whole, without)).toEqual(['Round 1 removed']);
      expect(listChanges(without, whole)).toEqual(['Round 1 added, 2:00']);
    });

    it('counts what was put in beside it', () => {
      const cool = { ...core, id: 'cool', kind: 'cool-down' as const };
      const more = { ...moveBlock(whole, core.id, 0), blocks: [...moveBlock(whole, core.id, 0).blocks, cool] };
      expect(listChanges(whole, more)).toEqual(['Core moved, now 1 of 5', 'Cool-down added, 1:00']);
    });

    it('says of several that they were', () => {
      const both = moveMarked(whole, new Set([core.id, round.id]), -1);
      expect(both.blocks.map(({ kind }) => kind)).toEqual(['round', 'core', 'warm-up', 'rest']);
      expect(listChanges(whole, both)).toEqual(['Warm-up moved, now 3 of 4']);
      expect(listChanges(whole, { ...whole, blocks: [...whole.blocks].reverse() })).toEqual(['several moved']);
    });
  });

  it('says of everything else that it was changed, so that undo always has a name', () => {
    const [block, rest] = before.blocks;
    const [piece] = block?.pieces ?? [];
    if (!block || !rest || piece?.kind !== 'combination') throw new Error('not read');
    const withBlock = (change: Partial<typeof block>): Sheet => ({
      ...before,
      blocks: [{ ...block, ...change }, rest],
    });
    const cases: readonly (readonly [Sheet, string])[] = [
      [{ ...before, stance: 'southpaw' }, 'Stance changed'],
      [{ ...before, class: { ...before.class, people: 9 } }, 'Class changed'],
      [{ ...before, parts: [{ name: 'Hook', text: '3' }] }, 'Named parts changed'],
      [{ ...before, note: 'bring water' }, 'Note changed'],
      [{ ...before, gloves: { onMs: 60_000, offMs: 20_000 } }, 'Time for gloves changed'],
      [withBlock({ note: 'slowly' }), 'Round 1: note changed'],
      [withBlock({ says: [{ words: 'breathe', atMs: 1000 }] }), 'Round 1: your own calls changed'],
      [withBlock({ pieces: [{ ...piece, gapMs: 5000 }, ...block.pieces.slice(1)] }), 'Round 1: 1 2 changed'],
    ];
    expect(cases.length).toBe(8);
    for (const [after, words] of cases) expect(listChanges(before, after)).withContext(words).toEqual([words]);
  });

  it('is told in one line by its first, and how many more there are', () => {
    expect(sayChanges(before, before)).toBeNull();
    expect(sayChanges(before, { ...before, bag: 'shadow' })).toBe('Bag: heavy bag → shadow boxing');
    expect(sayChanges(before, { ...before, bag: 'shadow', note: 'x' })).toBe(
      'Bag: heavy bag → shadow boxing, and 1 more',
    );
    expect(sayChanges(before, { ...before, bag: 'shadow', note: 'x', title: 'y' })).toBe(
      'Title: Tower → y, and 2 more',
    );
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
      'One stage per round, 5 rounds of 2:00',
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
