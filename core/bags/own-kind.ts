import * as z from '../schemas';
import type { families } from '../moves/kind';
import { targets } from '../moves/kind';
import { bagKinds } from './kind-names';

/** Families of strikes that a bag may take. */
export const strikeFamilies = [
  'punch',
  'elbow',
  'knee',
  'kick',
  'teep',
  'push',
] as const satisfies readonly (typeof families)[number][];

const most = z.int().check(z.gte(2), z.lte(99));

/** A kind of bag that a coach has made from the same capabilities as the kinds that are built in. */
export const ownBagSchema = z.strictObject({
  name: z
    .string()
    .check(
      z.minLength(1),
      z.maxLength(40),
      z.regex(/^[\p{L}\p{N}][\p{L}\p{N} ]*$/u, 'letters, figures and spaces only'),
    ),
  targets: z.array(z.enum(targets)).check(z.minLength(1), z.maxLength(3), z.describe('what can be hit on it')),
  families: z.array(z.enum(strikeFamilies)).check(z.minLength(1), z.maxLength(6), z.describe('strikes that it takes')),
  powerCapped: z.optional(z.boolean()).check(z.describe('hard shots are softened')),
  wildAfterHooks: z
    .optional(z.boolean())
    .check(z.describe('a hook sends it sideways, so that something must bring it back')),
  oneAtATime: z.optional(z.boolean()).check(z.describe('it has to settle between two strikes')),
  longest: z
    .optional(z.strictObject({ beginner: most, intermediate: most, advanced: most }))
    .check(z.describe('most strikes of a useful combination')),
  holds: z.optional(z.boolean()).check(z.describe('hands can take hold of it; true unless told')),
  rhythm: z
    .optional(z.string().check(z.minLength(1), z.maxLength(400)))
    .check(z.describe('numbered combinations become this instead')),
  care: z.optional(z.string().check(z.maxLength(400))),
});
export type OwnBag = z.infer<typeof ownBagSchema>;

/**
 * Why a new kind cannot have a name, or null where it can. Only asked where a kind is made: one that was kept under the
 * name of a kind that came later stays the coach's own.
 * @example takenName('Heavy') // "this is the name of a kind that is there"
 */
export function takenName(name: string): string | null {
  // Text reads words and hyphens alike: "Double end" would be the kind `double-end` there.
  const asText = name
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, '-');
  const kind = bagKinds.find((each) => each === asText);
  return kind === undefined ? null : `this is the name of a kind that is there; add a word, as “${name.trim()} two”`;
}

/** The name of a kind of bag: one that is built in, or one of the coach's own. */
export const bagNameSchema = z.string().check(z.minLength(1), z.maxLength(40));

/** How much of the circle round a bag is free. */
export const accesses = ['all round', 'three quarters', 'half', 'quarter'] as const;
export type Access = (typeof accesses)[number];
