import { callDrill, drillLeadMs, type DrillCall } from '../progressions/call-drill';
import type { Sheet } from '../sheet/schema';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, PaceFactor, SessionTime } from '../units';

/** How a drill goes on from a moment of its leaf. */
export interface DrillWay {
  readonly from: Milliseconds;
  /** Of what was planned: slower answers leave the calls further apart. */
  readonly pace: PaceFactor;
  readonly grows: boolean;
}

const mostSeed = 4_294_967_296;

/** A script of its own for a stretch of a drill; each stretch and each run has another one. */
function drawn(leaf: Leaf, way: DrillWay, begin: Milliseconds, end: Milliseconds): DrillCall[] {
  if (!leaf.drill) return [];
  const { drill } = leaf;
  const { pace, grows } = way;
  const seed = (drill.seed + begin) % mostSeed;
  const partOf = { from: begin, ms: leaf.ms };
  const script = callDrill({ ...drill, ms: Math.max(0, end - begin), seed, partOf, pace, grows });
  return script.map((call) => ({ ...call, at: call.at + begin }));
}

/**
 * The calls of a drill as live changes have it, from the leaf's beginning: as planned until something changed, drawn anew
 * behind that, and drawn on where the leaf has become longer, so that nobody knows what comes.
 * @example drilled(leaf, [{ from: 0, pace: 1, grows: false }], leaf.ms + 30_000)
 */
export function drilled(leaf: Leaf, ways: readonly DrillWay[], ms: Milliseconds): readonly DrillCall[] {
  return ways.flatMap((way, at) => {
    const next = ways[at + 1]?.from ?? Infinity;
    const asPlanned = way.from === 0 && way.pace === 1 && !way.grows;
    const begin = asPlanned ? leaf.ms : Math.max(way.from, drillLeadMs);
    const all = [...(asPlanned ? leaf.drillCalls : []), ...drawn(leaf, way, begin, ms)];
    return all.filter((call) => call.at >= way.from && call.at < next);
  });
}

/** A leaf without the calls that come before an answer, and the least stillness behind it, are over. `afterAnswer(leaf, 61_300)` */
export function afterAnswer(leaf: Leaf, answered: SessionTime): Leaf {
  if (!leaf.drill) return leaf;
  const from = answered + leaf.drill.gapLeastMs - leaf.at;
  const drillCalls = leaf.drillCalls.filter(({ at }) => at >= from);
  return drillCalls.length === leaf.drillCalls.length ? leaf : { ...leaf, drillCalls };
}

/** When the last answer of a leaf is over, on the session's clock; null where nothing was called. `answeredBy(leaf)` → `61_300` */
export function answeredBy({ at, drillCalls }: Leaf): SessionTime | null {
  const last = drillCalls.at(-1);
  return last ? at + last.at + last.answerMs : null;
}

/**
 * A sheet whose calls drills are drawn by a seed (any whole number) of this run, so that a class that does them again cannot know what comes;
 * a drill whose seed the coach has chosen stays. The very same sheet where nothing is drawn.
 * @example withFreshDrills(sheet, startedAt)
 */
export function withFreshDrills(sheet: Sheet, seed: number): Sheet {
  let count = 0;
  const blocks = sheet.blocks.map((block) => {
    if (!block.pieces.some((piece) => piece.kind === 'calls' && piece.seed === undefined)) return block;
    const pieces = block.pieces.map((piece) =>
      piece.kind === 'calls' && piece.seed === undefined ? { ...piece, seed: (seed + (count += 1)) % mostSeed } : piece,
    );
    return { ...block, pieces };
  });
  return count === 0 ? sheet : { ...sheet, blocks };
}
