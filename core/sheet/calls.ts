import * as z from '../schemas';
import { levels } from '../bags/kind-names';
import { bagNameSchema } from '../bags/own-kind';
import { callKinds, phraseKeys, talks } from './call-kinds';

const words = z.string().check(z.minLength(1), z.maxLength(400));
export const phraseSchema = z.strictObject({ full: words, short: z.optional(words) });
/** Words in full, and in short where there is a shorter way. */
export type Wording = z.infer<typeof phraseSchema>;

/** A technique focus: the words, and what it belongs to; what is not named may be anything. */
export const focusSchema = z.strictObject({
  words,
  moves: z
    .array(z.string().check(z.minLength(1), z.maxLength(40)))
    .check(z.maxLength(40), z.describe('moves in any spelling, or head, body or leg for everything aimed there')),
  bags: z.optional(z.array(bagNameSchema).check(z.maxLength(20))),
  levels: z.optional(z.array(z.enum(levels)).check(z.minLength(1), z.maxLength(3))),
  everyMs: z.optional(z.int().check(z.gte(5000), z.lte(3_600_000))).check(z.describe('how often it is repeated')),
  only: z.optional(z.boolean()).check(z.describe('replaces the built-in ones')),
});
export type TechniqueFocus = z.infer<typeof focusSchema>;

const phrase = z.strictObject({ key: z.enum(phraseKeys), full: words, short: z.optional(words) });

export const strikeWords = ['numbers', 'names', 'both'] as const;
/** How strikes are called: by number, by name, or by both for classes that learn them. */
export type StrikeWords = (typeof strikeWords)[number];

/** A coach's own wordings; what is left out is said in ours. Kept with the sheet, or with the coach's settings. */
export const wordingsSchema = z.strictObject({
  phrases: z.optional(z.array(phrase).check(z.maxLength(phraseKeys.length))),
  focuses: z.optional(z.array(focusSchema).check(z.maxLength(60))).check(z.describe('replaces ours')),
  cheers: z.optional(z.array(words).check(z.maxLength(30))).check(z.describe('replaces ours')),
  strikesAs: z
    .optional(z.enum(strikeWords))
    .check(z.describe('if missing, numbers; for beginners both in the first minutes of a combination')),
  sides: z.optional(z.boolean()).check(z.describe('the side of every defence, kick and step is said')),
});
export type Wordings = z.infer<typeof wordingsSchema>;

/** A sheet's own wordings; its focuses stand in lines of their own. */
export const sheetWordingsSchema = z.omit(wordingsSchema, { focuses: true });

/** How a word of the coach's own is to be said, where it is not said as it is written. */
export const pronunciationSchema = z.strictObject({
  word: z.string().check(z.minLength(1), z.maxLength(60)),
  as: z.string().check(z.minLength(1), z.maxLength(120)),
});
export type Pronunciation = z.infer<typeof pronunciationSchema>;
export const pronunciationsSchema = z.array(pronunciationSchema).check(z.maxLength(200));

/** Whether everything is said in our words. `isEmptyPhrasebook({})` → `true` */
export function isEmptyPhrasebook({ phrases, focuses, cheers, strikesAs, sides }: Wordings): boolean {
  return !phrases && !focuses && !cheers && !strikesAs && sides === undefined;
}

/** A call by its key, changed by the coach. */
export const callEditSchema = z.strictObject({
  key: z.string().check(z.minLength(1), z.maxLength(200)),
  say: z.optional(words),
  muted: z.optional(z.boolean()),
  atMs: z
    .optional(z.int().check(z.gte(0), z.lte(3_600_000)))
    .check(z.describe('locked at this delay after its window opens')),
});
export type CallEdit = z.infer<typeof callEditSchema>;

/** What a sheet says of its calls. */
export const sheetCallsSchema = z.strictObject({
  wordings: z.optional(sheetWordingsSchema),
  talk: z.optional(z.enum(talks)).check(z.describe('how much is called; if missing, the coach’s setting decides')),
  quiet: z
    .optional(z.array(z.enum(callKinds)).check(z.maxLength(callKinds.length)))
    .check(z.describe('types of call that are turned off')),
  edits: z.optional(z.array(callEditSchema).check(z.maxLength(2000))),
});
export type SheetCalls = z.infer<typeof sheetCallsSchema>;
