import fc from 'fast-check';
import { exactClock, readClock, readTime, sayClock } from './clock-text';

describe('lengths, read and written', () => {
  it('are read in the ways coaches write them', () => {
    const read: readonly (readonly [string, number | null])[] = [
      ['1:30', 90_000],
      ['01:30', 90_000],
      ['90', 90_000],
      ['90s', 90_000],
      ['90 sec', 90_000],
      ['2 min', 120_000],
      ['1.5 m', 90_000],
      ['1:02:03', 3_723_000],
      ['0:01.005', 1005],
      ['0:00', null],
      ['0:75', null],
      ['1:75:00', null],
      ['-1:00', null],
      ['25:00:00', null],
      ['soon', null],
      ['', null],
    ];
    expect(read.length).toBeGreaterThan(0);
    for (const [text, ms] of read) expect(readClock(text)).withContext(text).toBe(ms);
    expect(readTime('0:00')).toBe(0);
  });

  it('are said shortly and written exactly', () => {
    expect([sayClock(90_000), sayClock(90_500), sayClock(3_723_000), sayClock(-15_000)]).toEqual([
      '1:30',
      '1:30.5',
      '1:02:03',
      '-0:15',
    ]);
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 86_400_000 }), (ms) => {
        expect(readClock(exactClock(ms))).toBe(ms);
      }),
    );
  });
});
