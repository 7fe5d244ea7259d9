import type { Effort } from '../mechanics/effort';
import type { Combination } from '../notation/combination';
import type { Milliseconds, PaceFactor } from '../units';

/** A place in what was planned: a leaf of the sheet's own timeline, and how far into it. */
export interface Place {
  readonly leaf: number;
  readonly offset: Milliseconds;
}

/** What a live change does to what was planned, said in places of the plan, so that it can be taken back. */
export type Edit =
  | { readonly kind: 'pace'; readonly from: Place; readonly factor: PaceFactor }
  /** Calls drills grow from here on, or no longer do. */
  | { readonly kind: 'drill'; readonly from: Place; readonly grows: boolean }
  | { readonly kind: 'length'; readonly leaf: number; readonly ms: Milliseconds }
  | { readonly kind: 'skip'; readonly from: Place; readonly to: Place }
  | { readonly kind: 'turn'; readonly from: Place; readonly ms: Milliseconds }
  | { readonly kind: 'open'; readonly after: number }
  | {
      readonly kind: 'instead';
      readonly from: Place;
      /** The first leaf that is as planned again. */
      readonly until: number;
      readonly combination: Combination | null;
      /** How hard, and how that changes the pace. */
      readonly effort: Effort | null;
      readonly factor: PaceFactor;
    };

/** Whether a place stands before another. */
export function isBefore(one: Place, other: Place): boolean {
  return one.leaf < other.leaf || (one.leaf === other.leaf && one.offset < other.offset);
}
