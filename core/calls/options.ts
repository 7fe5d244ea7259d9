import type { CallEdit } from './phrasebook';
import type { CallKind, Talk } from './kinds';
import type { CountFrom } from '../run/cues';
import { usualSpeech, type Speech } from './speech';

/** What a script is made by, beside the timeline. */
export interface CallOptions {
  readonly speech: Speech;
  readonly talk: Talk;
  /** Kinds that are left out. */
  readonly quiet: readonly CallKind[];
  readonly edits: readonly CallEdit[];
  /** From which second the last ones are counted. */
  readonly countFrom: CountFrom;
  /** The kinds of bag that a block is done on. */
  readonly bagsOf: (blockId: string) => readonly string[];
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
  bagsOf: () => [],
  laneChanges: new Set(),
  onPads: false,
};
