import { viewNames, type ViewName } from '../../../core/index';
import type { Choice } from '../fields/choice-field';

const names: Readonly<Record<ViewName, string>> = {
  'three-quarter': 'from the open side',
  'mirrored front': 'in front, as a mirror',
  front: 'from in front',
  side: 'from the side',
  'by move': 'where each move shows best',
};

/** Where one can look at the figure from. */
export const viewChoices: readonly Choice<ViewName>[] = viewNames.map((value) => ({ value, name: names[value] }));
