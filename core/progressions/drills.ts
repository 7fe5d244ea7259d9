import type { KickSchool } from '../mechanics/seams';
import { moveKind } from '../moves/catalogue';
import type { Target } from '../moves/kind';
import { familyOf, isHandStrike, isStrike, move, type Move } from '../moves/move';
import type { Combination, Item, Slot } from '../notation/combination';
import { writeMove } from '../notation/write';
import { flatten, listedMoves } from './flat';
import { ladder, type DefenceOption, type Stage } from './ladder';
import { upAndDown } from './shapes';

function indexes(count: number): number[] {
  return Array.from({ length: count }, (_, index) => index);
}

function lastHand(items: readonly Item[]): Move | null {
  const moves = items.flatMap((item) => (item.kind === 'move' ? [item] : item.kind === 'pair' ? item.moves : []));
  return moves.findLast(isHandStrike) ?? null;
}

/** The kick that closes a rung: on the leg opposite the last punch, or on its own side where the school says so. */
function closingKick(last: Move | null, school: KickSchool): Move {
  const afterLead = last?.side === 'lead';
  if (school === 'same') return move('body-kick', afterLead ? 'lead' : 'rear');
  return afterLead ? move('body-kick', 'rear') : move('switch-kick');
}

/**
 * A punch ladder up to the whole and down again, every rung closed by a kick: `bk` after a lead punch, `swk` after a rear
 * one; in the other school `lbk` and `bk`.
 * @example kickClose(combination) // of `1 2`: "1 bk", "1 2 swk", "1 bk"
 */
export function kickClose(
  goal: Combination,
  school: KickSchool = 'opposite',
  defence: DefenceOption = 'rides',
  onceMore = false,
): Stage[] {
  let before = '';
  const rungs = ladder(goal, defence).map((stage): Stage => {
    const items = flatten(stage.combination.items);
    const kick = closingKick(lastHand(items), school);
    const at = items.reduce((sum, item) => sum + listedMoves(item), 0);
    // The kick is new where it is another one than a rung ago.
    const added = writeMove(kick) === before ? stage.added : [...stage.added, at];
    before = writeMove(kick);
    return { combination: { items: [...items, kick] }, step: stage.step, added };
  });
  return upAndDown(rungs, onceMore);
}

/** Straights only, each length from the lead hand and then each from the rear. `alternator(2, 5)` has eight stages */
export function alternator(from = 2, to = 5): Stage[] {
  const hands = [move('jab'), move('cross')];
  return [0, 1].flatMap((first) =>
    indexes(to - from + 1).map((at): Stage => {
      const length = from + at;
      const items = indexes(length).flatMap((index) => hands[(first + index) % 2] ?? []);
      const step = at > 0 ? 'add' : first === 0 ? 'first' : 'turn';
      return { combination: { items }, step, added: at === 0 ? indexes(length) : [length - 1] };
    }),
  );
}

function aimed(item: Item, target: Target): Item {
  if (item.kind !== 'move' || !isStrike(item) || !moveKind(item.id).targets.includes(target)) return item;
  return { ...item, target };
}

/**
 * One shape walked through targets: its first move to each of them in turn, then its first two, then three (house
 * reading of singles, doubles and triples).
 * @example levelPattern(combination, ['body', 'body', 'head', 'head'])
 */
export function levelPattern(
  shape: Combination,
  pattern: readonly Target[] = ['body', 'body', 'head', 'head'],
): Stage[] {
  const flat = flatten(shape.items);
  return indexes(Math.min(3, flat.length)).map((at) => {
    const part = flat.slice(0, at + 1);
    const items = pattern.flatMap((target) => part.map((item) => aimed(item, target)));
    const size = part.reduce((sum, item) => sum + listedMoves(item), 0);
    const fresh = size - listedMoves(part[at] ?? move('jab'));
    const added = indexes(pattern.length).flatMap((round) =>
      indexes(size - fresh).map((index) => round * size + fresh + index),
    );
    return { combination: { items }, step: at === 0 ? 'first' : 'more', added };
  });
}

/** Each of a combination's strikes alone, in the order they come in, and then the whole; without it where they are done `alone`. */
export function singlesFirst(goal: Combination, alone = false): Stage[] {
  const singles = new Map<string, Move>();
  const visit = (items: readonly Item[]): void => {
    for (const item of items) {
      if (item.kind === 'move' && familyOf(item) !== 'feet' && isStrike(item)) singles.set(writeMove(item), item);
      else if (item.kind === 'pair') visit(item.moves);
      else if (item.kind === 'turns') item.options.forEach(visit);
    }
  };
  visit(flatten(goal.items));
  return [
    ...[...singles.values()].map((strike): Stage => ({ combination: { items: [strike] }, step: 'alone', added: [0] })),
    ...(alone ? [] : [{ combination: { items: goal.items }, step: 'together' as const, added: [] }]),
  ];
}

/**
 * An open slot that grows from set to set: from its least to its most, or to the number given. Empty where there is no
 * slot, or more than one.
 * @example byAmount(combination) // of `any 2-4 end 3`: any 2 end 3, any 3 end 3, any 4 end 3
 */
export function byAmount(goal: Combination, to?: number): Stage[] {
  const slots = goal.items.filter((item): item is Slot => item.kind === 'slot');
  const [slot] = slots;
  if (!slot || slots.length > 1) return [];
  const at = goal.items.indexOf(slot);
  const most = Math.max(slot.least, to ?? slot.most);
  return indexes(most - slot.least + 1).map((more): Stage => {
    const items = goal.items.map((item) =>
      item === slot ? { ...slot, least: slot.least + more, most: slot.least + more } : item,
    );
    return {
      combination: { items },
      step: more === 0 ? 'first' : 'more',
      added:
        more === 0
          ? indexes(goal.items.reduce((sum, item) => sum + listedMoves(item), 0))
          : [goal.items.slice(0, at).reduce((sum, item) => sum + listedMoves(item), 0)],
    };
  });
}
