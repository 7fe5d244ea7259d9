/** Where a figure can be looked at from. */
export const viewNames = ['three-quarter', 'mirrored front', 'front', 'side'] as const;
export type ViewName = (typeof viewNames)[number];
