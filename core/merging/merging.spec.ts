import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import type { Sheet } from '../sheet/schema';
import { mergeSheets, placeOf, settled } from './sheets';
import { alike } from './alike';
import { merge3, withPart } from './three-way';

const base: Sheet = readTempoText(
  'class: 12\ncoach: Ro\nround 2:00 "One"\n  1:00: 1 2\n  1:00: 1 2 3\nrest 1:00\nround 2:00 "Two": 2 3 2',
).sheet;
const [one, rest, two] = base.blocks;
if (!one || !rest || !two) throw new Error('three blocks');
const piece = { ...(one.pieces[0] as Sheet['blocks'][number]['pieces'][number]), id: 'new' };
const inBlock = (sheet: Sheet, id: string, change: Partial<Sheet['blocks'][number]>): Sheet => ({
  ...sheet,
  blocks: sheet.blocks.map((block) => (block.id === id ? { ...block, ...change } : block)),
});
let last = 0;
const freshId = (): string => `fresh${(last += 1)}`;

describe('two changes of one sheet', () => {
  it('of different parts are brought together: title, head lines, fields, pieces', () => {
    const mine = inBlock({ ...base, title: 'Mine' }, one.id, { pieces: [...one.pieces, piece] });
    const theirs = inBlock({ ...base, head: [...(base.head ?? []), { key: 'gym', value: 'Tower' }] }, one.id, {
      ms: 90_000,
    });
    const { value, clashes } = mergeSheets(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect(value.title).toBe('Mine');
    expect(value.head?.map(({ key }) => key)).toContain('gym');
    expect(value.blocks[0]?.ms).toBe(90_000);
    expect(value.blocks[0]?.pieces.map(({ id }) => id)).toEqual([...one.pieces.map(({ id }) => id), 'new']);
  });

  it('keep what each has put in, in its place, whatever the other has moved or taken out', () => {
    const added = { ...rest, id: 'added' };
    const mine = { ...base, blocks: [one, added, rest, two] };
    expect(mergeSheets(base, mine, { ...base, blocks: [two, one, rest] }).value.blocks.map(({ id }) => id)).toEqual([
      two.id,
      one.id,
      'added',
      rest.id,
    ]);
    expect(mergeSheets(base, mine, { ...base, blocks: [one, two] }).value.blocks.map(({ id }) => id)).toEqual([
      one.id,
      'added',
      two.id,
    ]);
  });

  it('of the same part are told: mine stands, theirs can be had, or both', () => {
    const [mine, theirs] = [
      { ...base, title: 'Mine' },
      { ...base, title: 'Theirs' },
    ];
    const { value, clashes } = mergeSheets(base, mine, theirs);
    const [clash] = clashes;
    expect([value.title, clashes.length]).toEqual(['Mine', 1]);
    if (!clash) return;
    expect(placeOf(value, clash)).toBe('the title');
    expect(settled(value, clash, 'theirs', freshId)?.title).toBe('Theirs');
    expect(settled(value, clash, 'both', freshId)?.title).toBe('Theirs / Mine');
  });

  it('of the same piece can stand side by side; two lengths of a block cannot', () => {
    const changed = (text: string): Sheet =>
      inBlock(base, one.id, {
        pieces: one.pieces.map((each, at) => (at === 0 && each.kind === 'combination' ? { ...each, text } : each)),
      });
    const { value, clashes } = mergeSheets(base, changed('1 1'), changed('2 2'));
    const [clash] = clashes;
    if (!clash) throw new Error('a clash');
    expect(placeOf(value, clash)).toBe('the piece of One');
    const both = settled(value, clash, 'both', freshId);
    const texts = both?.blocks[0]?.pieces.map((each) => (each.kind === 'combination' ? each.text : ''));
    expect([...(texts ?? [])].sort()).toEqual(['1 1', '1 2 3', '2 2']);
    const lengths = mergeSheets(base, inBlock(base, one.id, { ms: 60_000 }), inBlock(base, one.id, { ms: 30_000 }));
    const [length] = lengths.clashes;
    expect(length && settled(lengths.value, length, 'both', freshId)).toBeNull();
    expect(length && settled(lengths.value, length, 'theirs', freshId)?.blocks[0]?.ms).toBe(30_000);
  });

  it('keep a block that one has changed and the other taken out', () => {
    const gone = { ...base, blocks: [one, rest] };
    const changed = inBlock(base, two.id, { ms: 60_000 });
    for (const merged of [mergeSheets(base, gone, changed), mergeSheets(base, changed, gone)]) {
      expect(merged.value.blocks.map(({ id }) => id)).toContain(two.id);
      expect(merged.clashes.length).toBe(1);
    }
  });

  it('that would be too many blocks together are one clash of the whole', () => {
    const many = (name: string): Sheet => ({
      ...base,
      blocks: Array.from({ length: 400 }, (_, at) => ({ ...rest, id: `${name}${at}` })),
    });
    const { value, clashes } = mergeSheets({ ...base, blocks: [] }, many('a'), many('b'));
    expect(value.blocks[0]?.id).toBe('a0');
    expect(clashes.map(({ path }) => path)).toEqual([[]]);
  });
});

describe('merging any records', () => {
  const list = fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), n: fc.nat(3) }), {
    selector: ({ id }) => id,
  });
  const record = fc.record({ title: fc.constantFrom('x', 'y', 'z'), list, words: fc.array(fc.constantFrom('p', 'q')) });

  it('gives the changed one where only one was changed, and loses nothing that either has put in', () => {
    fc.assert(
      fc.property(record, record, record, (from, mine, theirs) => {
        expect(alike(merge3(from, mine, from).value, mine)).toBeTrue();
        expect(alike(merge3(from, from, theirs).value, theirs)).toBeTrue();
        const { value } = merge3(from, mine, theirs);
        const ids = new Set(value.list.map(({ id }) => id));
        const before = new Set(from.list.map(({ id }) => id));
        for (const { id } of [...mine.list, ...theirs.list]) if (!before.has(id)) expect(ids).toContain(id);
      }),
      { numRuns: 300 },
    );
  });

  it('puts a part in, takes it out, and leaves a record alone where the way is gone', () => {
    const record = { a: { b: [{ id: 'x', n: 1 }] } };
    expect(withPart(record, ['a', 'b', { item: 'x' }, 'n'], 2)).toEqual({ a: { b: [{ id: 'x', n: 2 }] } });
    expect(withPart(record, ['a', 'b', { item: 'x' }], undefined)).toEqual({ a: { b: [] } });
    expect(withPart(record, ['a', 'b', { item: 'y' }, 'n'], 2)).toEqual(record);
  });
});
