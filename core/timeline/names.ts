import type { BlockKind } from '../sheet/schema';
import { drillNames } from '../progressions/kinds';
import type { Leaf } from './leaf';

/** Blocks as they are shown and called; the words are recorded. */
export const blockWords: Readonly<Record<BlockKind, string>> = {
  'warm-up': 'Warm-up',
  show: 'Demo',
  round: 'Round',
  rest: 'Rest',
  conditioning: 'Conditioning',
  core: 'Core',
  'cool-down': 'Cool-down',
};

/** What a block's name is made of; a leaf has it, and so has a block with its round. */
export type Named = Pick<Leaf, 'block' | 'round' | 'title'>;

/** `Round 3`, `Warm-up` */
export function plainName({ block, round }: Named): string {
  return round === null ? blockWords[block] : `Round ${round}`;
}

/** A block's name as it is shown. `Round 3 · Four and then six`, `Warm-up` */
export function blockName(named: Named): string {
  return named.title ? `${plainName(named)} · ${named.title}` : plainName(named);
}

/** What a leaf is within its block, in the fewest words; null where the block says it all. `stage 2 of 6`, `free work` */
export function leafDetail({ doing, stage, drill, row, words }: Leaf): string | null {
  if (stage) return `stage ${stage.number} of ${stage.of}`;
  switch (doing) {
    case 'own-time':
      return 'free work';
    case 'change-over':
      return 'switch stance';
    case 'calls':
      return drill ? drillNames[drill.kind] : 'calls';
    case 'rhythm':
      return `rhythm ${row.join(', ')}`;
    case 'pause':
      return words ? `pause, next: ${words}` : 'pause';
    case 'unplanned':
      return 'unplanned';
    case 'words':
    case 'combination':
      return words || null;
    case 'free':
      return null;
  }
}

/** A leaf's whole name. `Round 3 · Four and then six · stage 2 of 6` */
export function leafName(leaf: Leaf): string {
  const detail = leafDetail(leaf);
  return detail === null ? blockName(leaf) : `${blockName(leaf)} · ${detail}`;
}
