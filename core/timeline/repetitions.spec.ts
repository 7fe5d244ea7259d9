import { readTempoText } from '../formats/tempo-text/read';
import { compile } from './compile';
import { repetitionsOf, strikingAt } from './repetitions';

const leafOf = (line: string) => {
  const [, leaf] = compile(readTempoText(`rest 1:00\nround 1:00\n  ${line}`).sheet).leaves;
  if (!leaf) throw new Error(line);
  return leaf;
};

/* Times of the trade page, section 4: a straight 0.30 s, a breath of 3.0 s; technique at 0.6 of the pace. */
describe('repetitions of a piece', () => {
  it('stand a breath apart, as many as end before it does', () => {
    const all = repetitionsOf(leafOf('0:12 1 2'));
    expect(all.map(({ at, end }) => [at, end])).toEqual([
      [0, 600],
      [3600, 4200],
      [7200, 7800],
      [10_800, 11_400],
    ]);
    expect(repetitionsOf(leafOf('0:01 1 2 1 2')).length).toBe(0);
    expect(repetitionsOf(leafOf('0:30 own time')).length).toBe(0);
  });

  it('light the step that is done, and none in a breath, at the pace of the piece', () => {
    const leaf = leafOf('0:12 1 2');
    const lit = [0, 299, 300, 599, 600, 3599, 3600, 3900].map((at) => strikingAt(leaf, leaf.at + at));
    expect(lit).toEqual(['0', '0', '1', '1', null, null, '0', '1']);
    expect(strikingAt(leaf, leaf.at - 1)).toBeNull();
    const slow = leafOf('0:12 technique: 1 2');
    expect([499, 500, 999, 1000].map((at) => strikingAt(slow, slow.at + at))).toEqual(['0', '1', '1', null]);
  });

  it('follow groups and turns by their places in the text', () => {
    const grouped = leafOf('0:12 (1 2)x2 3');
    expect([0, 300, 600, 900].map((at) => strikingAt(grouped, grouped.at + at))).toEqual(['0.0', '0.1', '0.0', '0.1']);
    const turns = repetitionsOf(leafOf('0:20 2 [bk / swk]'));
    expect(turns.slice(0, 3).map(({ turn }) => turn)).toEqual([0, 1, 0]);
  });
});
