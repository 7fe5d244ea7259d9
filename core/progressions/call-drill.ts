import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { numberWord } from '../number-words';
import { moveKind } from '../moves/catalogue';
import { paceOf } from '../mechanics/effort';
import type { Milliseconds, PaceFactor } from '../units';
import type { DrillKind } from './kinds';

/** What a calls drill is made from. The same one always gives the same script. */
export interface CallDrill {
  readonly kind: DrillKind;
  readonly ms: Milliseconds;
  readonly seed: number;
  /** Fewest and most punches of an answer; direction and go grow from one to the other. */
  readonly least: number;
  readonly most: number;
  /** Stillness between the end of an answer and the next call. */
  readonly gapLeastMs: Milliseconds;
  readonly gapMostMs: Milliseconds;
  /** Counts grow too: the most that may be called rises from the fewest as it goes on. */
  readonly grows?: boolean;
  /** How fast the answers are; 1 unless told. */
  readonly pace?: PaceFactor;
  /** Where in a longer drill this part stands, for what grows; the whole of it unless told. */
  readonly partOf?: { readonly from: Milliseconds; readonly ms: Milliseconds };
}

/** A word of the script and the time its answer takes. */
export interface DrillCall {
  readonly at: Milliseconds;
  readonly say: string;
  readonly punches: number;
  readonly answerMs: Milliseconds;
}

/** What a drill takes where it is not told (trade command, `calldrill`). */
export const usualDrill = { least: 2, most: 6, gapLeastMs: 1000, gapMostMs: 4000, seed: 1 } as const;

export const directions = ['forward', 'back', 'left', 'right'] as const;

/** Hearing a word and beginning to move (house value; simple reactions to sound take about 0.2 s, from memory). */
const reactionMs: Milliseconds = 400;
/** Each direction stands twice in a pack, so that the last of a pack is rarely given away. */
const packsOf = 2;

/** Time an answer takes: reaction, straights, and for a direction the step there and back. `answerLength('count', 3)` → `1300` */
export function answerLength(kind: DrillKind, punches: number, pace: PaceFactor = 1): Milliseconds {
  const straight = moveKind('jab').ms;
  const own = kind === 'go' ? paceOf('steady', 'speed') : 1;
  const steps = kind === 'direction' ? 2 * moveKind('step-in').ms : 0;
  return Math.round(reactionMs + ((punches * straight) / own + steps) / pace);
}

/** Stillness in which a drill in a session explains itself before its first call may come (house value). */
export const drillLeadMs: Milliseconds = 4000;

/** The part of a script that falls into a stretch of its drill whole, from the stretch's beginning. `cutScript(script, 30_000, 30_000)` */
export function cutScript(script: readonly DrillCall[], from: Milliseconds, ms: Milliseconds): readonly DrillCall[] {
  if (script.length === 0) return script;
  return script
    .filter(({ at, answerMs }) => at >= from && at + answerMs <= from + ms)
    .map((call) => ({ ...call, at: call.at - from }));
}

/**
 * The script of a calls drill: seeded, balanced in its directions, no call before the last answer and the least gap
 * are over, the last answer inside the time.
 * @example callDrill({ kind: 'go', ms: 60_000, ...usualDrill })[0] // { at: 2310, say: 'go', punches: 2, answerMs: 862 }
 */
export function callDrill(drill: CallDrill): DrillCall[] {
  const random = xoroshiro128plus(drill.seed);
  const between = (least: number, most: number): number => uniformInt(random, least, Math.max(least, most));
  let pack: string[] = [];
  const direction = (): string => {
    if (pack.length === 0) pack = Array.from({ length: packsOf }, () => directions).flat();
    return pack.splice(between(0, pack.length - 1), 1)[0] ?? 'forward';
  };
  const calls: DrillCall[] = [];
  const { from, ms } = drill.partOf ?? { from: 0, ms: drill.ms };
  let at = between(drill.gapLeastMs, drill.gapMostMs);
  for (;;) {
    const grown = Math.round(drill.least + (drill.most - drill.least) * Math.min(1, (from + at) / ms));
    const punches = drill.kind === 'count' ? between(drill.least, drill.grows ? grown : drill.most) : grown;
    const answerMs = answerLength(drill.kind, punches, drill.pace);
    if (at + answerMs > drill.ms) return calls;
    const say = drill.kind === 'count' ? numberWord(punches) : drill.kind === 'go' ? 'go' : direction();
    calls.push({ at, say, punches, answerMs });
    at += answerMs + between(drill.gapLeastMs, drill.gapMostMs);
  }
}
