import type { Move } from '../moves/move';
import type { Combination, Item, Slot } from './combination';

/** What becomes of a move: itself, another one, or null for nothing. */
export type ChangeMove = (move: Move) => Move | null;

function mapSlot(slot: Slot, change: ChangeMove): Slot {
  if (!slot.end) return slot;
  const end = change(slot.end);
  const { end: _, ...open } = slot;
  return end ? { ...slot, end } : open;
}

function mapItem(item: Item, change: ChangeMove): Item[] {
  switch (item.kind) {
    case 'move': {
      const changed = change(item);
      return changed ? [changed] : [];
    }
    case 'pair': {
      const [first, second] = item.moves.map(change);
      if (first && second) return [{ kind: 'pair', moves: [first, second] }];
      return [first, second].filter((each) => each !== null && each !== undefined);
    }
    case 'group': {
      const items = mapItems(item.items, change);
      return items.length > 0 ? [{ ...item, items }] : [];
    }
    case 'turns': {
      const options = item.options.map((option) => mapItems(option, change)).filter((option) => option.length > 0);
      return options.length > 1 ? [{ ...item, options }] : (options[0] ?? []);
    }
    case 'slot':
      return [mapSlot(item, change)];
    case 'freestyle':
      return [item];
  }
}

function mapItems(items: readonly Item[], change: ChangeMove): Item[] {
  return items.flatMap((item) => mapItem(item, change));
}

/**
 * The combination with each of its moves changed or taken out, wherever it stands. Hand-marked stage ends go with their
 * moves.
 * @example mapMoves(combination, (move) => (isLegStrike(move) ? null : move))
 */
export function mapMoves(combination: Combination, change: ChangeMove): Combination {
  const parts = combination.items.map((item) => mapItem(item, change));
  const items = parts.flat();
  const ends = (combination.stageEnds ?? [])
    .map((end) => parts.slice(0, end).flat().length)
    .filter((end, at, all) => end > 0 && end < items.length && all.indexOf(end) === at);
  return ends.length > 0 ? { items, stageEnds: ends } : { items };
}
