import fc from 'fast-check';
import { compose } from './compose';
import { eight } from '../moves/scheme';
import { countOf, wishesOf } from './meets.spec';
import { readWishes } from './read-wishes';
import { noNames } from './wish';

describe('reading wishes', () => {
  it('never throws, and says where in the text a fault stands', () => {
    let faults = 0;
    const words = fc.constantFrom(
      'begins',
      '1 2',
      '3-',
      'moves',
      'at most',
      '2 s at',
      'like',
      '_',
      'on',
      'edits from',
      ',',
      '%',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(words, { maxLength: 6 }).map((all) => all.join(' ')),
        ),
        (text) => {
          const read = readWishes(text, noNames);
          if (read.ok) return;
          faults += 1;
          expect(read.fault.at).toBeLessThanOrEqual(read.fault.end);
          expect(read.fault.end).toBeLessThanOrEqual(text.length);
          expect(read.fault.mend).not.toBe('');
        },
      ),
      { numRuns: 3000, seed: 3 },
    );
    expect(faults).toBeGreaterThan(1000);
  });

  it('reads numbers in the coach’s own scheme', () => {
    const own = { ...noNames, scheme: eight };
    expect(readWishes('3 moves, begins 7 8').ok).toBeFalse();
    expect(wishesOf('3 moves, begins 7 8, without 7, like 8 _', own).slice(1)).toEqual(
      wishesOf('3 moves, begins sh oh, without sh, like oh _')
        .slice(1)
        .map((wish, at) => ({ ...wish, phrase: ['begins 7 8', 'without 7', 'like 8 _'][at] ?? '' })),
    );
  });

  it('knows a bag by its key in files and by its name on the screen', () => {
    const bagOf = (text: string) => wishesOf(text).flatMap((wish) => (wish.kind === 'on' ? [wish.bag] : []));
    expect(['on standing', 'on freestanding bag', 'on the heavy bag', 'on shadow boxing'].map(bagOf)).toEqual([
      ['standing'],
      ['standing'],
      ['heavy'],
      ['shadow'],
    ]);
  });

  it('knows the pace that seconds are said at', () => {
    const most = (text: string) => wishesOf(text).flatMap((wish) => (wish.kind === 'at most' ? [wish.ms] : []));
    expect([
      most('at most 2 s'),
      most('at most 2 s at 1.5'),
      most('at most 2 s at easy'),
      most('at most 2 seconds at speed'),
    ]).toEqual([[2000], [3000], [1600], [2600]]);
  });

  it('takes figures and words, and says of what is no wish how it is written', () => {
    expect(countOf('six punches, ends on 3, flows')).toBe(countOf('6 punches, ends 3, flows'));
    expect(countOf('3 moves, without 6') < countOf('3 moves, without 6b')).toBeTrue();
    for (const [text, mend] of [
      ['', 'phrases'],
      ['5 bananas', 'not a kind of strike or a move'],
      ['begins (1 2)x3', 'plain moves'],
      ['on the moon', 'after on write a bag'],
      ['6-4 moves', 'the smaller number first'],
      ['31 moves', 'at most 30'],
      ['at most 3 s at breakneck', 'after at, put a pace'],
      ['like 1 2 __', 'and _ for any'],
      ['heights head feet', 'head, body, leg'],
      ['two edits from nowhere', '2 changes from my combinations'],
      ['teaches patience', 'after teaches write a fault'],
      ['both bags', 'this room has no bags'],
    ] as const) {
      const read = readWishes(text);
      expect(read.ok).toBeFalse();
      if (!read.ok) expect(read.fault.mend).toContain(mend);
    }
    const endless = compose(wishesOf('5 punches, contains ro'));
    expect(endless.ok).toBeFalse();
    if (!endless.ok) expect(endless.fault.mend).toContain('5-8 moves');
    expect(compose(wishesOf('flows')).ok).toBeFalse();
  });
});
