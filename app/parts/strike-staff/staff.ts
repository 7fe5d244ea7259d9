import type { Side, Target } from '../../../core/index';

/** What a move looks like; told apart by outline alone, never by colour. */
export type Outline =
  | 'straight'
  | 'turning'
  | 'rising'
  | 'elbow'
  | 'knee'
  | 'kick'
  | 'teep'
  | 'push'
  | 'defence'
  | 'feet'
  | 'hold'
  | 'conditioning'
  | 'wait'
  | 'slot';

export interface Glyph {
  readonly key: string;
  /** Place in the written combination. */
  readonly path: readonly number[];
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly outline: Outline;
  readonly side: Side | null;
  readonly label: string;
  /** What stands under it; empty where names are not shown. */
  readonly name: string;
  readonly title: string;
  readonly aim: string | null;
  readonly isNew: boolean;
  /** Drawn unfilled: shown, not thrown, or the athlete's own choice. */
  readonly hollow: boolean;
  readonly force: 'hard' | 'light' | null;
}

/** A seam that does not flow, drawn in its gap. */
export interface SeamMark {
  readonly x: number;
  readonly verdict: 'reload' | 'step' | 'turned';
  readonly warning: boolean;
  readonly reason: string;
}

/** Signs that belong to groups and turns: `[`, `/`, `]`, `×3`. */
export interface Sign {
  readonly x: number;
  readonly text: string;
}

export interface Stave {
  readonly side: Side;
  readonly target: Target;
  readonly y: number;
}

/** A combination laid out on the strike staff, in units of its own; the drawing scales it. */
export interface StaffLayout {
  readonly width: number;
  readonly height: number;
  readonly middle: number;
  readonly staves: readonly Stave[];
  readonly glyphs: readonly Glyph[];
  readonly marks: readonly SeamMark[];
  readonly signs: readonly Sign[];
  readonly brackets: readonly { readonly from: number; readonly to: number; readonly text: string }[];
  /** Where the feet have traded places. */
  readonly bands: readonly { readonly from: number; readonly to: number }[];
  /** When a move comes in, over it. */
  readonly moments: readonly { readonly x: number; readonly text: string }[];
  /** Step numbers under the strikes, where they are asked for. */
  readonly steps: readonly { readonly x: number; readonly text: string }[];
  /** Pairs: two glyphs joined by a stem. */
  readonly stems: readonly { readonly x: number; readonly from: number; readonly to: number }[];
}
