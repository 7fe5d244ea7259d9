import fc from 'fast-check';
import { isLegStrike, move } from '../moves/move';
import { anyCombination } from './arbitrary.spec';
import { mapMoves } from './map-moves';
import { readCombination } from './read';
import { writeCombination } from './write';

function mapped(text: string, change: Parameters<typeof mapMoves>[1]): string {
  const read = readCombination(text);
  return read.ok ? writeCombination(mapMoves(read.value, change)) : read.fault.what;
}

describe('changing moves wherever they stand', () => {
  it('reaches groups, pairs, turns and the end of a slot', () => {
    const noKicks = (text: string): string => mapped(text, (each) => (isLegStrike(each) ? null : each));
    expect(noKicks('1 bk (2 lk)x3 3')).toBe('1 (2)x3 3');
    expect(noKicks('[bk / 1 2 / swk 3] any 3 end lk')).toBe('[1 2 / 3] any 3');
    expect(noKicks('[bk / 1] in+lk (bk)x2')).toBe('1 in');
    expect(noKicks('1 | bk | 2 3 | lk')).toBe('1 | 2 3');
    expect(mapped('1 in+1 any 2 end 1', (each) => (each.id === 'jab' ? move('cross') : each))).toBe(
      '2 in+2 any 2 end 2',
    );
  });

  it('leaves everything as it is where nothing is changed', () => {
    fc.assert(
      fc.property(anyCombination, (combination) => {
        expect(mapMoves(combination, (each) => each)).toEqual(combination);
      }),
    );
  });
});
