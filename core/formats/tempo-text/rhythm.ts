import type { PieceOf } from '../../sheet/schema';
import { rhythmHands } from '../../sheet/pieces';
import { fault, type Scan } from './line';

type Rhythm = PieceOf<'rhythm'>;
type Told = Omit<Rhythm, 'id' | 'ms' | 'effort' | 'focus' | 'stance' | 'kind'>;

const opening = /^rhythm\s+(\d{1,2}(?:\s*,\s*\d{1,2})*)(?=\s|$)/i;
const example = 'write rhythm 3,3,1 turns grow 1-5 at 300';

/** Whether a text is meant as a rhythm. */
export const isRhythm = (text: string): boolean => /^rhythm\s+\d/i.test(text);

/** Takes one option from the front of a text; null where none stands there. */
function option(text: string): { readonly told: Partial<Told>; readonly length: number } | null {
  const word = /^\s+(lead|rear|turns|elbow)(?![a-z0-9])/i.exec(text);
  if (word) {
    const name = (word[1] ?? '').toLowerCase();
    const hand = rhythmHands.find((each) => each === name);
    return { told: hand ? { hand } : { elbow: true }, length: word[0].length };
  }
  const grow = /^\s+grow\s+(\d{1,2})\s*[-–]\s*(\d{1,2})(?![a-z0-9])/i.exec(text);
  const [from, to] = [Number(grow?.[1]), Number(grow?.[2])];
  if (grow && from >= 1 && to > from && to <= 20)
    return { told: { growTo: to, ...(from === 1 ? {} : { growFrom: from }) }, length: grow[0].length };
  const at = /^\s+at\s+(\d{2,4})(?![a-z0-9])/i.exec(text);
  const rebounds = Number(at?.[1]);
  return at && rebounds >= 30 && rebounds <= 1000 ? { told: { rebounds }, length: at[0].length } : null;
}

/** Reads `rhythm ROW [lead|rear|turns] [elbow] [grow 1-5] [at 300]`; null where it cannot be, which is a fault. */
export function readRhythm(scan: Scan, text: string, at: number, pieceId: string): Told | null {
  const match = opening.exec(text);
  const row = (match?.[1] ?? '').split(',').map((count) => Number(count.trim()));
  let told: Partial<Told> = {};
  let left = match ? text.slice(match[0].length) : text;
  for (let found = option(left); match && found; found = option(left)) {
    told = { ...told, ...found.told };
    left = left.slice(found.length);
  }
  const even = row.find((count) => count !== 0 && count % 2 === 0);
  if (match && left.trim() === '' && even === undefined && row.length <= 24) return { row, ...told };
  if (match && even !== undefined)
    fault(
      scan,
      at,
      String(even),
      `${even} rebounds leave the bag on the far side: the number between touches must be odd`,
      'start with 7 or 5; use 3 for triplets, 1 for singles, 0 for a soft touch',
      { pieceId },
    );
  else fault(scan, at, text.trim().slice(0, 40), 'this rhythm could not be read', example, { pieceId });
  return null;
}

/** A rhythm as the reader takes it. */
export function rhythmText({ row, hand, elbow, growFrom, growTo, rebounds }: Rhythm): string {
  return [
    `rhythm ${row.join(',')}`,
    ...(hand === undefined ? [] : [hand]),
    ...(elbow ? ['elbow'] : []),
    ...(growTo === undefined ? [] : [`grow ${growFrom ?? 1}-${growTo}`]),
    ...(rebounds === undefined ? [] : [`at ${rebounds}`]),
  ].join(' ');
}
