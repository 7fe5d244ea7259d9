import * as z from '../schemas';
import { accesses, bagNameSchema } from '../bags/own-kind';
import { effortNames, focusNames } from '../mechanics/effort';
import { targets } from '../moves/kind';
import { buildKinds, drillKinds } from '../progressions/kinds';
import { sheetLimits } from './limits';

/** A length on the clock. */
export const msSchema = z
  .int()
  .check(z.gte(1000), z.lte(sheetLimits.ms), z.describe('whole milliseconds, at least one second'));
export const idSchema = z.string().check(z.minLength(1), z.maxLength(64));
/** An id that can stand in an address as it is; a sheet from a file with any other is given one of ours. */
export const addressSchema = z.string().check(z.regex(/^[A-Za-z0-9_-]{1,64}$/));
export const wordsSchema = z.string().check(z.maxLength(400));
/** Combinations are kept as text in the six-number scheme; text that cannot be read is kept as it was typed. */
export const combinationTextSchema = z.string().check(z.maxLength(100_000));
/** How somebody may stand in a piece; a sheet is meant for one of them. */
export const stanceNames = ['orthodox', 'southpaw', 'square'] as const;

const effort = z._default(z.union([z.enum(effortNames), z.number().check(z.gte(10), z.lte(100))]), 'steady');
const stance = z.optional(z.enum(stanceNames)).check(z.describe('how this piece is done, where not as the sheet says'));
const focus = z.optional(z.enum(focusNames));
const timing = { id: idSchema, ms: msSchema, effort, focus, stance };

const breath = {
  nonStop: z.optional(z.boolean()),
  gapMs: z
    .optional(z.int().check(z.gte(0), z.lte(60_000)))
    .check(z.describe('breath between repetitions; 3 s unless told')),
  between: z.optional(wordsSchema).check(z.describe('what is done between repetitions')),
  voice: z.optional(z.enum(['strikes', 'click'])).check(z.describe('each strike called on its own time, or a click')),
  bpm: z.optional(z.int().check(z.gte(30), z.lte(240))).check(z.describe('clicks a minute')),
};

/** What a lane does in place of the piece's own text, by the coach's word; the text may be one that does not fit. */
const laneText = z.strictObject({ bag: bagNameSchema, text: combinationTextSchema });
const lanes = z
  .optional(z.array(laneText).check(z.maxLength(12)))
  .check(z.describe('versions of single lanes, chosen by the coach'));

const combinationPiece = z.strictObject({
  kind: z.literal('combination'),
  ...timing,
  lanes,
  text: combinationTextSchema,
  words: z.optional(wordsSchema),
  ...breath,
  otherStance: z.optional(z.enum(['carry on mirrored', 'reset'])),
});
const ownTimePiece = z.strictObject({ kind: z.literal('own-time'), ...timing });
const wordsPiece = z.strictObject({ kind: z.literal('words'), ...timing, words: wordsSchema });
const changeOverPiece = z.strictObject({ kind: z.literal('change-over'), ...timing });
/** Time off between two exercises, in which the next one is named. */
const pausePiece = z.strictObject({ kind: z.literal('pause'), ...timing });

const callsPiece = z.strictObject({
  kind: z.literal('calls'),
  ...timing,
  drill: z.enum(drillKinds),
  least: z.int().check(z.gte(1), z.lte(20), z.describe('fewest punches of an answer; direction and go begin there')),
  most: z.int().check(z.gte(1), z.lte(20), z.describe('most punches of an answer; direction and go grow to there')),
  gapLeastMs: z
    .optional(z.int().check(z.gte(0), z.lte(60_000)))
    .check(z.describe('least stillness after an answer; 1 s unless told')),
  gapMostMs: z
    .optional(z.int().check(z.gte(0), z.lte(60_000)))
    .check(z.describe('longest stillness after an answer; 4 s unless told')),
  seed: z
    .optional(z.int().check(z.gte(0), z.lte(4_294_967_295)))
    .check(z.describe('the same seed gives the same script; 1 unless told')),
  between: z.optional(wordsSchema),
});

/** Rebounds after a touch: odd, so that the bag comes back to the hitter's side, or none for a soft touch. */
const rebounds = z.int().check(
  z.gte(0),
  z.lte(99),
  z.refine((count) => count === 0 || count % 2 === 1, 'rebounds between touches are odd, or 0 for a soft touch'),
);
export const rhythmHands = ['lead', 'rear', 'turns'] as const;
const rhythmPiece = z.strictObject({
  kind: z.literal('rhythm'),
  ...timing,
  row: z.array(rebounds).check(z.minLength(1), z.maxLength(24), z.describe('rebounds of the board after each touch')),
  hand: z.optional(z.enum(rhythmHands)).check(z.describe('lead unless told; turns changes from row to row')),
  elbow: z.optional(z.boolean()).check(z.describe('touched with the elbow, where the school allows it')),
  growTo: z
    .optional(z.int().check(z.gte(2), z.lte(20)))
    .check(z.describe('the last number stands once, twice … in equal shares of the piece')),
  growFrom: z.optional(z.int().check(z.gte(1), z.lte(19))).check(z.describe('1 unless told')),
  rebounds: z
    .optional(z.int().check(z.gte(30), z.lte(1000)))
    .check(z.describe('rebounds of the board in a minute; 300 unless told')),
});

const oneTo99 = z.int().check(z.gte(1), z.lte(99));
const buildPiece = z.strictObject({
  kind: z.literal('build'),
  id: idSchema,
  effort,
  focus,
  stance,
  build: z.enum(buildKinds),
  goal: combinationTextSchema.check(z.describe('empty for the alternator')),
  second: z.optional(combinationTextSchema).check(z.describe('the other goal of a join')),
  defence: z._default(z.enum(['rides', 'own']), 'rides'),
  kick: z.optional(z.enum(['opposite', 'same'])).check(z.describe('kick-close')),
  cuts: z
    .optional(z.array(z.int().check(z.gte(1), z.lte(10_000))).check(z.maxLength(99)))
    .check(z.describe('chunks, counted in moves')),
  from: z.optional(oneTo99).check(z.describe('alternator')),
  to: z.optional(oneTo99).check(z.describe('alternator and amount')),
  again: z.optional(z.boolean()).check(z.describe('pyramid and kick-close: up once more')),
  alone: z.optional(z.boolean()).check(z.describe('singles: without the joined stage at the end')),
  pattern: z.optional(z.array(z.enum(targets)).check(z.minLength(1), z.maxLength(24))).check(z.describe('levels')),
  every: z
    .union([z.literal('round'), z.array(msSchema).check(z.minLength(1), z.maxLength(500))])
    .check(z.describe('length of a stage, or of each stage, or one stage a round')),
  lanes,
  ...breath,
});

/** A kind of bag that is there. */
export const laneSchema = z.strictObject({
  bag: bagNameSchema.check(z.describe('a kind of bag, built in or of the sheet’s own')),
  places: z.int().check(z.gte(0), z.lte(200), z.describe('people who can work there at once; 0 while it is down')),
  access: z
    .optional(z.enum(accesses))
    .check(z.describe('how much of the circle round it is free; all of it unless told')),
  lowKicks: z.optional(z.boolean()).check(z.describe('false where the bag ends above the knee')),
});

/** What each kind of piece holds; a field takes its limits from here. `pieceSchemas.calls.shape.least` */
export const pieceSchemas = {
  combination: combinationPiece,
  'own-time': ownTimePiece,
  words: wordsPiece,
  build: buildPiece,
  calls: callsPiece,
  rhythm: rhythmPiece,
  pause: pausePiece,
  'change-over': changeOverPiece,
} as const;

/** What stands in a block. */
export const pieceSchema = z.discriminatedUnion('kind', [
  combinationPiece,
  ownTimePiece,
  wordsPiece,
  buildPiece,
  callsPiece,
  rhythmPiece,
  pausePiece,
  changeOverPiece,
]);
