import type { Figure } from '../figure/figure-of';
import { stillFigure } from '../figure/stills';
import type { Stance } from '../mechanics/walk';
import { exerciseNamed } from './exercises';

/**
 * The figure in the pose of an exercise that the library knows and the figure can show; null for any other words.
 * @example exerciseFigure('Plank', 'orthodox') !== null // true
 */
export function exerciseFigure(words: string | null, stance: Stance): Figure | null {
  const still = words === null ? null : (exerciseNamed(words)?.still ?? null);
  return still && stillFigure(still, stance);
}
