import fc from 'fast-check';
import { compile } from '../timeline/compile';
import { findings } from '../findings/index';
import { sheetSchema } from '../sheet/schema';
import { draftKinds } from '../sheet/settings';
import { bagKinds, levels } from '../bags/kind-names';
import { textsOf } from '../timeline/stages';
import { draftSheet, type Wishes } from './draft';

const wishes: Wishes = { minutes: 30, level: 'beginner', kind: 'mixed', bag: 'heavy', goals: ['1 2 3b 2'] };

describe('draft for me', () => {
  it('makes a whole session of exactly the minutes, without an error, for any wishes', () => {
    fc.assert(
      fc.property(
        fc.record({
          minutes: fc.integer({ min: 10, max: 75 }),
          level: fc.constantFrom(...levels),
          kind: fc.constantFrom(...draftKinds),
          bag: fc.constantFrom(...bagKinds),
          goals: fc.constantFrom<string[]>([], ['1 2 3b 2'], ['1 2 bk', '2 3b 2 5']),
        }),
        fc.nat(),
        (wished, seed) => {
          const { sheet } = draftSheet(wished, seed);
          expect(compile(sheet).ms).toBe(wished.minutes * 60_000);
          expect(findings(sheet).filter(({ level, kind }) => level === 'error' || kind === 'no rest')).toEqual([]);
          expect(sheetSchema.safeParse(sheet).success).toBeTrue();
          expect([sheet.blocks[0]?.kind, sheet.blocks.at(-1)?.kind]).toEqual(['warm-up', 'cool-down']);
          expect([sheet.class.level, sheet.bag]).toEqual([wished.level, wished.bag]);
        },
      ),
      { numRuns: 50 },
    );
  });

  it('is the same for the same seed, and works towards the goals', () => {
    const draft = draftSheet(wishes, 11);
    expect(draftSheet(wishes, 11)).toEqual(draft);
    const goals = draft.sheet.blocks
      .filter(({ kind }) => kind === 'round')
      .flatMap(({ pieces }) => pieces.flatMap(textsOf));
    expect(goals).toContain('1 2 3b 2');
  });

  it('comes up with something new fifty times over', () => {
    const seen: string[] = [];
    for (let time = 0; time < 51; time += 1) {
      const { fingerprint } = draftSheet(wishes, 5, seen.slice(-50));
      expect(seen.slice(-50)).not.toContain(fingerprint);
      seen.push(fingerprint);
    }
    expect(new Set(seen).size).toBe(51);
  });
});
