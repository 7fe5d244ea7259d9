import { otherSide, type Move } from '../moves/move';
import { mapMoves } from '../notation/map-moves';
import { readStored } from '../notation/stored';
import { writeCombination } from '../notation/write';
import type { Marked } from '../sheet/edit-many';
import type { Piece, Sheet } from '../sheet/schema';

function otherHand(text: string): string {
  const read = readStored(text);
  if (!read.ok) return text;
  const flip = (given: Move): Move => otherSide(given) ?? given;
  return writeCombination(mapMoves(read.value, flip));
}

/** Marked blocks are done in the other stance; marked pieces are begun by the other hand, as far as a move has another side. */
export function mirrorMarked(sheet: Sheet, marked: Marked): Sheet {
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) => {
      if (marked.has(block.id)) {
        const { switchStance, ...natural } = block;
        return switchStance ? natural : { ...natural, switchStance: true };
      }
      if (!block.pieces.some(({ id }) => marked.has(id))) return block;
      const pieces = block.pieces.map((piece): Piece => {
        if (!marked.has(piece.id)) return piece;
        if (piece.kind === 'combination') return { ...piece, text: otherHand(piece.text) };
        if (piece.kind === 'build' && piece.goal) return { ...piece, goal: otherHand(piece.goal) };
        return piece;
      });
      return { ...block, pieces };
    }),
  };
}
