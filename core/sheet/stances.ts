import * as z from '../schemas';

/** When the class switches stance. */
export const stancePlans = ['never', 'each round', 'half round', 'each pieces', 'learn then mirror', 'inside'] as const;
export type StancePlanKind = (typeof stancePlans)[number];

/** Plans as screens name them: the keys are those of files. */
export const stancePlanNames: Readonly<Record<StancePlanKind, string>> = {
  never: 'never',
  'each round': 'every round',
  'half round': 'halfway through each round',
  'each pieces': 'after a number of drills',
  'learn then mirror': 'learn, then mirror',
  inside: 'inside the combinations',
};
/** Drills after which the class switches stance, where the plan counts them and does not say (house value). */
export const usualPieces = 2;

/** Time to settle, and the pace of a combination the first time in the new stance (house values, trade page, section 8). */
export const usualStances = { settleMs: 3000, firstPace: 0.8 } as const;

/** A sheet's plan of stance changes; without one the blocks say it themselves (trade page, section 8; house values). */
export const stancesSchema = z.strictObject({
  plan: z.enum(stancePlans),
  pieces: z
    .optional(z.int().check(z.gte(1), z.lte(50)))
    .check(z.describe('for the plan each pieces: after how many drills')),
  settleMs: z
    ._default(z.int().check(z.gte(0), z.lte(60_000)), usualStances.settleMs)
    .check(z.describe('time to settle in the opposite stance')),
  firstPace: z
    ._default(z.number().check(z.gte(0.3), z.lte(1)), usualStances.firstPace)
    .check(z.describe('pace of a combination the first time in the new stance')),
});
export type Stances = z.infer<typeof stancesSchema>;
