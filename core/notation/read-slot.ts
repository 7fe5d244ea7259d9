import type { Move } from '../moves/move';
import { limits, type Slot } from './combination';
import { stop, type Cursor } from './cursor';
import { readMove } from './read-move';
import { slotKinds, type SlotKind } from './slot-kinds';

const slotMend = 'write any 3, any 2-5 hooks or any 3 end 2';

function readNumber(cursor: Cursor): { readonly value: number; readonly hard: boolean } {
  const token = cursor.tokens[cursor.next];
  if (token?.kind !== 'word' || !/^\d{1,3}!?$/.test(token.text)) stop(cursor, token, '"any" needs a number', slotMend);
  const hard = token.text.endsWith('!');
  const value = Number(token.text.replace('!', ''));
  if (value < 1 || value > limits.slot) stop(cursor, token, `"any" takes 1 to ${limits.slot} moves`, slotMend);
  cursor.next += 1;
  return { value, hard };
}

/** The kind that a word names; a defence may stand alone, since it is no move by that name. */
function slotKindNamed(word: string): SlotKind | null {
  if (/^defen[cs]es?$/.test(word)) return 'defences';
  return slotKinds.find((kind) => kind === word) ?? null;
}

/** Reads `any N[-M][!] [kind] [end MOVE] [different]`, with the words after the number in any order. */
export function readSlot(cursor: Cursor): Slot {
  cursor.next += 1;
  const first = readNumber(cursor);
  const least = first.value;
  let { value: most, hard } = first;
  const second = cursor.tokens[cursor.next];
  // Only a tight a-b is a range: "any 2 - 5" and "any 2 5" go on with a 5.
  if (!hard && second?.kind === 'word' && second.joint === 'hyphen' && /^\d+!?$/.test(second.text)) {
    ({ value: most, hard } = readNumber(cursor));
    if (most <= least)
      stop(
        cursor,
        second,
        `the range ${least}-${most} is the wrong way round`,
        `write any ${most}-${least} or any ${least}`,
      );
  }
  let of: SlotKind | undefined;
  let end: Move | undefined;
  let different = false;
  for (;;) {
    const token = cursor.tokens[cursor.next];
    if (token?.kind !== 'word' || (token.joint !== 'space' && token.joint !== 'hyphen')) break;
    const kind = slotKindNamed(token.text);
    if (kind && !of) {
      of = kind;
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
    ...(hard ? { force: 'hard' as const } : {}),
    ...(end ? { end } : {}),
    ...(different ? { different: true as const } : {}),
  };
}
