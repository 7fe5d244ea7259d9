import { readSheetJson } from '../formats/sheet-json';
import { readTempoText } from '../formats/tempo-text/read';
import { writeTempoText } from '../formats/tempo-text/write';
import type { Sheet } from '../sheet/schema';
import { focusAgain } from './focus';
import { usualFocuses } from './cues';
import { scriptOf } from './script';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const focuses = (sheet: Sheet) => scriptOf(sheet).calls.filter(({ kind }) => kind === 'focus');
const said = (...lines: string[]): string[] => focuses(sheetOf(...lines)).map(({ say }) => say);

/** The focuses that belong to a kind of bag. */
const of = (bag: string): string[] => usualFocuses.filter(({ bags }) => bags?.includes(bag)).map(({ words }) => words);

// Trade page, section 9: one or two a round, from the strikes and the bag of that round, more often late in it.
describe('technique focuses', () => {
  const rounds = 'round 2:00 x8 rest 1:00: 1 2';

  it('come from the bag of the round, whichever place says what it is', () => {
    for (const bag of ['heavy', 'standing', 'double-end', 'reflex', 'speed', 'pads', 'shadow']) {
      const words = said(`bag: ${bag}`, rounds);
      expect(words.some((each) => of(bag).includes(each)))
        .withContext(bag)
        .toBeTrue();
      const others = usualFocuses.filter(({ bags }) => bags && !bags.includes(bag)).map((each) => each.words);
      expect(words.filter((each) => others.includes(each))).toEqual([]);
    }
    expect(said('bag: heavy', 'round 3:00 x4 on standing: 1 2')).toContain('Snap it, no pushing');
    const lanes = said('lane: double-end, 4 places', 'lane: heavy, 4 places', 'round 3:00 x4 rest 1:00: 1 2');
    expect(lanes).toContain('Timing before power');
    expect(lanes).toContain('Step around the bag as it swings in');
  });

  it('come from the strikes of the round', () => {
    expect(said('round 2:00 x12 rest 1:00: rlk tp')).toContain(
      'Pivot on your standing foot, swing the arm down as you kick',
    );
    const hands = said('round 2:00 x12 rest 1:00: 5 6');
    expect(hands).toContain('Bend your knees, drive up with the uppercut');
    expect(hands).not.toContain('Standing foot flat as you teep');
    expect(said('round 2:00 "Feet": skipping')).toEqual([]);
  });

  it('are two in a long round, one in a shorter one, none in a short one, and late before early', () => {
    const counts = ['0:50', '1:00', '2:00', '2:30', '3:00'].map((length) => said(`round ${length}: 1 2 3`).length);
    expect(counts).toEqual([0, 1, 1, 2, 2]);
    const [call] = focuses(sheetOf('round 2:00: 1 2'));
    expect(call && call.at > 60_000).toBeTrue();
  });

  it('are never repeated too soon, even where the coach has only one', () => {
    const one = focuses(sheetOf('focus: "Elbows in" only', 'round 2:00 x9 rest 0:30: 1 2'));
    expect(one.length).toBeGreaterThan(2);
    // A window is a share of a round, so what is said may be a little closer together than what was wished.
    expect(one.length).toBeGreaterThan(1);
    one.slice(1).forEach(({ opens }, at) => {
      expect(opens - (one[at]?.opens ?? 0)).toBeGreaterThanOrEqual(focusAgain);
    });
    const many = said('round 2:00 x5 rest 0:30: 1 2 3b');
    expect(many.length).toBe(5);
    expect(new Set(many).size).toBe(5);
  });

  it('of the coach stand beside ours, name moves, bags and levels, and come as often as they say', () => {
    const text = 'focus: "Touch it" on standing on double-end "jab" "cross"';
    const sheet = sheetOf(text, 'round 2:00 on standing: 1 2');
    const focus = { words: 'Touch it', moves: ['jab', 'cross'], bags: ['standing', 'double-end'] };
    expect(sheet.focuses).toEqual([focus]);
    expect(writeTempoText(sheet)).toContain('focus: "Touch it" on jab cross bag standing bag double-end');
    expect(readTempoText(writeTempoText(sheet)).sheet).toEqual(sheet);
    expect(focuses(sheet).map(({ say }) => say)).toEqual(['Touch it']);
    expect(said(text, 'round 2:00 on heavy: 1 2')).not.toContain('Touch it');
    const often = said('focus: "Elbows home" on 3b every 0:30', 'round 2:00', '1:00: 1 2', '1:00: 1 3b');
    expect(often.filter((each) => each === 'Elbows home').length).toBe(2);
    expect(
      said('focus: "Elbows home" on body every 0:20', 'round 2:00: 1 3b').filter((each) => each === 'Elbows home')
        .length,
    ).toBe(5);
    expect(said('focus: "Mine" level beginner', 'level: advanced', 'round 2:00: 1 2')).not.toContain('Mine');
    expect(said('focus: "Mine" only', 'round 2:00: 1 2')).toEqual(['Mine']);
    expect(said('round 2:00: 1 2', 'round 2:00: 1 2', '  focus: "Here" only')[1]).toBe('Here');
  });

  // Trade page, section 9: at least one every 30 s where it is taught, early ones about the piece's own strikes, none twice running.
  it('are the content of a taught round', () => {
    for (const lines of [
      ['round 3:00', '3:00 technique: 1 2 3'],
      ['level: beginner', 'round 3:00: 1 2 3'],
    ]) {
      const found = focuses(sheetOf(...lines));
      expect(found.length).toBeGreaterThanOrEqual(6);
      expect([0, ...found.map(({ at }) => at), 180_000].length).toBeGreaterThan(0);
      [0, ...found.map(({ at }) => at), 180_000].forEach((at, index, all) => {
        if (index > 0) expect(at - (all[index - 1] ?? 0)).toBeLessThanOrEqual(30_000);
      });
      expect(found.length).toBeGreaterThan(1);
      found.slice(1).forEach(({ say }, at) => {
        expect(say).not.toBe(found[at]?.say ?? '');
      });
      const named = usualFocuses.filter(({ moves }) => moves.length > 0).map(({ words }) => words);
      expect(named).toContain(found[0]?.say ?? '');
    }
    // Of a single one the second time would be twice running.
    expect(said('focus: "Mine" only', 'round 3:00', '  3:00 technique: 1 2 3')).toEqual(['Mine']);
  });

  // A first version named moves by parts of names; a sheet's own focuses stood replaces ours.
  it('of an older file stand alone, as they did', () => {
    const old = {
      ...sheetOf('round 2:00: 1 2'),
      version: 1,
      calls: { wordings: { focuses: [{ words: 'Old', moves: [] }] } },
    };
    const read = readSheetJson(JSON.stringify(old));
    expect(read.ok && read.value.focuses).toEqual([{ words: 'Old', moves: [], only: true }]);
    expect(read.ok && read.value.calls).toEqual({});
    expect(read.ok && focuses(read.value).map(({ say }) => say)).toEqual(['Old']);
  });
});
