import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import { anySheet } from '../sheet/arbitrary-sheet.spec';
import { sameParts } from '../sheet/same-parts';
import type { Block, Sheet } from '../sheet/schema';
import { candidatesOf } from './candidates';
import { compile } from '../timeline/compile';
import { callOptionsOf, scriptOf, type ScriptWishes } from './script';

/** One change of a sheet, at a block. */
type Edit = (sheet: Sheet, at: number) => Sheet;

const changed = (sheet: Sheet, at: number, change: (block: Block) => Block): Sheet => ({
  ...sheet,
  blocks: sheet.blocks.map((block, index) => (index === at ? change(block) : block)),
});

const edits: readonly Edit[] = [
  (sheet, at) => changed(sheet, at, (block) => ({ ...block, title: `Other ${at}` })),
  (sheet, at) => changed(sheet, at, (block) => ({ ...block, times: (block.times ?? 1) + 1 })),
  (sheet, at) => changed(sheet, at, (block) => ({ ...block, focuses: [{ words: 'Elbows in', moves: ['2'] }] })),
  (sheet, at) => ({ ...sheet, blocks: sheet.blocks.filter((_, index) => index !== at) }),
  (sheet, at) => ({ ...sheet, blocks: [...sheet.blocks.slice(at), ...sheet.blocks.slice(0, at)] }),
  (sheet) => ({
    ...sheet,
    class: { ...sheet.class, level: sheet.class.level === 'beginner' ? 'advanced' : 'beginner' },
  }),
  (sheet) => ({ ...sheet, gloves: { onMs: 5000, offMs: 5000 } }),
  (sheet) => ({ ...sheet, calls: { ...sheet.calls, quiet: ['cheer'] } }),
  (sheet) => ({ ...sheet, stance: sheet.stance === 'orthodox' ? 'southpaw' : 'orthodox' }),
];

describe('a script that is made again', () => {
  // What is remembered is found by identity: a copy through JSON has none of it.
  const anew = (sheet: Sheet): Sheet => JSON.parse(JSON.stringify(sheet)) as Sheet;

  it('is what it would be with nothing remembered, after any edits, also where the sheet came through a message', () => {
    let compared = 0;
    fc.assert(
      fc.property(
        anySheet,
        fc.array(fc.tuple(fc.nat(edits.length - 1), fc.nat(20)), { minLength: 1, maxLength: 3 }),
        fc.constantFrom<ScriptWishes>({}, { talk: 'main', leadOut: 'ten and five' }, { wordings: { cheers: ['Yes'] } }),
        (first, changes, wishes) => {
          let sheet = first;
          let received = anew(first);
          scriptOf(sheet, wishes);
          for (const [which, place] of changes) {
            sheet = edits[which]?.(sheet, place % Math.max(1, sheet.blocks.length)) ?? sheet;
            received = sameParts(received, anew(sheet));
            const fresh = JSON.stringify(scriptOf(anew(sheet), wishes));
            expect(JSON.stringify(scriptOf(sheet, wishes))).toBe(fresh);
            expect(JSON.stringify(scriptOf(received, wishes))).toBe(fresh);
            compared += 1;
          }
        },
      ),
      { numRuns: 15 },
    );
    expect(compared).toBeGreaterThanOrEqual(15);
  });

  it('finds the candidates of rounds that have not changed again: they are the very same', () => {
    const text = Array.from({ length: 6 }, () => 'round 2:00\n  2:00: 1 2 3').join('\n');
    const { sheet } = readTempoText(text);
    const ids = sheet.blocks.map(({ id }) => id);
    const before = candidatesOf(compile(sheet), callOptionsOf(sheet, compile(sheet)));
    const other = changed(sheet, 2, (block) => ({ ...block, title: 'Other' }));
    const after = candidatesOf(compile(other), callOptionsOf(other, compile(other)));
    const kept = new Set(before.candidates);
    const made = after.candidates.filter((candidate) => !kept.has(candidate));
    expect(made.length).toBeGreaterThan(0);
    // The round itself, and the one before and behind it.
    expect(new Set(made.map(({ key }) => key.split('/')[0]))).toEqual(new Set(ids.slice(1, 4)));
  });
});
