import { compile, tally, whatWasDone, type Deed, type LogEntry, type Sheet } from '../core/index';
import { demoSheets } from './sheets';

const day = 24 * 3_600_000;

interface Visit {
  readonly sheetId: string;
  readonly daysAgo: number;
  /** Share of the session that was run before it was given up; 1 is all of it. */
  readonly share: number;
  readonly effort: number;
  /** Counted punches as a share of the planned ones; null where nobody counted. */
  readonly counted: number | null;
  readonly note: string;
}

const visits: readonly Visit[] = [
  {
    sheetId: 'demo-first-watch',
    daysAgo: 1,
    share: 1,
    effort: 6,
    counted: 0.92,
    note: 'Roll came late for most; show it slower next time.',
  },
  { sheetId: 'demo-ten-minutes', daysAgo: 3, share: 1, effort: 4, counted: null, note: '' },
  {
    sheetId: 'demo-hands-then-legs',
    daysAgo: 5,
    share: 0.62,
    effort: 8,
    counted: null,
    note: 'Alarm in round five. Everyone out in under a minute.',
  },
  {
    sheetId: 'demo-one-a-round',
    daysAgo: 8,
    share: 1,
    effort: 5,
    counted: 0.88,
    note: 'Block before the cross has landed at last.',
  },
  {
    sheetId: 'demo-first-watch',
    daysAgo: 10,
    share: 1,
    effort: 7,
    counted: 0.81,
    note: 'First time through. Lead hook drops to the hip on the body shot.',
  },
  {
    sheetId: 'demo-ten-minutes',
    daysAgo: 12,
    share: 1,
    effort: 3,
    counted: null,
    note: 'Alone in the tower, two of us later.',
  },
];

function entry(visit: Visit, sheet: Sheet, index: number, today: number): LogEntry {
  const timeline = compile(sheet);
  const startedAt = today - visit.daysAgo * day + 18 * 3_600_000;
  const end = Math.round(timeline.ms * visit.share);
  const deeds: Deed[] = [
    { what: 'start', from: -10_000, to: -10_000, wall: startedAt },
    { what: visit.share < 1 ? 'stop now' : 'finish', from: end, to: end, wall: startedAt + end },
  ];
  const done = whatWasDone(deeds, timeline);
  const punches = Math.round(tally(timeline, sheet.stance).counts.punches);
  return {
    id: `demo-entry-${index + 1}`,
    startedAt,
    sheetId: sheet.id,
    title: sheet.title,
    sheet,
    planned: { ms: timeline.ms, rounds: timeline.rounds, punches },
    done,
    deeds,
    effort: visit.effort,
    counted: visit.counted === null ? null : Math.round(done.punches * visit.counted),
    note: visit.note,
    rehearsal: false,
  };
}

/** Six made-up visits before a day; `today` is that day's midnight in milliseconds since 1970. */
export function demoLog(today: number): LogEntry[] {
  return visits.flatMap((visit, index) => {
    const sheet = demoSheets.find((each) => each.id === visit.sheetId);
    return sheet ? [entry(visit, sheet, index, today)] : [];
  });
}
