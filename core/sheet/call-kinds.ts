/** Everything the product knows of a kind of call; the words of each stand in the phrasebook. */
export interface CallNature {
  /** What a call is worth when not everything can be said (house values in the trade's order, section 9). */
  readonly worth: number;
  /** How much a coach must say for it to be said: `bells` always, `main` by those who talk little, `all` by those who say all. */
  readonly from: Talk;
  /** A class would notice its silence: what cannot be said of it is found. */
  readonly needed: boolean;
  /** May sound in the last second before a bell. */
  readonly atTheBell: boolean;
}

export const talks = ['all', 'main', 'bells'] as const;
/** How much is said. */
export type Talk = (typeof talks)[number];

/** From which second the last ones are counted. */
export const countsFrom = [3, 5] as const;
export type CountFrom = (typeof countsFrom)[number];

export const leadOuts = ['nothing', 'three', 'ten and five'] as const;
/** How a long piece is led out before the next one. */
export type LeadOut = (typeof leadOuts)[number];

export const blockClocks = ['all', 'names'] as const;
/** How much is said of the clock of warm-up, conditioning, core and cool-down: all of it, or the names alone. */
export type BlockClock = (typeof blockClocks)[number];

const call = { needed: false, atTheBell: false } as const;
const main = { ...call, from: 'main' } as const;
const more = { ...call, from: 'all' } as const;

/** Kinds of calls, most important first (trade page, section 9; worths are house values). A new one is a line here. */
export const callNatures = {
  bell: { worth: 10_000, from: 'bells', needed: false, atTheBell: true },
  new: { ...main, worth: 500, needed: true },
  own: { ...main, worth: 450, needed: true },
  stance: { ...main, worth: 400 },
  count: { worth: 300, from: 'bells', needed: false, atTheBell: true },
  effort: { ...main, worth: 250 },
  drill: { ...main, worth: 240 },
  bag: { ...main, worth: 220 },
  gear: { ...main, worth: 210 },
  lanes: { ...main, worth: 200 },
  between: { ...main, worth: 160 },
  time: { ...more, worth: 150 },
  preview: { ...more, worth: 140 },
  reminder: { ...more, worth: 120 },
  teach: { ...main, worth: 115 },
  strikes: { ...main, worth: 110 },
  focus: { ...more, worth: 100 },
  water: { ...more, worth: 70 },
  breathing: { ...more, worth: 60 },
  cheer: { ...more, worth: 30 },
} as const satisfies Record<string, CallNature>;

export type CallKind = keyof typeof callNatures;
export const callKinds = Object.keys(callNatures) as [CallKind, ...CallKind[]];

/** What is known of a kind of call. `callNature('count').worth` → `300` */
export const callNature = (kind: CallKind): CallNature => callNatures[kind];

/** Whether a kind of call is made at all. `isSaid('focus', 'main')` → `false` */
export function isSaid(kind: CallKind, talk: Talk): boolean {
  return talks.indexOf(callNature(kind).from) >= talks.indexOf(talk);
}

/** What can be worded; the words stand in the phrasebook, where the compiler asks for each. */
export const phraseKeys = [
  'switch stance',
  'stand square',
  'natural stance',
  'rest',
  'water',
  'breathing',
  'breathing held',
  'ten seconds',
  'half way',
  'seconds left',
  'one minute left',
  'minutes left',
  'next',
  'add on',
  'add in front',
  'way down',
  'once more',
  'only',
  'together',
  'add',
  'keep',
  'turn',
  'effort',
  'per cent',
  'technique',
  'speed',
  'power',
  'no focus',
  'non-stop',
  'with breath',
  'between',
  'nothing between',
  'bag',
  'gloves on',
  'gloves off',
  'own time',
  'rhythm',
  'block begins',
  'block half',
  'block ten',
  'block end',
  'next exercise',
  'session end',
  'watch',
  'first half',
  'second half',
  'whole',
  'open break',
  'change lanes',
  'change holders',
  'count drill',
  'direction drill',
  'go drill',
  'get ready',
  'stop',
  'hold',
] as const;
export type PhraseKey = (typeof phraseKeys)[number];
