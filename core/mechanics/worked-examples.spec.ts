import { countCombination } from '../tally/counts';
import { readCombination } from '../notation/read';
import { repairsFor } from './repairs';
import { study } from './study';

/**
 * Combinations of our own, counted and judged by hand along the trade page, sections 4 and 10 (common practice, no
 * source): punches, strikes, moves; the stance an orthodox athlete ends in; the seam a coach would name first (number of
 * the step before it, from 1, and the verdict), or "flows"; and what the way back to the beginning needs.
 */
type Example = readonly [
  text: string,
  punches: number,
  strikes: number,
  moves: number,
  end: 'orthodox' | 'southpaw',
  seam: string,
  loop: string,
];

const examples: readonly Example[] = [
  // Straights and hooks that alternate
  ['1', 1, 1, 1, 'orthodox', 'flows', 'flows'],
  ['1 2', 2, 2, 2, 'orthodox', 'flows', 'flows'],
  ['1 1 2', 3, 3, 3, 'orthodox', 'flows', 'flows'],
  ['1 2 3', 3, 3, 3, 'orthodox', 'flows', 'flows'],
  ['2 3 2', 3, 3, 3, 'orthodox', 'flows', 'reload'],
  ['3 2 3', 3, 3, 3, 'orthodox', 'flows', 'reload'],
  ['1 2 3b 2 5 4', 6, 6, 6, 'orthodox', 'flows', 'flows'],
  ['1 2 3b ro 4 5', 5, 5, 6, 'orthodox', 'flows', 'flows'],
  ['1 2 1 2 1 2', 6, 6, 6, 'orthodox', 'flows', 'flows'],
  ['5 4 3 2', 4, 4, 4, 'orthodox', 'flows', 'flows'],
  ['6 3 2', 3, 3, 3, 'orthodox', 'flows', 'reload'],
  ['1 6 3 2', 4, 4, 4, 'orthodox', 'flows', 'flows'],
  // Same side twice
  ['2 4', 2, 2, 2, 'orthodox', '1 reload', 'reload'],
  ['1 2 6', 3, 3, 3, 'orthodox', '2 reload', 'flows'],
  ['1 2 3 5', 4, 4, 4, 'orthodox', '3 reload', 'flows'],
  ['2 oh', 2, 2, 2, 'orthodox', '1 reload', 'reload'],
  ['1 4 2', 3, 3, 3, 'orthodox', '2 reload', 'flows'],
  ['2 rel', 1, 2, 2, 'orthodox', '1 reload', 'reload'],
  // Recognised doubles: slower, but no fault
  ['3 3b', 2, 2, 2, 'orthodox', 'flows', 'flows'],
  ['2b 2', 2, 2, 2, 'orthodox', 'flows', 'flows'],
  ['1 3', 2, 2, 2, 'orthodox', 'flows', 'flows'],
  ['3 bf', 2, 2, 2, 'orthodox', 'flows', 'reload'],
  ['1 5 2', 3, 3, 3, 'orthodox', 'flows', 'flows'],
  // Defences load a side
  ['1 2 sl 2', 3, 3, 4, 'orthodox', 'flows', 'flows'],
  ['1 2 sl 3', 3, 3, 4, 'orthodox', '3 reload', 'flows'],
  ['1 2 sl-l 3', 3, 3, 4, 'orthodox', 'flows', 'flows'],
  ['sl 6 3', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['ro 3', 1, 1, 2, 'orthodox', '1 reload', 'flows'],
  ['ro-l 3 2', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['du 6 5', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['bl 2 3', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['bl 3', 1, 1, 2, 'orthodox', '1 reload', 'flows'],
  ['bl-r 3 2', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['pa 2', 1, 1, 2, 'orthodox', 'flows', 'flows'],
  ['pu 2 3', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['cov 3 2', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['sl 1', 1, 1, 2, 'orthodox', 'flows', 'flows'],
  ['sl sl 3', 1, 1, 3, 'orthodox', 'flows', 'flows'],
  // Legs after hands, hands after legs
  ['2 swk', 1, 2, 2, 'orthodox', 'flows', 'flows'],
  ['3 bk', 1, 2, 2, 'orthodox', 'flows', 'flows'],
  ['1 2 3 lk', 3, 4, 4, 'orthodox', 'flows', 'flows'],
  ['1 2 lk', 2, 3, 3, 'orthodox', 'flows', 'flows'],
  ['5 2 swk 1 lk', 3, 5, 5, 'orthodox', 'flows', 'flows'],
  ['bk bk', 0, 2, 2, 'orthodox', '1 reload', 'reload'],
  ['bk lbk', 0, 2, 2, 'orthodox', 'flows', 'flows'],
  ['ck lk', 0, 1, 2, 'orthodox', 'flows', 'flows'],
  ['ck swk', 0, 1, 2, 'orthodox', '1 step', 'flows'],
  ['ck tp', 0, 1, 2, 'orthodox', 'flows', 'flows'],
  ['1 2 rkn', 2, 3, 3, 'orthodox', 'flows', 'flows'],
  ['rkn 2 3', 2, 3, 3, 'orthodox', 'flows', 'flows'],
  // Range
  ['tp 2 3', 2, 3, 3, 'orthodox', 'flows', 'flows'],
  ['tp 3 2', 2, 3, 3, 'orthodox', '1 step', 'flows'],
  ['tp in 3', 1, 2, 3, 'orthodox', 'flows', 'flows'],
  ['push 6', 1, 1, 2, 'orthodox', '1 step', 'flows'],
  ['push 2 swk', 1, 2, 3, 'orthodox', 'flows', 'flows'],
  ['1 out 3', 2, 2, 3, 'orthodox', '2 step', 'flows'],
  ['1 2 out', 2, 2, 3, 'orthodox', 'flows', 'flows'],
  ['tp sl rkn', 0, 2, 3, 'orthodox', '2 step', 'flows'],
  ['out+1 2 3', 3, 3, 4, 'orthodox', 'flows', 'flows'],
  ['out+1 4', 2, 2, 3, 'orthodox', '1 step', 'flows'],
  // Stance changes
  ['1 2 switch 1 2', 4, 4, 5, 'southpaw', 'flows', 'flows'],
  ['1 switch 2 switch 3', 3, 3, 5, 'orthodox', 'flows', 'flows'],
  ['1+shift 2', 2, 2, 3, 'southpaw', 'flows', 'flows'],
  ['2 shift 2', 2, 2, 3, 'southpaw', 'flows', 'reload'],
  ['swkn 2 3', 2, 3, 3, 'orthodox', 'flows', 'flows'],
  // Feet, conditioning, quiet, feints, the athlete's choice
  ['2 piv 4', 2, 2, 3, 'orthodox', 'flows', 'reload'],
  ['1 2 sq 3 4', 4, 4, 5, 'orthodox', 'flows', 'flows'],
  ['2 wait 4', 2, 2, 3, 'orthodox', 'flows', 'reload'],
  ['ft 1 2', 1, 1, 2, 'orthodox', 'flows', 'flows'],
  ['2 any 2 4', 4, 4, 4, 'orthodox', 'flows', 'reload'],
  ['2 3 any 2-4', 5, 5, 5, 'orthodox', 'flows', 'flows'],
  ['any 2-5 kicks end 3', 1, 3.5, 3.5, 'orthodox', 'flows', 'flows'],
  // Groups, turns
  ['(1 2)x3', 6, 6, 6, 'orthodox', 'flows', 'flows'],
  ['(2 4)x2', 4, 4, 4, 'orthodox', '1 reload', 'reload'],
  ['sq (2 3)x3', 6, 6, 7, 'orthodox', 'flows', 'flows'],
  ['[bk / swk] 2 3', 2, 3, 3, 'orthodox', 'flows', 'flows'],
  ['2 [4 / 3]', 2, 2, 2, 'orthodox', '1 reload', 'reload'],
];

describe('worked examples', () => {
  it('are more than sixty', () => expect(examples.length).toBeGreaterThanOrEqual(60));

  for (const [text, punches, strikes, moves, end, seam, loop] of examples)
    it(text, () => {
      const read = readCombination(text);
      if (!read.ok) throw new Error(read.fault.what);
      const counts = countCombination(read.value);
      expect([counts.punches, counts.strikes, counts.moves]).toEqual([punches, strikes, moves]);
      const studied = study(read.value);
      const [first] = studied.turns;
      expect(first?.walk.end).toBe(end);
      const stuck = first?.seams.find((each) => !each.loop && each.level === 'warning');
      expect(stuck ? `${stuck.after + 1} ${stuck.verdict}` : 'flows').toBe(seam);
      const last = first?.seams.at(-1);
      expect(last?.stuck ? last.verdict : 'flows').toBe(loop);
      // Every warning comes with a repair; repairs.spec.ts shows that they mend.
      if (stuck) expect(repairsFor(studied, 0, stuck).length).toBeGreaterThan(0);
    });
});
