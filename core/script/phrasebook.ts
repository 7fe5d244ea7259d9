import type { PhraseKey } from '../sheet/call-kinds';
import type { TechniqueFocus, Wording } from '../sheet/calls';

/** Our own words for something, and whether there may be a shorter way where time is short. */
export interface PhraseNature extends Wording {
  /** What is said at its one moment, while the clock stands, or is a short form itself has none. */
  readonly shortens: boolean;
}

const fixed = (full: string): PhraseNature => ({ full, shortens: false });
const phrase = (full: string, short?: string): PhraseNature => ({ full, ...(short ? { short } : {}), shortens: true });

/** Our own wordings. Words in braces are filled in. A change of stance has no shorter way: "switch" alone is a move. */
export const usualPhrases: Readonly<Record<PhraseKey, PhraseNature>> = {
  'switch stance': phrase('Switch stance'),
  'stand square': phrase('Stand square'),
  'natural stance': phrase('Back in your stance'),
  rest: phrase('Rest. Water', 'Rest'),
  water: fixed('Rest. Water, and breathe out long.'),
  breathing: phrase('In for two, out for four', 'Breathe out long'),
  'breathing held': phrase('In for two, hold for three, out for four', 'In, hold, and out long'),
  'ten seconds': fixed('ten seconds'),
  'half way': phrase('half way', 'half'),
  'seconds left': phrase('{seconds} seconds left', '{seconds} seconds'),
  'one minute left': phrase('one minute left', 'one minute'),
  'minutes left': phrase('{minutes} minutes left', '{minutes} minutes'),
  next: phrase('Next, {round}: {combination}', 'Next: {combination}'),
  'add on': fixed('Add on: {combination}'),
  'add in front': fixed('In front: {combination}'),
  'way down': fixed('Back down: {combination}'),
  'once more': fixed('Once more: {combination}'),
  only: fixed('Only {combination}'),
  together: fixed('All together: {combination}'),
  add: fixed('add {moves}'),
  keep: phrase('Keep the {moves} sharp', '{moves}'),
  turn: phrase('Now {combination}', '{combination}'),
  effort: fixed('{effort}'),
  'per cent': phrase('{percent} per cent, {pace}', '{percent} per cent'),
  technique: phrase('Technique'),
  speed: phrase('Speed'),
  power: phrase('Power'),
  'no focus': phrase('As usual'),
  'non-stop': phrase('Non-stop'),
  'with breath': phrase('With a breath between', 'Breath between'),
  between: phrase('In between, {words}', '{words}'),
  'nothing between': phrase('Nothing in between'),
  bag: phrase('On the {bag}'),
  'gloves on': phrase('Gloves on'),
  'gloves off': phrase('Gloves off'),
  'own time': phrase('Own time: anything built so far.', 'Own time'),
  rhythm: phrase('Touches of {row}, {hand}', 'Touches of {row}'),
  'block begins': fixed('{block}. {exercise}'),
  'block half': phrase('Half of the {block}', 'half way'),
  'block ten': fixed('last ten seconds'),
  'block end': phrase('{block} done'),
  'next exercise': phrase('Next, {exercise}', '{exercise}'),
  'session end': phrase('That is the session. Well done', 'Well done'),
  watch: phrase('Watch first: {combination}', '{combination}'),
  'first half': phrase('First half'),
  'second half': phrase('Second half'),
  whole: phrase('Now the whole'),
  'open break': fixed('Open break. Go on when you are ready.'),
  'change lanes': phrase('Change bags, the next one round', 'Change bags'),
  'change holders': phrase('On pads, change over', 'Pads, change'),
  'count drill': phrase('Count calls: that many punches, at once.', 'Count calls'),
  'direction drill': phrase('Direction calls: step there, punch, come back.', 'Direction calls'),
  'go drill': phrase('Go calls: fast hands on the word.', 'Go calls'),
  'get ready': fixed('Get ready.'),
  stop: fixed('Stop.'),
  hold: fixed('Easy feet.'),
};

/** How a pace is said where an effort is given as a per cent, from the slowest up (house values). */
export const paceWords: readonly { readonly under: number; readonly words: string }[] = [
  { under: 0.5, words: 'half speed, very loose' },
  { under: 0.7, words: 'slow' },
  { under: 0.95, words: 'easy pace' },
  { under: 1.1, words: 'steady pace' },
  { under: 1.3, words: 'quick' },
  { under: Infinity, words: 'as fast as it stays clean' },
];

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
  {
    words: 'Wrist straight, fist closed as it lands',
    moves: ['jab', 'cross', 'lead hook', 'rear hook'],
    bags: ['heavy', 'standing'],
  },
  { words: 'Hands home before it comes back', moves: [], bags: ['double-end'] },
  { words: 'Hit it as it comes through the middle', moves: [], bags: ['reflex'] },
  { words: 'Full reach, then home', moves: ['jab', 'cross'], bags: ['shadow'] },
  { words: 'Turn the knuckles over', moves: ['jab', 'cross'] },
  { words: 'Knees bend, then rise with the uppercut', moves: ['lead uppercut', 'rear uppercut'] },
  {
    words: 'Standing foot turns, kicking side hand drops',
    moves: ['low kick', 'body kick', 'head kick', 'lead low kick', 'lead body kick', 'lead head kick', 'switch kick'],
  },
  { words: 'Standing foot flat in the push kick', moves: ['teep', 'rear teep'] },
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
