import type { Milliseconds } from '../units';
import type { Effort } from '../mechanics/effort';
import { duplicateBlock, duplicatePiece, removeBlock, removePiece, shiftBlock, shiftPiece } from './edit';
import type { Block, Piece, Sheet } from './schema';

/** Ids of blocks and pieces that are marked. */
export type Marked = ReadonlySet<string>;

/** A marked row. */
export interface MarkedRow {
  readonly id: string;
  readonly isBlock: boolean;
}

/** Marked ids in the order of the sheet; pieces of a marked block are left to it. */
export function markedRows(sheet: Sheet, marked: Marked): MarkedRow[] {
  return sheet.blocks.flatMap((block): MarkedRow[] =>
    marked.has(block.id)
      ? [{ id: block.id, isBlock: true }]
      : block.pieces.filter(({ id }) => marked.has(id)).map(({ id }) => ({ id, isBlock: false })),
  );
}

function changePieces(sheet: Sheet, marked: Marked, change: (piece: Piece) => Piece): Sheet {
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) => {
      if (!marked.has(block.id) && !block.pieces.some(({ id }) => marked.has(id))) return block;
      return {
        ...block,
        pieces: block.pieces.map((piece) => (marked.has(block.id) || marked.has(piece.id) ? change(piece) : piece)),
      };
    }),
  };
}

/** Sets the effort of every marked piece, and of all pieces of marked blocks. */
export function setEffortOf(sheet: Sheet, marked: Marked, effort: Effort): Sheet {
  return changePieces(sheet, marked, (piece) => ({ ...piece, effort }));
}

const nudged = (ms: Milliseconds, by: Milliseconds): Milliseconds => Math.min(86_400_000, Math.max(1000, ms + by));

/** Makes every marked piece or block longer or shorter; a build's stages each. Nothing goes under a second. */
export function nudgeTimes(sheet: Sheet, marked: Marked, by: Milliseconds): Sheet {
  const piece = (each: Piece): Piece => {
    if (each.kind !== 'build') return { ...each, ms: nudged(each.ms, by) };
    return each.every === 'round' ? each : { ...each, every: each.every.map((ms) => nudged(ms, by)) };
  };
  const block = (each: Block): Block => (each.ms === null ? each : { ...each, ms: nudged(each.ms, by) });
  return {
    ...sheet,
    blocks: sheet.blocks.map((each) => {
      if (marked.has(each.id)) return block(each);
      if (!each.pieces.some(({ id }) => marked.has(id))) return each;
      return { ...each, pieces: each.pieces.map((inner) => (marked.has(inner.id) ? piece(inner) : inner)) };
    }),
  };
}

/** Takes every marked row out. */
export function removeMarked(sheet: Sheet, marked: Marked): Sheet {
  return markedRows(sheet, marked).reduce(
    (now, { id, isBlock }) => (isBlock ? removeBlock(now, id) : removePiece(now, id)),
    sheet,
  );
}

/** A copy of every marked row right behind it. */
export function duplicateMarked(sheet: Sheet, marked: Marked, freshId: () => string): Sheet {
  return markedRows(sheet, marked).reduce(
    (now, { id, isBlock }) => (isBlock ? duplicateBlock(now, id, freshId) : duplicatePiece(now, id, freshId)),
    sheet,
  );
}

/** Moves every marked row one place, all together; nothing moves where the first of them stands at the edge. */
export function moveMarked(sheet: Sheet, marked: Marked, by: -1 | 1): Sheet {
  const rows = markedRows(sheet, marked);
  const ordered = by < 0 ? rows : [...rows].reverse();
  let now = sheet;
  for (const { id, isBlock } of ordered) {
    const next = isBlock ? shiftBlock(now, id, by) : shiftPiece(now, id, by);
    if (next === now) return sheet;
    now = next;
  }
  return now;
}
