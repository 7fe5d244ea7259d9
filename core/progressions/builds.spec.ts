import fc from 'fast-check';
import { plainCombination } from '../notation/arbitrary.spec';
import type { Combination } from '../notation/combination';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { alternator, byAmount, kickClose, levelPattern, singlesFirst } from './drills';
import { flatten } from './flat';
import { ladder, type Stage } from './ladder';
import { backward, chunks, join, pyramid } from './shapes';

function goal(text: string): Combination {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
}

const texts = (stages: readonly Stage[]) => stages.map((stage) => writeCombination(stage.combination));
const added = (stages: readonly Stage[]) => stages.map((stage) => stage.added.join(','));

// Trade page, section 5: common practice, no source; the goals are our own.
describe('backward', () => {
  it('starts with the finish and adds in front', () => {
    expect(texts(backward(goal('1 2 3b 2')))).toEqual(['2', '3b 2', '2 3b 2', '1 2 3b 2']);
    expect(added(backward(goal('1 2 3b 2')))).toEqual(['0', '0', '0', '0']);
  });
  it('brings a defence together with its counter, or alone', () => {
    expect(texts(backward(goal('1 2 sl 6 3')))).toEqual(['3', 'sl 6 3', '2 sl 6 3', '1 2 sl 6 3']);
    expect(added(backward(goal('1 2 sl 6 3')))).toEqual(['0', '0,1', '0', '0']);
    expect(texts(backward(goal('1 sl 6'), 'own'))).toEqual(['6', 'sl 6', '1 sl 6']);
  });
  it('keeps sides that a default would flip', () => {
    expect(texts(backward(goal('sl sl 3'), 'own'))).toEqual(['3', 'sl-l 3', 'sl sl 3']);
  });
});

describe('chunks', () => {
  it('cuts in thirds, at the coach’s cuts, or at the marks in the goal', () => {
    expect(texts(chunks(goal('1 2 3b 2 5 4')))).toEqual(['1 2', '1 2 3b 2', '1 2 3b 2 5 4']);
    expect(texts(chunks(goal('1 2 3b ro 2 5 4'), [3, 5]))).toEqual(['1 2 3b', '1 2 3b ro 2', '1 2 3b ro 2 5 4']);
    expect(texts(chunks(goal('1 | 2 3b 2'), [3]))).toEqual(['1', '1 2 3b 2']);
    expect(added(chunks(goal('1 2 3b 2 5 4')))).toEqual(['0,1', '2,3', '4,5']);
  });
  it('does not part a pair, and forgets cuts that make no stage', () => {
    expect(texts(chunks(goal('in+1 2 3'), [1]))).toEqual(['in+1', 'in+1 2 3']);
    expect(texts(chunks(goal('1 2')))).toEqual(['1', '1 2']);
    expect(texts(chunks(goal('1 2 3'), [99]))).toEqual(['1 2 3']);
  });
});

describe('pyramid', () => {
  it('has 2n − 1 stages, and goes up once more when asked', () => {
    expect(texts(pyramid(goal('1 2 3')))).toEqual(['1', '1 2', '1 2 3', '1 2', '1']);
    expect(texts(pyramid(goal('1 2 3'), 'rides', true))).toEqual(['1', '1 2', '1 2 3', '1 2', '1', '1 2', '1 2 3']);
    expect(added(pyramid(goal('1 2 3')))).toEqual(['0', '1', '2', '', '']);
  });
  it('does so for any goal', () => {
    fc.assert(
      fc.property(plainCombination, (combination) =>
        expect(pyramid(combination).length).toBe(2 * ladder(combination).length - 1),
      ),
    );
  });
});

describe('join', () => {
  it('builds A, builds B, refreshes both and runs them as one', () => {
    expect(texts(join(goal('1 2'), goal('3b 2')))).toEqual(['1', '1 2', '3b', '3b 2', '1 2', '3b 2', '1 2 3b 2']);
    expect(added(join(goal('1 2'), goal('3b 2')))).toEqual(['0', '1', '0', '1', '', '', '']);
  });
});

describe('kick close', () => {
  it('closes each rung with the leg opposite the last punch', () => {
    expect(texts(kickClose(goal('1 2 3')))).toEqual(['1 bk', '1 2 swk', '1 2 3 bk', '1 2 swk', '1 bk']);
    expect(added(kickClose(goal('1 2 3')))).toEqual(['0,1', '1,2', '2,3', '', '']);
    expect(added(kickClose(goal('1 1 2')))).toEqual(['0,1', '1', '2,3', '', '']);
  });
  it('or with the same leg, as the other school does, and up again', () => {
    expect(texts(kickClose(goal('1 2'), 'same'))).toEqual(['1 lbk', '1 2 bk', '1 lbk']);
    expect(texts(kickClose(goal('1 2'), 'opposite', 'rides', true))).toEqual(['1 bk', '1 2 swk', '1 bk', '1 2 swk']);
  });
});

describe('alternator', () => {
  it('is straights of lengths two to five from either hand', () => {
    expect(texts(alternator())).toEqual([
      '1 2',
      '1 2 1',
      '1 2 1 2',
      '1 2 1 2 1',
      '2 1',
      '2 1 2',
      '2 1 2 1',
      '2 1 2 1 2',
    ]);
    expect(added(alternator(2, 3))).toEqual(['0,1', '2', '0,1', '2']);
  });
});

describe('level pattern', () => {
  it('walks a shape through targets in singles, doubles, triples', () => {
    expect(texts(levelPattern(goal('1 2 3')))).toEqual([
      '1b 1b 1 1',
      '1b 2b 1b 2b 1 2 1 2',
      '1b 2b 3b 1b 2b 3b 1 2 3 1 2 3',
    ]);
    expect(texts(levelPattern(goal('2'), ['head', 'body', 'head']))).toEqual(['2 2b 2']);
    expect(added(levelPattern(goal('1 2'), ['body', 'head']))).toEqual(['0,1', '1,3']);
  });
  it('leaves alone what has no such target', () => {
    expect(texts(levelPattern(goal('ro lk'), ['body']))).toEqual(['ro', 'ro lk']);
  });
});

describe('singles first', () => {
  it('takes each strike alone, once, then the whole', () => {
    expect(texts(singlesFirst(goal('1 2 1 3b sl 2')))).toEqual(['1', '2', '3b', '1 2 1 3b sl 2']);
    expect(texts(singlesFirst(goal('in+1 [bk / swk]')))).toEqual(['1', 'bk', 'swk', 'in+1 [bk / swk]']);
  });
});

describe('building by amount', () => {
  it('grows the slot from set to set', () => {
    expect(texts(byAmount(goal('any 2-4 end 3')))).toEqual(['any 2 end 3', 'any 3 end 3', 'any 4 end 3']);
    expect(texts(byAmount(goal('1 any 1 2'), 3))).toEqual(['1 any 1 2', '1 any 2 2', '1 any 3 2']);
    expect(added(byAmount(goal('1 any 1 2'), 2))).toEqual(['0,1,2', '1']);
  });
  it('needs one slot', () => {
    expect(byAmount(goal('1 2'))).toEqual([]);
    expect(byAmount(goal('any 2 1 any 3'))).toEqual([]);
  });
});

describe('every build', () => {
  it('ends on the whole, or comes back to where it began', () => {
    fc.assert(
      fc.property(plainCombination, (combination) => {
        const whole = flatten(combination.items);
        for (const stages of [
          ladder(combination),
          backward(combination),
          chunks(combination),
          singlesFirst(combination),
        ])
          expect(flatten(stages.at(-1)?.combination.items ?? [])).toEqual(whole);
        const up = pyramid(combination);
        expect(up.at(-1)?.combination).toEqual(up[0]?.combination as Combination);
      }),
    );
  });
});
