import { six } from '../moves/scheme';
import { readGoals } from './goals';

describe('drills of one line', () => {
  it('are parted by ;, and empty clauses are none', () => {
    expect(readGoals('1 2 3b 2; 2 3 2', six)).toEqual({ ok: true, value: ['1 2 3b 2', '2 3 2'] });
    expect(readGoals(' ; 1 2 ;; ', six)).toEqual({ ok: true, value: ['1 2'] });
    expect(readGoals('', six)).toEqual({ ok: true, value: [] });
  });

  it('take up parts that a clause has named before them', () => {
    expect(readGoals('A: 1 2; A 3; B: A A; B 4', six)).toEqual({ ok: true, value: ['1 2 3', '1 2 1 2 4'] });
    expect(readGoals('A: 1 2', six)).toEqual({ ok: true, value: [] });
  });

  it('tell a fault by its place in the whole line', () => {
    const line = '1 2; 3 banana';
    const read = readGoals(line, six);
    expect(read.ok).toBeFalse();
    if (!read.ok) expect(line.slice(read.fault.at, read.fault.end)).toBe('banana');
    const named = 'A: 1 2; B: 3 wrong; A B';
    const other = readGoals(named, six);
    expect(other.ok).toBeFalse();
    if (!other.ok) expect(named.slice(other.fault.at, other.fault.end)).toBe('wrong');
    const after = 'A: 1 2; A nothing';
    const third = readGoals(after, six);
    if (!third.ok) expect(after.slice(third.fault.at, third.fault.end)).toBe('nothing');
    expect(third.ok).toBeFalse();
  });
});
