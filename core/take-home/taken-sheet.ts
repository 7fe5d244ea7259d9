import type { Sheet } from '../sheet/schema';

/** What of a sheet goes along beside the session itself; nothing unless it is asked for. */
export interface Kept {
  /** The sheet's note, and those of its blocks. */
  readonly notes: boolean;
  /** How many people there are, their level, what is written about them, groups and lanes. */
  readonly people: boolean;
  /** Lines of a text head that this program does not know. */
  readonly head: boolean;
}

export const keptNothing: Kept = { notes: false, people: false, head: false };

/**
 * A sheet as it leaves the house: what the session is, and of everything else only what was asked for.
 * @example takenSheet({ ...sheet, note: 'Mia: knee' }, keptNothing).note // undefined
 */
export function takenSheet(sheet: Sheet, kept: Kept): Sheet {
  const { note, head, class: people, lanes, groups, changeOverMs, calls, ...session } = sheet;
  const { pace } = people;
  const blocks = session.blocks.map(({ note: own, ...block }) => (kept.notes && own ? { ...block, note: own } : block));
  return {
    ...session,
    blocks,
    // The pace is part of what is done; who does it is not.
    class: kept.people ? people : pace === undefined ? {} : { pace },
    ...(kept.people && {
      ...(lanes && { lanes }),
      ...(groups !== undefined && { groups }),
      ...(changeOverMs !== undefined && { changeOverMs }),
    }),
    ...(calls && { calls }),
    ...(kept.notes && note && { note }),
    ...(kept.head && head && { head }),
  };
}
