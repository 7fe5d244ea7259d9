import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { plannedEfforts, planLoads, wantedLoad, weekOptions, type OpenWeek } from './load-plan';

const minutes = 40;
const week = (open: readonly number[], easier = false): OpenWeek => ({ over: [], open, easier });

/** The same question as an integer programme, answered by HiGHS: one option a week, rises bounded, distances linear. */
function leastByHighs(
  highs: Highs,
  weeks: readonly OpenWeek[],
  before: number | null,
  rise: number,
  monotony: number,
): number {
  const options = weeks.map((each) => weekOptions(each, minutes, monotony));
  const x = (at: number, of: number): string => `x${at}_${of}`;
  const load = (at: number, times = 1): string =>
    (options[at] ?? []).map((each, of) => `${each.load * times} ${x(at, of)}`).join(' + ');
  const rows = weeks.flatMap((each, at) => {
    const wanted = wantedLoad(each, at, weeks.length, minutes);
    const last = weeks.findLastIndex(({ easier }, index) => index < at && !easier);
    const bound =
      last >= 0
        ? [` ${load(at)} - ${load(last, 1 + rise).replaceAll(' + ', ' - ')} <= 0`]
        : before === null
          ? []
          : [` ${load(at)} <= ${before * (1 + rise)}`];
    return [
      ` ${(options[at] ?? []).map((_, of) => x(at, of)).join(' + ')} = 1`,
      ` ${load(at)} - d${at} <= ${wanted}`,
      ` ${load(at)} + d${at} >= ${wanted}`,
      ...bound,
    ];
  });
  const names = options.flatMap((all, at) => all.map((_, of) => x(at, of)));
  const goal = weeks.map((_, at) => `d${at}`).join(' + ');
  const model = ['Minimize', ` obj: ${goal}`, 'Subject To', ...rows, 'Binary', ` ${names.join(' ')}`, 'End'];
  const solved = highs.solve(model.join('\n'));
  return solved.Status === 'Optimal' ? solved.ObjectiveValue : Infinity;
}

describe('loads of weeks', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  it('are as near to what is meant as an integer programme gets them (HiGHS, University of Edinburgh)', () => {
    let compared = 0;
    fc.assert(
      fc.property(
        fc.array(fc.record({ open: fc.integer({ min: 1, max: 4 }), easier: fc.boolean() }), {
          minLength: 1,
          maxLength: 5,
        }),
        fc.constantFrom(null, 500, 700),
        fc.constantFrom(0.05, 0.1, 0.3),
        (drawn, before, rise) => {
          const weeks = drawn.map(({ open, easier }) => week([0, 2, 4, 5].slice(0, open), easier));
          const planned = planLoads(weeks, minutes, before, { rise, monotony: 2 });
          if (planned.some(({ broken }) => broken.length > 0)) return;
          const own = planned.reduce(
            (sum, { load }, at) => sum + Math.abs(load - wantedLoad(weeks[at] ?? week([]), at, weeks.length, minutes)),
            0,
          );
          expect(own).toBeCloseTo(leastByHighs(highs, weeks, before, rise, 2), 4);
          compared += 1;
        },
      ),
      { numRuns: 60, seed: 11 },
    );
    expect(compared).toBeGreaterThan(20);
  });

  it('hold their bounds over any weeks, or say which they cannot hold', () => {
    let seen = 0;
    fc.assert(
      fc.property(
        fc.array(fc.record({ open: fc.integer({ min: 0, max: 7 }), easier: fc.boolean() }), {
          minLength: 1,
          maxLength: 8,
        }),
        fc.constantFrom(null, 100, 600),
        (drawn, before) => {
          const bounds = { rise: 0.1, monotony: 2 };
          let reference: number | null = before;
          const weeks = drawn.map(({ open, easier }) =>
            week(
              Array.from({ length: open }, (_, at) => at),
              easier,
            ),
          );
          planLoads(weeks, minutes, before, bounds).forEach(({ load, monotony, broken, efforts }, at) => {
            expect(efforts.every((each) => each >= plannedEfforts.least && each <= plannedEfforts.most)).toBeTrue();
            expect(broken.includes('rise')).toBe(reference !== null && load > reference * 1.1 + 1e-6);
            expect(broken.includes('monotony')).toBe((monotony ?? 0) > bounds.monotony);
            if (!weeks[at]?.easier && load > 0) reference = load;
            seen += 1;
          });
        },
      ),
      { numRuns: 100 },
    );
    expect(seen).toBeGreaterThan(100);
  });

  it('of many days are uneven enough, hard and easy in turn', () => {
    const [six] = planLoads([week([0, 1, 2, 3, 4, 5])], minutes, null, { rise: 0.1, monotony: 1.5 });
    expect(six?.monotony ?? 9).toBeLessThanOrEqual(1.5);
    expect(Math.max(...(six?.efforts ?? [])) - Math.min(...(six?.efforts ?? []))).toBeGreaterThan(1);
    const [three] = planLoads([week([0, 2, 4])], minutes, null, { rise: 0.1, monotony: 2 });
    expect(new Set(three?.efforts).size).toBe(1);
  });

  it('reckon with what of a week is over', () => {
    const begun: OpenWeek = { over: [{ weekday: 0, load: 400 }], open: [2, 4], easier: false };
    const [planned] = planLoads([begun], minutes, 600, { rise: 0.1, monotony: 2 });
    expect(planned?.load ?? 9999).toBeLessThanOrEqual(660);
    expect(planned?.load).toBe(400 + minutes * (planned?.efforts ?? []).reduce((sum, each) => sum + each, 0));
  });
});
