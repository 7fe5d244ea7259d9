import { readTempoText } from '../formats/tempo-text/read';
import type { CallKind } from '../sheet/call-kinds';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import type { Candidate } from './call';
import { candidatesOf } from './candidates';
import { callOptionsOf, scriptOf } from './script';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const wanted = (sheet: Sheet): readonly Candidate[] => {
  const timeline = compile(sheet);
  return candidatesOf(timeline, callOptionsOf(sheet, timeline)).candidates;
};
/** What would be said of some kinds, and between which seconds: `0–8 One, two.` */
const windows = (sheet: Sheet, ...kinds: readonly CallKind[]): string[] =>
  wanted(sheet)
    .filter(({ kind }) => kinds.includes(kind))
    .map(({ from, until, phrases: [full] }) => `${from / 1000}–${until / 1000} ${full?.say ?? ''}`);

// Lengths of words at 165 a minute (speech.ts): one word takes 0.364 s. Windows are house values: 8 s for what is new and for
// how it is done, each behind the one before it with 0.3 s between; 4 s for the coach’s own words and for the lead of a drill.
describe('the window of a call', () => {
  it('is eight seconds for what is new, and for how it is done behind it', () => {
    const sheet = sheetOf(
      ...['round 1:00', '  0:30 strong speed: 1 2', '  0:30 1 2'],
      ...['rest 0:45', 'round 1:00', '  0:30 strong: 1 2', '  0:30 power: 1 2'],
    );
    expect(windows(sheet, 'new', 'effort')).toEqual([
      ...['0–8 One, two.', '1.027–9.027 Speed, strong'],
      // The same combination is not said again, only what is otherwise about it; and no “steady” behind power.
      ...['30–38 Steady', '105–113 One, two.', '106.027–114.027 Strong', '135–143 Power'],
    ]);
  });

  it('compares a round with the round before it, and what is usual again is said once', () => {
    const rounds = sheetOf(
      ...['round 1:00', '  1:00 nonstop: 1 2', 'rest 0:45', 'round 1:00: 1 2', 'rest 0:45', 'round 1:00: 1 2'],
    );
    expect(windows(rounds, 'effort')).toEqual([
      '1.027–9.027 Non-stop',
      '106.027–114.027 Take a breath between combinations',
    ]);
    // Work of another kind is compared with what is usual.
    const core = sheetOf('round 1:00', '  1:00 all-out: 1 2', 'core 1:00', '  1:00 plank');
    expect(windows(core, 'effort')).toEqual(['1.027–9.027 All-out']);
  });

  it('opens for a pace with what it means, for efforts by their names, and for what is done in between', () => {
    const sheet = sheetOf(
      ...['round 3:00', '  0:20 20%: 1 2', '  0:20 50%: 1 2', '  0:20 70%: 1 2', '  0:20 85%: 1 2', '  0:20 100%: 1 2'],
      ...['  0:20 easy: 1 2', '  0:20 strong: 1 2', '  0:20 all-out: 1 2', '  0:20 steady: 1 2'],
    );
    // Paces of the trade page, section 4: 20 % is half the usual speed, 70 % the usual one.
    expect(windows(sheet, 'effort')).toEqual([
      ...['1.027–9.027 20 per cent, half speed, nice and loose', '20–28 50 per cent, easy pace'],
      ...[
        '40–48 70 per cent, steady pace',
        '60–68 85 per cent, quick',
        '80–88 100 per cent, as fast as you can keep it clean',
      ],
      ...['100–108 Easy', '120–128 Strong', '140–148 All-out', '160–168 Steady'],
    ]);
    const between = sheetOf(
      ...['round 2:00', '  0:30 1 2 between "step out"', '  0:30 1 2', '  0:30 own time'],
      '  0:30 call go 2 between "hands up"',
    );
    expect(windows(between, 'between')).toEqual([
      ...['1.027–9.027 In between, step out', '30–38 Nothing in between now', '92.482–100.482 In between, hands up'],
    ]);
  });

  it('is the pause for the name of the next exercise, and the block is named with its first', () => {
    const sheet = sheetOf('core 2:00', '  0:45/0:15 x2 plank / hollow hold');
    expect(windows(sheet, 'new', 'preview')).toEqual([
      ...['0–8 Core. Plank.', '45–59 Next, hollow hold', '60–68 Hollow hold.'],
    ]);
  });

  it('is longer where it takes long to say, so that it can still begin 2.5 s later, but ends with its piece', () => {
    const own = 'Hands up, and over your gloves all the time';
    const sheet = sheetOf(
      'round 1:00',
      '  0:20 1 2',
      `    say "${own}" at 0:05`,
      '    say "Last one" at 0:19',
      '  0:40 3',
    );
    // Nine words take 3.273 s: 5 + 3.273 + 2.5.
    expect(windows(sheet, 'own')).toEqual([`5–10.773 ${own}`, '19–20 Last one']);
    const turns = sheetOf('round 1:00: [1 2 3b 2 / 2 3b 2 3 / 1 1 2]');
    expect(windows(turns, 'new')).toEqual([
      '0–9.305 One, two, three body, two, then two, three body, two, three, then one, one, two.',
    ]);
  });

  it('is a fixed lead of four seconds before the calls of a drill, each of which has its moment', () => {
    const sheet = sheetOf('round 1:00', '  0:40 call count 2-4', '  0:20 call go 2');
    expect(windows(sheet, 'new')).toEqual([
      ...['0–4 Number drill: throw that many punches.', '40–44 Go drill: fast hands on go.'],
    ]);
    const drills = wanted(sheet).filter(({ kind }) => kind === 'drill');
    expect(drills.length).toBeGreaterThan(9);
    for (const { from, until, phrases } of drills) {
      expect(until - from).toBe(phrases[0]?.ms ?? 0);
      expect(from >= 4000 && from <= 60_000).toBeTrue();
      expect(phrases[0]?.say).toMatch(from < 40_000 ? /^(two|three|four)$/ : /^go$/);
    }
  });

  it('lies in the middle of a stage for the moves that were there before, from 0.4 to 0.8 of it', () => {
    const sheet = sheetOf('round 2:00', '  build ladder every 0:40: 1 2 3b');
    expect(windows(sheet, 'new', 'reminder')).toEqual([
      ...['0–8 Jab.', '40–48 Add the cross. All together: one, two.', '56–72 Keep the jab sharp'],
      ...['80–88 Add the lead hook to the body. All together: one, two, three body.', '96–112 Keep the jab sharp'],
    ]);
  });

  it('is four seconds half way for those who hold pads, in pieces of 16 s and longer', () => {
    const pads = { lanes: [{ bag: 'pads', places: 2 }] };
    const sheet = { ...sheetOf('round 0:31', '  0:16 1 2', '  0:15 3 2', 'core 1:00: plank'), ...pads };
    expect(windows(sheet, 'lanes')).toEqual(['8–12 Holders and hitters, swap']);
    const down = { ...sheet, lanes: [{ bag: 'pads', places: 0 }] };
    expect(windows(down, 'lanes')).toEqual([]);
  });
});

describe('the words of a rest', () => {
  it('are rest and water, breathing, what is next, and that once more before the count', () => {
    const sheet = sheetOf('round 1:00: 1 2', 'rest 0:45', 'round 1:00: 1 2');
    expect(windows(sheet, 'water', 'breathing', 'preview')).toEqual([
      ...[
        '61.3–96.1 Rest. Water',
        '62.4–99 Breathe in for two, out for four',
        '65.3–99.809 Next, the last round: one, two',
      ],
      // Three seconds of counting and half a second of quiet before it are left free.
      '100.109–101.5 Next: one, two',
    ]);
  });

  it('are shorter where there is little time, and end with what is next; they leave time for the count into core, too', () => {
    const sheet = sheetOf('round 0:50: 1 2', 'rest 0:10', 'round 1:00 "Open floor"', 'rest 0:10', 'core 1:00: plank');
    expect(windows(sheet, 'water', 'breathing', 'preview')).toEqual([
      ...['51.3–52.2 Rest. Water', '52.4–53.6 Long breath out', '53.8–56.5 Next, the last round, Open floor: free'],
      ...['121.3–122.2 Rest. Water', '122.4–125.1 Breathe in for two, out for four', '125.3–126.5 Next, Core: plank'],
    ]);
  });

  it('begin with what the coach calls it, by its title or by the words of its piece', () => {
    const titled = sheetOf('round 1:00: 1 2', 'rest 0:40 "Tidy up"', 'round 1:00: 1 2');
    expect(windows(titled, 'own')[0]).toMatch(/^62\.4–[\d.]+ Tidy up$/);
    const worded = sheetOf('round 1:00: 1 2', 'rest 0:40', '  0:40 "Wipe the bags"', 'round 1:00: 1 2');
    expect(windows(worded, 'own')[0]).toMatch(/^62\.4–[\d.]+ Wipe the bags$/);
    const none = sheetOf('round 1:00: 1 2', 'rest 0:40', 'round 1:00: 1 2');
    expect(windows(none, 'new')[1]).toBe('100–108 One, two.');
  });

  it('name the bag where it is another one than in the round before, and none where the class is on several', () => {
    const round = (bag: string): string[] => [`round 1:00${bag}: 1 2`, 'rest 0:40'];
    const bags = (sheet: Sheet): string[] =>
      scriptOf(sheet).calls.flatMap(({ kind, say, at }) => (kind === 'bag' ? [`${Math.floor(at / 1000)} ${say}`] : []));
    const [heavy, ball] = [round(' on heavy'), round(' on double-end')];
    expect(bags(sheetOf(...heavy, ...ball, ...ball, ...heavy))).toEqual([
      '65 On to the double-end bag',
      '265 On to the heavy bag',
    ]);
    const lanes = ['heavy', 'speed'].map((bag) => ({ bag, places: 2 }));
    expect(bags({ ...sheetOf(...ball, ...round(''), ...heavy), lanes } as Sheet)).toEqual([]);
  });

  it('of an open break come one behind the other: gloves, the other stance, the bag, what is next', () => {
    const sheet = sheetOf(
      ...['round 1:00 on shadow: 1 2', 'rest open', 'round 1:00 on heavy: 1 2', 'rest open "Sweep the floor"'],
      'round 1:00 on double-end switch stance: 3 2',
    );
    const { breaks } = scriptOf(sheet);
    const told = breaks.map(({ at, calls }) => [at / 1000, ...calls.map((call) => `${call.kind} ${call.say}`)]);
    expect(told).toEqual([
      [
        ...[60, 'bell bell', 'new Take a break. Start again when ready.', 'gear Gloves on'],
        ...['bag On to the heavy bag', 'preview Next, round two of three: one, two'],
      ],
      [
        ...[120, 'bell bell', 'own Sweep the floor', 'stance Switch stance', 'bag On to the double-end bag'],
        'preview Next, the last round: three, two',
      ],
    ]);
    const keys = breaks.flatMap(({ calls }) => calls.map(({ key }) => key));
    expect(new Set(keys).size).toBe(keys.length);
    for (const { calls } of breaks)
      calls.slice(1).forEach((call, at) => {
        const before = calls[at];
        expect(call.at).toBe((before?.at ?? 0) + (before?.ms ?? 0) + 300);
      });
    expect(breaks.flatMap(({ calls }) => calls).length).toBe(10);
  });

  it('of an open break that stands behind no round has no bell', () => {
    const { breaks } = scriptOf(sheetOf('warm-up 1:00: jog', 'rest open', 'round 1:00 on heavy: 1 2'));
    expect(breaks[0]?.calls.map(({ kind }) => kind)).toEqual(['new', 'gear', 'preview']);
  });
});
