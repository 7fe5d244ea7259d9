import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { passesOf } from '../timeline/passes';
import type { CallKind } from '../sheet/call-kinds';
import { intervalsOf } from './intervals';
import { scriptOf } from './script';

const hardAndEasy = [
  'round 6:00',
  ...['strong: 2 3 2', 'strong: 1 2 3', 'all-out: 1 2', 'strong: 2 3 2'].flatMap((work) => [
    `  1:00 ${work}`,
    '  0:30 easy: 1',
  ]),
];
const said = (lines: readonly string[], ...kinds: readonly CallKind[]): string[] =>
  scriptOf(readTempoText(lines.join('\n')).sheet)
    .calls.filter(({ kind }) => kinds.includes(kind))
    .map(({ at, say }) => `${Math.floor(at / 1000)} ${say}`);

// Trade page, section 15 (common practice, no source): the hard minute has its middle, its last ten seconds and its end; what
// comes next is named in the easy piece; the round's time does not contradict the piece's.
describe('a round of hard and easy pieces', () => {
  it('is found where neighbours are 20 points of effort apart, twice or more', () => {
    const of = (...lines: readonly string[]) => {
      const [pass] = passesOf(compile(readTempoText(lines.join('\n')).sheet));
      if (!pass) throw new Error('no round');
      const { hard, clocked, beforeHard } = intervalsOf(pass);
      return [hard.length, clocked.length, beforeHard.length];
    };
    expect(of(...hardAndEasy)).toEqual([4, 4, 3]);
    // Efforts of 50 and 70, and of 51 and 70: the second pair is too close.
    const pairs = (easy: number): string[] => [0, 1].flatMap(() => [`  0:40 70%: 1 2`, `  0:40 ${easy}%: 1 2`]);
    expect(of('round 2:40', ...pairs(50))).toEqual([2, 2, 1]);
    expect(of('round 2:40', ...pairs(51))).toEqual([0, 0, 0]);
    // It rises once, and alternates not at all.
    expect(of('round 2:00', '  1:00 easy: 1 2', '  1:00 all-out: 1 2')).toEqual([0, 0, 0]);
    // Pieces under 40 s have no clock of their own.
    expect(of('round 2:00', ...[0, 1].flatMap(() => ['  0:39 strong: 1 2', '  0:21 easy: 1']))).toEqual([2, 0, 1]);
  });

  it('gives each hard piece its half and its last ten seconds, and keeps the round’s time out of it', () => {
    expect(said(hardAndEasy, 'time').slice(0, -1)).toEqual([
      ...['30 halfway', '120 halfway', '210 halfway', '241 two minutes left', '300 halfway', '331 thirty seconds left'],
    ]);
    expect(said(hardAndEasy, 'count').filter((each) => each.endsWith('ten seconds'))).toEqual([
      ...['50 ten seconds', '140 ten seconds', '230 ten seconds', '320 ten seconds', '350 ten seconds'],
    ]);
  });

  it('tells what comes next while it is easy, before it is counted in', () => {
    expect(said(hardAndEasy, 'preview')).toEqual([
      ...['80 Next: one, two, three', '170 Next: all out, one, two', '260 Next: two, three, two'],
    ]);
  });

  it('counts pieces of ten seconds and more in, and no shorter ones', () => {
    const counts = (ms: string): string[] =>
      said(['round 1:00', `  ${ms} 1 2`, '  0:40 3 2'], 'count').filter((each) => Number.parseInt(each) < 20);
    expect(counts('0:10')).toEqual(['7 three', '8 two', '9 one']);
    expect(counts('0:09')).toEqual([]);
  });
});

// Trade page, section 15: work outside rounds has a clock of its own, once for all blocks of a kind.
describe('the clock of blocks of one kind that follow each other', () => {
  const sheet = readTempoText(
    [
      ...['warm-up 1:00: skipping', 'warm-up 1:00: arm circles', 'warm-up 2:00: hip circles'],
      ...['core 1:00: plank', 'rest 0:30', 'core 1:00: bridge', 'cool-down 1:00: stretch'],
    ].join('\n'),
  ).sheet;
  const said = (part: RegExp): [number, string][] =>
    scriptOf(sheet).calls.flatMap(({ at, say }) => (part.test(say) ? [[Math.floor(at / 1000), say]] : []));

  it('tells their half once, and that they are done after the last of them', () => {
    const halves = said(/^half/i).flatMap(([at]) => (at < 240 ? [at] : []));
    // Behind the name of the third block, which begins at that moment.
    expect(halves).toEqual([121]);
    const { calls, dropped } = scriptOf(sheet);
    const done = [...calls, ...dropped].flatMap(({ say, opens }) => (say === 'Warm-up done' ? [opens] : []));
    expect(done).toEqual([240_000]);
  });

  it('passes over a rest between two of them', () => {
    const halves = said(/^half/i).flatMap(([at]) => (at >= 240 && at < 390 ? [at] : []));
    expect(halves.length).toBe(1);
    expect(halves[0]).toBeGreaterThanOrEqual(330);
    const { calls, dropped } = scriptOf(sheet);
    const done = [...calls, ...dropped].flatMap(({ say, opens }) => (say === 'Core done' ? [opens] : []));
    expect(done).toEqual([390_000]);
  });

  it('begins a rest with that it is done, then in order: water, breathing, what comes', () => {
    const rested = readTempoText('warm-up 2:00: skipping\nrest 0:20\ncore 1:00: plank').sheet;
    const calls = scriptOf(rested).calls.filter(({ at }) => at >= 120_000 && at < 130_000);
    expect(calls.map(({ say }) => say)).toEqual([
      ...['Warm-up done', 'Rest. Water', 'Breathe in for two, out for four', 'Next, Core: plank'],
    ]);
  });

  it('counts into core after a rest, and into cool-down', () => {
    const counts = said(/^(three|two|one)$/i).map(([at]) => at);
    expect(counts).toEqual(jasmine.arrayContaining([327, 328, 329, 387, 388, 389]));
  });
});
