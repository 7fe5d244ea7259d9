/** The canonical kinds of bag; `shadow` is no bag at all. */
export const bagKinds = ['shadow', 'heavy', 'standing', 'double-end', 'reflex', 'speed', 'pads'] as const;
export type BagKind = (typeof bagKinds)[number];
/** The kind that needs nothing, and that others give way to. */
export const freeFloor = 'shadow' satisfies BagKind;

export const levels = ['beginner', 'intermediate', 'advanced'] as const;
export type Level = (typeof levels)[number];
