import type { Combination } from '../notation/combination';
import type { DrillCall, DrillKind } from '../progressions/call-drill';
import type { Milliseconds, PaceFactor, PerMinute, SessionTime } from '../units';
import type { Effort } from './effort';
import type { BlockKind } from './schema';

/** What somebody does in a leaf. `unplanned` is time of a block that no piece fills. */
export type Doing = 'combination' | 'own-time' | 'words' | 'calls' | 'change-over' | 'free' | 'unplanned';

/** A stretch of the timeline that is not parted any further. */
export interface Leaf {
  readonly at: SessionTime;
  readonly ms: Milliseconds;
  readonly kind: 'piece' | 'stage' | 'show' | 'rest' | 'change-over';
  readonly block: BlockKind;
  readonly blockId: string;
  /** null where the block itself, or the rest between its repeats, is meant. */
  readonly pieceId: string | null;
  /** Number of the work round, from 1; null outside rounds. */
  readonly round: number | null;
  readonly label: string;
  /** What the label says behind the block's name. */
  readonly detail?: string;
  readonly doing: Doing;
  readonly effort: Effort;
  readonly pace: PaceFactor;
  readonly nonStop: boolean;
  /** Breath between repetitions. */
  readonly gapMs: Milliseconds;
  readonly combination: Combination | null;
  /** What is done between repetitions, in the coach's words. */
  readonly between: string | null;
  readonly otherStance: 'carry on mirrored' | 'reset';
  /** Whether the class stands the other way round than the sheet says. */
  readonly mirrored: boolean;
  /** Which part of a block that is done in both stances, or of a stretch that a change of stance parts. */
  readonly half: 'first' | 'second';
  /** Each strike called on its own time, or a click; null for neither. */
  readonly voice: 'strikes' | 'click' | null;
  /** Clicks a minute. */
  readonly bpm: PerMinute;
  /** Places of the new moves in a stage. */
  readonly added: readonly number[];
  /** Places of the early moves that a stage should be reminded of. */
  readonly remind: readonly number[];
  readonly stage: { readonly number: number; readonly of: number } | null;
  readonly drill: DrillKind | null;
  /** The script of a calls drill, from the leaf's beginning. */
  readonly script: readonly DrillCall[];
  /** Calls of the coach's own, from the leaf's beginning. */
  readonly says: readonly { readonly at: Milliseconds; readonly words: string }[];
  readonly words: string | null;
  readonly open: boolean;
}

/** A whole session in order, without gap or overlap. */
export interface Timeline {
  readonly ms: Milliseconds;
  /** Breaks that last until a key is pressed; they take no time here. */
  readonly openBreaks: number;
  readonly rounds: number;
  readonly leaves: readonly Leaf[];
}
