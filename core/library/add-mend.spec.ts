import { freshBlock } from '../sheet/fresh';
import { sheetSchema } from '../sheet/schema';
import { addMend, mendMs } from './add-mend';
import { faultNamed } from './faults';

describe('the mend of a fault in a sheet', () => {
  let number = 0;
  const newId = (): string => `n${++number}`;
  const words = (id: string, ms: number) => ({ kind: 'words', id, ms, effort: 'steady', words: 'skip' }) as const;
  const round = { ...freshBlock('round', newId), ms: 60_000, pieces: [words('a', 30_000), words('b', 30_000)] };
  const rest = freshBlock('rest', newId);
  const sheet = sheetSchema.parse({
    format: 'keen-tempo/sheet',
    version: 2,
    id: 's',
    title: 'Mends',
    blocks: [round, rest],
  });
  const fault = faultNamed('hand-drops');

  it('stands behind the chosen piece, and the full round grows by its length', () => {
    const { sheet: mended, pieceId } = addMend(sheet, fault, { blockId: round.id, afterPieceId: 'a' }, newId);
    const [block] = mended.blocks;
    expect(block?.pieces.map(({ id }) => id)).toEqual(['a', pieceId, 'b']);
    expect(block?.ms).toBe(60_000 + mendMs);
    expect(block?.focuses?.map((each) => each.words)).toEqual([fault.reminder]);
  });

  it('fills the time that is left first, and says its reminder once however often it is added', () => {
    const roomy = { ...sheet, blocks: [{ ...round, ms: 180_000 }] };
    const once = addMend(roomy, fault, { blockId: round.id, afterPieceId: null }, newId);
    const twice = addMend(once.sheet, fault, { blockId: round.id, afterPieceId: null }, newId);
    expect(twice.sheet.blocks[0]?.ms).toBe(180_000);
    expect(twice.sheet.blocks[0]?.pieces.length).toBe(4);
    expect(twice.sheet.blocks[0]?.focuses?.length).toBe(1);
  });

  it('gets a round of its own where a rest is chosen, or nothing', () => {
    for (const blockId of [rest.id, null]) {
      const { sheet: mended } = addMend(sheet, fault, { blockId, afterPieceId: null }, newId);
      expect(mended.blocks.length).toBe(3);
      expect(mended.blocks[2]).toEqual(jasmine.objectContaining({ kind: 'round', ms: mendMs }));
    }
  });
});
