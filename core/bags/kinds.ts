import type { Family, Target } from '../moves/kind';
import { bagKinds, type BagKind, type Level } from './kind-names';
import { strikeFamilies, type OwnBag } from './own-kind';

/** What a kind of bag can take; the matcher knows nothing else of it. */
export interface BagNature {
  readonly name: string;
  /** Targets that can be hit on it. */
  readonly targets: readonly Target[];
  /** Families of strikes that it takes. */
  readonly families: readonly Family[];
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
const big = { targets: allTargets, families: strikeFamilies };
const small = { targets: ['head'], families: ['punch'] } as const;

/**
 * The kinds of bag and what they take (trade page, section 7; common practice, no source; the longest useful
 * combinations are house values). A heavy bag is taken to be long enough for low kicks and free all round.
 */
export const bagNatures: Readonly<Record<BagKind, BagNature>> = {
  shadow: {
    name: 'shadow',
    ...big,
    goodFor: 'footwork, full reach, defence, any strike',
    care: 'do not snap elbows or knees to full lock at speed',
  },
  heavy: {
    name: 'heavy',
    ...big,
    longest: { beginner: 8, intermediate: 12, advanced: 20 },
    goodFor: 'power, body and head, all punches, kicks where it is long enough',
    care: 'never meet it square as it swings in: step round; wrist straight, fist closed; stay off the bag',
  },
  standing: {
    name: 'standing',
    targets: ['head', 'body'],
    families: strikeFamilies,
    powerCapped: true,
    longest: { beginner: 4, intermediate: 6, advanced: 8 },
    goodFor: 'long straights in ones to threes, a step in and out, circling both ways, level changes',
    care: 'snap and touch: it must not be knocked over; nothing low at the base',
  },
  'double-end': {
    name: 'double-end',
    ...small,
    wildAfterHooks: true,
    bodyBySchool: true,
    longest: { beginner: 4, intermediate: 6, advanced: 10 },
    goodFor: 'timing, accuracy, defence after punching, straights',
    care: 'begin softly; what follows a hook must bring the ball back',
  },
  reflex: {
    name: 'reflex',
    ...small,
    powerCapped: true,
    oneAtATime: true,
    longest: { beginner: 3, intermediate: 4, advanced: 6 },
    goodFor: 'the six punches one at a time, timing',
    care: 'hit it as it comes through the middle; below 50 % power to begin with',
  },
  speed: {
    name: 'speed',
    ...small,
    rhythm: 'triplets: three rebounds to a touch, lead and rear in turn, then runs of singles',
    goodFor: 'rhythm, by ear',
    care: 'straight touches, no downward blows: the board hurts',
  },
  pads: {
    name: 'pads',
    targets: ['head', 'body'],
    families: strikeFamilies,
    goodFor: 'accuracy, distance, kicks and knees with a holder',
    care: 'nothing to the holder’s sternum or groin; elbows and wrists firm; kicks to the leg go to the body',
  },
};

/** Whether a name is that of a built-in kind. `isBagKind('heavy')` → `true` */
export function isBagKind(name: string): name is BagKind {
  return bagKinds.some((kind) => kind === name);
}

/** The nature behind a bag's name, of a built-in kind or of the coach's own; null where nobody made such a kind. */
export function natureOf(name: string, own: readonly OwnBag[] = []): BagNature | null {
  if (isBagKind(name)) return bagNatures[name];
  const found = own.find((bag) => bag.name.toLowerCase() === name.toLowerCase());
  return found ? { ...found, goodFor: '', care: found.care ?? '' } : null;
}
