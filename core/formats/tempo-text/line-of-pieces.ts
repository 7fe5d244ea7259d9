import type { Piece } from '../../sheet/schema';
import type { Meanings } from './body';
import { readBuild } from './build';
import { take, type Scan, type TextFault } from './line';
import { readPieces } from './piece';

/**
 * Reads one line of a block, a build or pieces, as it may be typed on its own.
 * @example readPieceLine('build pyramid every 0:30: 1 2 3', { scheme: six, parts: new Map() }, freshId).pieces
 */
export function readPieceLine(
  text: string,
  meanings: Meanings,
  freshId: () => string,
): { readonly pieces: Piece[]; readonly faults: readonly TextFault[] } {
  const scan: Scan = { line: { number: 1, text }, at: /^\s*/.exec(text)?.[0].length ?? 0, faults: [] };
  const pieces = take(scan, /build(?=\s|:|$)/)
    ? [readBuild(scan, meanings, freshId())]
    : readPieces(scan, meanings, freshId);
  return { pieces, faults: scan.faults };
}
