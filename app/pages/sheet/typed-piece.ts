import { freshBlock, freshBuild, piecesLength, type Block, type Milliseconds, type Piece } from '../../../core/index';
import { freshId } from '../../services/fresh-id';

/** What the coach typed: kept text, and a length where one was written in front. */
export interface Entered {
  /** A combination; one to be built up; the athlete's own time; or plain words, which were written in quotes. */
  readonly what: 'combination' | 'build' | 'own-time' | 'words';
  readonly text: string;
  readonly ms: Milliseconds | null;
}

const usualMs: Milliseconds = 30_000;

/** The piece that was typed, half a minute long unless it says otherwise. */
export function pieceOf({ what, text, ms }: Entered): Piece {
  const timed = { id: freshId(), ms: ms ?? usualMs, effort: 'steady' as const };
  switch (what) {
    case 'combination':
      return { kind: 'combination', ...timed, text };
    case 'own-time':
      return { kind: 'own-time', ...timed };
    case 'words':
      return { kind: 'words', ...timed, words: text };
    case 'build':
      return { ...freshBuild(text, freshId), every: [ms ?? usualMs] };
  }
}

/** The piece cut to what is left of a block, half a minute at most; a block without pieces is filled by its first. */
export function fitInto(block: Block, piece: Piece, entered: Entered): Piece {
  const left = (block.ms ?? 0) - piecesLength(block);
  if (piece.kind === 'build' || entered.ms !== null || left <= 0) return piece;
  return { ...piece, ms: block.pieces.length === 0 ? left : Math.min(usualMs, left) };
}

/** A round of its own for a piece, as long as the piece says, else of the usual length and filled by it. */
export function roundFor(piece: Piece, entered: Entered): Block {
  const round = freshBlock('round', freshId);
  const ms = entered.ms ?? round.ms;
  return { ...round, ms, pieces: [piece.kind === 'build' || ms === null ? piece : { ...piece, ms }] };
}
