import fc from 'fast-check';
import loadHighs, { type Highs } from 'highs';
import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { lateCost, leastGap, type Candidate } from './call';
import { candidatesOf } from './candidates';
import { mostExact, schedule, stretches, type Schedule } from './schedule';
import { isFixed, onGrid, startGrid, worthOf } from './solve';
import { callOptionsOf } from './script';

/** One way of saying a call: in a form, at a moment. */
interface Way {
  readonly call: number;
  readonly at: number;
  readonly end: number;
  readonly worth: number;
}

function waysOf(candidates: readonly Candidate[]): Way[] {
  return candidates.flatMap((candidate, call) =>
    candidate.phrases.flatMap((phrase) => {
      const out: Way[] = [];
      const first = isFixed(candidate) ? candidate.from : onGrid(candidate.from);
      for (let at = first; at + phrase.ms <= candidate.until; at += startGrid) {
        out.push({
          call,
          at,
          end: at + phrase.ms + leastGap,
          worth: worthOf(candidate, phrase) - lateCost(candidate, at),
        });
        if (isFixed(candidate)) break;
      }
      return out;
    }),
  );
}

/**
 * The same question as an integer programme, answered by HiGHS (an open solver of the University of Edinburgh): each call
 * at most one way; at every moment at which a way begins, at most one of the ways that last over it.
 */
function greatest(highs: Highs, candidates: readonly Candidate[]): number {
  const ways = waysOf(candidates);
  if (ways.length === 0) return 0;
  const sum = (which: readonly number[]): string => which.map((at) => `x${at}`).join(' + ');
  const all = ways.map((_, at) => at);
  const calls = candidates.map((_, call) => all.filter((at) => ways[at]?.call === call));
  const moments = [...new Set(ways.map(({ at }) => at))].map((moment) =>
    all.filter((at) => (ways[at]?.at ?? 0) <= moment && moment < (ways[at]?.end ?? 0)),
  );
  const rows = [...calls, ...moments].filter((which) => which.length > 1).map((which) => ` ${sum(which)} <= 1`);
  const worth = ways.map((way, at) => `${way.worth} x${at}`).join(' + ');
  const model = ['Maximize', ` ${worth}`, 'Subject To', ...(rows.length > 0 ? rows : [' x0 <= 1']), 'Binary'];
  return highs.solve([...model, ` ${all.map((at) => `x${at}`).join(' ')}`, 'End'].join('\n')).ObjectiveValue;
}

function worthIn({ calls }: Schedule, candidates: readonly Candidate[]): number {
  return calls.reduce((sum, call) => {
    const candidate = candidates.find(({ key }) => key === call.key);
    const phrase = candidate?.phrases.find(({ form, ms }) => form === call.form && ms === call.ms);
    return candidate && phrase ? sum + worthOf(candidate, phrase) - lateCost(candidate, call.at) : NaN;
  }, 0);
}

const kinds = ['new', 'stance', 'effort', 'time', 'preview', 'reminder', 'focus', 'water', 'cheer'] as const;
/** Calls with lengths of any millisecond, some with their one moment, some locked. */
const anyCall: fc.Arbitrary<Candidate> = fc
  .record({
    kind: fc.constantFrom(...kinds),
    from: fc.integer({ min: 0, max: 8000 }),
    room: fc.oneof(fc.constant(0), fc.integer({ min: 100, max: 5000 })),
    full: fc.integer({ min: 250, max: 2600 }),
    short: fc.option(fc.integer({ min: 200, max: 1200 })),
    locked: fc.boolean(),
    due: fc.option(fc.integer({ min: -500, max: 1500 })),
  })
  .map(({ kind, from, room, full, short, locked, due }) => ({
    key: '',
    kind,
    from,
    until: from + full + room,
    ...(due === null ? {} : { due: from + due }),
    phrases: [
      { form: 'full' as const, say: 'words', ms: full },
      ...(short === null || room === 0 || short >= full ? [] : [{ form: 'short' as const, say: 'word', ms: short }]),
    ],
    ...(locked && room === 0 ? { locked: true as const } : {}),
  }));

describe('the choice of calls against an integer programme', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  it('is as good as the solver’s, with calls that can be moved and calls that cannot', () => {
    fc.assert(
      fc.property(fc.array(anyCall, { minLength: 2, maxLength: 9 }), (made) => {
        const candidates = made.map((each, at) => ({ ...each, key: `${at}` }));
        const result = schedule(candidates);
        expect(result.crowded).toEqual([]);
        expect(worthIn(result, candidates)).toBeCloseTo(greatest(highs, candidates), 4);
      }),
      { numRuns: 25 },
    );
  });

  it('is as good as the solver’s on a session that has too much to say', () => {
    const lines = [
      'stances: each round',
      'round 2:00 "One more each time"',
      'build ladder every 0:10: 1 2 3b 2 5 4 2 3 1 2 3 2',
      'rest 0:20',
      'round 1:00 "Fast and faster"',
      '0:30 easy: 1 2 3 2 1 2 3 2',
      '0:30 all-out: 1 2 3 2 1 2 3 2',
      'say "hands up, all of you" at 0:29',
      'say "and keep them there" at 0:30',
      'rest 0:15',
      'round 1:00: 1 2 3b ro 4 5 2 3b ro 4 5 2 3b',
    ];
    const { sheet } = readTempoText(lines.join('\n'));
    const timeline = compile(sheet);
    const { candidates } = candidatesOf(timeline, callOptionsOf(sheet, timeline));
    const parts = stretches(candidates).filter((part) => part.length > 1);
    expect(parts.length).toBeGreaterThan(3);
    for (const part of parts) {
      const result = schedule(part);
      expect(result.crowded).toEqual([]);
      expect(worthIn(result, part))
        .withContext(part[0]?.key ?? '')
        .toBeCloseTo(greatest(highs, part), 4);
    }
    expect(schedule(candidates).dropped.length).toBeGreaterThan(0);
  });

  it('is as good as the solver’s on a long stretch where many calls follow one another', () => {
    const { sheet } = readTempoText(
      'round 4:00\n  build ladder every 0:10: 1 2 3b 2 5 4 1 2 3 2 1 2 3 2 5 6 1 2 3 4 5 6 1 2',
    );
    const timeline = compile(sheet);
    const { candidates } = candidatesOf(timeline, callOptionsOf(sheet, timeline));
    const long = stretches(candidates).filter((part) => part.filter((each) => !isFixed(each)).length > mostExact);
    expect(long.length).toBeGreaterThan(0);
    for (const part of long) {
      const result = schedule(part);
      expect(result.crowded).toEqual([]);
      expect(worthIn(result, part)).toBeCloseTo(greatest(highs, part), 4);
    }
  });

  it('lies between what it found and its bound where a stretch is too crowded to be exact', () => {
    const crowd = fc.array(anyCall, { minLength: mostExact + 2, maxLength: mostExact + 4 });
    let crowded = 0;
    fc.assert(
      fc.property(crowd, (made) => {
        // All of them can be said anywhere in the same few seconds.
        const candidates = made.map((each, at) => ({ ...each, key: `${at}`, from: 0, until: 3600, locked: undefined }));
        const result = schedule(candidates);
        const best = greatest(highs, candidates);
        expect(worthIn(result, candidates)).toBeLessThanOrEqual(best + 0.001);
        expect(result.crowded.length).toBeGreaterThan(0);
        for (const { worth, bound } of result.crowded) {
          crowded += 1;
          expect(worth).toBeCloseTo(worthIn(result, candidates), 4);
          expect(bound).toBeGreaterThanOrEqual(best - 0.001);
        }
      }),
      { numRuns: 4 },
    );
    expect(crowded).toBeGreaterThan(0);
  });
});
