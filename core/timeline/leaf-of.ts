import type { Content } from './content';
import type { Leaf } from './leaf';

/** Where a stretch stands on the clock and how the class stands in it: what a leaf has besides its content, or instead. */
export type Placing = Omit<Leaf, Exclude<keyof Content, 'pace' | 'says'>>;

/**
 * A content where it stands. Field by field: engines keep an object that is spread together from so many fields as a table
 * to look up, which is slow to make (a hundred times) and slow to read ever after.
 * @example leafOf(content, { ...placing, at: 0 }).at // 0
 */
export function leafOf(content: Content, placing: Placing): Leaf {
  return {
    at: placing.at,
    ms: content.ms,
    kind: content.kind,
    block: placing.block,
    blockId: placing.blockId,
    pieceId: content.pieceId,
    round: placing.round,
    title: placing.title,
    betweenRepeats: placing.betweenRepeats,
    doing: content.doing,
    effort: content.effort,
    focus: content.focus,
    power: content.power,
    pace: placing.pace,
    nonStop: content.nonStop,
    gapMs: content.gapMs,
    combination: content.combination,
    between: content.between,
    otherStance: content.otherStance,
    wanted: content.wanted,
    stance: placing.stance,
    mirrored: placing.mirrored,
    half: placing.half,
    bags: placing.bags,
    voice: content.voice,
    bpm: content.bpm,
    added: content.added,
    remind: content.remind,
    stage: content.stage,
    drill: content.drill,
    drillCalls: content.drillCalls,
    touches: content.touches,
    row: content.row,
    says: placing.says,
    words: content.words,
    open: content.open,
    goesOn: content.goesOn,
  };
}
