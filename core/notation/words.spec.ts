import { study } from '../mechanics/study';
import { six } from '../moves/scheme';
import { ladder } from '../progressions/ladder';
import { describeCombination } from '../mechanics/describe';
import { formsOf } from './forms';
import { lex } from './lex';
import { readCombination } from './read';
import { suggest } from './suggest';

function combinationOf(text: string) {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
}

describe('the staff in words', () => {
  it('tells moves in order, sides and targets, slots, groups, turns and pairs', () => {
    expect(describeCombination(combinationOf('1 2b (3 4)x2 in+1 [bk / swk] any 2 sl'))).toBe(
      'jab, cross to the body, 2 times: lead hook, rear hook; end of repeat, step in with jab, alternating: rear body kick; or switch kick; end of turns, any 2, athlete’s choice, rear slip.',
    );
  });
  it('tells what is new and where it sticks, or that it flows', () => {
    const goal = combinationOf('1 2 4');
    const last = ladder(goal).at(-1);
    expect(describeCombination(goal, last?.added, study(goal))).toContain(
      'New: move 3. after move 2: rear hook straight after cross',
    );
    expect(describeCombination(combinationOf('1 2'), [], study(combinationOf('1 2')))).toBe(
      'jab, cross. Flows all the way through.',
    );
  });
  it('does not speak of same-side kicks to the school that drills them', () => {
    const kicks = combinationOf('1 2 lk');
    expect(describeCombination(kicks, [], study(kicks))).toContain('small step');
    expect(describeCombination(kicks, [], study(kicks), 'same')).toContain('Flows all the way through');
  });
});

describe('splitting text', () => {
  it('keeps places, and says what stands between two words', () => {
    expect(lex('1-2, (B)x2').map(({ text, at, joint }) => [text, at, joint])).toEqual([
      ['1', 0, 'none'],
      ['2', 2, 'hyphen'],
      ['(', 5, 'comma'],
      ['b', 6, 'none'],
      [')', 7, 'none'],
      ['x2', 8, 'none'],
    ]);
    expect(lex('1 - 2').map(({ joint }) => joint)).toEqual(['none', 'space']);
    expect(lex('1—2').map(({ joint }) => joint)).toEqual(['none', 'hyphen']);
    expect(lex('(1)×3').at(-1)?.text).toBe('x3');
    expect(lex(' \t\n')).toEqual([]);
  });
  it('does not move places where a capital would grow when made small', () => {
    // U+0130 becomes two characters in small letters by the Unicode default mapping.
    expect(lex('İ 1').at(-1)?.at).toBe(2);
  });
});

describe('suggestions', () => {
  const near = (word: string) => suggest(word, formsOf(six));
  it('part a run of moves, mend a misspelling, and stay silent where nothing is near', () => {
    expect(near('123b')).toBe('1 2 3b');
    expect(near('1b2')).toBe('1b 2');
    expect(near('upercut')).toBe('uppercut');
    expect(near('swich')).toBe('switch');
    expect(near('freestile')).toBe('freestyle');
    expect(near('rndhouse')).toBe('roundhouse');
    expect(near('xylophone')).toBeNull();
    expect(near('q')).toBeNull();
    expect(near('z'.repeat(500))).toBeNull();
  });
});
