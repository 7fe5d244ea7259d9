import { dayFromIso, dayOf, firstDayOf, isoDay, momentOf, weekdayOf, weekOf } from './day';

describe('days', () => {
  it('are those of the calendar, over leap years and clock changes (ISO 8601; the calendar itself)', () => {
    expect(dayFromIso('1970-01-01')).toBe(0);
    expect(isoDay(20_783)).toBe('2026-11-26');
    expect(weekdayOf(dayFromIso('2026-11-26') ?? 0)).toBe(3);
    expect(weekdayOf(dayFromIso('1969-12-29') ?? 0)).toBe(0);
    expect(dayFromIso('2024-02-29')).not.toBeNull();
    expect([dayFromIso('2026-02-30'), dayFromIso('26.11.2026'), dayFromIso('')]).toEqual([null, null, null]);
    let seen = 0;
    for (let day = dayFromIso('2026-01-01') ?? 0; isoDay(day) < '2027-01-01'; day += 1) {
      expect(dayOf(momentOf(day, 18 * 60))).toBe(day);
      expect(dayOf(momentOf(day))).toBe(day);
      seen += 1;
    }
    expect(seen).toBe(365);
  });

  it('are in weeks that begin on Monday', () => {
    const monday = dayFromIso('2026-11-23') ?? 0;
    expect([0, 6, 7].map((after) => weekOf(monday + after) - weekOf(monday))).toEqual([0, 0, 1]);
    expect(firstDayOf(weekOf(monday + 4))).toBe(monday);
  });
});
