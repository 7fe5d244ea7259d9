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
  /** Their moments count from the first one's: it may begin at another than it did, where only what comes before has changed. */
  readonly leaves: readonly Leaf[];
  /** What each lane does in its place; none where there are no lanes. */
  readonly lanes: readonly LaneVersion[];
}

/** A piece where it stands in its block. */
export interface PlacedPiece {
  readonly row: PieceRow;
  /** From the beginning of the block; null where no time is left for it. */
  readonly at: Milliseconds | null;
}

/** A block as the run sheet shows it, with when it begins and how long it is with its repeats. */
export interface BlockRow {
  readonly block: Block;
  readonly at: SessionTime;
  readonly ms: Milliseconds;
  readonly round: number | null;
  readonly pieces: readonly PlacedPiece[];
}

/** Whether a leaf is another one but for the moment at which it begins. */
function isMoved(leaf: Leaf, before: Leaf | undefined, by: Milliseconds): boolean {
  if (leaf === before) return true;
  if (!before || leaf.at - before.at !== by) return false;
  return (Object.keys(leaf) as (keyof Leaf)[]).every((key) => key === 'at' || alike(leaf[key], before[key]));
}

const areMoved = (leaves: readonly Leaf[], before: readonly Leaf[], by: Milliseconds): boolean =>
  leaves.length === before.length && leaves.every((leaf, index) => isMoved(leaf, before[index], by));

/** The leaves of a piece's first pass, one for each of its stages. */
function firstLeaves(leaves: readonly Leaf[], piece: Piece): Leaf[] {
  const seen = new Set<number>();
  return leaves.filter((leaf) => {
    const number = leaf.stage?.number ?? 0;
    if (leaf.pieceId !== piece.id || seen.has(number)) return false;
    seen.add(number);
    return true;
  });
}

const knownPieces = new WeakMap<Piece, PieceRow>();

function pieceRow(piece: Piece, leaves: readonly Leaf[], lanes: readonly LaneVersion[]): PieceRow {
  const before = knownPieces.get(piece);
  const by = (leaves[0]?.at ?? 0) - (before?.leaves[0]?.at ?? 0);
  if (before && areMoved(leaves, before.leaves, by) && alike(lanes, before.lanes)) return before;
  const row = { piece, leaves, lanes };
  knownPieces.set(piece, row);
  return row;
}

function placedPiece(
  piece: Piece,
  leaves: readonly Leaf[],
  start: SessionTime,
  lanes: readonly LaneVersion[],
): PlacedPiece {
  const [first] = leaves;
  return { row: pieceRow(piece, leaves, lanes), at: first ? first.at - start : null };
}

/** What the row of a block was made of, the last time. */
interface KnownBlock {
  readonly leaves: readonly Leaf[];
  readonly lanes: readonly Lane[];
  readonly row: BlockRow;
}

const knownBlocks = new WeakMap<Block, KnownBlock>();

/** The very same row where nothing of a block is another than before; the very same pieces where it begins at another moment. */
function blockRow(block: Block, at: SessionTime, leaves: readonly Leaf[], lanes: readonly Lane[]): BlockRow {
  const round = leaves[0]?.round ?? null;
  const before = knownBlocks.get(block);
  const moved = before && areMoved(leaves, before.leaves, at - before.row.at) && alike(lanes, before.lanes);
  if (moved && before.row.at === at && before.row.round === round) return before.row;
  const pieces = moved
    ? before.row.pieces
    : block.pieces.map((piece) => placedPiece(piece, firstLeaves(leaves, piece), at, pieceLanes(piece, block, lanes)));
  const row = { block, at, ms: blockLength(block), round, pieces };
  knownBlocks.set(block, { leaves, lanes, row });
  return row;
}

/**
 * The rows of a sheet, block by block: those that a change leaves as they were are the very same objects.
 * @example blockRows(sheet, compile(sheet).leaves, [])[0].pieces[0].at // 0
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
