import type { BagNature } from '../bags/kinds';
import type { Level } from '../bags/kind-names';
import type { BlockClock, CallKind, CountFrom, LeadOut, Talk } from '../sheet/call-kinds';
import type { CallEdit, TechniqueFocus } from '../sheet/calls';
import type { Milliseconds } from '../units';
import { usualSpeech, type Speech } from './speech';

/** Time to put gloves on and to take them off (house values; a sheet may say others). */
export const usualGloves = { onMs: 45_000, offMs: 20_000 } as const;

/** What a script is made by, beside the timeline. */
export interface CallOptions {
  readonly speech: Speech;
  readonly talk: Talk;
  /** Kinds that are left out. */
  readonly quiet: readonly CallKind[];
  readonly edits: readonly CallEdit[];
  readonly countFrom: CountFrom;
  readonly leadOut: LeadOut;
  readonly blockClock: BlockClock;
  /** Whether the breath is held in a rest (a school; trade page, section 6). */
  readonly breathHeld: boolean;
  readonly level: Level | null;
  /** The kinds of bag that a leaf names. */
  readonly natureOf: (bag: string) => BagNature | null;
  /** Focus lines of the session, and of a block. */
  readonly focusesOf: (blockId: string) => readonly TechniqueFocus[];
  readonly gloves: { readonly onMs: Milliseconds; readonly offMs: Milliseconds };
  /** All rounds of the session, so that each is named by its number of how many. */
  readonly rounds: number;
  /** Rounds before which groups change lanes. */
  readonly laneChanges: ReadonlySet<number>;
  /** Somebody is on pads, so hitter and holder change over at half of a piece. */
  readonly onPads: boolean;
}

export const usualOptions: CallOptions = {
  speech: usualSpeech,
  talk: 'all',
  quiet: [],
  edits: [],
  countFrom: 3,
  leadOut: 'three',
  blockClock: 'all',
  breathHeld: false,
  level: null,
  natureOf: () => null,
  focusesOf: () => [],
  gloves: usualGloves,
  rounds: 0,
  laneChanges: new Set(),
  onPads: false,
};
