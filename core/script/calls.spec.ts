import { plain } from './saying';
import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import type { Sheet } from '../sheet/schema';
import { findings } from '../findings/index';
import { apart } from './apart.spec';
import { lateCost, leastGap, spokenLength, type Call, type Candidate } from './call';
import { bellPhrase, phrases } from './speech';
import { mostExact, schedule } from './schedule';
import { startGrid, worthOf } from './solve';
import { scriptOf } from './script';

const track = (...lines: string[]) => scriptOf(readTempoText(lines.join('\n')).sheet);
const said = (calls: readonly Call[]): string[] => calls.map(({ at, say }) => `${at / 1000} ${say}`);

/** The greatest worth there is, by trying everything: each candidate in each form at each start of the grid, or not at all. */
function exhaustive(candidates: readonly Candidate[]): number {
  const place = (index: number, taken: readonly { from: number; to: number }[]): number => {
    const candidate = candidates[index];
    if (!candidate) return 0;
    let best = place(index + 1, taken);
    for (const phrase of candidate.phrases)
      for (let at = candidate.from; at + phrase.ms <= candidate.until; at += startGrid) {
        const to = at + phrase.ms;
        if (taken.every((other) => at >= other.to + leastGap || to + leastGap <= other.from))
          best = Math.max(
            best,
            worthOf(candidate, phrase) - lateCost(candidate, at) + place(index + 1, [...taken, { from: at, to }]),
          );
      }
    return best;
  };
  return place(0, []);
}

const small: fc.Arbitrary<Candidate> = fc
  .record({
    kind: fc.constantFrom('new', 'effort', 'time', 'preview', 'reminder', 'focus', 'water', 'breathing'),
    from: fc.integer({ min: 0, max: 20 }).map((tenths) => tenths * 100),
    room: fc.integer({ min: 0, max: 12 }).map((tenths) => tenths * 100),
    full: fc.integer({ min: 3, max: 12 }).map((tenths) => tenths * 100),
    short: fc.option(fc.integer({ min: 2, max: 6 }).map((tenths) => tenths * 100)),
    late: fc.boolean(),
  })
  .map(({ kind, from, room, full, short, late }) => ({
    key: 'one',
    kind: kind as Candidate['kind'],
    from,
    until: from + full + room,
    ...(late ? { due: from } : {}),
    phrases: [
      { form: 'full' as const, say: 'words', ms: full },
      ...(short === null ? [] : [{ form: 'short' as const, say: 'word', ms: Math.min(short, full) }]),
    ],
  }));

describe('the scheduler of calls', () => {
  it('chooses as well as trying everything does, on small cases', () => {
    fc.assert(
      fc.property(fc.array(small, { minLength: 1, maxLength: 4 }), (made) => {
        const candidates = made.map((each, at) => ({ ...each, key: `${at}` }));
        const result = schedule(candidates);
        const worth = result.calls.reduce((sum, call) => {
          const candidate = candidates.find(({ key }) => key === call.key);
          const phrase = candidate?.phrases.find(({ form, ms }) => form === call.form && ms === call.ms);
          return candidate && phrase ? sum + worthOf(candidate, phrase) - lateCost(candidate, call.at) : NaN;
        }, 0);
        expect(worth).toBeCloseTo(exhaustive(candidates), 6);
        apart(result.calls);
        expect(result.calls.length + result.dropped.length).toBe(candidates.length);
      }),
      { numRuns: 150 },
    );
  });

  it('takes the short form, or leaves the lesser call out, and says why', () => {
    const at = (kind: Candidate['kind'], from: number, until: number, full: string, short?: string): Candidate => ({
      key: kind,
      kind,
      from,
      until,
      phrases: phrases({ full: plain(full), ...(short ? { short: plain(short) } : {}) }),
    });
    const shortened = schedule([
      at('preview', 0, 2000, 'next round two one two three', 'one two three'),
      at('water', 0, 2000, 'rest'),
    ]);
    expect(shortened.calls.map(({ form, kind }) => `${kind} ${form}`)).toEqual(['preview short', 'water full']);
    const dropped = schedule([at('new', 0, 1000, 'one two'), at('focus', 0, 1000, 'chin down')]);
    expect(dropped.dropped).toEqual([
      { key: 'focus', kind: 'focus', say: 'chin down', why: '“one two” is more important at that moment', opens: 0 },
    ]);
    expect(schedule([at('focus', 0, 500, 'chin down now')]).dropped[0]?.why).toBe(
      'it takes 1.1 s, but only 0.5 s are available',
    );
  });

  it('reports its bound where a stretch is too crowded to be exact', () => {
    const many = Array.from({ length: mostExact + 3 }, (_, at): Candidate => ({
      key: `${at}`,
      kind: 'time',
      from: 0,
      until: 30_000,
      phrases: phrases({ full: plain('half way') }),
    }));
    const { crowded, calls } = schedule(many);
    expect(crowded).toEqual([
      { from: 0, candidates: mostExact + 3, worth: mostExact * 150, bound: (mostExact + 3) * 150 },
    ]);
    apart(calls);
  });

  it('answers alike what is alike, wherever it stands and whatever is said in it', () => {
    const two = (from: number, words: string): Candidate[] =>
      ['half way', words].map((say) => ({
        key: say,
        kind: 'time',
        from,
        until: from + 5000,
        phrases: phrases({ full: plain(say) }),
      }));
    const before = schedule([...two(0, 'one minute left'), ...two(60_000, 'thirty seconds left')]).calls;
    const again = schedule([...two(0, 'one minute left'), ...two(60_000, 'other words')]).calls;
    expect(again[0]).toEqual(before[0] as Call);
    expect(again.some(({ say }) => say === 'other words')).toBeTrue();
    const later = schedule(two(90_000, 'one minute left')).calls;
    expect(later.map(({ at, opens, closes }) => [at - 90_000, opens - 90_000, closes - 90_000])).toEqual(
      before.slice(0, 2).map(({ at, opens, closes }) => [at, opens, closes]),
    );
  });
});

// House rules of the trade page, sections 8 and 9; 165 words a minute.
describe('the call track of a sheet', () => {
  it('knows how long words take', () => {
    expect(spokenLength('one, two, three body')).toBe(1455);
    expect(bellPhrase).toEqual({ form: 'full', say: 'bell', ms: 1000 });
  });

  it('rings, names, counts, and says the newest where a stage begins', () => {
    const { calls } = track('round 1:00', '  build ladder every 0:30: 1 2');
    expect(said(calls)).toEqual(
      jasmine.arrayContaining([
        '0 bell',
        '1.3 Jab.',
        '30 Add the cross. All together: one, two.',
        '50 ten seconds',
        '57 three',
        '58 two',
        '59 one',
        '60 bell',
      ]),
    );
    expect(calls.find(({ kind }) => kind === 'reminder')?.say).toBe('Keep the jab sharp');
  });

  it('puts what belongs to an open break there, with the bell that ends the round', () => {
    const { calls, breaks } = track('round 1:00: 1 2', 'rest open', 'round 1:00: 2 3');
    expect(breaks.length).toBe(1);
    expect(breaks[0]?.calls.map(({ at, say }) => `${at / 1000} ${say}`)).toEqual(jasmine.arrayContaining(['60 bell']));
    expect(breaks[0]?.calls.map(({ kind }) => kind)).toEqual(['bell', 'new', 'preview']);
    expect(calls.filter(({ kind }) => kind === 'bell').map(({ at }) => at)).toEqual([0, 60_000, 120_000]);
  });

  it('lets one bell serve two rounds, and calls a stance change before it', () => {
    const { calls } = track('round 1:00: 1 2', 'round 1:00 switch stance: 1 2');
    expect(calls.filter(({ kind }) => kind === 'bell').map(({ at }) => at)).toEqual([0, 60_000, 120_000]);
    const stance = calls.find(({ kind }) => kind === 'stance');
    expect(stance && stance.at + stance.ms <= 57_000 && stance.at >= 48_000).toBeTrue();
  });

  it('says the coach’s own words and a drill at their second', () => {
    const { calls } = track('round 1:00', '  1:00 call go 3 seed 5', '  say "hands up" at 0:20');
    const script = compile(readTempoText('round 1:00\n  1:00 call go 3 seed 5').sheet).leaves[0]?.drillCalls ?? [];
    const drill = calls.filter(({ kind }) => kind === 'drill').map(({ at }) => at);
    expect(drill.length).toBeGreaterThan(5);
    expect(drill.every((at) => script.some((call) => call.at === at))).toBeTrue();
    const own = calls.find(({ kind }) => kind === 'own');
    expect(own && own.at >= 20_000 && own.at <= 24_000).toBeTrue();
  });

  it('is quiet in the last second before the bell of an open break, too', () => {
    const { calls, dropped } = track('round 1:00: 1 2', '  say "hands up" at 0:59', 'rest open', 'round 1:00: 1 2');
    expect(calls.some(({ kind }) => kind === 'own')).toBeFalse();
    expect(dropped.find(({ kind }) => kind === 'own')?.why).toBe('it takes 0.7 s, but only 0.0 s are available');
  });

  it('keeps a locked call on the grid and in its window, wherever the window moves', () => {
    const sheet = (title: string, edit: object): Sheet => {
      const made = readTempoText(`round 2:00 "${title}"\n  1:07.3: 1 2 3\n  0:52.7: 2 3`).sheet;
      const [key = ''] = scriptOf(made).calls.flatMap((call) => (call.kind === 'focus' ? [call.key] : []));
      return { ...made, calls: { edits: [{ key, ...edit }] } };
    };
    const focus = (now: Sheet) => scriptOf(now).calls.find(({ kind }) => kind === 'focus');
    for (const atMs of [0, 1, 77, 12_345, 3_600_000]) {
      const call = focus(sheet('Locked', { atMs }));
      expect(call && call.at % startGrid).toBe(0);
      expect(call && call.at >= call.opens && call.at + call.ms <= call.closes).toBeTrue();
    }
    // Words that no longer fit the window are left out with the reason, locked or not.
    const long = sheet('Long', { atMs: 5000, say: Array.from({ length: 120 }, () => 'word').join(' ') });
    expect(focus(long)).toBeUndefined();
    expect(scriptOf(long).dropped.find(({ kind }) => kind === 'focus')?.why).toMatch(/^it takes 4\d\.\d s/);
  });

  it('finds a rest that is too short for what is said in it, with a mend that is enough', () => {
    const { sheet } = readTempoText('warm-up 5:00\nround 2:00: 1 2b\nrest 0:10\nround 2:00: 1 2 3b 2 5 2 1 2 3b 2');
    const [finding] = findings(sheet).filter(({ kind }) => kind === 'crowded rest');
    expect(finding?.what).toMatch(/^this rest is 0:10, but water, breathing, preview and the countdown need 0:\d\d$/);
    const after = finding?.mends[0]?.edit(sheet);
    expect(after && findings(after).filter(({ kind }) => kind === 'crowded rest')).toEqual([]);
    expect(after && scriptOf(after).dropped.filter(({ kind }) => kind === 'preview')).toEqual([]);
  });
});
