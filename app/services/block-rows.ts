import {
  alike,
  blockLength,
  pieceLanes,
  type Block,
  type Lane,
  type LaneVersion,
  type Leaf,
  type Milliseconds,
  type Piece,
  type SessionTime,
  type Sheet,
} from '../../core/index';

/** A piece as the run sheet shows it: with the leaves that its first pass, or its stages a round, come to. */
export interface PieceRow {
  readonly piece: Piece;
  /** On the clock on which the block begins at `start`: another than the session's, where only what comes before has changed. */
  readonly leaves: readonly Leaf[];
  readonly start: SessionTime;
  /** What each lane does in its place; none where there are no lanes. */
  readonly lanes: readonly LaneVersion[];
}

export interface BlockRow {
  readonly block: Block;
  readonly at: SessionTime;
  readonly ms: Milliseconds;
  readonly round: number | null;
  readonly pieces: readonly PieceRow[];
}

/** What the rows of a block were made of, the last time. */
interface Known {
  readonly leaves: readonly Leaf[];
  readonly lanes: readonly Lane[];
  readonly row: BlockRow;
}

const known = new WeakMap<Block, Known>();

/** Whether a leaf is another one but for the moment at which its block begins. */
function isMoved(leaf: Leaf, before: Leaf | undefined, by: Milliseconds): boolean {
  if (leaf === before) return true;
  if (!before || leaf.at - before.at !== by) return false;
  return (Object.keys(leaf) as (keyof Leaf)[]).every((key) => key === 'at' || alike(leaf[key], before[key]));
}

function firstLeaves(leaves: readonly Leaf[], piece: Piece): Leaf[] {
  const seen = new Set<number>();
  return leaves.filter((leaf) => {
    const number = leaf.stage?.number ?? 0;
    if (leaf.pieceId !== piece.id || seen.has(number)) return false;
    seen.add(number);
    return true;
  });
}

/** The very same rows where nothing of a block is another than before, so that hundreds of them are not drawn anew; the very same pieces where it only begins at another moment. */
function blockRow(block: Block, at: SessionTime, leaves: readonly Leaf[], lanes: readonly Lane[]): BlockRow {
  const round = leaves[0]?.round ?? null;
  const before = known.get(block);
  const same =
    before?.leaves.length === leaves.length &&
    alike(before.lanes, lanes) &&
    leaves.every((leaf, index) => isMoved(leaf, before.leaves[index], at - before.row.at));
  if (same && before.row.at === at && before.row.round === round) return before.row;
  const pieces = same
    ? before.row.pieces
    : block.pieces.map((piece) => ({
        piece,
        leaves: firstLeaves(leaves, piece),
        start: at,
        lanes: pieceLanes(piece, block, lanes),
      }));
  const row = { block, at, ms: blockLength(block), round, pieces };
  known.set(block, { leaves, lanes, row });
  return row;
}

/**
 * The rows of a sheet, block by block: those that a change leaves as they were are the very same objects.
 * @example blockRows(sheet, compile(sheet).leaves, [])[0].pieces[0].leaves[0].ms // 30000
 */
export function blockRows(sheet: Sheet, leaves: readonly Leaf[], lanes: readonly Lane[]): BlockRow[] {
  const byBlock = new Map<string, Leaf[]>();
  for (const leaf of leaves) {
    if (leaf.betweenRepeats) continue;
    const own = byBlock.get(leaf.blockId);
    if (own) own.push(leaf);
    else byBlock.set(leaf.blockId, [leaf]);
  }
  let at = 0;
  return sheet.blocks.map((block) => {
    const row = blockRow(block, at, byBlock.get(block.id) ?? [], lanes);
    at += row.ms;
    return row;
  });
}
