import type { Milliseconds } from '../units';
import type { Leaf } from './leaf';

/** Breath and a few steps between repetitions (house value, trade page, section 4). */
export const usualGapMs: Milliseconds = 3000;

/** What fills a stretch of a block, wherever the block stands. */
export type Content = Omit<
  Leaf,
  'at' | 'block' | 'blockId' | 'round' | 'title' | 'betweenRepeats' | 'stance' | 'mirrored' | 'half' | 'bags'
>;

export const nothing = {
  effort: 'steady',
  focus: null,
  power: null,
  wanted: null,
  pace: 1,
  nonStop: false,
  gapMs: usualGapMs,
  combination: null,
  between: null,
  voice: null,
  bpm: 120,
  otherStance: 'carry on mirrored',
  added: [],
  remind: [],
  drill: null,
  drillCalls: [],
  touches: [],
  row: [],
  says: [],
  stage: null,
  words: null,
  open: false,
  goesOn: false,
} as const;

/** What a stretch cannot be without. */
type Needed = Pick<Content, 'kind' | 'pieceId' | 'ms' | 'doing'>;

/**
 * A stretch; what is not told of it stands as in `nothing`. Field by field, as `leafOf` is, and for the same reason.
 * @example contentWith({ kind: 'rest', pieceId: null, ms: 60_000, doing: 'words' }).gapMs // 3000
 */
export function contentWith(own: Needed & Partial<Content>): Content {
  return {
    kind: own.kind,
    pieceId: own.pieceId,
    ms: own.ms,
    doing: own.doing,
    effort: own.effort ?? nothing.effort,
    focus: own.focus ?? nothing.focus,
    power: own.power ?? nothing.power,
    wanted: own.wanted ?? nothing.wanted,
    pace: own.pace ?? nothing.pace,
    nonStop: own.nonStop ?? nothing.nonStop,
    gapMs: own.gapMs ?? nothing.gapMs,
    combination: own.combination ?? nothing.combination,
    between: own.between ?? nothing.between,
    voice: own.voice ?? nothing.voice,
    bpm: own.bpm ?? nothing.bpm,
    otherStance: own.otherStance ?? nothing.otherStance,
    added: own.added ?? nothing.added,
    remind: own.remind ?? nothing.remind,
    drill: own.drill ?? nothing.drill,
    drillCalls: own.drillCalls ?? nothing.drillCalls,
    touches: own.touches ?? nothing.touches,
    row: own.row ?? nothing.row,
    says: own.says ?? nothing.says,
    stage: own.stage ?? nothing.stage,
    words: own.words ?? nothing.words,
    open: own.open ?? nothing.open,
    goesOn: own.goesOn ?? nothing.goesOn,
  };
}
