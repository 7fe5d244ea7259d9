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
  readonly faults?: readonly string[];
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
    note: 'The block before the cross has finally clicked.',
  },
  {
    sheetId: 'demo-first-watch',
    daysAgo: 10,
    share: 1,
    effort: 7,
    counted: 0.81,
    note: 'First time through. Lead hand drops to the hip on the body hook.',
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

/** The ten weeks before those visits, the last first: what was done on Monday, Wednesday and Friday, how hard it was, and the count. */
const weeksBefore: readonly (readonly (readonly [
  sheet: string,
  effort: number,
  counted: number | null,
  ...faults: string[],
])[])[] = [
  [
    ['first-watch', 6, 0.9],
    ['hands-then-legs', 7, 0.84, 'breath'],
    ['ten-minutes', 4, null],
  ],
  [
    ['one-a-round', 6, 0.87],
    ['four-corners', 7, null, 'feet-together'],
    ['first-watch', 7, 0.88],
  ],
  [
    ['hands-then-legs', 8, 0.82, 'hand-drops'],
    ['first-watch', 7, 0.86],
    ['ten-minutes', 5, null],
  ],
  [
    ['ten-minutes', 3, null],
    ['first-watch', 4, 0.9],
  ],
  [
    ['four-corners', 7, null],
    ['one-a-round', 7, 0.83, 'hand-drops'],
    ['first-watch', 7, 0.84],
  ],
  [
    ['first-watch', 6, 0.82, 'wrist'],
    ['hands-then-legs', 8, 0.78, 'hand-drops'],
    ['ten-minutes', 4, null],
  ],
  [
    ['one-a-round', 6, 0.8, 'hand-drops'],
    ['first-watch', 6, 0.83],
    ['four-corners', 6, null],
  ],
  [
    ['ten-minutes', 3, null],
    ['first-watch', 4, 8.1],
  ],
  [
    ['first-watch', 6, 0.78, 'hand-drops', 'wrist'],
    ['one-a-round', 6, 0.76],
    ['ten-minutes', 5, null],
  ],
  [
    ['ten-minutes', 5, null, 'wrist'],
    ['first-watch', 7, 0.75, 'hand-drops', 'wrist'],
    ['ten-minutes', 4, null],
  ],
];
/** Days before today of a week's first session, and between the next ones. */
const firstOfWeek = 19;
const everyOther = 2;

const earlier: readonly Visit[] = weeksBefore.flatMap((week, back) =>
  week.map(([sheetId, effort, counted, ...faults], at): Visit => ({
    ...{ sheetId: `demo-${sheetId}`, daysAgo: firstOfWeek + 7 * back - everyOther * at, share: 1, effort, counted },
    note: counted !== null && counted > 2 ? 'The clicker was never reset to zero.' : '',
    faults,
  })),
);

/** In these sessions one of them counts for the others. */
const counters: Readonly<Record<string, string>> = { 'demo-one-a-round': 'Orla', 'demo-hands-then-legs': 'Bram' };

function countOf({ sheetId }: Visit): NonNullable<LogEntry['count']> {
  const name = counters[sheetId];
  return name === undefined ? { of: 'several', by: 'typed' } : { of: 'one', by: 'typed', name };
}

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
    ...(visit.counted === null ? {} : { count: countOf(visit) }),
    ...(visit.faults && visit.faults.length > 0 ? { faults: [...visit.faults] } : {}),
    who: { group: 'Off-shift class', names: [], people: 9 + (index % 5) },
    rehearsal: false,
  };
}

/** Twelve made-up weeks before a day; `today` is that day's midnight in milliseconds since 1970. */
export function demoLog(today: number): LogEntry[] {
  return [...visits, ...earlier].flatMap((visit, index) => {
    const sheet = demoSheets.find((each) => each.id === visit.sheetId);
    return sheet ? [entry(visit, sheet, index, today)] : [];
  });
}
