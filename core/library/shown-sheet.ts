import type { Stance } from '../mechanics/walk';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { emptySheet, freshBlock, type FreshId } from '../sheet/fresh';
import type { Sheet } from '../sheet/schema';
import type { Milliseconds } from '../units';

/** How long a combination is taught, and how long it is then done, where it is shown by itself (house values). */
const taughtMs: Milliseconds = 60_000;
const doneMs: Milliseconds = 30_000;

/**
 * A combination shown by itself: taught in halves and whole, then done at pace, each strike called. What a film of a
 * combination is made of.
 * @example shownSheet(combination, 'Turnout', 'orthodox', freshId).blocks.map(({ kind }) => kind) // ['show', 'round']
 */
export function shownSheet(combination: Combination, name: string, stance: Stance, freshId: FreshId): Sheet {
  const text = writeCombination(combination);
  const piece = (ms: Milliseconds) => ({ kind: 'combination', id: freshId(), ms, effort: 'steady', text }) as const;
  const show = { ...freshBlock('show', freshId, [piece(taughtMs)]), ms: taughtMs };
  const round = { ...freshBlock('round', freshId, [{ ...piece(doneMs), voice: 'strikes' as const }]), ms: doneMs };
  return { ...emptySheet(freshId, name), stance, blocks: [show, round] };
}
