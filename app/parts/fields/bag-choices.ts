import { bagKinds, shownBag, type BagKind } from '../../../core/index';
import type { Choice } from './choice-field';

/** The built-in kinds of bag by the names that are shown. `bagChoices[1].name` → `"heavy bag"` */
export const bagChoices: readonly Choice<BagKind>[] = bagKinds.map((value) => ({ value, name: shownBag(value) }));

/** Those and the coach's own kinds. */
export const bagChoicesWith = (own: readonly string[]): readonly Choice<string>[] => [
  ...bagChoices,
  ...own.map((name) => ({ value: name, name })),
];
