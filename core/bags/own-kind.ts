import * as z from 'zod';
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

const most = z.int().min(2).max(99);

/** A kind of bag that a coach has made from the same capabilities as the kinds that are built in. */
export const ownBagSchema = z.strictObject({
  name: z
    .string()
    .min(1)
    .max(40)
    .regex(/^[\p{L}\p{N}][\p{L}\p{N} ]*$/u, 'letters, figures and spaces only')
    .refine(
      (name) => !bagKinds.some((kind) => kind === name.toLowerCase()),
      'this is the name of a kind that is there',
    ),
  targets: z.array(z.enum(targets)).min(1).max(3).describe('what can be hit on it'),
  families: z.array(z.enum(strikeFamilies)).min(1).max(6).describe('strikes that it takes'),
  powerCapped: z.boolean().optional().describe('hard shots are softened'),
  wildAfterHooks: z.boolean().optional().describe('a hook sends it sideways, so that something must bring it back'),
  oneAtATime: z.boolean().optional().describe('it has to settle between two strikes'),
  longest: z
    .strictObject({ beginner: most, intermediate: most, advanced: most })
    .optional()
    .describe('most strikes of a useful combination'),
  rhythm: z.string().min(1).max(400).optional().describe('numbered combinations become this instead'),
  care: z.string().max(400).optional(),
});
export type OwnBag = z.infer<typeof ownBagSchema>;

/** The name of a kind of bag: one that is built in, or one of the coach's own. */
export const bagNameSchema = z.string().min(1).max(40);

/** How much of the circle round a bag is free. */
export const accesses = ['all round', 'three quarters', 'half', 'quarter'] as const;
export type Access = (typeof accesses)[number];
