import { mean, sampleStandardDeviation } from 'simple-statistics';
import fc from 'fast-check';
import { dayFromIso, weekOf } from './day';
import type { Digest } from './digest';
import { noDigest } from './no-digest.spec';
import {
  energyOf,
  energyOfSession,
  mets,
  monotonyOf,
  riseOf,
  sayWeek,
  sessionLoad,
  weekLoads,
  type DayLoad,
} from './load';

const monday = dayFromIso('2026-10-05') ?? 0;
const minutes = (count: number): number => count * 60_000;
const held = (day: number, effort: number | null, ms = minutes(60)): Digest => ({
  ...noDigest,
  ...{ id: `${day} ${effort}`, day, effort, ms },
});

describe('load', () => {
  it('is how hard times minutes (Foster et al. 2001); what nobody said is not nothing', () => {
    expect(sessionLoad(6, minutes(40))).toBe(240);
    expect(sessionLoad(0, minutes(40))).toBe(0);
    expect(sessionLoad(null, minutes(40))).toBeNull();
  });

  it('has monotony and strain as mean over deviation and sum times monotony (Foster 1998; reference: simple-statistics)', () => {
    let seen = 0;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 7, maxLength: 7 }), (days) => {
        const sd = sampleStandardDeviation(days);
        const monotony = monotonyOf(days);
        seen += 1;
        if (sd < 1e-9) expect(monotony).toBeNull();
        else expect(monotony).toBeCloseTo(mean(days) / sd, 9);
      }),
    );
    expect(seen).toBe(100);
    // By hand: three days of 600 and four of rest have a mean of 257.14 and a deviation of 320.71.
    expect(monotonyOf([600, 0, 600, 0, 600, 0, 0])).toBeCloseTo(0.8018, 4);
  });

  it('of a week without spread, or with a day that nobody knows, has no monotony', () => {
    expect(monotonyOf([300, 300, 300, 300, 300, 300, 300])).toBeNull();
    expect(monotonyOf([300, null, 300, 0, 0, 0, 0])).toBeNull();
  });

  it('takes empty days for rest only where that is said, and a session without effort for missing', () => {
    const sessions = [held(monday, 5), held(monday + 2, 7), held(monday + 2, 3, minutes(20)), held(monday + 4, null)];
    const [known] = weekLoads(sessions.slice(0, 3), 'rest', monday + 7);
    expect(known?.days).toEqual([300, 0, 480, 0, 0, 0, 0]);
    expect(known?.strain).toBeCloseTo(
      (780 * mean([300, 0, 480, 0, 0, 0, 0])) / sampleStandardDeviation([300, 0, 480, 0, 0, 0, 0]),
      6,
    );
    const [open] = weekLoads(sessions.slice(0, 3), 'unknown', monday + 7);
    expect(open?.days).toEqual([300, null, 480, null, null, null, null] satisfies DayLoad[]);
    expect([open?.sum, open?.monotony, open?.strain]).toEqual([780, null, null]);
    const [missing] = weekLoads(sessions, 'rest', monday + 7);
    expect([missing?.sum, missing?.unsaid, missing?.monotony]).toEqual([780, 1, null]);
  });

  it('of days that are still to come is not known, and rehearsals are none', () => {
    const [week] = weekLoads([held(monday, 5)], 'rest', monday + 2);
    expect(week?.days).toEqual([300, 0, null, null, null, null, null]);
    expect(weekLoads([{ ...held(monday, 5), learns: false }], 'rest', monday + 2)).toEqual([]);
    const weeks = weekLoads([held(monday, 5), held(monday + 21, 5)], 'rest', monday + 21);
    expect(weeks.map(({ week: number, sum }) => [number - weekOf(monday), sum])).toEqual([
      [0, 300],
      [1, 0],
      [2, 0],
      [3, 300],
    ]);
  });

  it('says where a week jumps, where days are alike, and where efforts are missing', () => {
    const jump = weekLoads([held(monday, 5), held(monday + 7, 5), held(monday + 14, 8)], 'rest', monday + 21);
    expect(riseOf(jump, 2)).toBeCloseTo(1.6, 9);
    expect(sayWeek(jump, 2)[0]).toContain('60% above');
    expect(sayWeek(jump, 1)).toEqual([]);
    const alike = weekLoads(
      [0, 1, 2, 3, 4, 5].map((at) => held(monday + at, 6)),
      'rest',
      monday + 7,
    );
    expect(alike[0]?.monotony).toBeCloseTo(2.27, 2);
    expect(sayWeek(alike, 0)[0]).toContain('alike');
    expect(sayWeek(weekLoads([held(monday, null)], 'rest', monday + 1), 0)[0]).toContain('no effort');
  });
});

describe('energy', () => {
  it('is MET × 3.5 × kg / 200 × minutes (2011 Compendium of Physical Activities; METs from memory)', () => {
    // By hand: a person of 70 kg at the bag for half an hour.
    expect(energyOf(mets.round, 70, minutes(30))).toBeCloseTo(202.125, 6);
  });

  it('of a session goes by what was done, and by martial arts where legs are in it', () => {
    const hands: Digest = {
      ...noDigest,
      strikes: 100,
      msByBlock: { round: minutes(30) },
      cells: { 'lead head hooks': 100 },
    };
    expect(energyOfSession(hands, 70)).toBeCloseTo(202.125, 6);
    const legs: Digest = { ...hands, cells: { 'rear body kicks': 40, 'lead head straights': 60 } };
    expect(energyOfSession(legs, 70)).toBeCloseTo(energyOf(10.3, 70, minutes(30)), 6);
  });
});
