import { limbOf, walk, type Stance } from '../mechanics/walk';
import { unfold } from '../mechanics/steps';
import { moveKind } from '../moves/catalogue';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { ladder } from '../progressions/ladder';
import { emptySheet, freshBlock, type FreshId } from '../sheet/fresh';
import type { Sheet } from '../sheet/schema';
import type { Milliseconds, PaceFactor } from '../units';

// One athlete alone: a combination is looped slowly until it sits, then there is one more of it; when all of it sits, it gets
// faster until it breaks (trade page, section 5: raise until it breaks).

/** Slow at first, then so much faster with each rung (house values). */
export const soloPaces = { first: 0.6, step: 0.1, last: 1.4 } as const;
const soloMs: Milliseconds = 30 * 60_000;
/** A short breath: whoever learns alone wants the next repetition soon (house value). */
const soloGapMs: Milliseconds = 2500;
/** The address and the name under which a solo runs; it is no sheet of the coach's. */
export const soloId = 'solo';

/** What is looped, and how fast. */
export interface SoloRung {
  /** Canonical text in six. */
  readonly text: string;
  readonly pace: PaceFactor;
}

/**
 * One more each time it sits: the stages of the combination slowly, then the whole of it faster and faster.
 * @example soloLadder(combination).map(({ text, pace }) => `${text} ${pace}`) // ['1 0.6', '1 2 0.6', '1 2 0.7', …]
 */
export function soloLadder(goal: Combination): SoloRung[] {
  const { first, step, last } = soloPaces;
  const slowly = ladder(goal).map(({ combination }) => ({ text: writeCombination(combination), pace: first }));
  const faster = Array.from({ length: Math.round((last - first) / step) }, (_, at) => ({
    text: writeCombination(goal),
    pace: Math.round(100 * (first + (at + 1) * step)) / 100,
  }));
  return [...slowly, ...faster];
}

/** The session that a solo is run as: half an hour of its first rung, each strike called; rungs are changes while it runs. */
export function soloSheet(goal: Combination, name: string, stance: Stance, freshId: FreshId): Sheet {
  const [rung] = soloLadder(goal);
  const piece = {
    kind: 'combination',
    id: freshId(),
    ms: soloMs,
    effort: 'steady',
    text: rung?.text ?? writeCombination(goal),
    voice: 'strikes',
    gapMs: soloGapMs,
  } as const;
  const round = { ...freshBlock('round', freshId, [piece]), ms: soloMs };
  return { ...emptySheet(freshId, `Solo: ${name}`), id: soloId, class: { people: 1 }, stance, blocks: [round] };
}

/** A combination by this athlete's own left and right, step by step. `saySides(combination, 'southpaw')[0]` → `right jab` */
export function saySides(combination: Combination, stance: Stance): string[] {
  return walk(unfold(combination), stance).steps.map((here) =>
    here.step.content
      .map((each) => {
        if (each.kind !== 'move') return each.kind === 'slot' ? 'your choice' : 'freestyle';
        const { name, targets } = moveKind(each.id);
        const limb = limbOf(each, here.stance);
        const aside = each.target !== null && each.target !== targets[0] ? ` to the ${each.target}` : '';
        return `${each.feint ? 'feint ' : ''}${limb ? `${limb.split(' ')[0] ?? ''} ` : ''}${name}${aside}`;
      })
      .join(' with '),
  );
}
