import { usualSchools } from './conditions';
import fc from 'fast-check';
import { anyCombination } from '../notation/arbitrary.spec';
import { stuckSeams } from '../mechanics/repairs';
import { study } from '../mechanics/study';
import type { Combination } from '../notation/combination';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { accesses } from './own-kind';
import { targets } from '../moves/kind';
import { strikeFamilies } from './own-kind';
import { bagKinds, levels, type BagKind } from './kind-names';
import { bagNatures, type BagNature } from './kinds';
import type { Conditions } from './conditions';
import { strikesIn } from './fit-length';
import { fitToBag } from './fit';

function fit(text: string, bag: BagKind, here: Conditions = {}): string {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  const { verdict, adapted } = fitToBag(read.value, bag, here);
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
    ['double-end', '1 2 bk lel', 'adapt: 1 2 sl 2 1'],
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
      'cross to the body: nothing to the body on the double-end bag; aimed at the head instead',
      'rear low kick: no kick on the double-end bag; cross instead',
      'cross straight after cross: the rear side has not reloaded; slip to the rear side first',
    ]);
    expect(fitToBag(read.value, 'speed').reasons[1]).toContain('triplets');
  });

  // Trade page, sections 7 and 13: schools, access, length by level; examples our own, house values where a length is meant.
  const under = (text: string, bag: BagKind, here: Conditions): string => fit(text, bag, here);
  it('goes by the coach’s school after a hook and for the body on the double-end', () => {
    const sameHand: Conditions = {
      schools: { ...usualSchools, afterHook: 'same hand', bodyOnDoubleEnd: 'lower cord' },
    };
    expect(under('1 2 3', 'double-end', sameHand)).toBe('adapt: 1 2 3 bf');
    expect(under('1 2 3 bf', 'double-end', sameHand)).toBe('fits');
    expect(under('3 3 2', 'double-end', sameHand)).toBe('fits');
    expect(under('3 2', 'double-end', sameHand)).toBe('adapt: 3 bf 2');
    expect(under('4 1', 'double-end', sameHand)).toBe('adapt: 4 sl 4 1');
    expect(under('1 2b', 'double-end', sameHand)).toBe('fits');
  });

  it('walks round a bag only where there is room, and kicks low only where it reaches down', () => {
    expect(under('1 2 ci 1', 'heavy', { access: 'half' })).toBe('fits');
    expect(under('1 2 ci 1', 'heavy', { access: 'quarter' })).toBe('adapt: 1 2 ang 1');
    expect(under('1 2 lk', 'heavy', { lowKicks: false })).toBe('adapt: 1 2 bk');
  });

  it('shortens to what is useful at a level, bringing the ball back within it', () => {
    expect(under('1 2 1 2 1 2', 'double-end', {})).toBe('fits');
    expect(under('1 2 1 2 1 2', 'double-end', { level: 'beginner' })).toBe('adapt: 1 2 1 2');
    expect(under('1 2 1 sl 3 2', 'double-end', { level: 'beginner' })).toBe('adapt: 1 2 1');
    expect(under('(1 2)x4', 'reflex', { level: 'intermediate' })).toBe('adapt: 1 wait 2 wait 1 wait 2');
    expect(under('any 2-9', 'standing', { level: 'beginner' })).toBe('adapt: any 2-4');
    expect(under('1 2 3', 'heavy', { level: 'beginner' })).toBe('fits');
  });

  it('offers a drill of the bag with the same theme where nothing can be written as moves', () => {
    const reasons = (text: string): string => {
      const read = readCombination(text);
      return read.ok ? (fitToBag(read.value, 'speed').reasons[1] ?? '') : '';
    };
    expect(reasons('1 2 lk')).toContain('busy feet');
    expect(reasons('1 2 3')).toContain('side taps');
    expect(reasons('1 sl 2')).toContain('a step to the side');
  });

  const anyNature: fc.Arbitrary<BagNature> = fc.record({
    name: fc.constant('tyre'),
    targets: fc.subarray([...targets], { minLength: 1 }),
    families: fc
      .tuple(fc.subarray([...strikeFamilies], { minLength: 1 }), fc.boolean())
      .map(([taken, holds]) => (holds ? [...taken, 'hold' as const] : taken)),
    shown: fc.constant('tyre'),
    spoken: fc.constant('tyre'),
    body: fc.constantFrom('none', 'held', 'thing'),
    tricks: fc.constant([]),
    gloves: fc.boolean(),
    hangs: fc.boolean(),
    ball: fc.boolean(),
    measured: fc.constant(null),
    powerCapped: fc.boolean(),
    wildAfterHooks: fc.boolean(),
    oneAtATime: fc.boolean(),
    longest: fc.option(fc.constant({ beginner: 2, intermediate: 4, advanced: 7 }), { nil: undefined }),
    goodFor: fc.constant(''),
    care: fc.constant(''),
  });
  const anyConditions: fc.Arbitrary<Conditions> = fc.record({
    level: fc.constantFrom(undefined, ...levels),
    access: fc.constantFrom(...accesses),
    lowKicks: fc.boolean(),
    schools: fc.record({
      kick: fc.constantFrom('opposite', 'same'),
      ballTricks: fc.boolean(),
      afterHook: fc.constantFrom('rear straight', 'same hand'),
      bodyOnDoubleEnd: fc.constantFrom('none', 'lower cord'),
    }),
  });

  it('holds for any kind of the coach’s own, any level, school and access', () => {
    let ran = 0;
    fc.assert(
      fc.property(anyCombination, anyNature, anyConditions, (combination, nature, here) => {
        const { verdict, adapted } = fitToBag(combination, nature, here);
        expect(adapted !== null).toBe(verdict === 'adapt');
        if (!adapted) return;
        // Nothing sticks in it that did not stick before.
        const stuck = (each: Combination): string[] =>
          stuckSeams(study(each)).flatMap(({ key, seam }) => (seam.loop ? [] : [key]));
        const known = stuck(combination);
        ran += stuck(adapted).length;
        for (const key of stuck(adapted))
          expect(known.splice(known.indexOf(key), known.includes(key) ? 1 : 0).length)
            .withContext(key)
            .toBe(1);
        const again = fitToBag(adapted, nature, here);
        expect(again.reasons).toEqual([]);
        if (here.level && nature.longest)
          expect(strikesIn(adapted.items)).toBeLessThanOrEqual(nature.longest[here.level]);
      }),
      { numRuns: 500 },
    );
    expect(bagNatures.heavy.targets).toEqual(['head', 'body', 'leg']);
    expect(ran).toBeGreaterThan(0);
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
