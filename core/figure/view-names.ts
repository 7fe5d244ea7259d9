/** Places from where a figure can be looked at. */
const fixed = ['three-quarter', 'mirrored front', 'front', 'side'] as const;
export type FixedViewName = (typeof fixed)[number];
/** What can be chosen: a place, or for each move the one that tells it best. */
export const viewNames = [...fixed, 'by move'] as const;
export type ViewName = (typeof viewNames)[number];

/** Where one looks from, in words. */
export const viewWords: Readonly<Record<ViewName, string>> = {
  'three-quarter': 'from the open side',
  'mirrored front': 'from the front, mirrored',
  front: 'from the front',
  side: 'from the side',
  'by move': 'best view for each move',
};
