import type { Level } from '../bags/kind-names';
import type { StillName } from '../figure/stills';
import type { Milliseconds } from '../units';

/** What a piece may need beside floor and shoes. */
export type Equipment = 'rope' | 'mat' | 'bag';

/** A warm-up, core or cool-down piece: what it is called, how long it usually takes, and how it is done. */
export interface Exercise {
  readonly name: string;
  /** What it was called before; sheets that say so mean it. */
  readonly formerly?: string;
  /** How the figure stands for it; null where it cannot show it. */
  readonly still: StillName | null;
  readonly part: 'warm-up' | 'core' | 'cool-down';
  readonly ms: Milliseconds;
  /** How it is done, in our own words. */
  readonly how: string;
  /** The easiest level it is given to. */
  readonly from: Level;
  readonly needs?: Equipment;
  /** Feet leave the floor. */
  readonly jumps?: true;
  /** The hands carry weight with the wrist bent. */
  readonly onHands?: true;
  /** The arms work above or far from the shoulder. */
  readonly shoulders?: true;
}
