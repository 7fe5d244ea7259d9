import * as z from '../schemas';
import { combinationTextSchema } from '../sheet/pieces';

/** How much slower or faster a class may be made in the middle of a run (trade page, section 9; house values). */
export const livePaces = { least: 0.5, most: 1.5 } as const;
/** What one press adds to a piece, in milliseconds. */
export const addedMs = 30_000;
/** Easier or harder by one step of effort. */
export const liveVersions = ['easier', 'harder'] as const;

/** Session time at which it was pressed: changes are told from that moment on, what lies before stays as it was. */
const at = z.number().check(z.gte(-3_600_000), z.lte(48 * 3_600_000));

/** In how many milliseconds a session is to end: at least a minute, at most four hours. */
export const endInSchema = z.int().check(z.gte(60_000), z.lte(4 * 3_600_000));

/** Something a coach changes while people sweat. A new one is a member here and a rule in `core/live/edits.ts`. */
export const liveChangeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('pace'),
    at,
    factor: z.number().check(z.gte(livePaces.least), z.lte(livePaces.most)).check(z.describe('of the planned pace')),
  }),
  z.strictObject({ kind: z.literal('drill'), at, grows: z.boolean() }),
  z.strictObject({ kind: z.literal('longer'), at, ms: z.int().check(z.gte(1000), z.lte(3_600_000)) }),
  z.strictObject({ kind: z.literal('end piece'), at }),
  z.strictObject({ kind: z.literal('until a key'), at }),
  z.strictObject({ kind: z.literal('version'), at, version: z.enum(liveVersions) }),
  z.strictObject({ kind: z.literal('switch stance'), at }),
  z.strictObject({ kind: z.literal('end in'), at, ms: endInSchema }),
  z.strictObject({ kind: z.literal('swap'), at, text: combinationTextSchema }),
  z.strictObject({ kind: z.literal('fault'), at, fault: z.string().check(z.minLength(1), z.maxLength(40)) }),
  z.strictObject({ kind: z.literal('undo'), at }),
]);
export type LiveChange = z.infer<typeof liveChangeSchema>;

type WithoutMoment<Change> = Change extends LiveChange ? Omit<Change, 'at'> : never;
/** A change as it is pressed; when, the run knows. */
export type PressedChange = WithoutMoment<LiveChange>;

/** Changes that are kept of one run. */
export const mostLiveChanges = 2000;
export const liveChangesSchema = z.array(liveChangeSchema).check(z.maxLength(mostLiveChanges));

/** A change that stands until it is taken back. */
export type StandingChange = Exclude<LiveChange, { kind: 'undo' }>;

/** The changes that stand: each `undo` takes back the last one before it that still does. */
export function standing(changes: readonly LiveChange[]): StandingChange[] {
  const out: StandingChange[] = [];
  for (const change of changes)
    if (change.kind === 'undo') out.pop();
    else out.push(change);
  return out;
}
