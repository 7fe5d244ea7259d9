import { bagNatures } from '../bags/kinds';
import { fitToBag } from '../bags/fit';
import { six } from '../moves/scheme';
import { studyOf } from '../mechanics/study-of';
import { readStored } from '../notation/stored';
import { writeCombination } from '../notation/write';
import { wantedBy } from '../script/focus';
import { faultFocus, faultList, faultNamed, faultsOn, mendPiece, seenSigns, type TrainingFault } from './faults';

// Trade page, sections 1, 7 and 9 (common practice, no source); the list names the faults that it does.
describe('the fault list', () => {
  const all: readonly TrainingFault[] = faultList;

  it('names what coaches complain of, each with a drill that can be written and a reminder', () => {
    expect(all.length).toBeGreaterThanOrEqual(10);
    for (const { id, drill, reminder, why } of all) {
      const read = readStored(drill.text);
      expect(read.ok && writeCombination(read.value))
        .withContext(id)
        .toBe(drill.text);
      expect(reminder.length > 5 && why.length > 5)
        .withContext(id)
        .toBeTrue();
    }
  });

  it('has drills that stick nowhere, in the order of their moves', () => {
    const stuck = all.flatMap(({ id, drill }) => {
      const read = readStored(drill.text);
      const turns = read.ok ? studyOf(read.value, 'orthodox').turns : [];
      return turns
        .flatMap(({ seams }) => seams.filter(({ level }) => level === 'warning'))
        .map(({ reason }) => `${id}: ${reason}`);
    });
    expect(stuck).toEqual([]);
  });

  it('names strikes that can be looked for, and drills that fit the bags where the fault shows', () => {
    expect(all.flatMap(({ strikes }) => strikes).length).toBeGreaterThan(10);
    for (const { id, strikes, bags, drill } of all) {
      for (const strike of strikes) expect(wantedBy(strike, six)).withContext(`${id} ${strike}`).not.toBeNull();
      const read = readStored(drill.text);
      for (const bag of bags)
        if (read.ok && !bagNatures[bag].rhythm)
          expect(fitToBag(read.value, bag).verdict).withContext(`${id} on ${bag}`).toBe('fits');
    }
  });

  it('reads from what the coach sees to the fault and its mend', () => {
    expect(seenSigns.length).toBeGreaterThanOrEqual(8);
    for (const { sees, means } of seenSigns) expect(faultNamed(means).id).withContext(sees).toBe(means);
    expect(faultsOn('speed').map(({ id }) => id)).toContain('downward');
    expect(faultsOn('shadow').map(({ id }) => id)).not.toContain('downward');
    expect(faultsOn(null).length).toBe(all.length);
  });

  it('comes into a sheet as a drill and a reminder', () => {
    const fault = faultNamed('hand-drops');
    expect(mendPiece(fault, 'p1', 60_000)).toEqual({
      kind: 'combination',
      id: 'p1',
      ms: 60_000,
      effort: 'easy',
      focus: 'technique',
      text: 'bl-r 3 wait',
      words: 'Hook from the guard',
    });
    expect(faultFocus(fault)).toEqual({
      words: 'Throw it from the cheek, not the hip',
      moves: ['lead hook', 'rear hook'],
      everyMs: 45_000,
    });
  });
});
