import * as z from '../schemas';
import { liveChangesSchema } from '../run/live-changes';
import { deeds } from '../run/run';
import { sheetSchema } from '../sheet/schema';

const time = z.number().check(z.gte(-3_600_000), z.lte(48 * 3_600_000));

/** Deeds of a run as they are kept. */
export const deedSchema = z.strictObject({ what: z.enum(deeds), from: time, to: time, wall: z.number() });

/** Deeds that are kept of a run; of a longer one the first are let go, what was done stays counted. */
export const mostDeeds = 100_000;

const figures = {
  ms: z.number().check(z.gte(0)),
  rounds: z.int().check(z.gte(0)),
  punches: z.number().check(z.gte(0)),
};

/** What happened: one run of a sheet, as planned and as done. */
export const logEntrySchema = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(64)),
  /** Milliseconds since 1970. */
  startedAt: z.number(),
  sheetId: z.string().check(z.minLength(1), z.maxLength(64)),
  title: z.string().check(z.maxLength(200)),
  /** The sheet as it was run. */
  sheet: sheetSchema,
  planned: z.strictObject(figures),
  done: z.strictObject({ ...figures, finished: z.boolean() }),
  deeds: z.array(deedSchema).check(z.maxLength(mostDeeds)),
  /** How hard it was, 0 to 10, once somebody has said. */
  effort: z.nullable(z.int().check(z.gte(0), z.lte(10))),
  /** Punches counted, where anybody counted. */
  counted: z.nullable(z.int().check(z.gte(0), z.lte(1_000_000))),
  note: z.string().check(z.maxLength(4000)),
  /** What was changed while it ran. */
  changes: z.optional(liveChangesSchema),
  /** What sensors have told; of simulated ones it says so, and nothing is learnt from it. */
  sensed: z.optional(
    z.strictObject({
      simulated: z.boolean(),
      punches: z.nullable(z.int().check(z.gte(0), z.lte(1_000_000))),
      meanPulse: z.nullable(z.number().check(z.gte(0), z.lte(300))),
      mostPulse: z.nullable(z.number().check(z.gte(0), z.lte(300))),
    }),
  ),
  rehearsal: z.boolean(),
  /** The run was broken off (the browser was closed, say) and not taken up again. */
  brokenOff: z.optional(z.boolean()),
});
export type LogEntry = z.infer<typeof logEntrySchema>;

/** A run that is not over, kept so that a reload can take it up again. */
export const unfinishedRunSchema = z.strictObject({
  sheet: sheetSchema,
  at: time,
  breaksPassed: z.int().check(z.gte(0)),
  deeds: z.array(deedSchema).check(z.maxLength(mostDeeds)),
  changes: z.optional(liveChangesSchema),
  rate: z.number().check(z.gte(0.1), z.lte(100)),
  /** When it was last seen, in milliseconds since 1970. */
  seen: z.number(),
});
export type UnfinishedRun = z.infer<typeof unfinishedRunSchema>;
