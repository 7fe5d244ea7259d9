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
      z.regex(/^[\p{L}\p{N}][\p{L}\p{N} ]*$/u, 'letters, numbers and spaces only'),
    ),
  targets: z.array(z.enum(targets)).check(z.minLength(1), z.maxLength(3), z.describe('what can be hit on it')),
  families: z.array(z.enum(strikeFamilies)).check(z.minLength(1), z.maxLength(6), z.describe('strikes that it takes')),
  powerCapped: z.optional(z.boolean()).check(z.describe('hard shots are softened')),
  wildAfterHooks: z
    .optional(z.boolean())
    .check(z.describe('hooks send it sideways, so the next strike must bring it back')),
  oneAtATime: z.optional(z.boolean()).check(z.describe('needs to settle between strikes')),
  longest: z
    .optional(z.strictObject({ beginner: most, intermediate: most, advanced: most }))
    .check(z.describe('longest useful combination, in strikes')),
  holds: z.optional(z.boolean()).check(z.describe('can be grabbed; default true')),
  rhythm: z
    .optional(z.string().check(z.minLength(1), z.maxLength(400)))
    .check(z.describe('used instead of numbered combinations')),
  care: z.optional(z.string().check(z.maxLength(400))),
});
export type OwnBag = z.infer<typeof ownBagSchema>;

/**
 * Why a new kind cannot have a name, or null where it can. Only asked where a kind is made: one that was kept under the
 * name of a kind that came later stays the coach's own.
 * @example takenName('Heavy') // "that name is already used"
 */
export function takenName(name: string): string | null {
  // Text reads words and hyphens alike: "Double end" would be the kind `double-end` there.
  const asText = name
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, '-');
  const kind = bagKinds.find((each) => each === asText);
  return kind === undefined ? null : `that name is already used; add a word, as “${name.trim()} two”`;
}

/** The name of a kind of bag: one that is built in, or one of the coach's own. */
export const bagNameSchema = z.string().check(z.minLength(1), z.maxLength(40));

/** How much of the circle round a bag is free. */
export const accesses = ['all round', 'three quarters', 'half', 'quarter'] as const;
export type Access = (typeof accesses)[number];
