/** Everything the product knows of a kind of call; the words of each stand in the phrasebook. */
export interface CallNature {
  /** As screens name it: the keys are those of files. */
  readonly name: string;
  /** What a call is worth when not everything can be said (house values in the trade's order, section 9). */
  readonly worth: number;
  /** The least that a coach says for it to be said: `bells` is always said, `names` and `main` by those who say more, `all` by those who say all. */
  readonly from: Talk;
  /** A class would notice its silence: what cannot be said of it is found. */
  readonly needed: boolean;
  /** May sound in the last second before a bell. */
  readonly atTheBell: boolean;
}

export const talks = ['all', 'main', 'names', 'bells'] as const;
/** How much is said: everything; what begins, counts and cues; names and time; bells and counts alone. */
export type Talk = (typeof talks)[number];

/** How much is called, as screens show it. */
export const talkNames: Readonly<Record<Talk, string>> = {
  all: 'Everything',
  main: 'What begins, counts and cues',
  names: 'Names and time',
  bells: 'Bells and counts only',
};

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
const names = { ...call, from: 'names' } as const;
const main = { ...call, from: 'main' } as const;
const more = { ...call, from: 'all' } as const;

/** Kinds of calls, most important first (trade page, section 9; worths are house values). A new one is a line here. */
export const callNatures = {
  bell: { name: 'bell', worth: 10_000, from: 'bells', needed: false, atTheBell: true },
  own: { name: 'your own call', ...names, worth: 900, needed: true },
  new: { name: 'combination or drill', ...names, worth: 800, needed: true },
  stance: { name: 'stance', ...names, worth: 400 },
  count: { name: 'countdown', worth: 300, from: 'bells', needed: false, atTheBell: true },
  effort: { name: 'effort', ...main, worth: 250 },
  drill: { name: 'call drill', ...names, worth: 240 },
  bag: { name: 'bag', ...main, worth: 220 },
  gear: { name: 'gloves', ...main, worth: 210 },
  lanes: { name: 'rotation', ...main, worth: 200 },
  between: { name: 'in between', ...main, worth: 160 },
  time: { name: 'time left', ...names, worth: 150 },
  preview: { name: 'what comes next', ...more, worth: 140 },
  again: { name: 'combination again', ...names, worth: 130 },
  reminder: { name: 'keep it sharp', ...more, worth: 120 },
  teach: { name: 'demo', ...main, worth: 115 },
  strikes: { name: 'strikes', ...names, worth: 110 },
  focus: { name: 'cue', ...main, worth: 100 },
  water: { name: 'water', ...more, worth: 70 },
  breathing: { name: 'breathing', ...more, worth: 60 },
  cheer: { name: 'encouragement', ...more, worth: 30 },
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
  'overview',
  'which hand',
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
  'power per cent',
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
  'part',
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

/** As screens name what can be worded, where the key of files is not its name: a phrase without a line here goes by its key. */
const otherNames: Partial<Record<PhraseKey, string>> = {
  'stand square': 'square stance',
  'natural stance': 'back to own stance',
  'breathing held': 'breathing with a hold',
  'half way': 'halfway',
  'add in front': 'add to the front',
  'way down': 'coming back down',
  'once more': 'one more time',
  only: 'just this',
  keep: 'keep it sharp',
  'per cent': 'effort in per cent',
  'power per cent': 'power in per cent',
  'no focus': 'back to normal',
  'with breath': 'with a gap',
  between: 'in between',
  'nothing between': 'nothing in between',
  'own time': 'free work',
  'block half': 'halfway through a block',
  'block ten': 'last ten seconds of a block',
  watch: 'demo',
  whole: 'all of it',
  'open break': 'open rest',
  'change lanes': 'rotate stations',
  'change holders': 'swap holders',
  'count drill': 'number drill',
};

/** A phrase as screens name it. `phraseName('half way')` → `halfway` */
export const phraseName = (key: PhraseKey): string => otherNames[key] ?? key;
