import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { sheetSchema, type Sheet } from '../sheet/schema';
import { claimsIn } from './claims';
import { findings, type Finding } from './index';

const sheetOf = (...lines: string[]): Sheet => {
  const { sheet, faults } = readTempoText(lines.join('\n'));
  expect(faults.filter(({ level }) => level === 'error')).toEqual([]);
  return sheet;
};
const found = (kind: string, sheet: Sheet): Finding[] => findings(sheet).filter((each) => each.kind === kind);
const whats = (kind: string, ...lines: string[]): string[] => found(kind, sheetOf(...lines)).map(({ what }) => what);

/** Every mend of a finding takes the finding away and leaves a sheet that its schema takes. */
function mendsWork(kind: string, sheet: Sheet, level?: Finding['level']): void {
  const [finding] = found(kind, sheet);
  expect(finding?.mends.length).withContext(kind).toBeGreaterThan(0);
  if (level) expect(finding?.level).toBe(level);
  expect((finding?.mends ?? []).length).toBeGreaterThan(0);
  for (const mend of finding?.mends ?? []) {
    const after = mend.edit(sheet);
    expect(found(kind, after)).withContext(mend.label).toEqual([]);
    expect(sheetSchema.safeParse(after).success).withContext(mend.label).toBeTrue();
  }
}

// Rules of the trade page, sections 5, 6 and 8; limits are house values named beside the rule.
describe('findings of a sheet', () => {
  it('name stages against time with ways that fit', () => {
    const sheet = sheetOf('round 2:00', '  build ladder every 0:30: 1 2 3 2 5 4');
    const [finding] = found('length', sheet);
    expect(finding?.what).toBe('6 stages take 3:00, but the round is 2:00: 1:00 too long');
    expect(finding?.mends.map(({ label }) => label)).toEqual([
      'Make each stage 0:20',
      'Make the round 3:00',
      'Build it in 4 stages, up to two moves each',
      'One stage per round, 6 rounds of 2:00',
    ]);
    mendsWork('length', sheet, 'error');
    const uneven = sheetOf('round 3:10', '  build ladder every 0:30: 1 2 3 2', '  0:30 own time');
    expect(found('length', uneven)[0]?.mends.map(({ label }) => label)).toContain('Make each stage 0:40');
    mendsWork('length', uneven);
  });

  it('name stages against rounds, both ways', () => {
    const sheet = sheetOf('round 2:00 x3 rest 0:30', '  build ladder every round: 1 2 3 2 3');
    expect(found('stages and rounds', sheet)[0]?.what).toBe('5 stages, but 3 rounds');
    mendsWork('stages and rounds', sheet, 'error');
    expect(whats('rounds left', 'round 2:00 x4', '  build ladder every round: 1 2 3')).toEqual([
      '4 rounds, but 3 stages',
    ]);
    expect(whats('no stages', 'round 2:00', '  build amount every 0:30: 1 2').length).toBe(1);
  });

  // Orders in which coaches announce a session (common practice, no source).
  const announced: readonly (readonly [string, string])[] = [
    ['3 x 5 min rounds', '3 round, 300 s round'],
    ['three rounds of five minutes with one minute of rest', '3 round, 300 s round, 60 s rest'],
    ['four two-minute rounds', '4 round, 120 s round'],
    ['45 s on, 15 off', '45 s on, 15 s off'],
    ['5 x 2:00 rest 1:00', '5 round, 120 s round, 60 s rest'],
    ['3 rounds, 20 minutes', '3 round, 1200 s whole'],
    ['Three rounds, 200 punches in twenty minutes; part 2:00', '3 round, 200 punch, 1200 s whole'],
    ['a five-minute core, rests of 30 s', '300 s core, 30 s rest'],
    ['6 minutes of warm-up', '360 s warm-up'],
    ['two hundred and fifty punches', '250 punch'],
    ['5 kicks and 3 moves in 2 sets', '5 kick, 3 move, 2 set'],
    ['Round two: hands', 'number 2'],
    ['around the corner', ''],
    ['1 2 3b', ''],
    ['12 people, 3 left-handed', ''],
    // Plurals of numbers are punches or codes, not seconds; what comes every so often is not the length of the whole.
    ['ones and twos', ''],
    ['twos to fives, five twos', ''],
    ['add one every thirty seconds', ''],
    ['30s, two s', '30 s whole, 2 s whole'],
  ];
  for (const [text, read] of announced)
    it(`read what is announced: ${text}`, () => {
      const said = claimsIn(text).map((claim) =>
        claim.kind === 'ordinal'
          ? `number ${claim.count}`
          : claim.kind === 'count'
            ? `${claim.count} ${claim.of}`
            : `${claim.ms / 1000} s ${claim.of}`,
      );
      expect(said.join(', ')).toBe(read);
    });

  it('keep the words of an announcement as they are written, whatever their case', () => {
    expect(claimsIn('THREE Rounds of Five Minutes').map(({ words, number }) => [words, number])).toEqual([
      ['THREE Rounds of Five Minutes', 'THREE'],
      ['THREE Rounds of Five Minutes', 'Five'],
    ]);
  });

  it('check each announcement against the thing that it speaks of, and only that', () => {
    const good = ['warm-up 2:00 x3', 'round 2:00 x4 rest 1:00: 1 2b', 'core 5:00', '  5:00 plank'];
    const title = (text: string): string[] => whats('announced', `# ${text}`, ...good);
    expect(
      title('four two-minute rounds, 1 minute of rest, a 5 minute core, 6 minutes of warm-up, 22 minutes'),
    ).toEqual([]);
    expect(title('four three-minute rounds')).toEqual(['the text says 3 minutes of round, but it is 2:00']);
    expect(title('4 rounds of 2 min with 30 s of rest')).toEqual(['the text says 0:30 of rest, but it is 1:00']);
    expect(title('a 4 minute core')).toEqual(['the text says 4 minutes of core, but it takes 5:00']);
    expect(title('two-minute warm-up')).toEqual(['the text says 2 minutes of warm-up, but it takes 6:00']);
    expect(
      whats('announced', '# two drills', 'round 2:00', '  1:00 1 2', '  1:00 2 3', 'core 5:00', '  5:00 plank'),
    ).toEqual([]);
    expect(
      whats('announced', 'core 4:00 "45 s on, 15 off"', '  0:45/0:15 x4 plank / bridge / hollow hold / dead bug'),
    ).toEqual([]);
    expect(whats('announced', 'core 4:00 "40 s on, 20 off"', '  0:45/0:15 x4 plank').length).toBe(2);
    expect(whats('announced', '// 3 rounds of 3 min', 'round 2:00 x3 rest 1:00: 1 2b')).toEqual([
      'the text says 3 minutes of round, but it is 2:00',
    ]);
    expect(whats('announced', 'round 2:00 "3 kicks": 1 2 bk lk')).toEqual(['3 kicks announced, but 2 kicks']);
    // A drill may fill a round.
    expect(whats('announced', '# Seven drills', 'round 1:00 x7 rest 0:30: 1 2b')).toEqual([]);
    expect(whats('announced', '# Eight drills', 'round 1:00 x7 rest 0:30: 1 2b').length).toBe(1);
  });

  it('count the repeats of a warm-up, and judge no joins of singles that are never joined', () => {
    expect(whats('short warm-up', 'warm-up 3:00 x3', 'round 2:00: 1 2b')).toEqual([]);
    expect(whats('short warm-up', 'warm-up 1:00 x3', 'round 2:00: 1 2b').length).toBe(1);
    mendsWork('short warm-up', sheetOf('warm-up 1:00 x3', 'round 2:00: 1 2b'));
    const singles = (alone: string): string[] =>
      whats('seam', 'round 2:00', `  build singles ${alone} every 0:30: 2 2 1 3`);
    expect(singles('alone')).toEqual([]);
    expect(singles('').length).toBe(1);
  });

  it('read the numbers of rounds rightly, and find the same one twice', () => {
    expect(whats('announced', 'warm-up 5:00', 'round 2:00 "Round one": 1 2b', 'round 2:00 "Round two": 1 2b')).toEqual(
      [],
    );
    expect(whats('announced', 'round 2:00 "Round 1": 1 2b', 'round 2:00 "Round 1 again": 1 2b')).toEqual([
      'the title says round 1, but this is round 2',
    ]);
    mendsWork('announced', sheetOf('round 2:00: 1 2b', 'round 2:00 "Round three": 1 2b'));
  });

  it('warn of announced rounds, minutes and punches that are not kept', () => {
    const sheet = sheetOf('# 3 rounds, 20 minutes', 'warm-up 5:00', 'round 2:00 x5 rest 0:30: 1 2b');
    expect(found('announced', sheet).map(({ level, what }) => `${level}: ${what}`)).toEqual([
      'warning: 3 rounds announced, but 5 rounds',
      'warning: the text says 20 minutes, but the sheet takes 17:00',
    ]);
    mendsWork('announced', { ...sheet, title: '3 rounds' }, 'warning');
    expect(whats('announced', '# 5 rounds in 17 minutes', 'warm-up 5:00', 'round 2:00 x5 rest 0:30: 1 2b')).toEqual([]);
    expect(whats('announced', '# 500 punches', 'round 3:00: 1 2 3b')).toEqual([
      '500 punches announced, but 138 are planned',
    ]);
  });

  it('warn of a combination announced as one more or less', () => {
    expect(whats('announced', 'round 1:00 "Five punches": 1 2 3b 2')).toEqual(['5 punches announced, but 4 punches']);
    expect(whats('announced', 'round 1:00 "Four-punch flow": 1 2 3b 2')).toEqual([]);
    expect(whats('announced', 'round 1:00', '  1:00 six punches: 1 2 3b 2 5')).toEqual([
      '6 punches announced, but 5 punches',
    ]);
    expect(whats('announced', 'round 1:00 "Six stages"', '  build ladder every 0:15: 1 2 3 2')).toEqual([
      '6 stages announced, but 4 stages',
    ]);
    expect(whats('announced', 'round 1:00 "Two drills"', '  0:30 1 2', '  0:30 2 3')).toEqual([]);
    mendsWork('announced', sheetOf('round 1:00 "5 punches": 1 2 3b 2'));
  });

  it('warn of a missing warm-up and note a short one', () => {
    mendsWork('no warm-up', sheetOf('round 3:00: 1 2b'), 'warning');
    mendsWork('short warm-up', sheetOf('warm-up 2:00', '  2:00 skipping', 'round 3:00: 1 2b'), 'note');
  });

  it('want a rest after hard work', () => {
    const hard = sheetOf('round 1:00', '  1:00 strong: 1 2b', 'round 1:00: 1 2');
    mendsWork('no rest', hard, 'warning');
    mendsWork('no rest', sheetOf('round 3:00: 1 2b', 'round 3:00: 1 2'), 'note');
    mendsWork('no rest', sheetOf('round 3:00 x3: 1 2b'), 'note');
    expect(whats('no rest', 'round 1:00: 1 2b', 'round 1:00: 1 2')).toEqual([]);
    expect(whats('no rest', 'round 3:00: 1 2b', 'rest 1:00', 'round 3:00: 1 2')).toEqual([]);
  });

  it('warn of too long a stretch all-out, across pieces', () => {
    expect(whats('all-out', 'round 3:00', '  1:00 all-out: 1 2', '  0:30 95%: 1 2', '  1:30 easy: 1 2')).toEqual([
      '1:30 all out without a break from 0:00; one minute is plenty',
    ]);
    expect(whats('all-out', 'round 1:30', '  1:00 all-out: 1 2', '  0:30 easy: 1 2')).toEqual([]);
  });

  it('warn of a goal out of reach, and keep quiet where slots may reach it', () => {
    const sheet = sheetOf('round 3:00 goal 200: 1 2 3b');
    expect(found('goal', sheet)[0]?.what).toBe('the goal is 200 punches, but the plan has 138 at this pace');
    mendsWork('goal', sheet, 'warning');
    expect(whats('goal', 'round 3:00 goal 130: 1 2 3b')).toEqual([]);
  });

  it('warn of a neglected side, with a change of stance to mend it, and note a neglected target', () => {
    const sheet = sheetOf('round 3:00 x2 rest 1:00 nonstop: 1 1 1 2', 'rest 1:00', 'round 3:00: 1 3 5');
    const [side] = found('side', sheet);
    expect(side?.what).toMatch(/^the right side throws only \d+% of the strikes$/);
    const mended = side?.mends[0]?.edit(sheet);
    expect(mended?.blocks.map((block) => block.switchStance ?? false)).toEqual([true, false, true]);
    expect(whats('target', 'round 3:00 nonstop: 1 2 3 2').length).toBe(1);
    expect(whats('target', 'round 3:00 nonstop: 1 2b 3 2')).toEqual([]);
  });

  it('know a call that falls behind its block', () => {
    expect(whats('call outside', 'round 1:00: 1 2', '  say "hands up" at 1:30').length).toBe(1);
  });
});

describe('a timeline with stances and drills', () => {
  const leaves = (...lines: string[]) => compile(sheetOf(...lines)).leaves;

  it('turns before every second repeat, or before a block, and at a change-over', () => {
    expect(leaves('round 1:00 x4 switch stance: 1 2').map(({ mirrored }) => mirrored)).toEqual([
      false,
      true,
      true,
      false,
    ]);
    expect(
      leaves('round 1:00: 1', 'round 1:00 switch stance: 1', 'round 1:00: 1').map(({ mirrored }) => mirrored),
    ).toEqual([false, true, true]);
    const over = leaves('round 1:10', '  0:30 1 2', '  0:10 switch stance', '  0:30 1 2');
    expect(over.map(({ kind, mirrored }) => `${kind} ${mirrored}`)).toEqual([
      'piece false',
      'change-over true',
      'piece true',
    ]);
  });

  it('learns and then mirrors in the same time, doing once or twice what fills it', () => {
    const once = leaves('round 2:00 learn then mirror', '  build ladder every 0:30: 1 2 3 2');
    expect(once.map(({ ms, mirrored }) => `${ms / 1000} ${mirrored}`)).toEqual([
      '15 false',
      '15 false',
      '15 false',
      '15 false',
      '15 true',
      '15 true',
      '15 true',
      '15 true',
    ]);
    const twice = leaves('round 2:00 learn then mirror', '  build ladder every 0:30: 1 2');
    expect(twice.map(({ ms, mirrored }) => `${ms / 1000} ${mirrored}`)).toEqual([
      '30 false',
      '30 false',
      '30 true',
      '30 true',
    ]);
    expect(
      findings(sheetOf('warm-up 5:00', 'round 2:00 learn then mirror', '  build ladder every 0:30: 1 2b')),
    ).toEqual([]);
  });

  it('reminds each stage but the first of an early part', () => {
    expect(leaves('round 2:30', '  build ladder every 0:30: 1 2 3 2 5').map(({ remind }) => remind)).toEqual([
      [],
      [0],
      [0],
      [0, 1],
      [0, 1],
    ]);
    expect(leaves('round 1:30', '  build pyramid every 0:30: 1 2').map(({ remind }) => remind)).toEqual([[], [0], [0]]);
  });

  it('carries the script of a calls drill', () => {
    const [drill] = leaves('round 1:00', '  1:00 call go 3 seed 5');
    expect(drill?.doing).toBe('calls');
    expect(drill?.drillCalls.length).toBeGreaterThan(8);
  });
});

// That hard work wants a cool-down: trade page, section 6; from two minutes of it on (house value).
describe('a cool-down', () => {
  const kinds = (text: string): string[] => findings(readTempoText(text).sheet).map(({ kind }) => kind);

  it('is asked for after two minutes of hard work, and added by one press', () => {
    expect(kinds('round 2:00 "a"\n  2:00 strong: 1 2')).toContain('no cool-down');
    expect(kinds('round 2:00\n  1:59 strong: 1 2\n  0:01 easy: 1')).not.toContain('no cool-down');
    expect(kinds('round 2:00: 1 2')).not.toContain('no cool-down');
    const { sheet } = readTempoText('round 2:00\n  2:00 strong: 1 2');
    const mended = findings(sheet)
      .find(({ kind }) => kind === 'no cool-down')
      ?.mends[0]?.edit(sheet);
    expect(mended?.blocks.map(({ kind, ms }) => [kind, ms])).toEqual([
      ['round', 120_000],
      ['cool-down', 180_000],
    ]);
    expect(mended && findings(mended).map(({ kind }) => kind)).not.toContain('no cool-down');
  });
});
