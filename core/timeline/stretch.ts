import { changeBlock } from '../sheet/edit';
import type { Sheet } from '../sheet/schema';
import type { Milliseconds } from '../units';
import { pieceLength, piecesLength } from './stages';

/** Makes a block as long as its pieces. */
export function stretchBlock(sheet: Sheet, blockId: string, ms: Milliseconds): Sheet {
  return changeBlock(sheet, blockId, { ms });
}

/** Makes the last piece take what is missing in its block, or give what is too much. Left alone where that leaves it under a second. */
export function stretchLastPiece(sheet: Sheet, blockId: string): Sheet {
  const block = sheet.blocks.find(({ id }) => id === blockId);
  const last = block?.pieces.at(-1);
  if (!block || !last || last.kind === 'build' || block.ms === null) return sheet;
  const ms = pieceLength(last) + block.ms - piecesLength(block);
  return ms < 1000 ? sheet : changeBlock(sheet, blockId, { pieces: [...block.pieces.slice(0, -1), { ...last, ms }] });
}
