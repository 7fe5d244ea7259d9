import { readTempoText } from '../formats/tempo-text/read';
import { writeTempoText } from '../formats/tempo-text/write';
import type { Sheet } from '../session/schema';
import { focusAgain } from './focus';
import { usualFocuses } from './phrasebook';
import { callTrack } from './track';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const focuses = (sheet: Sheet) => callTrack(sheet).calls.filter(({ kind }) => kind === 'focus');
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
    expect(said('bag: heavy', 'round 3:00 x4 on standing: 1 2')).toContain('Snap and touch, it stays standing');
    const lanes = said('lane: double-end, 4 places', 'lane: heavy, 4 places', 'round 3:00 x4 rest 1:00: 1 2');
    expect(lanes).toContain('Timing before power');
    expect(lanes).toContain('Step round it as it swings in');
  });

  it('come from the strikes of the round', () => {
    expect(said('round 2:00 x12 rest 1:00: rlk tp')).toContain('Standing foot turns, kicking side hand drops');
    const hands = said('round 2:00 x12 rest 1:00: 5 6');
    expect(hands).toContain('Knees bend, then rise with the uppercut');
    expect(hands).not.toContain('Standing foot flat in the push kick');
    expect(said('round 2:00 "Feet": skipping')).toEqual([]);
  });

  it('are two in a long round, one in a shorter one, none in a short one, and late before early', () => {
    const counts = ['0:50', '1:00', '2:00', '2:30', '3:00'].map((length) => said(`round ${length}: 1 2 3`).length);
    expect(counts).toEqual([0, 1, 1, 2, 2]);
    const [call] = focuses(sheetOf('round 2:00: 1 2'));
    expect(call && call.at > 60_000).toBeTrue();
  });

  it('are never repeated too soon, even where the coach has only one', () => {
    const one = focuses(sheetOf('focus: "Elbows in"', 'round 2:00 x9 rest 0:30: 1 2'));
    expect(one.length).toBeGreaterThan(2);
    // A window is a share of a round, so what is said may be a little closer together than what was wished.
    one.slice(1).forEach(({ opens }, at) => {
      expect(opens - (one[at]?.opens ?? 0)).toBeGreaterThanOrEqual(focusAgain);
    });
    const many = said('round 2:00 x5 rest 0:30: 1 2 3b');
    expect(many.length).toBe(5);
    expect(new Set(many).size).toBe(5);
  });

  it('of the coach name moves and bags, in tempo text too', () => {
    const text = 'focus: "Touch it" on standing on double-end "jab" "cross"';
    const sheet = sheetOf(text, 'round 2:00 on standing: 1 2');
    expect(sheet.calls?.wordings?.focuses).toEqual([
      { words: 'Touch it', moves: ['jab', 'cross'], bags: ['standing', 'double-end'] },
    ]);
    expect(writeTempoText(sheet)).toContain('focus: "Touch it" on standing on double-end "jab" "cross"');
    expect(readTempoText(writeTempoText(sheet)).sheet).toEqual(sheet);
    expect(focuses(sheet).map(({ say }) => say)).toEqual(['Touch it']);
    expect(said(text, 'round 2:00 on heavy: 1 2')).toEqual([]);
  });
});
