import { studyOf } from '../mechanics/study-of';
import type { Combination } from '../notation/combination';
import type { RhythmTouch } from '../bags/rhythm';
import { cutScript, type DrillCall } from '../progressions/call-drill';
import type { Milliseconds, PaceFactor } from '../units';
import { usualPieces, type Stances } from '../sheet/stances';

/** What the plan needs to know of a stretch of work. */
export interface Stretch {
  readonly ms: Milliseconds;
  readonly combination: Combination | null;
  readonly pace: PaceFactor;
  readonly gapMs: Milliseconds;
  readonly nonStop: boolean;
  /** Of a calls drill, and of a rhythm. */
  readonly drillCalls: readonly DrillCall[];
  readonly touches: readonly RhythmTouch[];
}

/** A stretch, whether the plan turns the class round in it, and whether it is settling. */
export interface Planned<Content extends Stretch> {
  readonly content: Content;
  readonly turned: boolean;
  readonly settling: boolean;
}

/** A part of a stretch; a calls drill keeps the calls that fall into it whole, a rhythm its touches. */
export function partOf<Content extends Stretch>(content: Content, from: Milliseconds, ms: Milliseconds): Content {
  if (ms === content.ms) return content;
  const touches = content.touches
    .filter(({ at }) => at >= from && at < from + ms)
    .map((each) => ({ ...each, at: each.at - from }));
  return { ...content, ms, drillCalls: cutScript(content.drillCalls, from, ms), touches };
}

const total = (contents: readonly Stretch[]): Milliseconds => contents.reduce((sum, { ms }) => sum + ms, 0);

/** Time into a stretch at which a repetition has just ended, nearest to a wished one and inside it; so nobody is called over in the middle of one. */
function repetitionEnd(stretch: Stretch, wished: Milliseconds): Milliseconds {
  if (!stretch.combination || stretch.combination.items[0]?.kind === 'freestyle') return wished;
  const length = studyOf(stretch.combination, 'orthodox', stretch.nonStop).ms / stretch.pace;
  const cycle = length + stretch.gapMs;
  const count = Math.max(1, Math.round((wished - length) / cycle) + 1);
  const end = Math.round(length + (count - 1) * cycle);
  return end > 0 && end < stretch.ms ? end : wished;
}

/** The stretches with settling put in at a moment; it takes its time from what follows. Where it falls into a stretch, it waits for the end of a repetition. */
function changeAt<Content extends Stretch>(
  contents: readonly Content[],
  moment: Milliseconds,
  settleMs: Milliseconds,
): Planned<Content>[] {
  const out: Planned<Content>[] = [];
  let at = 0;
  let settled = false;
  for (const content of contents) {
    const end = at + content.ms;
    const put = (from: Milliseconds, ms: Milliseconds, turned: boolean, settling: boolean): void => {
      if (ms > 0) out.push({ content: partOf(content, from, ms), turned, settling });
    };
    if (settled || end <= moment) put(0, content.ms, settled, false);
    else {
      const before = moment <= at ? 0 : repetitionEnd(content, moment - at);
      const settle = Math.min(settleMs, content.ms - before);
      put(0, before, false, false);
      put(before, settle, true, true);
      put(before + settle, content.ms - before - settle, true, false);
      settled = true;
    }
    at = end;
  }
  return out;
}

/** Settling before every k-th piece of the session's rounds, and the class turned round from there on; a round's first piece has the rest before it to settle in. */
function changeEach<Content extends Stretch>(
  contents: readonly Content[],
  { pieces = usualPieces, settleMs }: Stances,
  before: number,
): Planned<Content>[] {
  return contents.flatMap((content, index): Planned<Content>[] => {
    const turned = Math.floor((before + index) / pieces) % 2 === 1;
    const settle = index === 0 || (before + index) % pieces !== 0 ? 0 : Math.min(settleMs, content.ms);
    return [
      { content: partOf(content, 0, settle), turned, settling: true },
      { content: partOf(content, settle, content.ms - settle), turned, settling: false },
    ].filter(({ content: { ms } }) => ms > 0);
  });
}

/**
 * A round's stretches with the changes of stance that a plan puts inside it. `second` says where the second half of
 * learn-then-mirror begins; there too the class settles first. `before` is how many pieces earlier rounds had.
 */
export function planInside<Content extends Stretch>(
  contents: readonly Content[],
  stances: Stances,
  second: Milliseconds | null,
  before: number,
): Planned<Content>[] {
  if (stances.plan === 'half round') return changeAt(contents, Math.floor(total(contents) / 2), stances.settleMs);
  if (stances.plan === 'learn then mirror' && second !== null) return changeAt(contents, second, stances.settleMs);
  if (stances.plan === 'each pieces') return changeEach(contents, stances, before);
  return contents.map((content) => ({ content, turned: false, settling: false }));
}
