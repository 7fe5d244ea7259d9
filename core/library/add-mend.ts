import { addBlocks, addPiece, changeBlock } from '../sheet/edit';
import { freshBlock } from '../sheet/fresh';
import { piecesLength } from '../timeline/stages';
import type { Block, Sheet } from '../sheet/schema';
import type { Milliseconds } from '../units';
import { faultFocus, mendPiece, type TrainingFault } from './faults';

/** How long the drill of a fault is done unless the coach says more (house value). */
export const mendMs: Milliseconds = 30_000;

/** Where a mend is put: behind a piece of a block, at the block's end, or into a round of its own. */
export interface MendPlace {
  readonly blockId: string | null;
  readonly afterPieceId: string | null;
}

const holdsWork = (block: Block): boolean => block.kind !== 'rest' && block.ms !== null;

/**
 * Puts the drill of a fault into a sheet, and its reminder among the focus lines of the same block. The block grows by what
 * is missing, so that nothing falls off its end; where no block of work is named, the drill gets a round of its own at the end.
 * @returns the sheet, and the ids of the block and of the new piece
 * @example addMend(sheet, faultNamed('wrist'), { blockId: 'r1', afterPieceId: null }, newId).sheet
 */
export function addMend(
  sheet: Sheet,
  fault: TrainingFault,
  place: MendPlace,
  freshId: () => string,
): { readonly sheet: Sheet; readonly blockId: string; readonly pieceId: string } {
  const piece = mendPiece(fault, freshId(), mendMs);
  const focus = faultFocus(fault);
  const block = sheet.blocks.find(({ id }) => id === place.blockId);
  if (!block || !holdsWork(block)) {
    const round: Block = { ...freshBlock('round', freshId), ms: mendMs, pieces: [piece], focuses: [focus] };
    return { sheet: addBlocks(sheet, [round], null), blockId: round.id, pieceId: piece.id };
  }
  const at = block.pieces.findIndex(({ id }) => id === place.afterPieceId);
  const added = addPiece(sheet, block.id, piece, at < 0 ? null : (block.pieces[at + 1]?.id ?? null));
  const known = block.focuses?.some(({ words }) => words === focus.words) ?? false;
  const grown = changeBlock(added, block.id, {
    ms: Math.max(block.ms ?? 0, piecesLength(block) + mendMs),
    ...(known ? {} : { focuses: [...(block.focuses ?? []), focus] }),
  });
  return { sheet: grown, blockId: block.id, pieceId: piece.id };
}
