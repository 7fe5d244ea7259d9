import type { Block, Piece, Sheet } from './schema';

/** Where a piece or block is put: in front of the one with this id, or at the end. */
export type Before = string | null;

function mapBlock(sheet: Sheet, blockId: string, change: (block: Block) => Block): Sheet {
  return { ...sheet, blocks: sheet.blocks.map((block) => (block.id === blockId ? change(block) : block)) };
}

function insertAt<T extends { readonly id: string }>(list: readonly T[], item: T, before: Before): T[] {
  const at = before === null ? -1 : list.findIndex((each) => each.id === before);
  return at < 0 ? [...list, item] : [...list.slice(0, at), item, ...list.slice(at)];
}

/** Adds a block. */
export function addBlock(sheet: Sheet, block: Block, before: Before = null): Sheet {
  return { ...sheet, blocks: insertAt(sheet.blocks, block, before) };
}

/** Changes a block's own fields. */
export function changeBlock(sheet: Sheet, blockId: string, change: Partial<Omit<Block, 'id'>>): Sheet {
  return mapBlock(sheet, blockId, (block) => ({ ...block, ...change }));
}

/** Takes a block out, with its pieces. */
export function removeBlock(sheet: Sheet, blockId: string): Sheet {
  return { ...sheet, blocks: sheet.blocks.filter((block) => block.id !== blockId) };
}

/** Moves a block to an index among the blocks. */
export function moveBlock(sheet: Sheet, blockId: string, to: number): Sheet {
  const block = sheet.blocks.find((each) => each.id === blockId);
  if (!block) return sheet;
  const others = sheet.blocks.filter((each) => each.id !== blockId);
  return { ...sheet, blocks: [...others.slice(0, to), block, ...others.slice(to)] };
}

/** A copy of a block right after it; `freshId` names the copies. */
export function duplicateBlock(sheet: Sheet, blockId: string, freshId: () => string): Sheet {
  return {
    ...sheet,
    blocks: sheet.blocks.flatMap((block) =>
      block.id === blockId
        ? [block, { ...block, id: freshId(), pieces: block.pieces.map((piece) => ({ ...piece, id: freshId() })) }]
        : [block],
    ),
  };
}

/** Adds a piece to a block. A block without time enough is not stretched; `findings` says what is too long. */
export function addPiece(sheet: Sheet, blockId: string, piece: Piece, before: Before = null): Sheet {
  return mapBlock(sheet, blockId, (block) => ({ ...block, pieces: insertAt(block.pieces, piece, before) }));
}

/** Puts a changed piece in the place of the one with the same id. */
export function changePiece(sheet: Sheet, piece: Piece): Sheet {
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) =>
      block.pieces.some((each) => each.id === piece.id)
        ? { ...block, pieces: block.pieces.map((each) => (each.id === piece.id ? piece : each)) }
        : block,
    ),
  };
}

/** Takes a piece out. */
export function removePiece(sheet: Sheet, pieceId: string): Sheet {
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) =>
      block.pieces.some((each) => each.id === pieceId)
        ? { ...block, pieces: block.pieces.filter((each) => each.id !== pieceId) }
        : block,
    ),
  };
}

/** A copy of a piece right after it. */
export function duplicatePiece(sheet: Sheet, pieceId: string, freshId: () => string): Sheet {
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) => ({
      ...block,
      pieces: block.pieces.flatMap((piece) => (piece.id === pieceId ? [piece, { ...piece, id: freshId() }] : [piece])),
    })),
  };
}

/** Moves a piece into a block, at an index among that block's pieces once it is out of its old place. */
export function movePiece(sheet: Sheet, pieceId: string, toBlockId: string, to: number): Sheet {
  const piece = sheet.blocks.flatMap((block) => block.pieces).find((each) => each.id === pieceId);
  if (!piece || !sheet.blocks.some((block) => block.id === toBlockId)) return sheet;
  return mapBlock(removePiece(sheet, pieceId), toBlockId, (block) => ({
    ...block,
    pieces: [...block.pieces.slice(0, to), piece, ...block.pieces.slice(to)],
  }));
}

/** Moves a block one place up (-1) or down (1). */
export function shiftBlock(sheet: Sheet, blockId: string, by: -1 | 1): Sheet {
  const at = sheet.blocks.findIndex((block) => block.id === blockId);
  const to = at + by;
  return at < 0 || to < 0 || to >= sheet.blocks.length ? sheet : moveBlock(sheet, blockId, to);
}

/** Moves a piece one place up (-1) or down (1), past its block's edge into the neighbour. */
export function shiftPiece(sheet: Sheet, pieceId: string, by: -1 | 1): Sheet {
  const blockAt = sheet.blocks.findIndex((block) => block.pieces.some((piece) => piece.id === pieceId));
  const block = sheet.blocks[blockAt];
  if (!block) return sheet;
  const to = block.pieces.findIndex((piece) => piece.id === pieceId) + by;
  if (to >= 0 && to < block.pieces.length) return movePiece(sheet, pieceId, block.id, to);
  const rest = by < 0 ? sheet.blocks.slice(0, blockAt).reverse() : sheet.blocks.slice(blockAt + 1);
  const neighbour = rest.find((each) => each.ms !== null && each.kind !== 'rest');
  return neighbour ? movePiece(sheet, pieceId, neighbour.id, by < 0 ? neighbour.pieces.length : 0) : sheet;
}

/** Adds blocks one behind the other. */
export function addBlocks(sheet: Sheet, blocks: readonly Block[], before: Before = null): Sheet {
  return blocks.reduce((now, block) => addBlock(now, block, before), sheet);
}
