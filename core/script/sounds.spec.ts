import { readTempoText } from '../formats/tempo-text/read';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import { scriptOf } from './script';
import { soundsOf, type SoundCue } from './sounds';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const told = (sounds: readonly SoundCue[]): string[] =>
  sounds.map(({ at, kind, breaksBefore }) => `${at / 1000} ${kind}${breaksBefore > 0 ? ` after ${breaksBefore}` : ''}`);
const heard = (...lines: string[]): string[] => told(scriptOf(sheetOf(...lines)).sounds);
const counted = (...seconds: number[]): string[] => seconds.map((second) => `${second} count`);

// Bell at both ends of a round, ten seconds told, three counted (domain page, section 9); a change of work has a sound of its
// own, and an open break keeps what comes after it (house rules).
describe('the sounds of a session', () => {
  it('are a change for each exercise, bells for rounds, and counts before both', () => {
    expect(
      heard('warm-up 0:30', '  0:15 jog', '  0:15 skip', 'round 0:30', '  0:15 1 2', '  0:15 1 2 3', 'rest 0:20'),
    ).toEqual([
      ...counted(-3, -2, -1),
      ...['0 change', ...counted(12, 13, 14), '15 change', '20 ten', ...counted(27, 28, 29), '30 start bell'],
      ...[...counted(42, 43, 44), '45 change', '50 ten', ...counted(57, 58, 59), '60 end bell'],
    ]);
  });

  it('are one bell between rounds that follow each other, and none behind a rest, which is counted out', () => {
    expect(heard('round 0:20: 1 2', 'round 0:20: 1 2', 'rest 0:20', 'core 0:30', '  0:10/0:05 x2 plank')).toEqual([
      ...[...counted(-3, -2, -1), '0 start bell', '10 ten', ...counted(17, 18, 19), '20 start bell', '30 ten'],
      ...[...counted(37, 38, 39), '40 end bell', ...counted(57, 58, 59), '60 change', ...counted(67, 68, 69)],
      ...['70 change', '75 change', '80 ten', ...counted(82, 83, 84), '85 change', ...counted(87, 88, 89)],
    ]);
  });

  it('wait behind an open break for the coach, the end of what was before it does not', () => {
    expect(heard('round 0:20: 1 2', 'rest open', 'rest open', 'round 0:08: 1 2')).toEqual([
      ...[...counted(-3, -2, -1), '0 start bell', '10 ten', ...counted(17, 18, 19), '20 end bell', '20 change after 1'],
      '20 start bell after 2',
      ...counted(25, 26, 27).map((count) => `${count} after 2`),
      '28 end bell after 2',
    ]);
  });

  it('are a click at each beat and at each touch of the bag', () => {
    const sheet = sheetOf('round 0:03', '  0:02: 1 2', '  0:01: 1');
    const [round] = sheet.blocks;
    const clicks = {
      ...sheet,
      blocks: [
        {
          ...round,
          pieces: round?.pieces?.map((piece, at) => (at === 0 ? { ...piece, voice: 'click', bpm: 90 } : piece)),
        },
      ],
    } as Sheet;
    const click = (sounds: readonly SoundCue[]): number[] =>
      sounds.filter(({ kind }) => kind === 'click').map(({ at }) => Math.round(at));
    // Ninety a minute are two thirds of a second apart; what would sound at the very end of the piece belongs to the next.
    expect(click(scriptOf(clicks).sounds)).toEqual([0, 667, 1333]);
    // 300 rebounds a minute, three to a touch: one every 0.6 s (tempo text, “Rhythm”).
    expect(click(scriptOf(sheetOf('bag: speed', 'round 0:02', '  0:02 rhythm 3 at 300')).sounds)).toEqual([
      0, 600, 1200,
    ]);
  });

  it('stand in order, and are those of calls that are made alone', () => {
    const sheet = sheetOf('round 0:20', '  build ladder every 0:10: 1 2');
    const timeline = compile(sheet);
    expect(told(soundsOf(timeline, [], []))).toEqual(['10 change']);
    const calls = [
      { kind: 'bell', at: 20_000, sound: 'end bell' },
      { kind: 'new', at: 11_000 },
      { kind: 'bell', at: 0, sound: 'start bell' },
    ] as const;
    expect(told(soundsOf(timeline, calls, []))).toEqual(['0 start bell', '10 change', '20 end bell']);
    // At the second of a break: what ends is before it, what begins after it; a break’s own sound before the next break.
    const breaks = [
      { at: 20_000, calls: [{ kind: 'bell', at: 20_000, sound: 'end bell' }] },
      { at: 20_000, calls: [{ kind: 'bell', at: 20_000, sound: 'end bell' }] },
    ] as const;
    const more = [
      { kind: 'bell', at: 20_000, sound: 'start bell' },
      { kind: 'count', at: 20_000, sound: 'count' },
    ] as const;
    expect(told(soundsOf(timeline, more, breaks))).toEqual([
      ...['10 change', '20 count', '20 end bell', '20 end bell after 1', '20 start bell after 2'],
    ]);
  });
});
