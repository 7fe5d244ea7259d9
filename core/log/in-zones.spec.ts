import { readCsv } from '../formats/csv-cells';
import { entriesCsv } from '../formats/log-csv';
import { sessionsIn } from '../formats/log-csv-in';
import { emptySheet } from '../sheet/fresh';
import { dayFromIso, dayOf, firstDayOf, isoDay, momentOf, weekOf } from './day';
import { entryByHand } from './entry-by-hand';

/** Three zones with a change of summer time each, on different days of the year (IANA tz database). */
const zones = ['Europe/Berlin', 'America/Los_Angeles', 'Pacific/Auckland'];

/** Does the same with the clock of each zone on the wall. */
export function inEachZone(run: (zone: string) => void): void {
  const before = process.env['TZ'];
  try {
    for (const zone of zones) {
      process.env['TZ'] = zone;
      run(zone);
    }
  } finally {
    if (before === undefined) delete process.env['TZ'];
    else process.env['TZ'] = before;
  }
}

describe('the clock on the wall', () => {
  it('gives a session its day and its week in every zone, late in the evening and over changes of summer time', () => {
    let seen = 0;
    inEachZone((zone) => {
      for (let day = dayFromIso('2026-01-01') ?? 0; isoDay(day) < '2027-01-01'; day += 1) {
        for (const minutes of [5, 12 * 60, 23 * 60 + 55])
          expect(dayOf(momentOf(day, minutes)))
            .withContext(`${zone} ${isoDay(day)}`)
            .toBe(day);
        const [week, next] = [weekOf(dayOf(momentOf(day, 1430))), weekOf(dayOf(momentOf(day + 7, 10)))];
        expect(next - week).toBe(1);
        expect(isoDay(firstDayOf(week)) <= isoDay(day)).toBeTrue();
        seen += 1;
      }
    });
    expect(seen).toBe(3 * 365);
  });

  it('stands in the CSV of the log, and is read back to the same moment', () => {
    // Days on which clocks change in one of the zones (IANA tz database), and one on which they do not.
    const days = ['2026-03-29', '2026-10-25', '2026-03-08', '2026-11-01', '2026-04-05', '2026-09-27', '2026-12-01'];
    let read = 0;
    inEachZone((zone) => {
      for (const day of days) {
        const startedAt = momentOf(dayFromIso(day) ?? 0, 23 * 60 + 30);
        const entry = entryByHand({
          ...{ id: 'e1', startedAt, title: 'Late', ms: 600_000, rounds: 2, punches: 90, planned: null },
          ...{ sheet: emptySheet(() => 's'), said: { effort: 5, note: '', faults: [] } },
        });
        const csv = entriesCsv([entry], () => []);
        expect(csv).withContext(zone).toContain(`e1,${day},23:30,Late`);
        const { sessions } = sessionsIn(readCsv(csv) ?? { header: [], rows: [] }, null, 'day first');
        expect(sessions.map((each) => each.startedAt))
          .withContext(`${zone} ${day}`)
          .toEqual([startedAt]);
        read += 1;
      }
    });
    expect(read).toBe(21);
  });
});
