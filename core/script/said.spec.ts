import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import type { CallKind } from '../sheet/call-kinds';
import { taughtAt } from './shown';
import { scriptOf, type ScriptWishes } from './script';

/** What is said of some kinds, with the second. */
function said(lines: readonly string[], kinds: readonly CallKind[], wishes: ScriptWishes = {}): string[] {
  const { sheet, faults } = readTempoText(lines.join('\n'));
  expect(faults).toEqual([]);
  return scriptOf(sheet, wishes)
    .calls.filter(({ kind }) => kinds.includes(kind))
    .map(({ at, say }) => `${Math.floor(at / 1000)} ${say}`);
}

// Trade page, sections 8 and 9: what people do next is said, all of it and nothing else. Windows are house values.
describe('between two pieces', () => {
  it('the same strikes for technique, speed and power are three different things', () => {
    const lines = ['round 1:30', '  0:30 technique: 1 2 3', '  0:30 speed: 1 2 3', '  0:30 power: 1 2 3'];
    expect(said(lines, ['new', 'effort'])).toEqual(['1 One, two, three.', '2 Technique', '30 Speed', '60 Power']);
  });

  it('effort, non-stop, what is done in between and words of its own are said where they change', () => {
    const lines = [
      'round 2:30',
      '  0:30: 1 2',
      '  0:30 strong: 1 2',
      '  0:30 strong nonstop: 1 2',
      '  0:30: 1 2 between "circle out"',
      '  0:30 close: 1 2',
    ];
    const all = said(lines, ['new', 'effort', 'between']);
    expect(all.length).toBeGreaterThanOrEqual(5);
    expect(all.find((each) => each.startsWith('30 '))).toContain('Strong');
    expect(all.find((each) => each.startsWith('60 '))).toContain('Non-stop');
    expect(all.some((each) => each.includes('circle out'))).toBeTrue();
    expect(all.some((each) => each === '120 close.')).toBeTrue();
  });

  it('a stance of a piece is called before it, and back again', () => {
    const lines = ['round 1:30', '  0:30: 1 2', '  0:30 square: 1 2', '  0:30: 1 2'];
    expect(said(lines, ['stance'])).toEqual([
      jasmine.stringMatching(/^2\d Square stance/),
      jasmine.stringMatching(/^5\d Back to your stance/),
    ]);
  });

  it('what finds no room is listed with its reason', () => {
    const { sheet } = readTempoText(
      'round 0:12\n  0:04 strong: 1 2 3 2 1 2\n  0:04 easy nonstop: 3 2 3\n  0:04: 1 2 3',
    );
    const { dropped, shortened } = scriptOf(sheet);
    expect(dropped.length + shortened.length).toBeGreaterThan(0);
    expect([...dropped, ...shortened].map(({ why }) => why)).not.toContain('');
  });
});

describe('the stages of a build', () => {
  it('a pyramid adds on the way up and says that it comes back down', () => {
    expect(said(['round 2:30', '  build pyramid every 0:30: 1 2 3'], ['new'])).toEqual([
      '1 Jab.',
      '30 Add the cross. All together: one, two.',
      '60 Add the lead hook. All together: one, two, three.',
      '90 Coming back down: one, two.',
      '120 Coming back down: jab.',
    ]);
  });

  it('singles stand alone, and are joined only where they are', () => {
    const alone = said(['round 1:30', '  build singles alone every 0:30: 1 2 3'], ['new']);
    expect(alone).toEqual(['1 Just the jab.', '30 Just the cross.', '60 Just the lead hook.']);
    const joined = said(['round 2:00', '  build singles every 0:30: 1 2 3'], ['new']);
    expect(joined).toEqual([...alone, '90 All together: one, two, three.']);
  });

  it('are led out from three, or as the coach wishes where they are half a minute or longer', () => {
    const lines = ['round 1:30', '  0:45: 1 2', '  0:45: 3 2'];
    const before = (wishes: ScriptWishes): string[] =>
      said(lines, ['count'], wishes).filter((each) => Number.parseInt(each) < 45);
    expect(before({})).toEqual(['42 three', '43 two', '44 one']);
    expect(before({ leadOut: 'nothing' })).toEqual([]);
    expect(before({ leadOut: 'ten and five' })[0]).toBe('35 ten seconds');
    // Shorter ones are counted from three, however long ones are led out.
    const short = ['round 1:00', '  0:29: 1 2', '  0:31: 3 2'];
    const counted = said(short, ['count'], { leadOut: 'ten and five' }).filter((each) => Number.parseInt(each) < 29);
    expect(counted).toEqual(['26 three', '27 two', '28 one']);
    expect(said(short, ['count'], { leadOut: 'nothing' }).filter((each) => Number.parseInt(each) < 29)).toEqual([]);
  });
});

describe('the last ten seconds', () => {
  it('are told in a round of twenty seconds, and in none shorter', () => {
    expect(said(['round 0:20: 1 2'], ['count']).map((each) => each.replace(/^\d+ /, ''))[0]).toBe('ten seconds');
    expect(said(['round 0:19: 1 2'], ['count'])).not.toContain('9 ten seconds');
  });
});

describe('moves that take turns', () => {
  it('are said in order where there is time, else each when its turn comes', () => {
    expect(said(['round 1:00', '  1:00: [1 / 2] 3'], ['new'])).toEqual(['1 One, three, then two, three.']);
    const long = said(['round 1:00', '  1:00 nonstop: [bk bk / swk swk / lkn lkn lkn]'], ['new']);
    expect(long.length).toBeGreaterThan(1);
    expect(long[0]).not.toContain('then');
  });
});

describe('a calls drill', () => {
  const lines = ['rest 0:30', 'round 1:00', '  1:00 call count 2-4'];

  it('explains itself in the rest before and after the bell, and calls first when that is over', () => {
    const [rest, again, bell] = said(lines, ['preview', 'new']);
    expect([rest, again].map((each) => each?.includes('Number drill'))).toEqual([true, true]);
    expect(bell).toMatch(/^3[01] Number drill/);
    const { sheet } = readTempoText(lines.join('\n'));
    const { calls } = scriptOf(sheet);
    const explained = calls.find(({ kind }) => kind === 'new');
    const first = calls.find(({ kind }) => kind === 'drill');
    // HV: the lead of a drill, from the beginning of its piece.
    expect(first?.at).toBeGreaterThanOrEqual(34_000);
    expect(explained && explained.at + explained.ms <= (first?.at ?? 0)).toBeTrue();
  });

  it('begins with the coach’s own words, which stay where there is no time for ours', () => {
    const drill = (words: string): string[] =>
      said(['rest 0:30', 'round 1:00', `  1:00 ${words}: call go 2`], ['new']).map((each) => each.replace(/^\d+ /, ''));
    expect(drill('stand on the spot')[0]).toBe('Stand on the spot. Go drill');
    expect(drill('hands high and light on your feet')[0]).toBe('Hands high and light on your feet');
    const [rest] = said(['rest 0:30', 'round 1:00', '  1:00 stand on the spot: call go 2'], ['preview']);
    expect(rest).toContain('Stand on the spot. Go drill: fast hands on go.');
  });

  it('has the lead in its timeline, so that counts and calls agree', () => {
    const leaf = compile(readTempoText(lines.join('\n')).sheet).leaves.at(-1);
    expect(leaf?.drillCalls.length).toBeGreaterThan(5);
    expect(Math.min(...(leaf?.drillCalls ?? []).map(({ at }) => at))).toBeGreaterThanOrEqual(4000);
  });
});

describe('work outside rounds', () => {
  it('has a beginning, its half, the next exercise by name, and an end', () => {
    const lines = ['core 3:00', '  0:45/0:15 x3 plank / squats / push-ups', 'rest 0:30', 'round 1:00: 1 2'];
    const all = said(lines, ['new', 'time', 'preview']).filter((each) => Number.parseInt(each) < 181);
    expect(all).toEqual([
      '0 Core. Plank.',
      '45 Next, squats',
      '60 Squats.',
      '90 Halfway through the core',
      '105 Next, push-ups',
      '120 Push-ups.',
      jasmine.stringMatching(/Core done/),
    ]);
  });

  it('counts its last seconds as a round does, and the setting leaves its names alone', () => {
    const lines = ['warm-up 2:00', '  1:00 "skip"', '  1:00 "squats"', 'round 1:00: 1 2'];
    expect(said(lines, ['count']).filter((each) => /^11[7-9] /.test(each)).length).toBe(3);
    const names = said(lines, ['time', 'new'], { blockClock: 'names' }).filter((each) => Number.parseInt(each) < 120);
    expect(names).toEqual(['0 Warm-up. Skip.', '60 Squats.']);
  });
});

describe('gear', () => {
  it('goes on and off in the break before it is needed, and never between two rounds alike', () => {
    const lines = [
      'warm-up 3:00: freestyle',
      'rest 1:00',
      'round 1:00 on heavy x2 rest 1:00: 1 2',
      'rest 0:30',
      'cool-down 2:00',
    ];
    expect(said(lines, ['gear']).map((each) => each.replace(/^\d+ /, ''))).toEqual(['Gloves on', 'Gloves off']);
    const floor = ['warm-up 3:00: freestyle', 'rest 1:00', 'round 1:00: 1 2'];
    expect(said(floor, ['gear'])).toEqual([]);
  });
});

describe('a show', () => {
  it('teaches in halves and whole for as long as it lasts', () => {
    const all = said(['show 0:40: 1 2 3 4', 'round 1:00: 1 2 3 4'], ['new', 'teach']);
    expect(all.slice(0, 4).map((each) => each.replace(/^\d+ /, ''))).toEqual([
      'Watch first: one, two, three, four',
      'First half: one, two',
      'Second half: three, four',
      'Now all of it: one, two, three, four',
    ]);
    const { sheet } = readTempoText('show 0:40: 1 2 3 4\nround 1:00: 1 2 3 4');
    const script = scriptOf(sheet);
    const [leaf] = compile(sheet).leaves;
    if (!leaf) throw new Error('no show');
    const lit: string[] = [];
    // Every tenth of a second of the first three showings.
    for (let at = 0; at < 25_000; at += 100) {
      const step = taughtAt(script, leaf, at);
      if (step !== null && step !== lit.at(-1)) lit.push(step);
    }
    // First half, second half, and the whole.
    expect(lit.slice(0, 8)).toEqual(['0', '1', '2', '3', '0', '1', '2', '3']);
    // A second show names nothing before its own teaching begins.
    const two = readTempoText('show 0:40: 1 2 3 4\nshow 0:40: 3 2').sheet;
    const second = compile(two).leaves[1];
    if (!second) throw new Error('no second show');
    expect(taughtAt(scriptOf(two), second, second.at + 100)).toBeNull();
    expect(taughtAt(scriptOf(two), second, second.at + 15_000)).not.toBeNull();
    const taught = all.filter((each) => Number.parseInt(each) < 40);
    expect(Number.parseInt(taught.at(-1) ?? '')).toBeGreaterThan(20);
  });
});

describe('the breath of a rest, as it is said', () => {
  // Trade page, section 6: in 2, out 4; a school holds for 3 in between, off unless it was chosen.
  it('is held only where the coach has chosen that', () => {
    const rest = readTempoText('round 1:00: 1 2\nrest 1:00\nround 1:00: 1 2').sheet;
    const breaths = (breathHeld: boolean): string[] =>
      scriptOf(rest, { breathHeld }).calls.flatMap(({ kind, say }) => (kind === 'breathing' ? [say] : []));
    expect(breaths(false)).toEqual(['Breathe in for two, out for four']);
    expect(breaths(true)).toEqual(['Breathe in for two, hold for three, out for four']);
  });
});
