import type { PhraseKey } from '../sheet/call-kinds';
import type { Wording } from '../sheet/calls';

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
  'stand square': phrase('Square stance'),
  'natural stance': phrase('Back to your stance'),
  rest: phrase('Rest. Water', 'Rest'),
  water: fixed('Rest. Water, and long breaths out.'),
  breathing: phrase('Breathe in for two, out for four', 'Long breath out'),
  'breathing held': phrase('Breathe in for two, hold for three, out for four', 'In, hold, long breath out'),
  'ten seconds': fixed('ten seconds'),
  'half way': phrase('halfway', 'half'),
  'seconds left': phrase('{seconds} seconds left', '{seconds} seconds'),
  'one minute left': phrase('one minute left', 'one minute'),
  'minutes left': phrase('{minutes} minutes left', '{minutes} minutes'),
  next: phrase('Next, {round}: {combination}', 'Next: {combination}'),
  overview: phrase('{minutes}, {rounds}. {title}', '{minutes}, {rounds}'),
  'which hand': phrase('Lead hand, one. Rear hand, two'),
  'add on': fixed('Add the {moves}. All together: {combination}'),
  'add in front': fixed('Add to the front: {moves}. All together: {combination}'),
  'way down': fixed('Coming back down: {combination}'),
  'once more': fixed('One more time: {combination}'),
  only: fixed('Just the {combination}'),
  together: fixed('All together: {combination}'),
  add: fixed('add the {moves}'),
  keep: phrase('Keep the {moves} sharp', '{moves}'),
  turn: phrase('Now {combination}', '{combination}'),
  effort: fixed('{effort}'),
  'per cent': phrase('{percent} per cent, {pace}', '{percent} per cent'),
  'power per cent': phrase('Power, {percent} per cent'),
  technique: phrase('Technique'),
  speed: phrase('Speed'),
  power: phrase('Power'),
  'no focus': phrase('Back to normal'),
  'non-stop': phrase('Non-stop'),
  'with breath': phrase('Take a breath between combinations', 'Breath in between'),
  between: phrase('In between, {words}', '{words}'),
  'nothing between': phrase('Nothing in between now'),
  bag: phrase('On to the {bag}'),
  'gloves on': phrase('Gloves on'),
  'gloves off': phrase('Gloves off'),
  'own time': phrase('Free work: anything built so far.', 'Free work'),
  rhythm: phrase('Rhythm: {row}, {hand}', 'Rhythm: {row}'),
  'block begins': fixed('{block}. {exercise}'),
  'block half': phrase('Halfway through the {block}', 'halfway'),
  'block ten': fixed('last ten seconds'),
  'block end': phrase('{block} done'),
  'next exercise': phrase('Next, {exercise}', '{exercise}'),
  'session end': phrase('Session over. Well done', 'Well done'),
  watch: phrase('Watch first: {combination}', '{combination}'),
  'first half': phrase('First half'),
  'second half': phrase('Second half'),
  part: phrase('Part {number}'),
  whole: phrase('Now all of it'),
  'open break': fixed('Take a break. Start again when ready.'),
  'change lanes': phrase('Rotate to the next station', 'Rotate'),
  'change holders': phrase('Holders and hitters, swap', 'Pads, swap'),
  'count drill': phrase('Number drill: throw that many punches.', 'Number drill'),
  'direction drill': phrase('Direction drill: step there, punch, and return.', 'Direction drill'),
  'go drill': phrase('Go drill: fast hands on go.', 'Go drill'),
  'get ready': fixed('Get ready.'),
  stop: fixed('Stop.'),
  hold: fixed('Hold there, stay light on your feet.'),
};

/** How a pace is said where an effort is given as a per cent, from the slowest up (house values). */
export const paceWords: readonly { readonly under: number; readonly words: string }[] = [
  { under: 0.5, words: 'half speed, nice and loose' },
  { under: 0.7, words: 'slow' },
  { under: 0.95, words: 'easy pace' },
  { under: 1.1, words: 'steady pace' },
  { under: 1.3, words: 'quick' },
  { under: Infinity, words: 'as fast as you can keep it clean' },
];
