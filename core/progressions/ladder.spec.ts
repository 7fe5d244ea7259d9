import fc from 'fast-check';
import { anyCombination } from '../notation/arbitrary.spec';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { flatten, listedMoves } from './flat';
import { ladder, type DefenceOption } from './ladder';

function stages(text: string, defence?: DefenceOption): string[] {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return ladder(read.value, defence).map((stage) => `${writeCombination(stage.combination)} +${stage.added.join(',')}`);
}

// Trade page, section 5: common practice, no source; examples our own.
describe('ladder', () => {
  it('adds one strike a stage', () => {
    expect(stages('1 2 3b 2 5 4')).toEqual([
      '1 +0',
      '1 2 +1',
      '1 2 3b +2',
      '1 2 3b 2 +3',
      '1 2 3b 2 5 +4',
      '1 2 3b 2 5 4 +5',
    ]);
  });

  it('lets a defence ride with its counter, or be a stage of its own', () => {
    expect(stages('1 2 sl 6 3')).toEqual(['1 +0', '1 2 +1', '1 2 sl 6 +2,3', '1 2 sl 6 3 +4']);
    expect(stages('1 2 sl 6 3', 'own')).toEqual(['1 +0', '1 2 +1', '1 2 sl +2', '1 2 sl 6 +3', '1 2 sl 6 3 +4']);
    expect(stages('1 2 ro')).toEqual(['1 +0', '1 2 +1', '1 2 ro +2']);
    expect(stages('in 1 ft 3 2')).toEqual(['in 1 +0,1', 'in 1 ft 3 2 +2,3']);
  });

  it('keeps pairs, slots and turns whole, and writes groups out', () => {
    expect(stages('in+1 any 2 [bk / swk]')).toEqual(['in+1 +0,1', 'in+1 any 2 +2', 'in+1 any 2 [bk / swk] +3']);
    expect(stages('(1 2)x2')).toEqual(['1 +0', '1 2 +1', '1 2 1 +2', '(1 2)x2 +3']);
  });

  it('obeys stage ends marked by hand, and nothing else then', () => {
    expect(stages('1 2 | 3b | 2 sl 5 4', 'own')).toEqual(['1 2 +0,1', '1 2 3b +2', '1 2 3b 2 sl 5 4 +3,4,5,6']);
    expect(stages('(1 2)x2 | 3')).toEqual(
      ['(1 2)x2 +0,1,2,3', '(1 2)x2 3 +4'].map((each, at) => (at === 0 ? '1 2 1 2 +0,1,2,3' : each)),
    );
  });

  it('stages are prefixes, each longer than the last, and the last is the whole', () => {
    fc.assert(
      fc.property(anyCombination, fc.constantFrom<DefenceOption>('rides', 'own'), (goal, defence) => {
        const flat = flatten(goal.items);
        const built = ladder(goal, defence);
        expect(built.length).toBeGreaterThan(0);
        let length = 0;
        for (const stage of built) {
          const items = flatten(stage.combination.items);
          expect(items).toEqual(flat.slice(0, items.length));
          expect(items.length).toBeGreaterThan(length);
          length = items.length;
        }
        expect(length).toBe(flat.length);
        const listed = flat.reduce((sum, item) => sum + listedMoves(item), 0);
        expect(built.flatMap((stage) => stage.added)).toEqual(Array.from({ length: listed }, (_, index) => index));
      }),
    );
  });
});
