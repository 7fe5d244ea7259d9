import type { BagKind, Level } from '../bags/kind-names';
import type { Milliseconds } from '../units';
import type { Letter } from './alphabet';

/** What a wish about the moves of a combination comes to. */
export type WishKind =
  /** So many of some moves. */
  | { readonly kind: 'count'; readonly of: ReadonlySet<Letter>; readonly least: number; readonly most: number }
  /** So many moves in all. */
  | { readonly kind: 'moves'; readonly least: number; readonly most: number }
  | { readonly kind: 'begins'; readonly letters: readonly Letter[] }
  | { readonly kind: 'ends'; readonly letters: readonly Letter[] }
  /** These in this order, others may lie between. */
  | { readonly kind: 'contains'; readonly letters: readonly Letter[] }
  | { readonly kind: 'without'; readonly letters: ReadonlySet<Letter> }
  | { readonly kind: 'only'; readonly letters: ReadonlySet<Letter> }
  | { readonly kind: 'on'; readonly bag: BagKind }
  | { readonly kind: 'level'; readonly level: Level }
  /** No stuck seam inside, or none from the end to the beginning. */
  | { readonly kind: 'flows' }
  | { readonly kind: 'loops' }
  | { readonly kind: 'same stance' }
  | { readonly kind: 'at most'; readonly ms: Milliseconds };

/** A wish as it was said. */
export type Wish = WishKind & { readonly phrase: string };

/** Longer combinations are not composed (house value). */
export const mostMoves = 30;
