/** A rotation of groups over kinds of work, turn by turn. */
export interface Rotation<Kind> {
  /** For each turn the kind of group 1, group 2, … */
  readonly turns: readonly (readonly Kind[])[];
  /** Most groups that share a kind in one turn; 1 where each has its own. */
  readonly sharing: number;
}

/**
 * Every group meets every kind once, in as many turns as kinds. With no more groups than kinds nobody shares: the turns
 * are rows of a cyclic Latin square. With more groups than kinds as few as possible share a kind.
 * @example rotate(2, ['heavy', 'double-end', 'shadow']).turns // [["heavy","double-end"],["double-end","shadow"],["shadow","heavy"]]
 */
export function rotate<Kind>(groups: number, kinds: readonly Kind[]): Rotation<Kind> {
  const turns = kinds.map((_, turn) =>
    Array.from({ length: groups }, (__, group) => kinds[(group + turn) % kinds.length]).filter(
      (kind) => kind !== undefined,
    ),
  );
  return { turns, sharing: kinds.length === 0 ? 0 : Math.ceil(groups / kinds.length) };
}
