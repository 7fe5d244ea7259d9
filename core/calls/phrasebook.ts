import * as z from 'zod';
import { callKinds, phraseKeys, type PhraseKey } from './kinds';

const words = z.string().min(1).max(400);
export const phraseSchema = z.strictObject({ full: words, short: words.optional() });
/** Words in full, and in short where there is a shorter way. */
export type Wording = z.infer<typeof phraseSchema>;

/** A technique focus: the words, and which moves it belongs to; none named means any. */
export const focusSchema = z.strictObject({ words, moves: z.array(z.string().min(1).max(40)).max(40) });
export type Focus = z.infer<typeof focusSchema>;

const phrase = z.strictObject({ key: z.enum(phraseKeys), full: words, short: words.optional() });

/** A coach's own wordings; what is left out is said in ours. Kept with the sheet, or with the coach's settings. */
export const wordingsSchema = z.strictObject({
  phrases: z.array(phrase).max(phraseKeys.length).optional(),
  focuses: z.array(focusSchema).max(60).optional().describe('in place of ours'),
  cheers: z.array(words).max(30).optional().describe('in place of ours'),
  strikesAs: z.enum(['numbers', 'names']).optional(),
});
export type Wordings = z.infer<typeof wordingsSchema>;

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

/** Our own wordings. Words in braces are filled in. */
export const usualPhrases: Readonly<Record<PhraseKey, Wording>> = {
  'switch stance': { full: 'Switch stance' },
  rest: { full: 'Rest. Water', short: 'Rest' },
  water: { full: 'Rest. Water, and breathe out long.' },
  breathing: { full: 'In for two, out for four' },
  'ten seconds': { full: 'ten seconds' },
  'half way': { full: 'half way' },
  'seconds left': { full: '{seconds} seconds left' },
  'one minute left': { full: 'one minute left' },
  'minutes left': { full: '{minutes} minutes left' },
  next: { full: 'Next, {round}: {combination}', short: 'Next: {combination}' },
  'add on': { full: 'Add on: {combination}' },
  add: { full: 'add {moves}' },
  keep: { full: 'Keep the {moves} sharp', short: '{moves}' },
  effort: { full: '{effort}' },
  'own time': { full: 'Own time: anything built so far.' },
  'open break': { full: 'Open break. Go on when you are ready.' },
  'change lanes': { full: 'Change bags, the next one round', short: 'Change bags' },
  'change holders': { full: 'On pads, change over', short: 'Pads, change' },
  'count drill': { full: 'Count calls: that many punches, at once.' },
  'direction drill': { full: 'Direction calls: step there, punch, come back.' },
  'go drill': { full: 'Go calls: fast hands on the word.' },
  'get ready': { full: 'Get ready.' },
  stop: { full: 'Stop.' },
};

/** What is reminded of when people tire (trade page, section 9, content; common practice). A new one is a line here. */
export const usualFocuses: readonly Focus[] = [
  { words: 'Rear hand stays at the cheek', moves: ['jab', 'lead hook', 'lead uppercut'] },
  { words: 'Hip and heel turn with it', moves: ['cross', 'lead hook', 'rear hook'] },
  { words: 'Punch through and come straight back', moves: ['jab', 'cross'] },
  { words: 'Turn the knuckles over', moves: ['jab', 'cross'] },
  { words: 'Knees bend, then rise with the uppercut', moves: ['lead uppercut', 'rear uppercut'] },
  {
    words: 'Standing foot turns, kicking side hand drops',
    moves: ['low kick', 'body kick', 'head kick', 'switch kick'],
  },
  { words: 'Standing foot flat in the push kick', moves: ['teep'] },
  { words: 'Small slips, not wide ones', moves: ['slip', 'roll'] },
  { words: 'Eyes on the target in the block', moves: ['block', 'cover', 'parry'] },
  { words: 'Chin down when it gets fast', moves: [] },
  { words: 'Breathe out on each strike', moves: [] },
  { words: 'Feet never together', moves: [] },
];

export const usualCheers: readonly string[] = ['Good work', 'Keep that rhythm', 'Stay with it', 'Nice and loose'];
