import type { BallDrill, BallDrillOptions, DoubleEnd } from '../../core/index';

/** A combination to be thrown at a ball, step by step. */
export interface BallRequest {
  readonly ball: DoubleEnd;
  /** Canonical text in six. */
  readonly text: string;
  readonly options: BallDrillOptions;
}
export type BallAnswer =
  { readonly ok: true; readonly drill: BallDrill } | { readonly ok: false; readonly what: string };
