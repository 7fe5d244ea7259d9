import * as z from 'zod';
import { deeds } from '../run/run';
import { sheetSchema } from './schema';

const time = z
  .number()
  .min(-3_600_000)
  .max(48 * 3_600_000);

/** Deeds of a run as they are kept. */
export const deedSchema = z.strictObject({ what: z.enum(deeds), from: time, to: time, wall: z.number() });

const figures = { ms: z.number().min(0), rounds: z.int().min(0), punches: z.number().min(0) };

/** What happened: one run of a sheet, as planned and as done. */
export const logEntrySchema = z.strictObject({
  id: z.string().min(1).max(64),
  /** Milliseconds since 1970. */
  startedAt: z.number(),
  sheetId: z.string().min(1).max(64),
  title: z.string().max(200),
  /** The sheet as it was run. */
  sheet: sheetSchema,
  planned: z.strictObject(figures),
  done: z.strictObject({ ...figures, finished: z.boolean() }),
  deeds: z.array(deedSchema).max(5000),
  /** How hard it was, 0 to 10, once somebody has said. */
  effort: z.int().min(0).max(10).nullable(),
  /** Punches counted, where anybody counted. */
  counted: z.int().min(0).max(1_000_000).nullable(),
  note: z.string().max(4000),
  rehearsal: z.boolean(),
});
export type LogEntry = z.infer<typeof logEntrySchema>;

/** A run that is not over, kept so that a reload can take it up again. */
export const unfinishedRunSchema = z.strictObject({
  sheet: sheetSchema,
  at: time,
  breaksPassed: z.int().min(0),
  deeds: z.array(deedSchema).max(5000),
  rate: z.number().min(0.1).max(100),
  /** When it was last seen, in milliseconds since 1970. */
  seen: z.number(),
});
export type UnfinishedRun = z.infer<typeof unfinishedRunSchema>;
