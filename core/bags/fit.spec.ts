import fc from 'fast-check';
import { anyCombination } from '../notation/arbitrary.spec';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { bagKinds, type BagKind } from '../session/schema';
import { fitToBag } from './fit';

function fit(text: string, bag: BagKind): string {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  const { verdict, adapted } = fitToBag(read.value, bag);
  return adapted ? `${verdict}: ${writeCombination(adapted)}` : verdict;
}

// Trade page, section 7 and 13: common practice, no source; examples our own.
describe('matching with a bag', () => {
  const cases: readonly [BagKind, string, string][] = [
    ['shadow', '1 2 lk! hk rkn', 'fits'],
    ['heavy', '1 2b 3! lk tp', 'fits'],
    ['standing', '1 2 1', 'fits'],
    ['standing', '1 2 lk', 'adapt: 1 2 bk'],
    ['standing', '1 2! 3b', 'adapt: 1 2 3b'],
    ['standing', 'tpl 2', 'adapt: tp 2'],
    ['double-end', '1 1 2', 'fits'],
    ['double-end', '1 2 3 2', 'fits'],
    ['double-end', '1 2b', 'adapt: 1 2'],
    ['double-end', '1 2 3', 'adapt: 1 2 3 2'],
    ['double-end', '3 ro 2', 'fits'],
    ['double-end', '1 3 1', 'adapt: 1 3 2 1'],
    ['double-end', '(1 2 3)x2', 'adapt: (1 2 3 2)x2'],
    ['double-end', '1 2 bk lel', 'adapt: 1 2 2 1'],
    ['double-end', '[3 / 1] 2', 'fits'],
    ['double-end', 'any 2 kicks 1', 'adapt: any 2 1'],
    ['double-end', 'ft 3b 2', 'fits'],
    ['reflex', '1', 'fits'],
    ['reflex', '1 2 3', 'adapt: 1 wait 2 wait 3'],
    ['reflex', '1 sl 2', 'fits'],
    ['reflex', '5b!', 'adapt: 5'],
    ['speed', '1 2', 'unfit'],
    ['pads', '1 2 lk', 'adapt: 1 2 bk'],
    ['pads', '1 2 ilk', 'adapt: 1 2 lbk'],
    ['pads', 'swl 2', 'adapt: swk 2'],
  ];
  for (const [bag, text, expected] of cases)
    it(`${text} on ${bag}: ${expected}`, () => expect(fit(text, bag)).toBe(expected));

  it('gives a reason for every change, and the speed bag a rhythm instead', () => {
    const read = readCombination('1 2b lk');
    if (!read.ok) throw new Error('unreadable');
    expect(fitToBag(read.value, 'double-end').reasons).toEqual([
      'cross to the body: the double-end bag takes nothing to the body; to the head instead',
      'rear low kick: no kick on the double-end bag; cross instead',
    ]);
    expect(fitToBag(read.value, 'speed').reasons[0]).toContain('triplets');
  });

  it('an adapted combination really fits, and so adapting twice equals once', () => {
    fc.assert(
      fc.property(anyCombination, fc.constantFrom(...bagKinds), (combination, bag) => {
        const { verdict, adapted, reasons } = fitToBag(combination, bag);
        expect(adapted !== null).toBe(verdict === 'adapt');
        expect(reasons.length > 0).toBe(verdict !== 'fits');
        if (adapted) expect(fitToBag(adapted, bag).verdict).toBe('fits');
      }),
      { numRuns: 500 },
    );
  });
});
