import type { RhythmTouch } from '../bags/rhythm';
import type { Effort, Focus } from '../mechanics/effort';
import type { Stance } from '../mechanics/walk';
import type { Combination } from '../notation/combination';
import type { CallDrill, DrillCall } from '../progressions/call-drill';
import type { BuildKind } from '../progressions/kinds';
import type { StageStep } from '../progressions/ladder';
import type { BlockKind } from '../sheet/schema';
import type { Milliseconds, PaceFactor, PerMinute, Percent, SessionTime } from '../units';

/** What somebody does in a leaf. `unplanned` is time of a block that no piece fills. */
export type Doing =
  'combination' | 'own-time' | 'words' | 'calls' | 'rhythm' | 'pause' | 'change-over' | 'free' | 'unplanned';

/** Which rung of which build a leaf is. */
export interface LeafStage {
  readonly number: number;
  readonly of: number;
  readonly build: BuildKind;
  readonly step: StageStep;
}

/** A stretch of the timeline that is not parted any further. What it is called is put together from its fields (`names.ts`). */
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
  /** The block's own title. */
  readonly title: string | null;
  /** The rest between two repeats of a block. */
  readonly betweenRepeats: boolean;
  readonly doing: Doing;
  readonly effort: Effort;
  readonly focus: Focus | null;
  /** How hard each strike is, in per cent; null where nothing is said of it. */
  readonly power: Percent | null;
  readonly pace: PaceFactor;
  readonly nonStop: boolean;
  /** Breath between repetitions. */
  readonly gapMs: Milliseconds;
  readonly combination: Combination | null;
  /** What is done between repetitions, in the coach's words. */
  readonly between: string | null;
  readonly otherStance: 'carry on mirrored' | 'reset';
  /** The stance that the piece itself asks for; null where it stands as the sheet says. */
  readonly wanted: Stance | null;
  /** How the class stands: as the sheet says, turned round, or as the piece says. */
  readonly stance: Stance;
  /** Whether the class stands the other way round than the sheet says. */
  readonly mirrored: boolean;
  /** Which part of a block that is done in both stances, or of a stretch that a change of stance parts. */
  readonly half: 'first' | 'second';
  /** The kinds of bag it is done on, lanes included; none where hands are free. */
  readonly bags: readonly string[];
  /** Each strike called on its own time, or a click; null for neither. */
  readonly voice: 'strikes' | 'click' | null;
  /** Clicks a minute. */
  readonly bpm: PerMinute;
  /** Places of the new moves in a stage. */
  readonly added: readonly number[];
  /** Places of the early moves that a stage should be reminded of. */
  readonly remind: readonly number[];
  readonly stage: LeafStage | null;
  /** What the calls of a calls drill are drawn by. */
  readonly drill: CallDrill | null;
  /** The calls of a calls drill, from the leaf's beginning. */
  readonly drillCalls: readonly DrillCall[];
  /** The touches of a rhythm, from the leaf's beginning, and its row of rebounds. */
  readonly touches: readonly RhythmTouch[];
  readonly row: readonly number[];
  /** Calls of the coach's own, from the leaf's beginning. */
  readonly says: readonly { readonly at: Milliseconds; readonly words: string }[];
  /** The piece's own words; of a pause, those of what is next. */
  readonly words: string | null;
  readonly open: boolean;
  /** Goes on with what the leaf before it did: a change while it ran has parted them (its pace, say). */
  readonly goesOn: boolean;
}

/** The leaves of a piece that a live change has parted, from its beginning; else the leaf alone. */
export function wholeOf({ leaves }: Timeline, leaf: Leaf): readonly Leaf[] {
  const at = leaves.indexOf(leaf);
  const first = leaves.findLastIndex(({ goesOn }, index) => index <= at && !goesOn);
  const next = leaves.findIndex(({ goesOn }, index) => index > at && !goesOn);
  return at < 0 ? [leaf] : leaves.slice(Math.max(0, first), next < 0 ? leaves.length : next);
}

/** A whole session in order, without gap or overlap. */
export interface Timeline {
  readonly ms: Milliseconds;
  /** Breaks that last until a key is pressed; they take no time here. */
  readonly openBreaks: number;
  readonly rounds: number;
  readonly leaves: readonly Leaf[];
}
