import type { Tally, Timeline } from '../../core/index';

/** What a list shows of a sheet beside its title, kept with it so that a list works nothing out. */
export interface SheetFigures {
  readonly ms: number;
  readonly rounds: number;
  readonly openBreaks: number;
  readonly punches: number;
}

/** What the list of sheets shows, from what was laid out and added up. `sheetFigures(compile(sheet), sums).rounds` */
export function sheetFigures(timeline: Timeline, sums: Tally): SheetFigures {
  const { ms, rounds, openBreaks } = timeline;
  return { ms, rounds, openBreaks, punches: Math.round(sums.counts.punches) };
}
