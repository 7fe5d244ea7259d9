import * as z from 'zod';
import { bagNameSchema } from '../bags/own-kind';
import { callKinds, phraseKeys, type PhraseKey } from './kinds';

const words = z.string().min(1).max(400);
export const phraseSchema = z.strictObject({ full: words, short: words.optional() });
/** Words in full, and in short where there is a shorter way. */
export type Wording = z.infer<typeof phraseSchema>;

/** A technique focus: the words, and which moves and kinds of bag it belongs to; none named means any. */
export const focusSchema = z.strictObject({
  words,
  moves: z.array(z.string().min(1).max(40)).max(40),
  bags: z.array(bagNameSchema).max(20).optional(),
});
export type TechniqueFocus = z.infer<typeof focusSchema>;

const phrase = z.strictObject({ key: z.enum(phraseKeys), full: words, short: words.optional() });

/** A coach's own wordings; what is left out is said in ours. Kept with the sheet, or with the coach's settings. */
export const wordingsSchema = z.strictObject({
  phrases: z.array(phrase).max(phraseKeys.length).optional(),
  focuses: z.array(focusSchema).max(60).optional().describe('in place of ours'),
  cheers: z.array(words).max(30).optional().describe('in place of ours'),
  strikesAs: z.enum(['numbers', 'names']).optional(),
});
export type Wordings = z.infer<typeof wordingsSchema>;

/** Whether everything is said in our words. `isEmptyPhrasebook({})` → `true` */
export function isEmptyPhrasebook({ phrases, focuses, cheers, strikesAs }: Wordings): boolean {
  return !phrases && !focuses && !cheers && !strikesAs;
}

/** A call by its key, changed by the coach. */
export const callEditSchema = z.strictObject({
  key: z.string().min(1).max(200),
  say: words.optional(),
  muted: z.boolean().optional(),
  atMs: z.int().min(0).max(3_600_000).optional().describe('locked at so long after its window opens'),
});
export type CallEdit = z.infer<typeof callEditSchema>;

/** What a sheet says of its calls. */
export const sheetCallsSchema = z.strictObject({
  wordings: wordingsSchema.optional(),
  quiet: z.array(z.enum(callKinds)).max(callKinds.length).optional().describe('kinds that are left out'),
  edits: z.array(callEditSchema).max(2000).optional(),
});
export type SheetCalls = z.infer<typeof sheetCallsSchema>;

/** Our own wordings. Words in braces are filled in. A change of stance has no shorter way: "switch" alone is a move. */
export const usualPhrases: Readonly<Record<PhraseKey, Wording>> = {
  'switch stance': { full: 'Switch stance' },
  rest: { full: 'Rest. Water', short: 'Rest' },
  water: { full: 'Rest. Water, and breathe out long.' },
  breathing: { full: 'In for two, out for four', short: 'Breathe out long' },
  'ten seconds': { full: 'ten seconds' },
  'half way': { full: 'half way', short: 'half' },
  'seconds left': { full: '{seconds} seconds left', short: '{seconds} seconds' },
  'one minute left': { full: 'one minute left', short: 'one minute' },
  'minutes left': { full: '{minutes} minutes left', short: '{minutes} minutes' },
  next: { full: 'Next, {round}: {combination}', short: 'Next: {combination}' },
  'add on': { full: 'Add on: {combination}' },
  add: { full: 'add {moves}' },
  keep: { full: 'Keep the {moves} sharp', short: '{moves}' },
  effort: { full: '{effort}' },
  'own time': { full: 'Own time: anything built so far.', short: 'Own time' },
  'open break': { full: 'Open break. Go on when you are ready.' },
  'change lanes': { full: 'Change bags, the next one round', short: 'Change bags' },
  'change holders': { full: 'On pads, change over', short: 'Pads, change' },
  'count drill': { full: 'Count calls: that many punches, at once.', short: 'Count calls' },
  'direction drill': { full: 'Direction calls: step there, punch, come back.', short: 'Direction calls' },
  'go drill': { full: 'Go calls: fast hands on the word.', short: 'Go calls' },
  'get ready': { full: 'Get ready.' },
  stop: { full: 'Stop.' },
};

/**
 * What is reminded of when people tire (trade page, sections 7 and 9, content; common practice), from the strikes of a round
 * and the bag it is done on. A new one is a line here.
 */
export const usualFocuses: readonly TechniqueFocus[] = [
  { words: 'Rear hand stays at the cheek', moves: ['jab', 'lead hook', 'lead uppercut'] },
  { words: 'Step round it as it swings in', moves: [], bags: ['heavy'] },
  { words: 'Snap and touch, it stays standing', moves: [], bags: ['standing'] },
  { words: 'Timing before power', moves: [], bags: ['double-end', 'reflex'] },
  { words: 'Straight touches, by ear', moves: [], bags: ['speed'] },
  { words: 'Holders, elbows in and wrists firm', moves: [], bags: ['pads'] },
  { words: 'Never snap a joint to full lock', moves: [], bags: ['shadow'] },
  { words: 'Hip and heel turn with it', moves: ['cross', 'lead hook', 'rear hook'] },
  { words: 'Wrist straight, fist closed as it lands', moves: ['jab', 'cross', 'hook'], bags: ['heavy', 'standing'] },
  { words: 'Hands home before it comes back', moves: [], bags: ['double-end'] },
  { words: 'Hit it as it comes through the middle', moves: [], bags: ['reflex'] },
  { words: 'Full reach, then home', moves: ['jab', 'cross'], bags: ['shadow'] },
  { words: 'Turn the knuckles over', moves: ['jab', 'cross'] },
  { words: 'Knees bend, then rise with the uppercut', moves: ['lead uppercut', 'rear uppercut'] },
  {
    words: 'Standing foot turns, kicking side hand drops',
    moves: ['low kick', 'body kick', 'head kick', 'switch kick'],
  },
  { words: 'Standing foot flat in the push kick', moves: ['teep'] },
  { words: 'Small slips, not wide ones', moves: ['slip', 'roll'] },
  { words: 'Eyes on the target in the block', moves: ['block', 'cover', 'parry'] },
  { words: 'Stay off the bag, no leaning', moves: [], bags: ['heavy'] },
  { words: 'Step in, touch, step out', moves: [], bags: ['standing'] },
  { words: 'Punch through and come straight back', moves: ['jab', 'cross'], bags: ['heavy', 'pads'] },
  { words: 'Chin down when it gets fast', moves: [] },
  { words: 'Breathe out on each strike', moves: [] },
  { words: 'Feet never together', moves: [] },
];

export const usualCheers: readonly string[] = ['Good work', 'Keep that rhythm', 'Stay with it', 'Nice and loose'];
