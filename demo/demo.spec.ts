import { compile, findings, logEntrySchema, readCombination, sheetSchema, writeCombination } from '../core/index';
import { demoCombinations } from './combinations';
import { demoLog } from './log';
import { demoSheets } from './sheets';

describe('the demo', () => {
  it('is four sheets or more, of 10 to 45 minutes, valid and without errors', () => {
    expect(demoSheets.length).toBeGreaterThanOrEqual(4);
    for (const sheet of demoSheets) {
      expect(sheetSchema.safeParse(sheet).success).toBeTrue();
      expect(findings(sheet).filter((finding) => finding.level !== 'note')).toEqual([]);
      const minutes = compile(sheet).ms / 60_000;
      expect(minutes).toBeGreaterThanOrEqual(10);
      expect(minutes).toBeLessThanOrEqual(45);
    }
  });

  it('is a dozen combinations in canonical spelling', () => {
    expect(demoCombinations.length).toBeGreaterThanOrEqual(12);
    for (const { text } of demoCombinations) {
      const read = readCombination(text);
      expect(read.ok && writeCombination(read.value)).toBe(text);
    }
  });

  it('is twelve weeks of log entries before the day it is first seen', () => {
    const today = new Date(2026, 10, 23).getTime();
    const entries = demoLog(today);
    expect(entries.length).toBe(34);
    expect(new Set(entries.map(({ id }) => id)).size).toBe(34);
    expect(today - Math.min(...entries.map(({ startedAt }) => startedAt))).toBeGreaterThan(11 * 7 * 24 * 3_600_000);
    for (const entry of entries) {
      expect(logEntrySchema.safeParse(entry).success).toBeTrue();
      expect(entry.startedAt).toBeLessThan(today);
      expect(entry.done.ms).toBeLessThanOrEqual(entry.planned.ms);
    }
  });
});
