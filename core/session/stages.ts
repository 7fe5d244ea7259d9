import { ladder, type Stage } from '../progressions/ladder';
import type { Milliseconds } from '../units';
import type { Block, PieceOf } from './schema';
import { readStored } from './stored';

const remembered = new WeakMap<PieceOf<'build'>, readonly Stage[]>();

/** The rungs of a build, none where its goal cannot be read. Remembered by the piece, which is never changed in place. */
export function stagesOf(build: PieceOf<'build'>): readonly Stage[] {
  let stages = remembered.get(build);
  if (!stages) {
    const goal = readStored(build.goal);
    stages = goal.ok ? ladder(goal.value, build.defence) : [];
    remembered.set(build, stages);
  }
  return stages;
}

/** How long each stage lasts; where lengths were given for fewer stages the last one goes on. */
export function stageLengths(build: PieceOf<'build'>): Milliseconds[] {
  const { every } = build;
  if (every === 'round') return [];
  return stagesOf(build).map((_, index) => every[Math.min(index, every.length - 1)] ?? 0);
}

const total = (lengths: readonly Milliseconds[]): Milliseconds => lengths.reduce((sum, each) => sum + each, 0);

/** Time a piece asks for. A build of one stage a round takes what the round's other pieces leave. */
export function pieceLength(piece: Block['pieces'][number]): Milliseconds {
  return piece.kind === 'build' ? total(stageLengths(piece)) : piece.ms;
}

/** Whether a build puts one stage into each repeat of its block. */
export function perRound(piece: Block['pieces'][number]): piece is PieceOf<'build'> {
  return piece.kind === 'build' && piece.every === 'round';
}

/** Time the pieces of one pass through a block ask for, stages a round left out. */
export function piecesLength(block: Block): Milliseconds {
  return total(block.pieces.map(pieceLength));
}
