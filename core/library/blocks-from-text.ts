import { readTempoText } from '../formats/tempo-text/read';
import type { Block } from '../session/schema';

/** The blocks of a tempo text under ids of their own. `blocksFromText('round 2:00 x5 rest 1:00', freshId)` */
export function blocksFromText(text: string, freshId: () => string): Block[] {
  return readTempoText(text).sheet.blocks.map((block) => ({
    ...block,
    id: freshId(),
    pieces: block.pieces.map((piece) => ({ ...piece, id: freshId() })),
  }));
}
