import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import { sessionTemplates } from '../library/templates';
import { compile } from '../timeline/compile';
import { findings } from '../findings/index';
import { fitToMinutes } from './fit-minutes';
import { sheetSchema, type Sheet } from '../sheet/schema';

const sheetOf = (text: string): Sheet => readTempoText(text).sheet;
const minutes = (count: number): number => count * 60_000;
const rounds = (sheet: Sheet): string[] =>
  sheet.blocks.filter(({ kind }) => kind === 'round').map(({ ms, times }) => `${(ms ?? 0) / 1000}x${times ?? 1}`);

describe('fit to minutes', () => {
  it('stretches what frames the class first and leaves rounds and rests alone', () => {
    const sheet = sheetOf('warm-up 5:00: freestyle\nround 3:00 x3 rest 1:00: 1 2b\ncool-down 3:00');
    const fitted = fitToMinutes(sheet, minutes(20));
    expect(fitted.ok && fitted.changes).toEqual([
      'Warm-up: 5:00 → 5:35',
      'Warm-up: freestyle: 5:00 → 5:35',
      'Cool-down: 3:00 → 3:25',
    ]);
    expect(fitted.ok && compile(fitted.sheet).ms).toBe(minutes(20));
  });

  it('then moves rests within bounds, then whole rounds', () => {
    const sheet = sheetOf('warm-up 5:00: freestyle\nround 3:00 x6 rest 1:00: 1 2b\ncool-down 3:00');
    // Rather a round less than a warm-up under five minutes.
    const shorter = fitToMinutes(sheet, minutes(25));
    expect(shorter.ok && rounds(shorter.sheet)).toEqual(['180x4']);
    expect(shorter.ok && shorter.sheet.blocks[0]?.ms).toBeGreaterThanOrEqual(300_000);
    const rests = fitToMinutes(sheet, minutes(29));
    expect(rests.ok && compile(rests.sheet).ms).toBe(minutes(29));
    // Seven minutes leave no choice: everything gives.
    const tight = fitToMinutes(sheet, minutes(7.5));
    expect(tight.ok && [tight.sheet.blocks[0]?.ms, ...rounds(tight.sheet)]).toEqual([minutes(3), '180x1']);
    const long = fitToMinutes(sheet, minutes(60));
    expect(long.ok && compile(long.sheet).ms).toBe(minutes(60));
    expect(long.ok && rounds(long.sheet)[0]).toMatch(/^180x1\d$/);
  });

  it('takes out the last round but one, so that the session still ends as it was planned to', () => {
    const sheet = sheetOf(
      [
        'warm-up 5:00: freestyle',
        'round 3:00: 1',
        'rest 1:00',
        'round 3:00: 2',
        'rest 1:00',
        'round 3:00: 3',
        'cool-down 3:00',
      ].join('\n'),
    );
    const fitted = fitToMinutes(sheet, minutes(15));
    const texts = fitted.ok
      ? fitted.sheet.blocks.filter(({ kind }) => kind === 'round').flatMap(({ pieces }) => pieces)
      : [];
    expect(texts.map((piece) => (piece.kind === 'combination' ? piece.text : ''))).toEqual(['1', '3']);
    // Its rest goes with it.
    expect(fitted.ok && fitted.sheet.blocks.filter(({ kind }) => kind === 'rest').length).toBe(1);
  });

  it('leaves a block alone whose calls stand at seconds of the coach’s own', () => {
    const text = 'warm-up 5:00\n  say "Knees up" at 1:00\nround 3:00: 1 2\ncool-down 3:00';
    const fitted = fitToMinutes(sheetOf(text), minutes(12));
    expect(fitted.ok && fitted.sheet.blocks[0]?.ms).toBe(minutes(5));
    expect(fitted.ok && fitted.sheet.blocks[2]?.ms).toBe(minutes(4));
  });

  it('never cuts a piece of a warm-up below five seconds', () => {
    const pieces = Array.from({ length: 40 }, (_, at) => `  0:10 "move ${at}"`).join('\n');
    const sheet = sheetOf(`warm-up 6:40\n${pieces}\nround 3:00: 1 2`);
    const fitted = fitToMinutes(sheet, minutes(6) + 20_000);
    expect(fitted.ok && fitted.sheet.blocks[0]?.ms).toBe(200_000);
    expect(fitToMinutes(sheet, minutes(6)).ok).toBeFalse();
  });

  it('names the nearest totals where no way leads there', () => {
    const sheet = sheetOf('round 3:00: 1 2\nround 3:00: 1 2 3');
    expect(fitToMinutes(sheet, minutes(5))).toEqual({ ok: false, nearest: [minutes(3), minutes(6)] });
    expect(fitToMinutes(sheetOf('show 0:30'), minutes(5))).toEqual({ ok: false, nearest: [30_000] });
    const built = sheetOf('warm-up 3:00\nround 2:00 x4 rest 1:00\n  build ladder every round: 1 2 3 2');
    expect(fitToMinutes(built, minutes(5)).ok).toBeFalse();
  });

  it('hits the total to the millisecond for any session of ours, breaking nothing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...sessionTemplates), fc.integer({ min: 600, max: 4500 }), ({ text }, seconds) => {
        const sheet = sheetOf(text);
        const fitted = fitToMinutes(sheet, seconds * 1000);
        if (!fitted.ok) {
          expect(fitted.nearest.length).toBeGreaterThan(0);
          for (const ms of fitted.nearest) expect(fitToMinutes(sheet, ms).ok).withContext(String(ms)).toBeTrue();
          return;
        }
        expect(compile(fitted.sheet).ms).toBe(seconds * 1000);
        expect(findings(fitted.sheet).filter(({ level }) => level === 'error')).toEqual([]);
        expect(sheetSchema.safeParse(fitted.sheet).success).toBeTrue();
        expect(fitted.changes.length > 0).toBe(compile(sheet).ms !== seconds * 1000);
      }),
      { numRuns: 50 },
    );
  });
});
