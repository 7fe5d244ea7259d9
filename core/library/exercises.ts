import type { Level } from '../bags/kind-names';
import type { Equipment, Exercise } from './exercise';
import { exercises } from './exercise-list';

const rank: Readonly<Record<Level, number>> = { beginner: 0, intermediate: 1, advanced: 2 };

/**
 * Pieces for a part of the session that a level can do with what is there; all equipment unless told.
 * @example exercisesFor('core', 'beginner', []) // those that need no mat
 */
export function exercisesFor(
  part: Exercise['part'],
  level: Level,
  equipment: readonly Equipment[] = ['rope', 'mat', 'bag'],
): Exercise[] {
  return exercises.filter(
    (each) =>
      each.part === part &&
      rank[each.from] <= rank[level] &&
      (each.needs === undefined || equipment.includes(each.needs)),
  );
}

/** The exercise that some words name, by its older name too, whatever else they say; null where they name none. */
export function exerciseNamed(words: string): Exercise | null {
  const plain = words.toLowerCase();
  return (
    exercises.find(({ name, formerly }) =>
      [name, formerly].some((each) => each !== undefined && plain.startsWith(each.toLowerCase())),
    ) ?? null
  );
}
