import { bagKinds, levels } from '../bags/kind-names';
import { fitToBag } from '../bags/fit';
import { countCombination } from '../tally/counts';
import { readStored } from '../notation/stored';
import { study } from '../mechanics/study';
import { composedGoals } from './composed-goals';

describe('goals of whoever names none', () => {
  it('flow, loop, fit their bag and level where it takes combinations at all, and differ', () => {
    let judged = 0;
    for (const level of levels)
      for (const bag of bagKinds) {
        const goals = composedGoals(level, bag, 4, 11);
        expect(new Set(goals).size).withContext(`${level} ${bag}`).toBe(goals.length);
        expect(goals.length).toBeGreaterThan(1);
        for (const goal of goals) {
          const read = readStored(goal);
          if (!read.ok) throw new Error(read.fault.what);
          const seams = study(read.value).turns[0]?.seams ?? [];
          expect(seams.some(({ stuck }) => stuck))
            .withContext(goal)
            .toBeFalse();
          expect(countCombination(read.value).strikes).toBeGreaterThan(0);
          // A speed bag takes its own rhythm only: there the goals are for the hands.
          if (bag !== 'speed')
            expect(fitToBag(read.value, bag, { level }).verdict)
              .withContext(`${goal} ${bag}`)
              .toBe('fits');
          judged += 1;
        }
      }
    expect(judged).toBeGreaterThan(60);
  });

  it('are the same for the same seed, others for another', () => {
    expect(composedGoals('beginner', 'heavy', 3, 7)).toEqual(composedGoals('beginner', 'heavy', 3, 7));
    expect(composedGoals('beginner', 'heavy', 3, 7)).not.toEqual(composedGoals('beginner', 'heavy', 3, 8));
  });
});
