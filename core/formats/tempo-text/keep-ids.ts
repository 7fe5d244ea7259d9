import type { Block, Piece, Sheet } from '../../sheet/schema';

function content(part: Block | Piece): string {
  return JSON.stringify(part, (key, value: unknown) => (key === 'id' ? undefined : value));
}

/**
 * Pairs what is new with what was there: equal parts from both ends, then by order where the kind is the same. Returns
 * for each new part the index of the old one, or -1.
 */
function pairUp<T extends Block | Piece>(before: readonly T[], after: readonly T[]): number[] {
  const [was, is] = [before.map(content), after.map(content)];
  const pairs = after.map(() => -1);
  let head = 0;
  while (head < was.length && head < is.length && was[head] === is[head]) {
    pairs[head] = head;
    head += 1;
  }
  let tail = 0;
  while (tail < was.length - head && tail < is.length - head && was.at(-1 - tail) === is.at(-1 - tail)) {
    pairs[is.length - 1 - tail] = was.length - 1 - tail;
    tail += 1;
  }
  let next = head;
  for (let at = head; at < is.length - tail; at += 1) {
    let found = -1;
    for (let old = next; old < was.length - tail && found < 0; old += 1) if (was[old] === is[at]) found = old;
    // A changed part keeps its name where one of its kind stood at its place.
    if (found < 0 && next < was.length - tail && before[next]?.kind === after[at]?.kind) found = next;
    if (found < 0) continue;
    pairs[at] = found;
    next = found + 1;
  }
  return pairs;
}

function withIds<T extends Block | Piece>(
  before: readonly T[],
  after: readonly T[],
  freshId: () => string,
  inside: (old: T | null, now: T) => T,
): T[] {
  const pairs = pairUp(before, after);
  return after.map((now, at) => {
    const old = before[pairs[at] ?? -1] ?? null;
    if (old && content(old) === content(now)) return old;
    return inside(old, { ...now, id: old?.id ?? freshId() });
  });
}

/**
 * The sheet that a text came to, under the ids that its parts had before, so that what did not change is the very same
 * object and a selection stays where it was.
 */
export function keepIds(before: Sheet, after: Sheet, freshId: () => string): Sheet {
  const blocks = withIds<Block>(before.blocks, after.blocks, freshId, (old, now) => ({
    ...now,
    pieces: withIds<Piece>(old?.pieces ?? [], now.pieces, freshId, (_, piece) => piece),
  }));
  return { ...after, id: before.id, blocks };
}
