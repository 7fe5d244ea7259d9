import { six } from '../moves/scheme';
import { readStored } from './stored';
import { secondReadings } from './second-readings';
import { writeCombination } from './write';

const read = (text: string): string => {
  const got = readStored(text);
  return got.ok ? writeCombination(got.value) : got.fault.what;
};

// Trade page, section 3: a text keeps one reading; where people mean another by it, the other is offered.
describe('second readings', () => {
  it('of a side behind a defence, and of one among several', () => {
    const slip = secondReadings('1 slip right');
    expect(slip.map(({ at, end }) => '1 slip right'.slice(at, end))).toEqual(['slip right']);
    expect(slip[0]?.mend).toContain('sl-r');
    expect(read('1 slip right')).toBe('1 sl right');
    // A first slip goes to the rear anyhow.
    expect(read('1 sl-r')).toBe('1 sl');
    const kick = secondReadings('2 any 1 body kick');
    expect(kick[0]?.what).toContain('any 1 body kick');
    expect(kick[0]?.mend).toContain('any 1 kicks');
  });

  it('are none where only one thing can be meant', () => {
    const plain = ['1 2 3b', '1 sl 2', '1 sl-r', 'any 2 defences', 'any 2 kicks', 'left 1 right 2', 'any 1 defence'];
    expect(plain.flatMap((text) => secondReadings(text, six))).toEqual([]);
  });
});

describe('the trade’s everyday names', () => {
  // Trade page, section 3 (common practice, no source).
  const rows: readonly (readonly [string, string])[] = [
    ['leg switch', 'switch'],
    ['inside leg kick', 'ilk'],
    ['flying cross', 'leap'],
    ['teep to the face', 'tph'],
    ['teep to the thigh', 'tpl@thigh'],
    ['cross to the body', '2b'],
    ['spinning back fist', 'sbf'],
    ['grab lkn post 2', 'gr lkn po 2'],
    ['ft in 1', 'ft in 1'],
    ['ang-l 1 ci-r 2 piv-l', 'ang-l 1 ci-r 2 piv-l'],
    ['any 1!', 'any 1!'],
    ['any 1 defence', 'any 1 defences'],
  ];
  for (const [typed, written] of rows) it(`${typed} is ${written}`, () => expect(read(typed)).toBe(written));
});
