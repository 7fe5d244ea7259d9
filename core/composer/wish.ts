import type { Conditions } from '../bags/conditions';
import type { BagKind, Level } from '../bags/kind-names';
import type { Target } from '../moves/kind';
import { six, type Scheme } from '../moves/scheme';
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
  /** These moves and no others, `null` standing for any one. */
  | { readonly kind: 'like'; readonly places: readonly (Letter | null)[] }
  /** Strikes go through these heights, over and over. */
  | { readonly kind: 'heights'; readonly pattern: readonly Target[] }
  /** Strikes of one side outnumber those of the other by at most so many per cent of all. */
  | { readonly kind: 'sides'; readonly percent: number }
  /** After each defence a strike comes next. */
  | { readonly kind: 'answered' }
  /** At least so many edits from each of these. */
  | { readonly kind: 'away'; readonly from: readonly (readonly Letter[])[]; readonly edits: number }
  /** Fits a bag as it hangs; the level is a wish of its own. */
  | { readonly kind: 'on'; readonly bag: BagKind; readonly conditions: Omit<Conditions, 'level'> }
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

/** What wishes may name besides moves: combinations of a book, bags of a room, drills for faults, the coach's schools and numbers. */
export interface WishNames {
  readonly scheme: Scheme;
  readonly book: readonly { readonly name: string; readonly letters: readonly Letter[] }[];
  readonly bags: readonly {
    readonly name: string;
    readonly kind: BagKind;
    readonly conditions: Omit<Conditions, 'level'>;
  }[];
  readonly drills: readonly { readonly names: readonly string[]; readonly letters: readonly Letter[] }[];
  readonly conditions: Omit<Conditions, 'level'>;
}

/** Where there is no book and no room, and numbers are those that everybody agrees on. */
export const noNames: WishNames = { scheme: six, book: [], bags: [], drills: [], conditions: {} };
