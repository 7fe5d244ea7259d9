import * as z from '../schemas';
import { accesses, bagNameSchema } from '../bags/own-kind';
import { effortNames, focusNames } from '../mechanics/effort';
import { targets } from '../moves/kind';
import { buildKinds, drillKinds, mostEfforts } from '../progressions/kinds';
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

/** How hard, in per cent of all out. */
const percent = z.number().check(z.gte(10), z.lte(100));
const effort = z._default(z.union([z.enum(effortNames), percent]), 'steady');
const stance = z.optional(z.enum(stanceNames)).check(z.describe('stance for this drill, if different from the sheet'));
const focus = z.optional(z.enum(focusNames));
const power = z.optional(percent).check(z.describe('how hard each strike is, in per cent; the effort stays'));
const timing = { id: idSchema, ms: msSchema, effort, focus, stance, power };

const breath = {
  nonStop: z.optional(z.boolean()),
  gapMs: z.optional(z.int().check(z.gte(0), z.lte(60_000))).check(z.describe('gap between repetitions; default 3 s')),
  between: z.optional(wordsSchema).check(z.describe('what is done between repetitions')),
  voice: z.optional(z.enum(['strikes', 'click'])).check(z.describe('call every strike, or click')),
  bpm: z.optional(z.int().check(z.gte(30), z.lte(240))).check(z.describe('clicks per minute')),
};

/** What a lane does in place of the piece's own text, by the coach's word; the text may be one that does not fit. */
const laneText = z.strictObject({ bag: bagNameSchema, text: combinationTextSchema });
const lanes = z
  .optional(z.array(laneText).check(z.maxLength(12)))
  .check(z.describe('versions the coach chose for single stations'));

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
  least: z
    .int()
    .check(z.gte(1), z.lte(20), z.describe('fewest punches per answer; where direction and go drills start')),
  most: z.int().check(z.gte(1), z.lte(20), z.describe('most punches per answer; where direction and go drills end')),
  gapLeastMs: z
    .optional(z.int().check(z.gte(0), z.lte(60_000)))
    .check(z.describe('shortest gap after an answer; default 1 s')),
  gapMostMs: z
    .optional(z.int().check(z.gte(0), z.lte(60_000)))
    .check(z.describe('longest gap after an answer; default 4 s')),
  seed: z
    .optional(z.int().check(z.gte(0), z.lte(4_294_967_295)))
    .check(z.describe('the same seed gives the same calls; default 1')),
  between: z.optional(wordsSchema),
  words: z.optional(wordsSchema).check(z.describe('the coach’s own words for the drill')),
});

/** Rebounds after a touch: odd, so that the bag comes back to the hitter's side, or none for a soft touch. */
const rebounds = z.int().check(
  z.gte(0),
  z.lte(99),
  z.refine((count) => count === 0 || count % 2 === 1, 'the number of rebounds must be odd, or 0 for a soft touch'),
);
export const rhythmHands = ['lead', 'rear', 'turns'] as const;
const rhythmPiece = z.strictObject({
  kind: z.literal('rhythm'),
  ...timing,
  row: z.array(rebounds).check(z.minLength(1), z.maxLength(24), z.describe('rebounds of the board after each touch')),
  hand: z.optional(z.enum(rhythmHands)).check(z.describe('default lead; "turns" alternates row by row')),
  elbow: z.optional(z.boolean()).check(z.describe('touched with the elbow, if allowed under Where coaches differ')),
  growTo: z
    .optional(z.int().check(z.gte(2), z.lte(20)))
    .check(z.describe('the last number is repeated once, then twice, and so on, in equal shares of the time')),
  growFrom: z.optional(z.int().check(z.gte(1), z.lte(19))).check(z.describe('default 1')),
  rebounds: z.optional(z.int().check(z.gte(30), z.lte(1000))).check(z.describe('rebounds per minute; default 300')),
  words: z.optional(wordsSchema).check(z.describe('the coach’s own words for the rhythm')),
});

const oneTo99 = z.int().check(z.gte(1), z.lte(99));
const buildPiece = z.strictObject({
  kind: z.literal('build'),
  id: idSchema,
  effort,
  focus,
  stance,
  power,
  build: z.enum(buildKinds),
  goal: combinationTextSchema.check(z.describe('empty for the alternator')),
  second: z.optional(combinationTextSchema).check(z.describe('the second combination of a link')),
  defence: z._default(z.enum(['rides', 'own']), 'rides'),
  kick: z.optional(z.enum(['opposite', 'same'])).check(z.describe('kick-close')),
  cuts: z
    .optional(z.array(z.int().check(z.gte(1), z.lte(10_000))).check(z.maxLength(99)))
    .check(z.describe('chunks: split points, counted in moves')),
  from: z.optional(oneTo99).check(z.describe('alternator')),
  to: z.optional(oneTo99).check(z.describe('alternator and amount')),
  again: z.optional(z.boolean()).check(z.describe('pyramid and kick-close: and back up again')),
  alone: z.optional(z.boolean()).check(z.describe('singles: without combining them at the end')),
  efforts: z
    .optional(z.array(percent).check(z.minLength(2), z.maxLength(mostEfforts)))
    .check(z.describe('effort: per cent of each stage, one after the other')),
  pattern: z
    .optional(z.array(z.enum(targets)).check(z.minLength(1), z.maxLength(mostEfforts)))
    .check(z.describe('levels')),
  every: z
    .union([z.literal('round'), z.array(msSchema).check(z.minLength(1), z.maxLength(500))])
    .check(z.describe('length of every stage, a list of lengths, or one stage per round')),
  lanes,
  ...breath,
});

/** A kind of bag that is there. */
export const laneSchema = z.strictObject({
  bag: bagNameSchema.check(z.describe('a kind of bag, built-in or defined in this sheet')),
  places: z.int().check(z.gte(0), z.lte(200), z.describe('people who can work there at once; 0 while out of use')),
  access: z.optional(z.enum(accesses)).check(z.describe('how much of the space around it is clear; default all of it')),
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
