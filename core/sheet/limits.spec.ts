import { readTempoText } from '../formats/tempo-text/read';
import { mostCharacters } from '../formats/tempo-text/read';
import { changeFault } from './change-fault';
import { sheetLimits } from './limits';
import { sheetSchema, type Block, type Sheet } from './schema';

/* Each limit of docs/formats/sheet.md at its figure and one above it, by every way in: schema, edit, tempo text. */
const plain: Sheet = readTempoText('round 1:00').sheet;
const [round] = plain.blocks;
if (!round) throw new Error('a round');
const many = <T>(count: number, one: (at: number) => T): T[] => Array.from({ length: count }, (_, at) => one(at));
const within = (change: Partial<Block>): Sheet => ({ ...plain, blocks: [{ ...round, ...change }] });

type Counted = Exclude<keyof typeof sheetLimits, 'ms'>;
const byHand: Readonly<Record<Counted, (count: number) => Sheet>> = {
  blocks: (count) => ({ ...plain, blocks: many(count, (at) => ({ ...round, id: `b${at}`, pieces: [] })) }),
  pieces: (count) =>
    within({ pieces: many(count, (at) => ({ kind: 'own-time', id: `p${at}`, ms: 1000, effort: 'steady' })) }),
  headLines: (count) => ({ ...plain, head: many(count, (at) => ({ key: `k${at}`, value: '' })) }),
  parts: (count) => ({ ...plain, parts: many(count, (at) => ({ name: `part ${at}`, text: '1 2' })) }),
  says: (count) => within({ says: many(count, (at) => ({ words: `w${at}`, atMs: at * 100 })) }),
  focuses: (count) => within({ focuses: many(count, (at) => ({ words: `w${at}`, moves: [] })) }),
};
const byText: typeof byHand extends Readonly<Record<infer Key, unknown>>
  ? Readonly<Record<Key & string, (count: number) => string>>
  : never = {
  blocks: (count) => many(count, () => 'rest 0:10').join('\n'),
  pieces: (count) => ['round 20:00', ...many(count, () => '  0:01 own time')].join('\n'),
  headLines: (count) =>
    [...many(count, (at) => `key ${String.fromCharCode(97 + (at % 26))}${at}: x`), 'round 1:00'].join('\n'),
  parts: (count) => [...many(count, (at) => `combo zz${at}q: 1 2`), 'round 1:00'].join('\n'),
  says: (count) => ['round 3:00', ...many(count, (at) => `  say "w${at}" at 1:00`)].join('\n'),
  focuses: (count) => ['round 3:00', ...many(count, (at) => `  focus: "w${at}"`)].join('\n'),
};
const names = Object.keys(byHand) as Counted[];

describe('limits of a sheet', () => {
  for (const name of names) {
    const most = sheetLimits[name];

    it(`hold by schema and by every edit: ${most} ${name}, and no more`, () => {
      const [full, over] = [byHand[name](most), byHand[name](most + 1)];
      expect(sheetSchema.safeParse(full).success).toBeTrue();
      expect(sheetSchema.safeParse(over).success).toBeFalse();
      expect(changeFault(plain, full)).toBeNull();
      expect(changeFault(full, over)).toContain(`at most ${most}`);
    });

    it(`are told by tempo text: ${most} ${name} are read, one more is a fault and a sheet all the same`, () => {
      const [full, over] = [readTempoText(byText[name](most)), readTempoText(byText[name](most + 1))];
      expect(full.faults.filter(({ level }) => level === 'error')).toEqual([]);
      const errors = over.faults.filter(({ level }) => level === 'error');
      expect(errors.map(({ what }) => what)).toEqual([jasmine.stringContaining(` hold at most ${most} `)]);
      expect(sheetSchema.safeParse(over.sheet).success).toBeTrue();
      expect(JSON.stringify(over.sheet)).toBe(JSON.stringify(full.sheet));
    });
  }

  it('hold for lengths: a day and no second more, a second and no less', () => {
    const day = 24 * 3600 * 1000;
    expect(changeFault(plain, within({ ms: day }))).toBeNull();
    expect(changeFault(plain, within({ ms: day + 5000 }))).toBe('length: at most 24:00:00');
    expect(changeFault(plain, within({ ms: 0 }))).toBe('length: at least 0:01');
    expect(changeFault(plain, within({ title: 'x'.repeat(401) }))).toBe('title: at most 400 characters');
    expect(changeFault(plain, { ...plain, title: 'x'.repeat(201) })).toBe('title: at most 200 characters');
    expect(changeFault(plain, within({ times: 100 }))).toBe('repeats: at most 99');
  });

  it('are looked at in the piece that has changed, among others that stand as they were', () => {
    const { sheet } = readTempoText('round 1:00\n  0:20: 1 2\n  0:20: 2 3\n  0:20: 1 1');
    const [block] = sheet.blocks;
    if (!block) throw new Error('a round');
    const withSecond = (ms: number): Sheet => {
      const pieces = block.pieces.map((piece, at) =>
        at === 1 && piece.kind === 'combination' ? { ...piece, ms } : piece,
      );
      return { ...sheet, blocks: [{ ...block, pieces }] };
    };
    expect(changeFault(sheet, withSecond(25_000))).toBeNull();
    expect(changeFault(sheet, withSecond(0))).toBe('length: at least 0:01');
    const full = byHand.pieces(sheetLimits.pieces);
    const [all] = full.blocks;
    const [first] = block.pieces;
    if (!all || !first) throw new Error('a full round');
    const more = { ...full, blocks: [{ ...all, pieces: [...all.pieces, { ...first, id: 'one more' }] }] };
    expect(changeFault(full, more)).toBe(`drills in a block: at most ${sheetLimits.pieces}`);
  });

  it('see two parts under the same id', () => {
    expect(changeFault(plain, { ...plain, blocks: [round, { ...round }] })).toContain('the same id');
  });

  it('are told for texts that are too long', () => {
    const long = readTempoText(`round 1:00\n${'x'.repeat(mostCharacters)}`);
    expect(long.faults.map(({ what }) => what)).toContain(
      'a text can hold 1,000,000 characters; the rest was not read',
    );
    expect(readTempoText('\n'.repeat(20_000)).faults.map(({ what }) => what)).toContain(
      'a text can hold 20,000 lines; the rest was not read',
    );
    expect(readTempoText('\n'.repeat(19_999)).faults).toEqual([]);
  });
});
