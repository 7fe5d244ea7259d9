import { sayClock, type Tally, type Timeline } from '../../core/index';
import type { FirstRow } from '../first/first-row';
import type { StoredSheet } from './database';

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

/** Figures as a row says them, each with its word. `sayFigures({ ms: 60_000, rounds: 1, openBreaks: 0, punches: 9 })` → 1:00, 1 round, 9 punches */
export function sayFigures(figures: SheetFigures | undefined): FirstRow['figures'] {
  if (!figures)
    return [
      ['…', ''],
      ['', ''],
      ['', ''],
    ];
  const { ms, rounds, openBreaks, punches } = figures;
  return [
    [sayClock(ms), openBreaks > 0 ? '+ open' : ''],
    [String(rounds), rounds === 1 ? 'round' : 'rounds'],
    [String(punches), 'punches'],
  ];
}

/** A stored sheet as the list draws it before the application is there. */
export const firstRowOf = ({ id, sheet, figures }: StoredSheet): FirstRow => ({
  id,
  title: sheet.title,
  figures: sayFigures(figures),
});
