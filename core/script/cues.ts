import type { BagKind } from '../bags/kind-names';
import type { TechniqueFocus } from '../sheet/calls';

/** A cue of our own: a technique focus, and whether it speaks of power or speed, so that it has no place in light or slow work. */
export interface TechniqueCue extends TechniqueFocus {
  readonly hard?: true;
}

/** Praise of our own, and the work that it fits: hard work is pushed, easy work is calmed. */
export interface Cheer {
  readonly words: string;
  readonly fits: 'hard' | 'easy' | 'any';
}

const things: readonly BagKind[] = ['heavy', 'standing', 'pads', 'shadow'];
const kicks = [
  'low kick',
  'body kick',
  'head kick',
  'lead low kick',
  'lead body kick',
  'lead head kick',
  'switch kick',
];

const about = (moves: readonly string[], ...words: readonly string[]): TechniqueCue[] =>
  words.map((each) => ({ words: each, moves: [...moves] }));

/**
 * Cues for every strike, defence, kick and step of the catalogue, at least two each (trade page, sections 4, 9 and 15; common
 * practice, our own words). A spec sees that a new move has its own. A new cue is a line here.
 */
const moveCues: readonly TechniqueCue[] = [
  ...about(['jab'], 'Snap the jab and bring it back', 'Shoulder up to your chin as you jab'),
  { words: 'Turn your rear hip through the cross', moves: ['cross'], bags: [...things], hard: true },
  ...about(['cross'], 'Rear heel turns out with the cross', 'Lead hand home as the cross goes'),
  ...about(['lead hook', 'rear hook'], 'Elbow level with your fist in the hook', 'Short hook, no winding up'),
  ...about(['lead uppercut', 'rear uppercut'], 'Palm faces you in the uppercut', 'Keep the uppercut short and close'),
  { words: 'Bend your knees, drive up with the uppercut', moves: ['lead uppercut', 'rear uppercut'], hard: true },
  ...about(['overhand'], 'Over and down with the overhand', 'Head off the line as the overhand goes'),
  ...about(['shovel hook'], 'Elbow on your hip for the shovel hook', 'Up and in with the shovel hook'),
  ...about(['back fist'], 'Loose elbow, flick the back fist', 'Knuckles land first in the back fist'),
  ...about(['spinning back fist'], 'Look over your shoulder before you spin', 'Small step across, then spin'),
  ...about(['leaping cross'], 'Land balanced from the leap', 'Leap forward, not up'),
  ...about(['lead elbow', 'rear elbow'], 'Hand to your chest as the elbow goes', 'Step close before the elbow'),
  ...about(['knee', 'lead knee'], 'Hips forward as the knee lands', 'Up on your toes for the knee'),
  ...about(['switch knee'], 'Quick feet in the switch, then the knee', 'Hips through after the switch'),
  ...about(['jump knee'], 'Drive off the other leg for the jump', 'Land soft, hands up'),
  {
    words: 'Pivot on your standing foot, swing the arm down as you kick',
    moves: kicks,
  },
  ...about(['low kick', 'lead low kick'], 'Shin lands, not the foot', 'Kick down through the leg'),
  ...about(['inside low kick'], 'Short kick inside, foot straight back', 'Toes out, then kick inside'),
  ...about(
    ['body kick', 'lead body kick', 'step up kick'],
    'Turn your hip over in the body kick',
    'Lean away a little as you kick',
  ),
  ...about(['step up kick'], 'Rear foot steps to the lead one first'),
  ...about(['head kick', 'lead head kick'], 'Knee high first, then the head kick', 'Only as high as you stay balanced'),
  ...about(['switch kick'], 'Small switch, no bounce, then kick', 'Quick feet in the switch'),
  ...about(['teep', 'rear teep'], 'Knee up first, then push the teep', 'Standing foot flat as you teep'),
  ...about(['push'], 'Straight arms, push from your legs', 'Push and step back to guard'),
  ...about(['slip'], 'Small slips, just off the line', 'Bend your knees to slip, not your back'),
  ...about(['roll'], 'Roll with your knees, eyes up', 'Chin over your knee as you roll'),
  ...about(['duck'], 'Back straight, legs do the duck', 'Eyes on the target as you duck'),
  ...about(['block'], 'Eyes on the target while you block', 'Glove tight to your head in the block'),
  ...about(['parry'], 'Small parry, only as far as your face', 'Hand straight back after the parry'),
  ...about(['pull back'], 'Weight on the rear leg as you pull', 'Pull back, then straight in again'),
  ...about(['cover'], 'Elbows in, chin down in the cover', 'Breathe while you cover'),
  ...about(['check'], 'Shin up and out for the check', 'Foot back down ready to hit'),
  ...about(['step in'], 'Lead foot first as you step in', 'Step in with your hands up'),
  ...about(['step out'], 'Rear foot first as you step out', 'Out with your guard up'),
  ...about(['step left', 'step right'], 'Near foot first, feet stay apart', 'Small steps to the side'),
  ...about(['circle'], 'Lead foot at the target as you circle', 'Small steps around, hands up'),
  ...about(['pivot'], 'Turn on the ball of your lead foot', 'Pivot small, eyes on the target'),
  ...about(['angle out'], 'Step off the line, then face it', 'Hands up as you take the angle'),
  ...about(['switch'], 'Both feet move at once in the switch', 'Stay low through the switch'),
  ...about(['shift'], 'Rear foot comes through with the punch', 'Land the shift in your stance'),
  ...about(['grab'], 'Elbows in and heavy in the clinch', 'Head up while you grab'),
  ...about(['post'], 'Long arm, lock nothing, in the post', 'Palm on the target, rear hand up'),
  ...about(['squat'], 'Heels down, chest up in the squat', 'Knees over your toes in the squat'),
  ...about(['sprawl'], 'Hips down, hands under your shoulders', 'Feet back together, then up'),
];

/**
 * What is reminded of when people tire (trade page, sections 7 and 9, content; common practice), from the strikes of a round
 * and the bag it is done on; then those of single moves.
 */
export const usualFocuses: readonly TechniqueCue[] = [
  { words: 'Rear hand stays on your cheek', moves: ['jab', 'lead hook', 'lead uppercut'] },
  { words: 'Step around the bag as it swings in', moves: [], bags: ['heavy'] },
  { words: 'Snap it, no pushing', moves: [], bags: ['standing'] },
  { words: 'Timing before power', moves: [], bags: ['double-end', 'reflex'] },
  { words: 'Light, straight taps; listen for the rhythm', moves: [], bags: ['speed'] },
  { words: 'Holders, elbows in and wrists firm', moves: [], bags: ['pads'] },
  { words: 'Never lock your elbows or knees', moves: [], bags: ['shadow'] },
  {
    words: 'Turn your hip and heel into it',
    moves: ['cross', 'lead hook', 'rear hook'],
    bags: [...things],
    hard: true,
  },
  {
    words: 'Straight wrist, tight fist as it lands',
    moves: ['jab', 'cross', 'lead hook', 'rear hook'],
    bags: ['heavy', 'standing'],
  },
  { words: 'Hands back up before it comes back', moves: [], bags: ['double-end'] },
  { words: 'Hit it as it passes through the middle', moves: [], bags: ['reflex'] },
  { words: 'Full reach, then straight back to guard', moves: ['jab', 'cross'], bags: ['shadow'] },
  { words: 'Turn your knuckles over', moves: ['jab', 'cross'] },
  { words: 'No leaning on the bag', moves: [], bags: ['heavy'] },
  { words: 'Step in, touch, step out', moves: [], bags: ['standing'] },
  { words: 'Punch through it, straight back to guard', moves: ['jab', 'cross'], bags: ['heavy', 'pads'], hard: true },
  { words: 'Chin down as it gets faster', moves: [], hard: true },
  { words: 'Breathe out on every strike', moves: [] },
  { words: 'Keep your feet apart', moves: [] },
  ...moveCues,
];

const cheers = (fits: Cheer['fits'], ...words: readonly string[]): Cheer[] =>
  words.map((each) => ({ words: each, fits }));

/** Praise (common practice, our own words). A new one is a word here. */
export const usualCheers: readonly Cheer[] = [
  ...cheers('any', 'Good work', 'Keep that rhythm', 'Stay with it', 'Looking sharp', 'Good, keep going', 'That is it'),
  ...cheers(
    'hard',
    'Push now',
    'Stay on it',
    'Do not slow down',
    'Strong to the end',
    'Hands keep moving',
    'Keep driving',
  ),
  ...cheers('hard', 'You can do this', 'Dig in', 'Right to the bell', 'Stay strong'),
  ...cheers('easy', 'Nice and loose', 'Smooth and relaxed', 'No rush', 'Let your shoulders drop', 'Easy and clean'),
];
