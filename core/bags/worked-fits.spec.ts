import { usualSchools } from './conditions';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import type { Conditions } from './conditions';
import { drillFor, themesOf, type Theme } from './drills';
import { fitToBag } from './fit';
import { bagNatures, natureOf } from './kinds';
import type { BagKind } from './kind-names';
import type { OwnBag } from './own-kind';

type Row = readonly [bag: BagKind, typed: string, expected: string];

function fit(text: string, bag: BagKind, here: Conditions = {}): string {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  const { verdict, adapted } = fitToBag(read.value, bag, here);
  return adapted ? writeCombination(adapted) : verdict;
}

const check = (rows: readonly Row[], here: Conditions = {}): void => {
  for (const [bag, typed, expected] of rows)
    it(`${typed} on ${bag}: ${expected}`, () => {
      expect(fit(typed, bag, here)).toBe(expected);
    });
};

// Trade page, section 7, the table and what the matcher needs; common practice, no source. Worked by hand.
describe('worked fits: nothing at all is in the way', () => {
  check([
    ['shadow', 'hk lk rel jkn', 'fits'],
    ['shadow', 'freestyle', 'fits'],
    ['shadow', '(1 2)x20', 'fits'],
    ['heavy', '1 2 3 4 5 6', 'fits'],
    ['heavy', 'lk bk hk tp', 'fits'],
    ['heavy', '1b 2b! 3b', 'fits'],
    ['heavy', 'rkn lel push', 'fits'],
    ['heavy', '1 ci 2 piv 3', 'fits'],
    ['standing', 'in 1 2 out', 'fits'],
    ['standing', '3 3b ang', 'fits'],
    ['standing', 'bk tp', 'fits'],
    ['standing', '1~ 2~', 'fits'],
    ['double-end', '1 2 sl 2', 'fits'],
    ['double-end', '2 cov 1', 'fits'],
    ['double-end', '5 6', 'fits'],
    ['double-end', '1! 2!', 'fits'],
    ['reflex', '1 wait 2', 'fits'],
    ['reflex', '1 ci 2', 'fits'],
    ['pads', '1 2 bk', 'fits'],
    ['pads', 'tp rkn ck', 'fits'],
    ['pads', 'hk', 'fits'],
  ]);
});

describe('worked fits: targets', () => {
  check([
    ['standing', 'lk', 'bk'],
    ['standing', 'ilk 2', 'lbk 2'],
    ['standing', 'swl', 'swk'],
    ['standing', 'rtpl', 'rtp'],
    ['pads', 'lk 2', 'bk 2'],
    ['pads', 'tpl', 'tp'],
    ['double-end', '1b', '1'],
    ['double-end', '5b 2b', '5 2'],
    ['reflex', '2b', '2'],
    ['reflex', '3b', '3'],
  ]);
});

describe('worked fits: families that a ball does not take become the straight of their side', () => {
  check([
    ['double-end', 'bk', '2'],
    ['double-end', 'lbk', '1'],
    ['double-end', 'rel', '2'],
    ['double-end', 'lkn', '1'],
    ['double-end', 'tp 2', '1 2'],
    ['double-end', 'push 2', '1 2'],
    ['double-end', 'swk', '1'],
    ['reflex', 'hk', '2'],
    ['reflex', 'lel', '1'],
  ]);
});

describe('worked fits: what must follow', () => {
  check([
    ['double-end', '3', '3 2'],
    ['double-end', '4', '4 sl 2'],
    ['double-end', '3 4', '3 2 sl 4 sl 2'],
    ['double-end', '1 3 sl', '1 3 2 sl'],
    ['double-end', '3 sl 2', 'fits'],
    ['double-end', '3 any 2', '3 2 any 2'],
    ['double-end', '3 ro 2 3', '3 ro 2 3 2'],
    ['double-end', '[3 / 4] 1', '[3 2 / 4 sl 2] 1'],
    ['double-end', '(3)x3', '(3 2)x3'],
    ['reflex', '1 1', '1 wait 1'],
    ['reflex', '(1 2)x2', '(1 wait 2 wait)x2'],
    ['reflex', '1 2 sl 3', '1 wait 2 sl 3'],
  ]);
});

describe('worked fits: power where it is capped', () => {
  check([
    ['standing', '1! 2!', '1 2'],
    ['standing', '1 bk!', '1 bk'],
    ['reflex', '1!', '1'],
    ['heavy', '1! 2!', 'fits'],
    ['double-end', '2!', 'fits'],
    ['pads', '2!', 'fits'],
  ]);
});

describe('worked fits: slots', () => {
  check([
    ['double-end', 'any 3', 'fits'],
    ['double-end', 'any 3 kicks', 'any 3'],
    ['double-end', 'any 2 body', 'any 2'],
    ['double-end', 'any 2 strikes', 'any 2'],
    ['double-end', 'any 2-4 end 3b', 'any 2-4 end 3'],
    ['heavy', 'any 3 kicks', 'fits'],
    ['standing', 'any 2 body', 'fits'],
    ['pads', 'any 2 strikes', 'fits'],
  ]);
});

// House values: the longest useful combination by level.
describe('worked fits: length for beginners', () => {
  check(
    [
      ['heavy', '1 2 3 2 1 2 3 2', 'fits'],
      ['heavy', '1 2 3 2 1 2 3 2 1', '1 2 3 2 1 2 3 2'],
      ['standing', '1 2 1 2 1', '1 2 1 2'],
      ['double-end', '1 1 2 1 1 2', '1 1 2 1'],
      ['double-end', '1 2 1 3', '1 2 1'],
      ['reflex', '1 wait 2 wait 1 wait 2', '1 wait 2 wait 1'],
      ['shadow', '(1 2)x12', 'fits'],
      ['pads', '(1 2)x12', 'fits'],
    ],
    { level: 'beginner' },
  );
});

describe('worked fits: schools, access, a bag that ends high', () => {
  check(
    [
      ['double-end', '1 2b 3b', '1 2b 3b bf'],
      ['double-end', '3 3', 'fits'],
      ['double-end', '3 4', '3 bf 4 sl 4'],
      ['double-end', '3 bf 1', 'fits'],
      ['heavy', 'lk ci', 'bk ang'],
      ['heavy', '1 piv 2', 'fits'],
    ],
    {
      schools: { ...usualSchools, afterHook: 'same hand', bodyOnDoubleEnd: 'lower cord' },
      access: 'quarter',
      lowKicks: false,
    },
  );
});

describe('what a combination trains', () => {
  const rows: readonly (readonly [string, Theme])[] = [
    ['1 2', 'straights'],
    ['1 2 3', 'hooks'],
    ['1 5', 'uppercuts'],
    ['1 3 5', 'uppercuts'],
    ['1 sl 2', 'defence'],
    ['1 2b', 'body'],
    ['1 2b sl', 'body'],
    ['1 2 lk', 'legs'],
    ['tp 2b', 'legs'],
    ['freestyle', 'straights'],
    ['(3)x4', 'hooks'],
  ];
  for (const [typed, theme] of rows)
    it(`${typed}: ${theme}`, () => {
      const read = readCombination(typed);
      if (!read.ok) throw new Error(read.fault.what);
      expect(themesOf(read.value)[0]).toBe(theme);
      expect(Object.values(bagNatures).length).toBeGreaterThan(0);
      for (const nature of Object.values(bagNatures))
        expect(drillFor(read.value, nature).words.length).toBeGreaterThan(5);
    });
});

describe('kinds of the coach’s own', () => {
  const tyre: OwnBag = { name: 'Tyre', targets: ['body', 'leg'], families: ['punch', 'kick'] };
  const rope: OwnBag = { name: 'Rope', targets: ['head'], families: ['punch'], rhythm: 'swing and touch' };

  it('are found by name, whatever the capitals, and nothing else is', () => {
    expect(natureOf('tyre', [tyre])?.targets).toEqual(['body', 'leg']);
    expect(natureOf('heavy', [tyre])).toBe(bagNatures.heavy);
    expect(natureOf('sofa', [tyre])).toBeNull();
  });

  it('are matched like any other', () => {
    const read = readCombination('1 2 hk lk');
    const nature = natureOf('Tyre', [tyre]);
    if (!read.ok || !nature) throw new Error('unread');
    const { adapted } = fitToBag(read.value, nature);
    expect(adapted && writeCombination(adapted)).toBe('1b 2b bk ck lk');
    const rhythm = natureOf('Rope', [rope]);
    expect(rhythm && fitToBag(read.value, rhythm).reasons[1]).toContain('swing and touch');
  });
});
