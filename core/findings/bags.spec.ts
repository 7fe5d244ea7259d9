import { readTempoText } from '../formats/tempo-text/read';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import { findings } from './index';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const found = (kind: string, ...lines: string[]) => findings(sheetOf(...lines)).filter((each) => each.kind === kind);
const whats = (kind: string, ...lines: string[]): string[] => found(kind, ...lines).map(({ what }) => what);

/** Applies the first mend of a kind of finding and sees it gone. */
function mendsWork(kind: string, ...lines: string[]): void {
  const sheet = sheetOf(...lines);
  const [finding] = findings(sheet).filter((each) => each.kind === kind);
  const mended = finding?.mends[0]?.edit(sheet);
  expect(mended && findings(mended).filter((each) => each.kind === kind)).toEqual([]);
}

// Trade page, section 7 (common practice, no source); the numbers are house values.
describe('bags told the truth', () => {
  it('every stage of a build meets the bag, not its goal alone', () => {
    const ladder = ['bag: double-end', 'round 2:00', '  build ladder every 0:30: 1 2 3 2'];
    expect(whats('bag', ...ladder)).toEqual([
      'stage 3 of 4, 1 2 3: a hook sends the double-end bag sideways: a cross brings it back',
    ]);
    mendsWork('bag', ...ladder);
    expect(whats('bag', 'bag: heavy', ...ladder.slice(1))).toEqual([]);
  });

  it('one combination on two bags is judged on each of them', () => {
    const round = '  2:00: 1 2 3';
    const both = found('bag', 'round 2:00 on heavy', round, 'round 2:00 on double-end', round);
    expect(both.map(({ where }) => where)).toEqual([jasmine.stringContaining('Round 2')]);
  });

  it('the limits of a lane hold where it is the only one', () => {
    const one = ['lane: heavy, 2 places, quarter, no low kicks', 'bag: heavy', 'round 2:00: 1 2 lk ci'];
    expect(whats('bag', ...one).length).toBe(1);
    mendsWork('bag', ...one);
    expect(whats('bag', 'bag: heavy', 'round 2:00: 1 2 lk ci')).toEqual([]);
    // With two lanes each has a version of its own.
    expect(whats('bag', 'lane: pads, 2 places', ...one)).toEqual([]);
  });

  it('every reason is given: no low kicks beside no circling', () => {
    const [what = ''] = whats(
      'bag',
      'lane: heavy, 2 places, quarter, no low kicks',
      'bag: heavy',
      'round 2:00: 1 lk ci',
    );
    expect(what).toContain('no room to move around the heavy bag');
    expect(what).toMatch(/low kick/i);
  });

  it('what another answer of Where coaches differ would allow is named, and one press chooses it', () => {
    const body = ['bag: double-end', 'round 2:00: 1 2b'];
    const [finding] = found('bag', ...body);
    expect(finding?.what).toContain('“Body shots on the double-end bag: ');
    const sheet = sheetOf(...body);
    const chosen = finding?.mends.at(-1)?.edit(sheet);
    expect(chosen?.schools).toEqual({ bodyOnDoubleEnd: 'lower cord' });
    expect(chosen && findings(chosen).filter(({ kind }) => kind === 'bag')).toEqual([]);
    // A hook that nothing brings back fits by no answer.
    expect(whats('bag', 'bag: double-end', 'round 2:00: 1 2 3')[0]).not.toContain('Where coaches differ');
  });

  it('advice to hit the body is only given where a bag takes it', () => {
    const mend = (...lines: string[]) => found('target', ...lines).map((each) => each.mend)[0] ?? '';
    expect(mend('bag: heavy', 'round 3:00 nonstop: 1 2 3 2')).toContain('add a b to some punches');
    expect(mend('bag: double-end', 'round 3:00 nonstop: 1 2 3 2')).not.toContain('add a b');
    expect(mend('bag: double-end', 'schools: ball-body cord', 'round 3:00 nonstop: 1 2 3 2')).toContain('add a b');
  });

  it('beginners who walk straight in are found, with left and right round it as the mend', () => {
    const walking = ['bag: heavy', 'level: beginner', 'round 2:00: in+1 2 out'];
    expect(whats('walking in', ...walking).length).toBe(1);
    expect(found('walking in', ...walking)[0]?.mends[0]?.label).toBe('Use left+1 2 right');
    mendsWork('walking in', ...walking);
    expect(whats('walking in', 'bag: heavy', 'level: beginner', 'round 2:00: in 1 2 ci')).toEqual([]);
    expect(whats('walking in', 'bag: heavy', 'level: advanced', ...walking.slice(2))).toEqual([]);
    expect(whats('walking in', 'bag: standing', 'level: beginner', ...walking.slice(2))).toEqual([]);
  });

  it('go by the schools of the sheet', () => {
    const hook = ['bag: double-end', 'round 2:00: 1 2 3 bf'];
    expect(whats('bag', ...hook).length).toBe(1);
    expect(whats('bag', 'schools: after-hook same-hand', ...hook)).toEqual([]);
    const tricks = ['bag: double-end', 'round 2:00: 1 2 hk'];
    expect(whats('bag', ...tricks).length).toBe(1);
    expect(whats('bag', 'schools: ball-tricks yes', ...tricks)).toEqual([]);
    const kick = (school: string) =>
      compile(sheetOf(`schools: kick ${school}`, 'round 2:00', '  build kick-close every 0:30: 1')).leaves[0]
        ?.combination;
    expect(kick('same')).not.toEqual(kick('opposite'));
  });

  it('a cover or a parry is offered after a hard straight at the ball', () => {
    const hard = ['bag: double-end', 'round 2:00: 1 2!'];
    expect(found('offer', ...hard)[0]?.mends.map(({ label }) => label)).toEqual(['Use 1 2! cov', 'Use 1 2! pa']);
    mendsWork('offer', ...hard);
    expect(whats('offer', 'bag: double-end', 'round 2:00: 1 2! cov')).toEqual([]);
  });

  it('rhythms are for the bag under a board, elbows for the school that has them', () => {
    expect(whats('bag', 'round 1:00 on speed', '  1:00 rhythm 3,3,1')).toEqual([]);
    expect(whats('bag', 'round 1:00 on heavy', '  1:00 rhythm 3').length).toBe(1);
    mendsWork('bag', 'round 1:00 on speed', '  1:00 rhythm 3 elbow');
    expect(whats('bag', 'schools: ball-tricks yes', 'round 1:00 on speed', '  1:00 rhythm 3 elbow')).toEqual([]);
  });

  // f = 1/(2 pi) sqrt((k1+k2)/m) (textbook): 60/1 + 57/1 N/m and 0.3 kg give odd returns at 377, 126, 75 … a minute.
  it('the ball’s beat reaches the sheet where its figures are known, and nothing is judged without', () => {
    const ball = 'ball: 0.3, 1, 1, 60, 57';
    const clicks = (bpm: number) => ['bag: double-end', ball, 'round 1:00', `  1:00: 1 2 clicks at ${bpm} bpm`];
    expect(whats('ball beat', ...clicks(100))[0]).toContain('clicks at 100 per minute misses the ball');
    expect(found('ball beat', ...clicks(100))[0]?.mends[0]?.label).toBe('Set the click to 126 per minute');
    mendsWork('ball beat', ...clicks(100));
    expect(whats('ball beat', ...clicks(126))).toEqual([]);
    expect(whats('ball beat', ...clicks(100).filter((line) => line !== ball))).toEqual([]);
    // Straights at steady pace are 200 per minute, between 126 and 377.
    const straights = ['bag: double-end', ball, 'round 1:00', '  1:00 nonstop: 1 2'];
    expect(whats('ball beat', ...straights)[0]).toContain('straights at 200 per minute');
    mendsWork('ball beat', ...straights);
    expect(whats('ball beat', 'bag: heavy', ball, 'round 1:00: 1 2')).toEqual([]);
  });
});

describe('what is said beside the work', () => {
  it('a break too short for gloves is found, both ways', () => {
    const short = ['warm-up 5:00', 'rest 0:20', 'round 2:00 on heavy: 1 2b', 'rest 0:10', 'core 5:00', '  5:00 plank'];
    expect(whats('gloves', ...short)).toEqual([
      'getting gloves on takes 0:45, but the rest is 0:20',
      'getting gloves off takes 0:20, but the rest is 0:10',
    ]);
    mendsWork('gloves', ...short.slice(0, 3));
    expect(whats('gloves', 'gloves: on 15s, off 10s', ...short)).toEqual([]);
    expect(whats('gloves', 'warm-up 5:00', 'rest open', 'round 2:00 on heavy: 1 2b')).toEqual([]);
    expect(found('gloves', 'warm-up 5:00', 'round 2:00 on heavy: 1 2b')[0]?.level).toBe('note');
    expect(whats('gloves', 'warm-up 5:00', 'round 2:00 on shadow: 1 2b')).toEqual([]);
  });

  it('a focus line that can never come is found with its reason', () => {
    const why = (focus: string, ...lines: string[]): string[] =>
      whats(
        'focus',
        `focus: "Mind it" ${focus}`,
        'bag: heavy',
        'level: beginner',
        ...(lines.length > 0 ? lines : ['round 2:00: 1 2']),
      );
    expect(why('on 3b')[0]).toContain('nothing here includes 3b');
    expect(why('bag pads')[0]).toContain('nothing here is on pads');
    expect(why('level advanced')[0]).toContain('the sheet is for beginner');
    expect(why('on 2')).toEqual([]);
    expect(whats('focus', 'core 3:00', '  3:00 plank', '  focus: "Hips up"')[0]).toContain('a core has no cues');
    mendsWork('focus', 'focus: "Mind it" on 3b', 'round 2:00: 1 2');
  });
});
