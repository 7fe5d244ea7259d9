// A session of which nothing is known. Holds no tests of its own.
import type { Digest } from './digest';

/** A session of which nothing is known, for specs that care for some of its figures. */
export const noDigest: Digest = {
  ...{ id: 'none', startedAt: 0, day: 0, sheetId: 'sheet', title: '', group: 'any', bag: 'heavy' },
  ...{ learns: true, finished: true, plannedMs: 0, ms: 0, plannedRounds: 0, rounds: 0, punches: 0 },
  ...{ counted: null, athlete: null, effort: null, people: null, byRound: [], worked: [], cells: {} },
  ...{ strikes: 0, free: 0, defences: 0, left: 0, right: 0, msByBag: {}, msByStance: {}, msByBlock: {}, faults: [] },
};
