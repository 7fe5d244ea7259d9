import type { Move } from '../moves/move';
import { limits, slotKinds, type Slot, type SlotKind } from './combination';
import { stop, type Cursor } from './cursor';
import { readMove } from './read-move';

const slotMend = 'write any 3, any 2-5 hooks or any 3 end 2';

function readNumber(cursor: Cursor): number {
  const token = cursor.tokens[cursor.next];
  if (token?.kind !== 'word' || !/^\d{1,3}$/.test(token.text)) stop(cursor, token, 'a slot needs a number', slotMend);
  const value = Number(token.text);
  if (value < 1 || value > limits.slot) stop(cursor, token, `a slot holds 1 to ${limits.slot} moves`, slotMend);
  cursor.next += 1;
  return value;
}

function isSlotKind(word: string): word is SlotKind {
  return slotKinds.some((kind) => kind === word);
}

/** Reads `any N[-M] [kind] [end MOVE] [different]`, with the words after the number in any order. */
export function readSlot(cursor: Cursor): Slot {
  cursor.next += 1;
  const least = readNumber(cursor);
  let most = least;
  const second = cursor.tokens[cursor.next];
  // Only a tight a-b is a range: "any 2 - 5" and "any 2 5" go on with a 5.
  if (second?.kind === 'word' && second.joint === 'hyphen' && /^\d+$/.test(second.text)) {
    most = readNumber(cursor);
    if (most <= least)
      stop(cursor, second, `the range ${least}-${most} does not rise`, `write any ${most}-${least} or any ${least}`);
  }
  let of: SlotKind | undefined;
  let end: Move | undefined;
  let different = false;
  for (;;) {
    const token = cursor.tokens[cursor.next];
    if (token?.kind !== 'word' || (token.joint !== 'space' && token.joint !== 'hyphen')) break;
    if (isSlotKind(token.text) && !of) {
      of = token.text;
      cursor.next += 1;
    } else if (token.text === 'end' && !end) {
      cursor.next += 1;
      cursor.before = null;
      end = readMove(cursor);
    } else if (token.text === 'different' && !different) {
      different = true;
      cursor.next += 1;
    } else break;
  }
  return {
    kind: 'slot',
    least,
    most,
    of: of ?? 'punches',
    ...(end ? { end } : {}),
    ...(different ? { different: true as const } : {}),
  };
}
