import type { Block, Sheet } from './schema';

const alike = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A record with every field that is as it was before put in as the very object it was.
 * @example sameFields(last, received).calls === last.calls
 */
export function sameFields<Whole extends object>(before: Whole | null, now: Whole): Whole {
  if (!before) return now;
  const fields = Object.entries(now).map(([key, value]: [string, unknown]): [string, unknown] => {
    const old: unknown = before[key as keyof Whole];
    return [key, alike(old, value) ? old : value];
  });
  return { ...now, ...Object.fromEntries(fields) };
}

/**
 * The sheet with every block and every other field that is as it was before put in as the very object it was: what was
 * worked out for it can be used again although the sheet has come through a message, which copies everything. The very
 * sheet where nothing has changed.
 * @example sameParts(last, received).blocks[0] === last.blocks[0]
 */
export function sameParts(before: Sheet | null, now: Sheet): Sheet {
  if (!before) return now;
  const known = new Map<string, Block>(before.blocks.map((block) => [block.id, block]));
  const blocks = now.blocks.map((block) => {
    const old = known.get(block.id);
    return old && alike(old, block) ? old : block;
  });
  const { blocks: _, ...head } = now;
  const same = { ...sameFields<Omit<Sheet, 'blocks'>>(before, head), blocks };
  return isUnchanged(before, same) ? before : same;
}

function isUnchanged(before: Sheet, now: Sheet): boolean {
  const { blocks: old, ...oldHead } = before;
  const { blocks, ...head } = now;
  return (
    blocks.length === old.length &&
    blocks.every((block, index) => block === old[index]) &&
    Object.keys(head).length === Object.keys(oldHead).length &&
    Object.entries(head).every(([key, value]) => value === oldHead[key as keyof typeof oldHead])
  );
}
