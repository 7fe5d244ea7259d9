import type { KickSchool } from '../mechanics/seams';
import type { BagNature } from './kinds';
import type { Level } from './kind-names';
import type { Access } from './own-kind';

/** Where coaches disagree (trade page, section 13). */
export interface Schools {
  /** Which leg is drilled after a hand. */
  readonly kick: KickSchool;
  /** What brings a ball back after a hook: a rear straight, or another hook or a back fist of the same hand. */
  readonly afterHook: 'rear straight' | 'same hand';
  /** Body shots on the double-end: none, or at the lower cord. */
  readonly bodyOnDoubleEnd: 'none' | 'lower cord';
  /** Kicks, knees, elbows and holds on a ball between cords, and elbows on the speed bag. */
  readonly ballTricks: boolean;
}

/** The defaults of section 13. */
export const usualSchools: Schools = {
  kick: 'opposite',
  afterHook: 'rear straight',
  bodyOnDoubleEnd: 'none',
  ballTricks: false,
};

/** Who works on a bag and how it hangs. */
export interface Conditions {
  /** Level of the athletes; without one the length is not limited. */
  readonly level?: Level | undefined;
  readonly schools?: Schools | undefined;
  /** How much of the circle round the bag is free; all of it unless told. */
  readonly access?: Access | undefined;
  /** Whether the bag reaches down past the knee; true unless told. */
  readonly lowKicks?: boolean | undefined;
}

/**
 * What a kind of bag takes as it hangs here, by this coach's school. A wall or neighbour that leaves only a quarter of the
 * circle rules out circling; a bag that ends above the knee takes nothing low.
 * @example natureHere(bagNatures.heavy, { lowKicks: false }).targets // ['head', 'body']
 */
export function natureHere(nature: BagNature, { schools, access, lowKicks }: Conditions): BagNature {
  const body = nature.bodyBySchool && schools?.bodyOnDoubleEnd === 'lower cord' && !nature.targets.includes('body');
  const low = lowKicks === false && nature.targets.includes('leg');
  const still = access === 'quarter' && !nature.noCircling;
  const tricks = schools?.ballTricks === true && nature.tricks.length > 0;
  if (!body && !low && !still && !tricks) return nature;
  return {
    ...nature,
    targets: body
      ? [...nature.targets, 'body']
      : low
        ? nature.targets.filter((each) => each !== 'leg')
        : nature.targets,
    ...(still ? { noCircling: true } : {}),
    ...(tricks ? { families: [...new Set([...nature.families, ...nature.tricks])] } : {}),
  };
}
