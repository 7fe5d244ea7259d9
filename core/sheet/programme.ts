import * as z from '../schemas';
import { bagKinds, levels } from '../bags/kind-names';
import { combinationTextSchema, msSchema } from './pieces';
import { draftKinds } from './settings';

export const programmeFormat = 'keen-tempo/programme';
export const programmeVersion = 1;
/** Programmes are kept among the remembered choices, each under this and its id. */
export const programmePrefix = 'programme ';

const id = z.string().check(z.minLength(1), z.maxLength(64));
const isoDaySchema = z.iso.date();
const minutes = z.int().check(z.gte(10), z.lte(120));
const effort = z.int().check(z.gte(1), z.lte(10));
const rounds = z.int().check(z.gte(1), z.lte(30));
const roundMs = msSchema.check(z.gte(30_000), z.lte(600_000));

/** Where a programme goes to. */
export const programmeGoalSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('combination'),
    text: combinationTextSchema,
    steps: z
      .optional(z.array(combinationTextSchema).check(z.minLength(1), z.maxLength(30)))
      .check(z.describe('how it is built up; by default from its first move')),
  }),
  z.strictObject({ kind: z.literal('rounds'), rounds, roundMs }),
  z.strictObject({ kind: z.literal('stances') }),
]);
export type ProgrammeGoal = z.infer<typeof programmeGoalSchema>;

/** The one thing that a session adds. */
export const stepSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('combination'), text: combinationTextSchema }),
  z.strictObject({ kind: z.literal('rounds'), rounds, roundMs }),
  z.strictObject({
    kind: z.literal('stances'),
    percent: z.int().check(z.gte(0), z.lte(50), z.describe('share of rounds in the opposite stance')),
  }),
]);
export type ProgrammeStep = z.infer<typeof stepSchema>;

export const sessionStates = ['open', 'done', 'missed'] as const;

export const programmeSessionSchema = z.strictObject({
  id,
  day: isoDaySchema,
  state: z.enum(sessionStates),
  /** Of an easier week: nothing new, and less of it. */
  easier: z.boolean(),
  adds: z.nullable(stepSchema),
  /** Combinations that are due, by their text. */
  repeats: z.array(combinationTextSchema).check(z.maxLength(20)),
  bag: z.optional(z.enum(bagKinds)).check(z.describe('when sessions rotate through bags')),
  /** How hard it is meant to be, 0 to 10. */
  effort,
  minutes,
  /** The sheet that was drafted for it. */
  sheetId: z.nullable(id),
  /** Put on its day by hand: planning anew leaves it there. */
  moved: z.boolean(),
  /** Counted up whenever a calendar has to hear of it again. */
  sequence: z.int().check(z.gte(0)),
});
export type ProgrammeSession = z.infer<typeof programmeSessionSchema>;

/** What is wished for; everything else of a programme follows from it and from the log. */
export const programmeWishesSchema = z.strictObject({
  name: z.string().check(z.maxLength(120)),
  starts: isoDaySchema,
  weeks: z.int().check(z.gte(1), z.lte(26)),
  weekdays: z.array(z.int().check(z.gte(0), z.lte(6))).check(z.minLength(1), z.maxLength(7), z.describe('0 is Monday')),
  at: z.int().check(z.gte(0), z.lte(1439), z.describe('minutes after midnight')),
  minutes,
  level: z.enum(levels),
  kind: z.enum(draftKinds),
  bag: z.enum(bagKinds),
  bags: z
    .optional(z.array(z.enum(bagKinds)).check(z.minLength(2), z.maxLength(bagKinds.length)))
    .check(z.describe('one per session in rotation; missing means a single bag')),
  people: z.nullable(z.int().check(z.gte(0), z.lte(500))),
  goal: programmeGoalSchema,
  easierEvery: z.literal([0, 3, 4, 5, 6]).check(z.describe('every how many weeks an easier week comes; 0 for never')),
  daysOff: z.array(isoDaySchema).check(z.maxLength(200)),
  bounds: z.strictObject({
    rise: z.number().check(z.gte(0), z.lte(1), z.describe('limit on the weekly rise in training load')),
    monotony: z.number().check(z.gte(0.5), z.lte(5)),
  }),
});
export type ProgrammeWishes = z.infer<typeof programmeWishesSchema>;

/** Weeks on a calendar towards a goal. */
export const programmeSchema = z.strictObject({
  format: z.literal(programmeFormat),
  version: z.literal(programmeVersion),
  id,
  wishes: programmeWishesSchema,
  sessions: z.array(programmeSessionSchema).check(z.maxLength(200)),
});
export type Programme = z.infer<typeof programmeSchema>;
