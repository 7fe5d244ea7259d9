import * as z from '../schemas';

/** When the class changes over. */
export const stancePlans = ['never', 'each round', 'half round', 'each pieces', 'learn then mirror', 'inside'] as const;
export type StancePlanKind = (typeof stancePlans)[number];
/** Pieces after which the class changes over, where the plan counts them and does not say (house value). */
export const usualPieces = 2;

/** Time to settle, and the pace of a combination the first time in the new stance (house values, trade page, section 8). */
export const usualStances = { settleMs: 3000, firstPace: 0.8 } as const;

/** A sheet's plan of stance changes; without one the blocks say it themselves (trade page, section 8; house values). */
export const stancesSchema = z.strictObject({
  plan: z.enum(stancePlans),
  pieces: z.optional(z.int().check(z.gte(1), z.lte(50))).check(z.describe('for each pieces: after how many')),
  settleMs: z
    ._default(z.int().check(z.gte(0), z.lte(60_000)), usualStances.settleMs)
    .check(z.describe('time to settle in the other stance')),
  firstPace: z
    ._default(z.number().check(z.gte(0.3), z.lte(1)), usualStances.firstPace)
    .check(z.describe('pace of a combination the first time in the new stance')),
});
export type Stances = z.infer<typeof stancesSchema>;
