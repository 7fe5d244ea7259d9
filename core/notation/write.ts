import { moveKind } from '../moves/catalogue';
import type { Move } from '../moves/move';
import { six, type Scheme } from '../moves/scheme';
import type { Combination, Item, Slot } from './combination';
import { defaultSide, shortForm } from './forms';

/** The writer's memory of the move directly before, as the reader will have it. */
interface Trail {
  before: Move | null;
}

/** Spells one move; the move before decides whether a defence's side must be written. `sl-l`, `2b!`, `ft 1` */
export function writeMove(move: Move, scheme: Scheme = six, before: Move | null = null): string {
  const kind = moveKind(move.id);
  const short = shortForm(scheme, kind, move.side, move.target);
  const side =
    kind.marked && move.side !== null && move.side !== defaultSide(move.id, before)
      ? move.side === 'lead'
        ? '-l'
        : '-r'
      : '';
  const force = move.force === 'hard' ? '!' : move.force === 'light' ? '~' : '';
  return `${move.feint ? 'ft ' : ''}${short}${side}${force}${move.aim ? `@${move.aim}` : ''}`;
}

/** Spells a slot. `any 2-5 hooks end 3 different` */
export function writeSlot(slot: Slot, scheme: Scheme = six): string {
  const range = slot.most > slot.least ? `${slot.least}-${slot.most}` : String(slot.least);
  const of = slot.of === 'punches' ? '' : ` ${slot.of}`;
  const end = slot.end ? ` end ${writeMove(slot.end, scheme)}` : '';
  return `any ${range}${slot.force ? '!' : ''}${of}${end}${slot.different ? ' different' : ''}`;
}

function writeItem(item: Item, scheme: Scheme, trail: Trail): string {
  switch (item.kind) {
    case 'move': {
      const text = writeMove(item, scheme, trail.before);
      trail.before = item;
      return text;
    }
    case 'slot':
      trail.before = null;
      return writeSlot(item, scheme);
    case 'freestyle':
      return 'freestyle';
    case 'pair': {
      const first = writeMove(item.moves[0], scheme, trail.before);
      const second = writeMove(item.moves[1], scheme, item.moves[0]);
      trail.before = item.moves[1];
      return `${first}+${second}`;
    }
    case 'group': {
      const text = writeItems(item.items, scheme, trail);
      return `(${text})${item.times > 1 ? `x${item.times}` : ''}`;
    }
    case 'turns': {
      const before = trail.before;
      const options = item.options.map((option) => {
        trail.before = before;
        return writeItems(option, scheme, trail);
      });
      trail.before = null;
      return `[${options.join(' / ')}]`;
    }
  }
}

function writeItems(items: readonly Item[], scheme: Scheme, trail: Trail): string {
  return items.map((item) => writeItem(item, scheme, trail)).join(' ');
}

/**
 * Canonical text: one space between moves, the number where the scheme has one, else the first short form; reading it
 * again gives the same moves. Named parts are written out.
 * @example writeCombination(combination, eight) // "1 2 sl-l 7"
 */
export function writeCombination(combination: Combination, scheme: Scheme = six): string {
  const trail: Trail = { before: null };
  const ends = new Set(combination.stageEnds ?? []);
  return combination.items
    .map((item, index) => writeItem(item, scheme, trail) + (ends.has(index + 1) ? ' |' : ''))
    .join(' ');
}
