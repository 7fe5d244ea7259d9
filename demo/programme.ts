import {
  dayOf,
  digestOfRun,
  isoDay,
  firstDayOf,
  newProgramme,
  replan,
  weekdayOf,
  weekOf,
  type LogEntry,
  type Programme,
} from '../core/index';

/** The class's last visits were so many days ago; its programme goes on in that rhythm. */
const visits = [1, 3, 5];
/** So long ago the programme began. */
const began = 12;

/** Six weeks of the invented class towards a combination of ten moves, begun two weeks before a day, as its log has left it. */
export function demoProgramme(log: readonly LogEntry[], midnight: number): Programme {
  const today = dayOf(midnight);
  const digests = log.map(digestOfRun);
  const starts = firstDayOf(weekOf(today - began));
  const { programme } = newProgramme(
    'demo',
    {
      ...{ name: 'Ten moves by week six', starts: isoDay(starts), weeks: 6, at: 18 * 60, minutes: 40 },
      weekdays: visits.map((ago) => weekdayOf(today - ago)).sort((a, b) => a - b),
      ...{ level: 'beginner', kind: 'mixed', bag: 'heavy', people: 12, easierEvery: 4, daysOff: [] },
      ...{ goal: { kind: 'combination', text: '1 2 3b 2 5 4 sl 2 3 2' }, bounds: { rise: 0.1, monotony: 2 } },
    },
    digests.filter(({ day }) => day < starts),
    starts,
  );
  return replan(programme, digests, today).programme;
}
