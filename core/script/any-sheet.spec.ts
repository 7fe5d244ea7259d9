import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import { sessionTemplates } from '../library/templates';
import { anySheet } from '../sheet/arbitrary-sheet.spec';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import { passesOf } from '../timeline/passes';
import { apart } from './apart.spec';
import { candidatesOf } from './candidates';
import { callOptionsOf, scriptOf } from './script';
import { startGrid } from './solve';

describe('the calls of any sheet', () => {
  it('stand apart, in their windows, and leave the last second quiet', () => {
    let ran = 0;
    const check = (sheet: Sheet): void => {
      const { calls, dropped } = scriptOf(sheet);
      const timeline = compile(sheet);
      const { candidates } = candidatesOf(timeline, callOptionsOf(sheet, timeline));
      apart(calls);
      expect(new Set(candidates.map(({ key }) => key)).size).toBe(candidates.length);
      expect(calls.length + dropped.length).toBe(candidates.length);
      const bells = passesOf(timeline)
        .filter(({ block }) => block === 'round')
        .flatMap(({ at, end }) => [at, end]);
      for (const call of calls) {
        expect(call.at >= call.opens && call.at + call.ms <= call.closes).toBeTrue();
        if (call.kind === 'bell' || call.kind === 'count') continue;
        ran += bells.length;
        expect(bells.filter((bell) => call.at < bell && call.at + call.ms > bell - 1000))
          .withContext(`bells that ${call.kind} “${call.say}” at ${call.at} runs into`)
          .toEqual([]);
        // What can move begins on the grid of 0.1 s.
        if (call.closes - call.opens > call.ms) expect(call.at % startGrid).toBe(0);
      }
    };
    fc.assert(fc.property(anySheet, check), { numRuns: 40 });
    for (const { text } of sessionTemplates) check(readTempoText(text).sheet);
    expect(ran).toBeGreaterThan(0);
  });
});
