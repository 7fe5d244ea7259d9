import type { Family, Target } from '../moves/kind';
import { bagKinds, type BagKind, type Level } from './kind-names';
import { strikeFamilies, type OwnBag } from './own-kind';

/** What a kind of bag can take; the matcher knows nothing else of it. */
export interface BagNature {
  /** Its key in files and texts. */
  readonly name: string;
  /** As it is shown. */
  readonly shown: string;
  /** As it is said behind "on the". */
  readonly spoken: string;
  /** Targets that can be hit on it. */
  readonly targets: readonly Target[];
  /** Families of strikes and holds that it takes. */
  readonly families: readonly Family[];
  /** Families that it takes besides where the coach's school allows tricks. */
  readonly tricks: readonly Family[];
  /** What is struck: nothing on a free floor, something that a partner holds, or a thing with edges of its own. */
  readonly body: 'none' | 'held' | 'thing';
  /** Whether hands are gloved for it. */
  readonly gloves: boolean;
  /** Whether it hangs and swings in, so that nobody walks straight into it. */
  readonly hangs: boolean;
  /** Whether it is a small ball, whose middle belongs at chin height. */
  readonly ball: boolean;
  /** How far it is measured on the bench, and drawn: as a swinging bag, a ball between cords, a pear under a board. */
  readonly measured: 'pendulum' | 'cords' | 'rebounds' | null;
  /** Hard shots are softened. */
  readonly powerCapped?: boolean | undefined;
  /** A hook sends it sideways, so that what follows must bring it back. */
  readonly wildAfterHooks?: boolean | undefined;
  /** Where body shots go, for the school that throws them although the kind takes none by itself. */
  readonly bodyBySchool?: boolean | undefined;
  /** It has to settle between two strikes. */
  readonly oneAtATime?: boolean | undefined;
  /** Most strikes of a useful combination, by the athletes' level. */
  readonly longest?: Readonly<Record<Level, number>> | undefined;
  /** Nobody walks round it: circling becomes a change of angle. */
  readonly noCircling?: boolean | undefined;
  /** Numbered combinations make no sense on it; this is done instead. */
  readonly rhythm?: string | undefined;
  readonly goodFor: string;
  readonly care: string;
}

const allTargets: readonly Target[] = ['head', 'body', 'leg'];
const held: readonly Family[] = [...strikeFamilies, 'hold'];
const plain = { body: 'thing', tricks: [], gloves: true, hangs: false, ball: false, measured: null } as const;
const big = { ...plain, targets: allTargets, families: held };
const small = { ...plain, targets: ['head'], families: ['punch'] } as const;

/**
 * The kinds of bag and what they take (trade page, section 7; common practice, no source; the longest useful
 * combinations are house values). A heavy bag is taken to be long enough for low kicks and free all round.
 */
export const bagNatures: Readonly<Record<BagKind, BagNature>> = {
  shadow: {
    name: 'shadow',
    shown: 'shadow boxing',
    spoken: 'floor for shadow boxing',
    ...big,
    body: 'none',
    gloves: false,
    goodFor: 'footwork, full reach, defence, any strike',
    care: 'don’t lock your elbows or knees at speed',
  },
  heavy: {
    name: 'heavy',
    shown: 'heavy bag',
    spoken: 'heavy bag',
    ...big,
    hangs: true,
    measured: 'pendulum',
    longest: { beginner: 8, intermediate: 12, advanced: 20 },
    goodFor: 'power, head and body, all punches, kicks if it is long enough',
    care: 'never meet it square as it swings in, step around it; straight wrist, tight fist; don’t lean on the bag',
  },
  standing: {
    name: 'standing',
    shown: 'freestanding bag',
    spoken: 'freestanding bag',
    ...big,
    targets: ['head', 'body'],
    powerCapped: true,
    longest: { beginner: 4, intermediate: 6, advanced: 8 },
    goodFor: 'long straights, one to three at a time, stepping in and out, circling both ways, changing levels',
    care: 'snap your punches, don’t push it over; nothing low near the base',
  },
  'double-end': {
    name: 'double-end',
    shown: 'double-end bag',
    spoken: 'double-end bag',
    ...small,
    tricks: ['kick', 'knee', 'elbow', 'hold'],
    ball: true,
    measured: 'cords',
    wildAfterHooks: true,
    bodyBySchool: true,
    longest: { beginner: 4, intermediate: 6, advanced: 10 },
    goodFor: 'timing, accuracy, defence after punching, straights',
    care: 'start soft; after a hook, the next punch must bring the ball back',
  },
  reflex: {
    name: 'reflex',
    shown: 'reflex bag',
    spoken: 'reflex bag',
    ...small,
    ball: true,
    powerCapped: true,
    oneAtATime: true,
    longest: { beginner: 3, intermediate: 4, advanced: 6 },
    goodFor: 'the six punches one at a time, timing',
    care: 'hit it as it passes through the middle; start below 50% power',
  },
  speed: {
    name: 'speed',
    shown: 'speed bag',
    spoken: 'speed bag',
    ...small,
    tricks: ['elbow'],
    measured: 'rebounds',
    rhythm: 'triplets: three rebounds per touch, alternating lead and rear, then runs of singles',
    goodFor: 'rhythm and listening',
    care: 'hit straight, never downwards: the board hurts',
  },
  pads: {
    name: 'pads',
    shown: 'pads',
    spoken: 'pads',
    ...big,
    body: 'held',
    targets: ['head', 'body'],
    goodFor: 'accuracy, distance, kicks and knees with a holder',
    care: 'nothing to the holder’s sternum or groin; holders, elbows and wrists firm; low kicks become body kicks',
  },
};

/** Whether low kicks are a question of how low the thing hangs; on a free floor they go anywhere. `takesLowKicks(bagNatures.heavy)` → `true` */
export function takesLowKicks(nature: BagNature | null): boolean {
  return nature !== null && nature.body !== 'none' && nature.targets.includes('leg');
}

/** Whether a name is that of a built-in kind. `isBagKind('heavy')` → `true` */
export function isBagKind(name: string): name is BagKind {
  return bagKinds.some((kind) => kind === name);
}

/**
 * The nature behind a bag's name: of the coach's own kind where there is one, else of a built-in one; null where nobody
 * made such a kind. A coach's own goes first, so that a kind that is built in later changes nobody's sheet.
 */
export function natureOf(name: string, own: readonly OwnBag[] = []): BagNature | null {
  const found = own.find((bag) => bag.name.toLowerCase() === name.toLowerCase());
  if (!found) return isBagKind(name) ? bagNatures[name] : null;
  const { holds = true, families, ...bag } = found;
  return {
    ...plain,
    shown: bag.name,
    spoken: bag.name,
    ...bag,
    families: holds ? [...families, 'hold'] : families,
    goodFor: '',
    care: found.care ?? '',
  };
}

/** A kind of bag as it is shown, by its key. `shownBag('standing')` → `freestanding bag`; a coach's own by its name. */
export const shownBag = (name: string, own: readonly OwnBag[] = []): string => natureOf(name, own)?.shown ?? name;
