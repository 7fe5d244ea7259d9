import { readCombination } from '../notation/read';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { usualSchools, type Conditions } from './conditions';
import { fitToBag, type BagFit } from './fit';
import { shortenTo, strikesIn } from './fit-length';
import type { BagKind } from './kind-names';

const combination = (text: string): Combination => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};
const fit = (text: string, bag: BagKind, here: Conditions = {}): BagFit => fitToBag(combination(text), bag, here);
const offers = (text: string, bag: BagKind): string[] =>
  fit(text, bag).offers.map(({ what, combination: changed }) => `${writeCombination(changed)}: ${what}`);

// Trade page, section 7: after a hard cross a cover or parry steadies the ball; which school brings a hook back is section 13.
describe('what is offered besides, on a ball between cords', () => {
  it('is a cover or a parry behind a hard straight that has none', () => {
    expect(offers('1 2! 1', 'double-end')).toEqual([
      '1 2! cov 1: a cover after the hard cross steadies the ball',
      '1 2! pa 1: a parry after the hard cross steadies the ball',
    ]);
    expect(offers('2!', 'double-end').length).toBe(2);
  });

  it('is nothing where a defence follows, nothing is hard, or nothing swings', () => {
    expect(offers('1 2! sl 2', 'double-end')).toEqual([]);
    expect(offers('1 2 1', 'double-end')).toEqual([]);
    expect(offers('1 2! 1', 'heavy')).toEqual([]);
    // The first that has none, not the first hard one.
    expect(offers('1! sl 2! 1', 'double-end')[0]).toMatch(/^1! sl 2! cov 1:/);
  });
});

describe('why a combination does not fit', () => {
  it('is said with what there is instead', () => {
    const speed = fit('1 2', 'speed');
    expect([speed.verdict, speed.adapted]).toEqual(['unfit', null]);
    expect(speed.reasons[0]).toBe('numbered combinations become rhythms on the speed bag');
    expect(speed.reasons[1]).toMatch(/^instead: /);
    expect(fit('2 3', 'double-end').reasons).toEqual([
      'a hook sends the double-end bag sideways: a cross brings it back',
    ]);
    const same = { schools: { ...usualSchools, afterHook: 'same hand' as const } };
    expect(fit('2 3', 'double-end', same).reasons).toEqual([
      'a hook sends the double-end bag sideways: the same hand brings it back',
    ]);
    expect(fit('1 2', 'reflex').reasons).toEqual([
      'the reflex bag has to come back through the middle: one beat between strikes',
    ]);
    expect(fit('1 2', 'heavy')).toEqual({ bag: 'heavy', verdict: 'fits', reasons: [], adapted: null, offers: [] });
  });

  it('is its length, for athletes of a level; then the first of it that is useful', () => {
    const long = fit('1 2 1 2 1 2 1 2', 'double-end', { level: 'beginner' });
    expect(long.verdict).toBe('adapt');
    expect(long.reasons[0]).toMatch(
      /^8 strikes is too many for beginners on the double-end bag: shortened to the first \d$/,
    );
    const kept = long.adapted ? strikesIn(long.adapted.items) : 0;
    expect(long.reasons[0]).toContain(`the first ${kept}`);
    expect(fit('1 2 1 2 1 2 1 2', 'double-end').verdict).toBe('fits');
  });

  it('is a school’s word on kicks and elbows at the ball', () => {
    const tricks = { schools: { ...usualSchools, ballTricks: true } };
    expect(fit('1 lel', 'double-end').verdict).not.toBe('fits');
    expect(fit('1 lel', 'double-end', tricks).verdict).toBe('fits');
    // A bag that has no tricks takes what it took before.
    expect(fit('1 2', 'heavy', tricks).verdict).toBe('fits');
    expect(fit('tp', 'reflex', tricks).verdict).toBe(fit('tp', 'reflex').verdict);
  });

  it('is one leg low where the bag ends above the knee, and circling where there is no room', () => {
    expect(fit('1 lk', 'heavy').verdict).toBe('fits');
    expect(fit('1 lk', 'heavy', { lowKicks: false }).verdict).toBe('adapt');
    expect(fit('1 ci 2', 'heavy').verdict).toBe('fits');
    expect(fit('1 ci 2', 'heavy', { access: 'quarter' }).verdict).toBe('adapt');
    expect(fit('1 ci 2', 'heavy', { access: 'half' }).verdict).toBe('fits');
  });
});

describe('the opening of a combination', () => {
  const cut = (text: string, most: number): string => writeCombination(shortenTo(combination(text), most));

  it('has so many strikes at most, in any turn, and what rides with a strike that is gone goes too', () => {
    expect(cut('1 2 3 2', 2)).toBe('1 2');
    expect(cut('1 2 3 2', 4)).toBe('1 2 3 2');
    expect(cut('1 sl 2 ro 3', 2)).toBe('1 sl 2');
    expect(cut('(1 2)x3 3', 4)).toBe('1 2 1 2');
    expect(strikesIn(combination('[1 / 1 2 3] 2').items)).toBe(4);
    expect(strikesIn(combination('1+in 2').items)).toBe(2);
  });

  it('keeps the ends of stages that are marked in it, where it is written out flat', () => {
    const marked = (text: string, ...stageEnds: number[]) =>
      shortenTo({ ...combination(text), stageEnds }, 2).stageEnds;
    expect(marked('1 2 3 2', 1, 2, 3)).toEqual([1]);
    expect(marked('1 2 3 2', 2, 3)).toBeUndefined();
    expect(marked('(1 2)x2 3', 1)).toBeUndefined();
  });

  it('narrows a slot that is too full, and does without it where nothing is left', () => {
    expect(cut('1 any 2 2', 2)).toBe('1 any 1');
    expect(cut('1 2 any 2', 2)).toBe('1 2');
  });
});
