import { balance, type Balance } from '../tally/balance';
import { tally } from '../tally/planned';
import { compile } from '../timeline/compile';
import type { LogEntry } from './log-entry';

const day = 24 * 3600 * 1000;

/** The balance of what was run in the weeks before a moment, rehearsals left out, by the share of each sheet that was done. */
export function balanceOver(log: readonly LogEntry[], weeks: number, now: number): Balance {
  const sides = { left: 0, right: 0 };
  const ms = { left: 0, right: 0 };
  for (const { sheet, startedAt, planned, done, rehearsal } of log) {
    if (rehearsal || startedAt > now || startedAt < now - weeks * 7 * day || planned.ms === 0) continue;
    const share = Math.min(1, done.ms / planned.ms);
    const sums = tally(compile(sheet), sheet.stance);
    for (const side of ['left', 'right'] as const) {
      sides[side] += sums.bySide[side] * share;
      ms[side] += sums.msBySide[side] * share;
    }
  }
  return balance(sides, ms);
}
