import { readTempoText } from '../formats/tempo-text/read';
import { bagsOf, isOnLanes } from './bags-of';
import { compile } from './compile';
import type { Leaf } from './leaf';
import { passesOf, passLength } from './passes';
import { schoolsOf } from './schools-of';

/* Clocks laid out by hand from the trade page, sections 3 and 6, and tempo-text.md: what stands when, for how long, how it is stood. */
function laid(...lines: readonly string[]) {
  const { sheet, faults } = readTempoText(lines.join('\n'));
  expect(faults).toEqual([]);
  return compile(sheet);
}
const told = ({ at, ms, block, round }: Leaf) => [at / 1000, ms / 1000, block, round] as const;

describe('a clock laid out by hand', () => {
  it('repeats a block with its rests between, numbers rounds through, and counts open breaks', () => {
    const timeline = laid(
      'warm-up 1:00',
      'round 2:00 x3 rest 0:30: 1 2',
      'rest open',
      'round 1:00: 3',
      'cool-down 0:30',
    );
    expect(timeline.leaves.map(told)).toEqual([
      [0, 60, 'warm-up', null],
      [60, 120, 'round', 1],
      [180, 30, 'rest', null],
      [210, 120, 'round', 2],
      [330, 30, 'rest', null],
      [360, 120, 'round', 3],
      [480, 0, 'rest', null],
      [480, 60, 'round', 4],
      [540, 30, 'cool-down', null],
    ]);
    expect([timeline.ms, timeline.rounds, timeline.openBreaks]).toEqual([570_000, 4, 1]);
    expect(timeline.leaves.map(({ betweenRepeats }) => betweenRepeats)).toEqual([
      ...[false, false, true, false, true, false, false, false, false],
    ]);
    expect(timeline.leaves.map(({ open }) => open).indexOf(true)).toBe(6);
  });

  it('cuts at the bell what is too long, and leaves standing what is missing', () => {
    const long = laid('round 1:00', '  0:45: 1', '  0:45: 2');
    expect(long.leaves.map(told)).toEqual([
      [0, 45, 'round', 1],
      [45, 15, 'round', 1],
    ]);
    const short = laid('round 1:00', '  0:45: 1');
    expect(short.leaves.map(({ doing, ms }) => [doing, ms])).toEqual([
      ['combination', 45_000],
      ['unplanned', 15_000],
    ]);
  });

  it('stands as the sheet says, turns with the block, and turns back where it says so again', () => {
    const stances = (...lines: readonly string[]) =>
      laid(...lines).leaves.map(({ stance, mirrored }) => [stance, mirrored]);
    expect(
      stances('round 1:00: 1', 'round 1:00 switch stance: 1', 'round 1:00: 1', 'round 1:00 switch stance: 1'),
    ).toEqual([
      ['orthodox', false],
      ['southpaw', true],
      ['southpaw', true],
      ['orthodox', false],
    ]);
    expect(stances('stance: southpaw', 'round 1:00: 1', 'round 1:00 switch stance: 1')).toEqual([
      ['southpaw', false],
      ['orthodox', true],
    ]);
    // Repeated, before every second one.
    expect(stances('round 1:00 x4 switch stance: 1').map(([, mirrored]) => mirrored)).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(stances('stance: square', 'round 1:00 switch stance: 1')).toEqual([['square', false]]);
  });

  it('learns in the first half and mirrors in the second, the length unchanged', () => {
    const timeline = laid('round 2:00 learn then mirror', '  2:00: 1 2');
    expect(timeline.ms).toBe(120_000);
    const halves = timeline.leaves.filter(({ doing }) => doing === 'combination');
    expect(halves.map(({ half, mirrored }) => [half, mirrored])).toEqual([
      ['first', false],
      ['second', true],
    ]);
    expect(timeline.leaves.reduce((sum, { ms }) => sum + ms, 0)).toBe(120_000);
  });

  it('settles where a piece is done in the other lead stance than the one before it', () => {
    const timeline = laid('round 2:00', '  1:00: 1 2', '  1:00 southpaw: 1 2');
    expect(timeline.leaves.map(({ at, ms, doing, stance }) => [at / 1000, ms / 1000, doing, stance])).toEqual([
      [0, 60, 'combination', 'orthodox'],
      [60, 3, 'change-over', 'southpaw'],
      [63, 57, 'combination', 'southpaw'],
    ]);
    // Into square and out of it nobody trades feet.
    expect(laid('round 2:00', '  1:00: 1 2', '  1:00 square: 1 2').leaves.map(({ ms }) => ms)).toEqual([
      60_000, 60_000,
    ]);
  });

  it('takes a pace from effort and class', () => {
    const pace = (...lines: readonly string[]) => laid(...lines).leaves[0]?.pace ?? 0;
    const steady = pace('round 1:00: 1');
    expect(steady).toBe(1);
    expect(pace('pace: 0.8', 'round 1:00: 1')).toBeCloseTo(0.8, 9);
    expect(pace('round 1:00 all-out: 1')).toBeGreaterThan(steady);
    expect(pace('pace: 0.8', 'round 1:00 all-out: 1')).toBeCloseTo(0.8 * pace('round 1:00 all-out: 1'), 9);
    expect(pace('round 1:00 easy: 1')).toBeLessThan(steady);
  });

  it('names the bags of each block: its own, the sheet’s, or those of the lanes', () => {
    const bags = (...lines: readonly string[]) => laid(...lines).leaves.map((leaf) => leaf.bags);
    expect(bags('bag: heavy', 'round 1:00: 1', 'round 1:00 on speed: 1')).toEqual([['heavy'], ['speed']]);
    expect(bags('round 1:00: 1')).toEqual([['shadow']]);
  });

  it('gives a block’s own calls to the stretch that they fall into, counted from its beginning', () => {
    const timeline = laid(
      'round 2:00',
      '  1:00: 1',
      '  1:00: 2',
      '  say "Half" at 1:00',
      '  say "Go" at 0:10',
      '  say "Last" at 1:50',
    );
    expect(timeline.leaves.map(({ says }) => says)).toEqual([
      [{ at: 10_000, words: 'Go' }],
      [
        { at: 0, words: 'Half' },
        { at: 50_000, words: 'Last' },
      ],
    ]);
  });

  it('gives the very same leaves again where nothing has changed, and others where a block begins later', () => {
    const { sheet } = readTempoText('round 1:00: 1\nround 1:00: 2');
    const [first, second] = sheet.blocks;
    if (!first || !second) throw new Error('two rounds');
    const before = compile(sheet).leaves;
    const titled = compile({ ...sheet, blocks: [first, { ...second, title: 'Other' }] }).leaves;
    expect(titled[0]).toBe(before[0] as Leaf);
    expect(titled[1]).not.toBe(before[1] as Leaf);
    const later = compile({ ...sheet, blocks: [{ ...first, ms: 90_000 }, second] }).leaves;
    expect(later[later.length - 1]?.at).toBe(90_000);
    const paced = compile({ ...sheet, class: { pace: 0.5 } }).leaves;
    expect(paced[0]?.pace).toBe(0.5);
  });
});

describe('passes', () => {
  it('are the rounds, rests and blocks of a session, each with its beginning, end and kind', () => {
    const timeline = laid(
      'warm-up 1:00',
      '  0:30 Skip',
      '  0:30 Jog',
      'show 0:20: 1 2',
      'round 1:00 x2 rest 0:30',
      '  0:30: 1',
      '  0:30: 2',
      'rest open',
    );
    const passes = passesOf(timeline);
    expect(passes.map(({ at, end, block, leaves }) => [at / 1000, end / 1000, block, leaves.length])).toEqual([
      [0, 60, 'warm-up', 2],
      [60, 80, 'show', 1],
      [80, 140, 'round', 2],
      [140, 170, 'rest', 1],
      [170, 230, 'round', 2],
      [230, 230, 'rest', 1],
    ]);
    expect(passes.map(({ isRound }) => isRound)).toEqual([false, false, true, false, true, false]);
    expect(passes.map(({ isWork }) => isWork)).toEqual([true, false, true, false, true, false]);
    expect(passes.map(({ open }) => open)).toEqual([false, false, false, false, false, true]);
    expect(passes.map(passLength)).toEqual([60_000, 20_000, 60_000, 30_000, 60_000, 0]);
    expect(passesOf(timeline)[2]).toBe(passes[2] as (typeof passes)[number]);
    expect(passesOf({ ...timeline, leaves: [] })).toEqual([]);
    // One leaf less is another pass.
    const shorter = passesOf({ ...timeline, leaves: timeline.leaves.slice(0, 4) });
    expect(shorter[2]?.leaves.length).toBe(1);
  });
});

describe('the bags and schools of a sheet', () => {
  const { sheet } = readTempoText(
    'bag: heavy\nwarm-up 1:00\nshow 0:30: 1\nround 1:00: 1\nround 1:00 on speed: 1\nrest 1:00',
  );
  const lanes = [
    { bag: 'heavy', places: 2 },
    { bag: 'double-end', places: 1 },
    { bag: 'speed', places: 0 },
  ];

  it('are those of the lanes that are not down, for rounds and shows that name no bag of their own', () => {
    expect(sheet.blocks.map((block) => bagsOf(sheet, block))).toEqual([[], ['heavy'], ['heavy'], ['speed'], []]);
    const onLanes = { ...sheet, lanes };
    expect(sheet.blocks.map((block) => bagsOf(onLanes, block))).toEqual([
      [],
      ['heavy', 'double-end'],
      ['heavy', 'double-end'],
      ['speed'],
      [],
    ]);
    const allDown = { ...sheet, lanes: lanes.map((lane) => ({ ...lane, places: 0 })) };
    expect(sheet.blocks.map((block) => bagsOf(allDown, block))[2]).toEqual(['heavy']);
    expect(sheet.blocks.map(isOnLanes)).toEqual([false, true, true, false, false]);
  });

  it('take the sheet’s own word first, then the coach’s, then the usual one', () => {
    expect(schoolsOf({})).toEqual({
      kick: 'opposite',
      afterHook: 'rear straight',
      bodyOnDoubleEnd: 'none',
      ballTricks: false,
    });
    const coach = { kick: 'same', afterHook: 'same hand', bodyOnDoubleEnd: 'lower cord', ballTricks: true } as const;
    expect(schoolsOf({}, coach)).toEqual(coach);
    const own = { kick: 'opposite', afterHook: 'rear straight', bodyOnDoubleEnd: 'none', ballTricks: false } as const;
    expect(schoolsOf({ schools: own }, coach)).toEqual(own);
    expect(schoolsOf({ schools: { ballTricks: false } }, coach)).toEqual({ ...coach, ballTricks: false });
  });
});
