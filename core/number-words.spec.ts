import { numberWord, readNumberWord } from './number-words';

describe('numbers as words', () => {
  it('go to ninety-nine and back', () => {
    expect([0, 7, 12, 20, 45, 99].map(numberWord)).toEqual([
      'zero',
      'seven',
      'twelve',
      'twenty',
      'forty-five',
      'ninety-nine',
    ]);
    for (let value = 0; value < 100; value += 1) expect(readNumberWord(numberWord(value))).toBe(value);
  });

  it('are figures beyond, and nothing where there is no number', () => {
    expect([100, -1, 1.5].map(numberWord)).toEqual(['100', '-1', '1.5']);
    expect([readNumberWord('200'), readNumberWord('Three'), readNumberWord('threes'), readNumberWord('')]).toEqual([
      200,
      3,
      null,
      null,
    ]);
  });
});
