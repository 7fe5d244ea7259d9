import * as z from '../schemas';
import { liveChangesSchema } from '../run/live-changes';
import { deeds } from '../run/deeds';
import { combinationTextSchema, wordsSchema } from '../sheet/pieces';
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

const effort = z.nullable(z.int().check(z.gte(0), z.lte(10)));
const counted = z.nullable(z.int().check(z.gte(0), z.lte(1_000_000)));
const bpm = z.number().check(z.gte(20), z.lte(260));
const name = z.string().check(z.minLength(1), z.maxLength(60));

/** Whose a count is: one person's, or the mean of several who counted. */
export const countsOf = ['one', 'several'] as const;
/** How a count came about; of a simulated counter nothing is learnt. */
export const countedBys = ['typed', 'counter', 'simulated'] as const;

/** How many entries are kept of what an entry was before it was changed. */
export const mostAmendments = 200;

/** What people have said of a run, or of a session without the application; nobody has to be named. */
const said = {
  /** How hard it was, 0 to 10, once somebody has said. */
  effort,
  /** Punches counted, where anybody counted. */
  counted,
  note: z.string().check(z.maxLength(4000)),
  count: z.optional(z.strictObject({ of: z.enum(countsOf), by: z.enum(countedBys), name: z.optional(name) })),
  /** Of single rounds, where somebody has said. */
  rounds: z.optional(
    z.array(z.strictObject({ round: z.int().check(z.gte(1), z.lte(500)), effort, counted })).check(z.maxLength(500)),
  ),
  pulse: z.optional(z.strictObject({ mean: z.nullable(bpm), most: z.nullable(bpm) })),
  /** Faults that were seen, by id of the fault list. */
  faults: z.optional(z.array(z.string().check(z.minLength(1), z.maxLength(40))).check(z.maxLength(60))),
  who: z.optional(
    z.strictObject({
      /** What the class is called. */
      group: z.optional(z.string().check(z.minLength(1), z.maxLength(80))),
      names: z.array(name).check(z.maxLength(100)),
      people: z.nullable(z.int().check(z.gte(0), z.lte(500))),
    }),
  ),
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
  ...said,
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
  /** Written by hand, or taken in from a file: nothing of it was run here. */
  byHand: z.optional(z.boolean()),
  /** What it was before it was changed, the first first. */
  history: z.optional(
    z
      .array(z.strictObject({ at: z.number(), was: z.record(z.string(), z.unknown()) }))
      .check(z.maxLength(mostAmendments)),
  ),
});
export type LogEntry = z.infer<typeof logEntrySchema>;

/** What of an entry is said by people, and may be said anew. */
export const saidFields = [...(Object.keys(said) as (keyof typeof said)[]), 'title', 'startedAt'] as const;
export type Said = Partial<Pick<LogEntry, (typeof saidFields)[number]>>;

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
  /** The combination that is practised alone, in six, and its name; its rungs are climbed on where it is taken up. */
  solo: z.optional(z.strictObject({ text: combinationTextSchema, name: wordsSchema })),
});
export type UnfinishedRun = z.infer<typeof unfinishedRunSchema>;
