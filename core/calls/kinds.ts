/** Kinds of calls, most important first (trade page, section 9); the worth of each stands in `call.ts`. */
export const callKinds = [
  'bell',
  'new',
  'own',
  'stance',
  'count',
  'effort',
  'drill',
  'lanes',
  'time',
  'preview',
  'reminder',
  'strikes',
  'focus',
  'water',
  'breathing',
  'cheer',
] as const;
export type CallKind = (typeof callKinds)[number];

/** Calls that a coach who talks little leaves out … */
const beyondMain: readonly CallKind[] = ['time', 'preview', 'reminder', 'focus', 'water', 'breathing', 'cheer'];
/** … and those that are still made. */
export const mainKinds: readonly CallKind[] = callKinds.filter((kind) => !beyondMain.includes(kind));

export const talks = ['all', 'main', 'bells'] as const;
/** How much is said. */
export type Talk = (typeof talks)[number];

/** Whether a kind of call is made at all. `isSaid('focus', 'main')` → `false` */
export function isSaid(kind: CallKind, talk: Talk): boolean {
  if (talk === 'bells') return kind === 'bell' || kind === 'count';
  return talk === 'all' || mainKinds.includes(kind);
}

/** What can be worded: each with the words that may stand in braces. */
export const phraseKeys = [
  'switch stance',
  'rest',
  'water',
  'breathing',
  'ten seconds',
  'half way',
  'seconds left',
  'one minute left',
  'minutes left',
  'next',
  'add on',
  'add',
  'keep',
  'effort',
  'own time',
  'open break',
  'change lanes',
  'change holders',
  'count drill',
  'direction drill',
  'go drill',
  'get ready',
  'stop',
] as const;
export type PhraseKey = (typeof phraseKeys)[number];

/** Said at their one moment or while the clock stands, or a short form themselves: they have no shorter way. */
export const onlyInFull: readonly PhraseKey[] = [
  'water',
  'ten seconds',
  'add on',
  'add',
  'effort',
  'open break',
  'get ready',
  'stop',
];
