import { breathAt } from './breathing';

describe('the breath of a rest', () => {
  it('goes in for two seconds and out for four, and again (common practice, no source; house values)', () => {
    const at = [0, 1000, 2000, 4000, 5999, 6000, 7000].map((ms) => breathAt(ms));
    expect(at.map(({ phase }) => phase)).toEqual(['in', 'in', 'out', 'out', 'out', 'in', 'in']);
    expect(at.map(({ full }) => Math.round(full * 100))).toEqual([0, 50, 100, 50, 0, 0, 50]);
  });

  it('is held for three seconds in between only where that was chosen', () => {
    const phases = (held: boolean): string[] =>
      Array.from({ length: 9 }, (_, second) => breathAt(second * 1000 + 500, held).phase);
    expect(phases(true)).toEqual(['in', 'in', 'hold', 'hold', 'hold', 'out', 'out', 'out', 'out']);
    expect(phases(false)).not.toContain('hold');
  });

  it('never jumps', () => {
    let [most, count] = [0, 0];
    for (const held of [false, true])
      for (let ms = 0; ms < 18_000; ms += 10) {
        most = Math.max(most, Math.abs(breathAt(ms + 10, held).full - breathAt(ms, held).full));
        count += 1;
      }
    expect(count).toBe(3600);
    expect(most).toBeLessThanOrEqual(0.0051);
  });
});
