import { readCombination } from '../notation/read';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { fitToBag } from './fit';
import { withoutNewSeams } from './fit-seams';

const combination = (text: string): Combination => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};

// The rules of seams are the trade's (section 4; house values); what a bag takes is in section 7. Worked by hand.
describe('a combination that sticks when it is adapted', () => {
  it('is mended by the smallest change that the bag takes, and says which', () => {
    const worked = [
      // Two uppercuts at two heights are a double; both to the head want winding up between them.
      ['5b 5', 'double-end', '5 sl-l 5', 'slip to the lead side first'],
      // The teep becomes a jab, and the block has loaded the other side.
      ['tp bl 5', 'double-end', '1 bl sl-l 5', 'slip to the lead side first'],
      // A low kick goes to the body where nothing low is in use: twice the same leg.
      ['lk bk 5', 'standing', 'bk ck bk 5', 'check with the lead leg first'],
    ] as const;
    for (const [text, bag, adapted, mend] of worked) {
      const fit = fitToBag(combination(text), bag);
      expect(fit.verdict).withContext(text).toBe('adapt');
      expect(fit.adapted && writeCombination(fit.adapted)).toBe(adapted);
      expect(fit.reasons.at(-1)).toContain(`; ${mend}`);
    }
    expect(worked.length).toBe(3);
  });

  it('keeps what stuck before, and what sticks at the loop, where there is a breath', () => {
    const reasons = new Set<string>();
    const stuck = combination('4 2 4 2');
    expect(withoutNewSeams(stuck, stuck, () => true, reasons)).toBe(stuck);
    // One of the two is new: it alone is mended.
    const once = combination('1 4 2');
    const twice = combination('4 2 1 4 2');
    const mended = withoutNewSeams(once, twice, () => true, reasons);
    expect(mended?.items.length).toBe(6);
    expect(reasons.size).toBe(1);
    const loop = combination('2 1 2');
    expect(withoutNewSeams(combination('1 2'), loop, () => true, new Set())).toBe(loop);
  });

  it('has a strike left out where the bag takes no repair, and is given up where it takes that neither', () => {
    const [flows, sticks] = [combination('1 2'), combination('4 2')];
    const reasons = new Set<string>();
    const tried: number[] = [];
    const left = withoutNewSeams(
      flows,
      sticks,
      (changed) => {
        tried.push(changed.items.length);
        return changed.items.length === 1;
      },
      reasons,
    );
    expect(left && writeCombination(left)).toBe('4');
    expect([...reasons]).toEqual([jasmine.stringMatching(/the rear side has not reloaded; one strike removed$/)]);
    // Every repair was tried before that.
    expect(tried.length).toBeGreaterThan(2);
    expect(tried.at(-1)).toBe(1);
    expect(withoutNewSeams(flows, sticks, () => false, new Set())).toBeNull();
  });
});
