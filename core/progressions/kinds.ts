/** The ways to build a combination up (trade page, section 5). A new one is named here and worked out in `buildUp` (build.ts). */
export const buildKinds = [
  'ladder',
  'backward',
  'chunks',
  'pyramid',
  'kick-close',
  'alternator',
  'levels',
  'singles',
  'amount',
  'join',
  'effort',
] as const;
/** Most stages of a build of effort. */
export const mostEfforts = 24;
export type BuildKind = (typeof buildKinds)[number];

export const drillKinds = ['count', 'direction', 'go'] as const;
/** A trained reaction: so many punches at a number, a step and punches at a direction, fast punches at a word. */
export type DrillKind = (typeof drillKinds)[number];

/** Call drills as they are shown. */
export const drillNames: Readonly<Record<DrillKind, string>> = {
  count: 'number drill',
  direction: 'direction drill',
  go: 'go drill',
};
