import { readTempoText } from '../formats/tempo-text/read';
import type { Sheet } from '../sheet/schema';
import { compile } from './compile';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const shown = (sheet: Sheet): string[] =>
  compile(sheet).leaves.map(
    ({ ms, mirrored, doing }) => `${ms / 1000} ${doing === 'change-over' ? 'settle' : mirrored ? 'other' : 'natural'}`,
  );

// Trade page, section 8; times are house values: settle 3 s, first time in the other stance at 0.8 of the pace.
describe('the stance plan', () => {
  it('changes over each round, whatever the blocks say', () => {
    const sheet = sheetOf('stances: each round', 'round 1:00 x3: 1 2', 'round 1:00 switch stance: 1 2');
    expect(shown(sheet)).toEqual(['60 natural', '60 other', '60 natural', '60 other']);
    expect(shown(sheetOf('stances: never', 'round 1:00: 1 2', 'round 1:00 switch stance: 1 2'))).toEqual([
      '60 natural',
      '60 natural',
    ]);
  });

  it('changes over at half of a round, at the end of a repetition, and settles from what follows', () => {
    const sheet = sheetOf('stances: half round', 'round 1:00: 1 2');
    const [first, settle, second] = compile(sheet).leaves;
    // A repetition of 0.6 s and 3 s of breath: the eighth one ends at 25.8 s, the ninth at 29.4 s, nearest to half.
    expect(first?.ms).toBe(29_400);
    expect(settle).toEqual(jasmine.objectContaining({ kind: 'change-over', ms: 3000, mirrored: true }));
    expect((first?.ms ?? 0) + (settle?.ms ?? 0) + (second?.ms ?? 0)).toBe(60_000);
    expect(second?.mirrored).toBeTrue();
    expect(shown(sheetOf('stances: half round, settle 0s', 'round 1:00', '0:30: 1 2', '0:30: 2 3'))).toEqual([
      '30 natural',
      '30 other',
    ]);
  });

  it('changes over every so many pieces, and learns then mirrors, in the same time', () => {
    const pieces = ['0:20: 1', '0:20: 1', '0:20: 2', '0:20: 2'];
    expect(shown(sheetOf('stances: each pieces, after 2 pieces', 'round 1:20', ...pieces))).toEqual([
      '20 natural',
      '20 natural',
      '3 settle',
      '17 other',
      '20 other',
    ]);
    // Settling takes no more than the piece that it is for.
    expect(
      shown(sheetOf('stances: each pieces, after 1 piece, settle 5s', 'round 0:24', '0:20: 1', '0:04: 1')),
    ).toEqual(['20 natural', '4 settle']);
    expect(shown(sheetOf('stances: learn then mirror', 'round 2:00', '0:30: 1', '0:30: 2'))).toEqual([
      '30 natural',
      '30 natural',
      '3 settle',
      '27 other',
      '30 other',
    ]);
  });

  it('counts pieces through the session, whatever rounds they stand in', () => {
    // Two rounds of three pieces, every second piece: n n O | O n n; the third round goes on from there.
    expect(
      shown(sheetOf('stances: each pieces, after 2 pieces, settle 0s', 'round 1:00 x2', '0:20 x3 1 / 2 / 3')),
    ).toEqual(['20 natural', '20 natural', '20 other', '20 other', '20 natural', '20 natural']);
    expect(shown(sheetOf('stances: each pieces, after 1 piece', 'round 1:00 x3: 1'))).toEqual([
      '60 natural',
      '60 other',
      '60 natural',
    ]);
  });

  it('parts a calls drill with its script, no call lost but what the change takes', () => {
    const whole = compile(sheetOf('round 2:00', '2:00 call count 2-6 seed 7')).leaves.flatMap((leaf) =>
      leaf.drillCalls.map(({ at, say }) => `${leaf.at + at} ${say}`),
    );
    const timeline = compile(sheetOf('stances: half round', 'round 2:00', '2:00 call count 2-6 seed 7'));
    const parted = timeline.leaves.flatMap((leaf) => leaf.drillCalls.map(({ at, say }) => `${leaf.at + at} ${say}`));
    expect(timeline.leaves.map(({ doing }) => doing)).toEqual(['calls', 'change-over', 'calls']);
    expect(parted.every((call) => whole.includes(call))).toBeTrue();
    expect(whole.length - parted.length).toBeLessThanOrEqual(3);
    for (const leaf of timeline.leaves)
      for (const { at, answerMs } of leaf.drillCalls) expect(at >= 0 && at + answerMs <= leaf.ms).toBeTrue();
    // A drill that is cut at the bell calls nothing behind it.
    const cut = compile(sheetOf('round 1:00', '2:00 call go 3'));
    expect(cut.leaves[0]?.drillCalls.every(({ at, answerMs }) => at + answerMs <= 60_000)).toBeTrue();
  });

  it('is slower where a combination is done in the other stance for the first time', () => {
    const pace = (text: string): number[] =>
      compile(sheetOf(text, 'round 1:00 x4: 1 2')).leaves.map((leaf) => leaf.pace);
    expect(pace('stances: each round')).toEqual([1, 0.8, 1, 1]);
    expect(pace('stances: each round, first at 1')).toEqual([1, 1, 1, 1]);
  });

  it('lets a piece’s own stance go first, and settles where it leads into the other one', () => {
    const stances = (...lines: string[]): string[] =>
      compile(sheetOf(...lines)).leaves.map(
        ({ ms, stance, mirrored, doing }) =>
          `${ms / 1000} ${stance}${mirrored ? ' other' : ''}${doing === 'change-over' ? ' settle' : ''}`,
      );
    expect(stances('round 1:30', '0:30: 1', '0:30 southpaw: 1', '0:30: 1')).toEqual([
      '30 orthodox',
      '3 southpaw other settle',
      '27 southpaw other',
      '3 orthodox settle',
      '27 orthodox',
    ]);
    // What a piece asks for that is so already changes nothing; at the beginning of a round it has settled.
    expect(stances('round 1:00', '0:30: 1', '0:30 orthodox: 1')).toEqual(['30 orthodox', '30 orthodox']);
    expect(stances('round 1:00', '0:30 southpaw: 1', '0:30 southpaw: 1')).toEqual([
      '30 southpaw other',
      '30 southpaw other',
    ]);
    // In a class turned round the usual stance is the other one, and a piece may ask for the natural one.
    expect(stances('round 1:00 switch stance', '0:30: 1', '0:30 orthodox: 1')).toEqual([
      '30 southpaw other',
      '3 orthodox settle',
      '27 orthodox',
    ]);
    // The plan’s own time to settle, and no more of it than the piece has.
    expect(stances('stances: never, settle 5s', 'round 0:34', '0:30: 1', '0:04 southpaw: 1')).toEqual([
      '30 orthodox',
      '4 southpaw other settle',
    ]);
  });

  it('in a rest between repeats the class stands as it did, with nothing in hand', () => {
    const { leaves } = compile(sheetOf('round 1:00 x3 rest 0:30 switch stance: 1'));
    expect(
      leaves.map(({ block, betweenRepeats, mirrored, stance }) => [block, betweenRepeats, mirrored, stance]),
    ).toEqual([
      ['round', false, false, 'orthodox'],
      ['rest', true, false, 'orthodox'],
      ['round', false, true, 'southpaw'],
      ['rest', true, true, 'southpaw'],
      ['round', false, true, 'southpaw'],
    ]);
    const [, rest] = leaves;
    expect(rest).toEqual(
      jasmine.objectContaining({
        kind: 'rest',
        doing: 'words',
        half: 'first',
        bags: [],
        round: null,
        title: null,
        at: 60_000,
      }),
    );
  });

  it('changes over before every second repeat, before a block that is not repeated, and nowhere else', () => {
    const turned = (...lines: string[]): boolean[] => compile(sheetOf(...lines)).leaves.map(({ mirrored }) => mirrored);
    expect(turned('round 1:00 x4 switch stance: 1')).toEqual([false, true, true, false]);
    expect(turned('round 1:00: 1', 'core 1:00 switch stance: 1', 'round 1:00: 1')).toEqual([false, true, true]);
    // By a plan only rounds count, from the second on.
    expect(turned('stances: each round', 'core 1:00: 1', 'round 1:00: 1', 'core 1:00: 1', 'round 1:00: 1')).toEqual([
      false,
      false,
      false,
      true,
    ]);
    // A change-over that the coach wrote turns the class for what follows.
    expect(turned('round 1:03', '0:30: 1', '0:03 switch stance', '0:30: 1', 'round 1:00: 1')).toEqual([
      false,
      true,
      true,
      true,
    ]);
  });

  it('your own calls’s own are counted from the stretch they fall into, in their order', () => {
    const says = compile(
      sheetOf(
        'round 1:00',
        '  0:30: 1',
        '  0:30: 2',
        '  say "Last one" at 0:45',
        '  say "Breathe" at 0:40',
        '  say "Sharp" at 0:10',
      ),
    ).leaves.map((leaf) => leaf.says);
    expect(says).toEqual([
      [{ at: 10_000, words: 'Sharp' }],
      [
        { at: 10_000, words: 'Breathe' },
        { at: 15_000, words: 'Last one' },
      ],
    ]);
  });
});
