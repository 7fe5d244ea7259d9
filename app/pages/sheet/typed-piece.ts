import { freshBlock, freshBuild, piecesLength, type Block, type Milliseconds, type Piece } from '../../../core/index';
import { freshId } from '../../services/fresh-id';

/** What the coach typed: kept text, and a length where one was written in front. */
export interface Entered {
  /** A combination; one to be built up; or a whole line of tempo text, already read. */
  readonly what: 'combination' | 'build' | 'line';
  readonly text: string;
  readonly ms: Milliseconds | null;
  /** The pieces of a line. */
  readonly pieces?: readonly Piece[];
}

/** How long a piece is that does not say so. */
export const usualMs: Milliseconds = 30_000;

/** The pieces that were typed, half a minute long unless they say otherwise. */
export function piecesOf({ what, text, ms, pieces }: Entered): readonly Piece[] {
  switch (what) {
    case 'combination':
      return [{ kind: 'combination', id: freshId(), ms: ms ?? usualMs, effort: 'steady', text }];
    case 'build':
      return [{ ...freshBuild(text, freshId), every: [ms ?? usualMs] }];
    case 'line':
      return pieces ?? [];
  }
}

/** The piece cut to what is left of a block, half a minute at most; a block without pieces is filled by its first. */
export function fitInto(block: Block, piece: Piece, entered: Entered): Piece {
  const left = (block.ms ?? 0) - piecesLength(block);
  if (piece.kind === 'build' || entered.ms !== null || left <= 0) return piece;
  return { ...piece, ms: block.pieces.length === 0 ? left : Math.min(usualMs, left) };
}

/** A round of its own: as long as its pieces where they say so, else of the usual length and filled by the only one. */
export function roundFor(pieces: readonly Piece[], entered: Entered): Block {
  const round = freshBlock('round', freshId);
  const [only, ...more] = pieces;
  const told = entered.ms !== null || more.length > 0 || only?.kind === 'build';
  const ms = told ? Math.max(1000, piecesLength({ ...round, pieces: [...pieces] })) : round.ms;
  if (told || !only || ms === null) return { ...round, ms, pieces: [...pieces] };
  return { ...round, ms, pieces: [{ ...only, ms }] };
}
