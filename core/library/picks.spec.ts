import { readTempoText } from '../formats/tempo-text/read';
import { bookPick, freshBlocks, libraryPicks, pickKinds, pickLength, picksFor, pickPicture, sheetPick } from './picks';

describe('what can be put into a sheet', () => {
  it('has a key of its own, a name and something to add, of every kind that is ours', () => {
    const all = libraryPicks();
    expect(all.length).toBeGreaterThan(60);
    expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
    expect(all.filter(({ name }) => name === '')).toEqual([]);
    expect([...new Set(all.map(({ kind }) => kind))]).toEqual(pickKinds.slice(0, 3));
  });

  it('says how long it takes, repeats and their rests with it', () => {
    const [technique] = picksFor(libraryPicks(), 'technique rounds 5');
    // 5 × 2:00 with 1:00 between is 14:00, and 15:00 where the last rest counts, too (by hand).
    expect(technique && pickLength(technique)).toBe(14 * 60_000);
    expect(pickLength(bookPick({ id: 'a', name: '', text: '1 2', tags: [], note: '' }))).toBeNull();
  });

  it('is found by what it was called before', () => {
    expect(picksFor(libraryPicks(), 'press-ups').map(({ name }) => name)).toEqual(['Push-ups']);
    expect(picksFor(libraryPicks(), 'long breaths').map(({ name }) => name)).toContain('Slow, deep breaths');
  });

  it('is found by all of the words, in any order, in its combination too', () => {
    const own = bookPick({ id: 'a', name: 'Gate', text: '1 2 3b', tags: ['warm'], note: '' });
    const other = sheetPick(readTempoText('# Gate two\nround 1:00: 2 3').sheet);
    expect(picksFor([own, other], 'gate')).toEqual([own, other]);
    expect(picksFor([own, other], '3b gate')).toEqual([own]);
    expect(picksFor([own, other], 'gate nothing')).toEqual([]);
    const built = sheetPick(readTempoText('# S\nround 5:00\n  build pyramid every 0:30: 1 2 3').sheet);
    expect(picksFor([own, built], 'pyramid')).toEqual([built]);
  });

  it('is drawn by its first combination that reads', () => {
    const drawn = pickPicture(sheetPick(readTempoText('# S\nwarm-up 1:00\n  1:00 Skipping\nround 1:00: 2 3').sheet));
    expect(drawn?.items.length).toBe(2);
    expect(pickPicture(sheetPick(readTempoText('round 1:00').sheet))).toBeNull();
  });

  it('comes in under ids of its own', () => {
    let count = 0;
    const blocks = readTempoText('round 1:00\n  0:30 1 2\n  0:30 3').sheet.blocks;
    const fresh = freshBlocks(blocks, () => `f${(count += 1)}`);
    expect(fresh.flatMap(({ id, pieces }) => [id, ...pieces.map((piece) => piece.id)])).toEqual(['f1', 'f2', 'f3']);
    expect(fresh.map(({ pieces }) => pieces.length)).toEqual([2]);
  });
});
