import { sheetFormat, sheetVersion, type Block, type BlockKind, type Piece, type PieceOf, type Sheet } from './schema';
import type { Milliseconds } from '../units';

/** Makes names that are used nowhere else; the app passes random ones, tests count. */
export type FreshId = () => string;

/** A sheet with nothing on it. */
export function emptySheet(freshId: FreshId, title = 'New sheet'): Sheet {
  return {
    format: sheetFormat,
    version: sheetVersion,
    id: freshId(),
    title,
    class: {},
    numbers: 'six',
    stance: 'orthodox',
    bag: 'shadow',
    blocks: [],
  };
}

const usualLength: Readonly<Record<BlockKind, Milliseconds>> = {
  'warm-up': 300_000,
  show: 30_000,
  round: 180_000,
  rest: 60_000,
  conditioning: 120_000,
  core: 180_000,
  'cool-down': 180_000,
};

/** A block of the usual length, without pieces: a plain stretch of the clock. */
export function freshBlock(kind: BlockKind, freshId: FreshId, pieces: readonly Piece[] = []): Block {
  return { id: freshId(), kind, ms: usualLength[kind], pieces: [...pieces] };
}

/** A ladder piece for kept text, half a minute a stage. */
export function freshBuild(goal: string, freshId: FreshId): PieceOf<'build'> {
  return { kind: 'build', id: freshId(), effort: 'steady', build: 'ladder', goal, defence: 'rides', every: [30_000] };
}
