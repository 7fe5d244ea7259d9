import { readTempoText } from '../formats/tempo-text/read';
import { bagPlans } from '../library/bag-plans';
import { findings } from '../findings/index';
import type { LogEntry } from '../log/log-entry';
import { readStored } from '../notation/stored';
import type { Combination } from '../notation/combination';
import { fitToBag } from '../bags/fit';
import { hasDone, learningOrders, nextStep, practisedOn } from './learning';
import { speedRhythm, speedRhythms } from '../bags/rhythm';
import { swingDrill } from '../bags/swing-drill';

const combo = (text: string): Combination => {
  const read = readStored(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
};
const run = (text: string, more: Partial<LogEntry> = {}): LogEntry => ({
  id: 'e',
  startedAt: 0,
  sheetId: 's',
  title: '',
  sheet: readTempoText(text).sheet,
  planned: { ms: 0, rounds: 0, punches: 0 },
  done: { ms: 0, rounds: 0, punches: 0, finished: true },
  deeds: [],
  effort: null,
  counted: null,
  note: '',
  rehearsal: false,
  ...more,
});

describe('learning a bag', () => {
  const [order] = learningOrders;
  if (!order) throw new Error('no orders');

  it('goes on where the class has got to, and asks for hard work where it is meant hard', () => {
    const after = (...log: LogEntry[]) => nextStep(order, practisedOn('double-end', log))?.name;
    expect(after()).toBe('Soft jabs');
    expect(after(run('bag: double-end\nround 1:00: 1'))).toBe('Soft crosses');
    const soft = 'bag: heavy\nround 4:00 on double-end\n0:30: 1\n0:30: 2\n0:30: 1 2\n0:30: 1 1 2\n2:00: 1 2 3 2';
    expect(after(run(soft))).toBe('The same, hard');
    expect(after(run(soft), run('bag: double-end\nround 1:00\n1:00 strong: 1 2 3 2'))).toBe('On the move');
    expect(after(run('bag: heavy\nround 1:00: 1'))).toBe('Soft jabs');
    expect(after(run('bag: double-end\nround 1:00: 1', { rehearsal: true }))).toBe('Soft jabs');
    const lanes = run('round 1:00: 1');
    expect(after({ ...lanes, sheet: { ...lanes.sheet, lanes: [{ bag: 'double-end', places: 2 }] } })).toBe(
      'Soft crosses',
    );
  });

  it('knows drills of words by their names, and an end', () => {
    const speed = learningOrders.find(({ bag }) => bag === 'speed');
    const practised = practisedOn('speed', [run('round 1:00 on speed\n0:30 "Soft touches"\n0:30 "Sevens"')]);
    expect(speed && nextStep(speed, practised)?.name).toBe('Fives');
    expect(speed?.steps.filter((step) => hasDone(step, practised)).length).toBe(2);
    expect(nextStep({ ...order, steps: [] }, practised)).toBeNull();
  });

  it('every step and every plan of ours fits the bag it is for', () => {
    expect(learningOrders.length).toBeGreaterThan(0);
    for (const { bag, steps } of learningOrders)
      for (const { text } of steps)
        if (text)
          expect(fitToBag(combo(text), bag).reasons)
            .withContext(`${bag} ${text}`)
            .toEqual([]);
    expect(bagPlans.length).toBeGreaterThan(0);
    for (const { bag, text } of bagPlans) {
      const { sheet, faults } = readTempoText(text);
      expect(faults).toEqual([]);
      expect(findings(sheet).filter(({ level }) => level === 'error'))
        .withContext(text)
        .toEqual([]);
      expect(sheet.blocks.flatMap((block) => block.pieces).length).toBeGreaterThan(0);
      for (const piece of sheet.blocks.flatMap((block) => block.pieces))
        if (piece.kind === 'combination')
          expect(fitToBag(combo(piece.text), bag).reasons)
            .withContext(piece.text)
            .toEqual([]);
    }
  });
});

describe('rhythms and swings', () => {
  // Trade page, section 7: hits per minute = rebounds per minute / rebounds per hit; 360 a minute by three is two touches a second.
  it('lays the touches of a rhythm on the clock, hands in turn', () => {
    const read = speedRhythm([3, 3, 1, 1], 360);
    if (!read.ok) throw new Error(read.fault.what);
    expect(read.value.touches.map(({ at }) => Number(at.toFixed(3)))).toEqual([0, 0.5, 1, 1.167]);
    expect(read.value.seconds).toBeCloseTo(8 / 6, 9);
    expect(read.value.touches.map(({ side }) => side)).toEqual(['lead', 'rear', 'lead', 'rear']);
    expect(speedRhythms.length).toBeGreaterThan(0);
    for (const { rebounds } of speedRhythms) expect(speedRhythm(rebounds, 400).ok).toBeTrue();
    expect(speedRhythm([2], 360).ok).toBeFalse();
    expect(speedRhythm([3], 0).ok).toBeFalse();
  });

  it('repeats a combination in whole swings of the bag', () => {
    const drill = swingDrill(combo('1 2'), 2.2);
    expect(drill.gapMs).toBe(2200);
    expect(drill.aside).toEqual({ from: 1.1, to: 2.2 });
    expect(swingDrill(combo('1 2'), 0.8).gapMs).toBe(1600);
    expect(drill.repetitionMs).toBe(600);
  });
});
