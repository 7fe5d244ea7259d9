import { viewNames, viewWords, type ViewName } from '../../../core/index';
import type { Choice } from '../fields/choice-field';

/** Where one can look at the figure from. */
export const viewChoices: readonly Choice<ViewName>[] = viewNames.map((value) => ({ value, name: viewWords[value] }));
