import type { BagKind } from '../bags/kind-names';
import type { PieceOf } from '../sheet/schema';
import type { TechniqueFocus } from '../sheet/calls';

/** A fault that coaches see, the drill that mends it, and what is said to those who have it. */
export interface TrainingFault {
  readonly id: string;
  /** What it is called. */
  readonly name: string;
  /** Why it matters, in a line. */
  readonly why: string;
  readonly reminder: string;
  /** The drill: a name, a combination in canonical text, and how it is done. */
  readonly drill: { readonly name: string; readonly text: string; readonly effort: PieceOf<'combination'>['effort'] };
  /** Kinds of bag on which it shows most; any where none is named. */
  readonly bags: readonly BagKind[];
  /** Strikes in which it shows, in any spelling of a focus. */
  readonly strikes: readonly string[];
}

/** Faults with their mends (trade page, sections 1, 7 and 9; common practice, no source; our own words). A new one is a line here. */
export const faultList = [
  {
    id: 'wrist',
    name: 'Wrist bends on impact',
    why: 'the force goes into the wrist instead of the forearm',
    reminder: 'Keep your wrist in line with your forearm',
    drill: { name: 'Slow touches, straight wrist', text: '1~ 2~', effort: 'easy' },
    bags: ['heavy', 'standing'],
    strikes: ['jab', 'cross', 'lead hook', 'rear hook'],
  },
  {
    id: 'open-hand',
    name: 'Open hand on impact',
    why: 'fingers get hurt and the punch has nothing behind it',
    reminder: 'Tight fist as it lands',
    drill: { name: 'Close the fist at the last moment', text: '1 wait 2', effort: 'easy' },
    bags: ['heavy', 'standing', 'speed'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'knuckles',
    name: 'Landing on the wrong knuckles',
    why: 'the outer hand bones break easily',
    reminder: 'Land on the first two knuckles',
    drill: { name: 'Turn the fist over, one at a time', text: '1 wait 2 wait', effort: 'easy' },
    bags: ['heavy', 'standing', 'pads'],
    strikes: ['jab', 'cross', 'lead hook', 'rear hook'],
  },
  {
    id: 'leaning',
    name: 'Leaning on the bag',
    why: 'your weight is over your toes and the next strike has no base',
    reminder: 'Off the bag, weight over your feet',
    drill: { name: 'Touch and step out', text: '1 2 out', effort: 'steady' },
    bags: ['heavy', 'standing'],
    strikes: [],
  },
  {
    id: 'pushing',
    name: 'Pushing the bag',
    why: 'leaving the fist on the bag pushes it instead of hitting it',
    reminder: 'Bring it back as fast as it went out',
    drill: { name: 'Snap back, single shots', text: '2 wait 2 wait', effort: 'steady' },
    bags: ['heavy', 'standing'],
    strikes: ['cross', 'jab'],
  },
  {
    id: 'chin',
    name: 'Chin comes up at speed',
    why: 'form goes as the speed rises',
    reminder: 'Chin down as it gets faster',
    drill: { name: 'Build speed, chin tucked', text: '1 2 1 2', effort: 60 },
    bags: [],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'hand-drops',
    name: 'Hand drops before the hook',
    why: 'it telegraphs the hook and leaves the head open',
    reminder: 'Throw it from the cheek, not the hip',
    drill: { name: 'Hook from the guard', text: 'bl-r 3 wait', effort: 'easy' },
    bags: [],
    strikes: ['lead hook', 'rear hook'],
  },
  {
    id: 'other-hand',
    name: 'The other hand drops',
    why: 'the side that isn’t punching is open',
    reminder: 'Other hand stays on your cheek',
    drill: { name: 'Punch and block', text: '1 bl 2 bl-r', effort: 'easy' },
    bags: [],
    strikes: ['jab', 'cross', 'lead hook', 'lead uppercut'],
  },
  {
    id: 'low-return',
    name: 'Hand comes back low',
    why: 'the hand drops past the chest on the way back and leaves the head open',
    reminder: 'Bring it back the way it went out',
    drill: { name: 'Straight out, straight home', text: '1 pa 2', effort: 'easy' },
    bags: ['double-end', 'pads'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'walking-in',
    name: 'Walking straight into the bag',
    why: 'it swings back into the person in front of it',
    reminder: 'Circle the bag, never walk into it',
    drill: { name: 'Left and right around the bag', text: 'left 1 2 right', effort: 'easy' },
    bags: ['heavy'],
    strikes: [],
  },
  {
    id: 'crossing-feet',
    name: 'Feet cross',
    why: 'with crossed feet you can neither hit nor keep your balance',
    reminder: 'Near foot moves first, never cross your feet',
    drill: { name: 'Step and strike', text: 'left+1 right+1', effort: 'easy' },
    bags: [],
    strikes: [],
  },
  {
    id: 'feet-together',
    name: 'Feet come together',
    why: 'there is no base to turn from',
    reminder: 'Keep your feet apart',
    drill: { name: 'Step in, strike, step out', text: 'in 1 2 out', effort: 'easy' },
    bags: [],
    strikes: [],
  },
  {
    id: 'square',
    name: 'Square hips',
    why: 'nothing is loaded, and the whole torso is a target',
    reminder: 'Turn your hip and heel into it',
    drill: { name: 'Turn the hip and hold', text: '2 wait 3 wait', effort: 'easy' },
    bags: [],
    strikes: ['cross', 'lead hook', 'rear hook'],
  },
  {
    id: 'range',
    name: 'Out of range',
    why: 'too far and you miss, too close and it becomes a push',
    reminder: 'Find your range with the jab, then step in',
    drill: { name: 'Measure with the jab', text: '1 in 2 out', effort: 'easy' },
    bags: ['double-end', 'heavy'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'downward',
    name: 'Hitting downwards',
    why: 'the knuckles hit the board',
    reminder: 'Light, straight taps; listen for the rhythm',
    drill: { name: 'Straight touches', text: '1~', effort: 'easy' },
    bags: ['speed'],
    strikes: [],
  },
  {
    id: 'off-line',
    name: 'Off centre',
    why: 'the ball is hit off-centre and spins away',
    reminder: 'Through the middle, start soft',
    drill: { name: 'Single straights through the middle', text: '1 wait 2 wait', effort: 'easy' },
    bags: ['double-end', 'reflex'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'breath',
    name: 'Holding the breath',
    why: 'holding your breath tires you out within a minute',
    reminder: 'Breathe out on every strike',
    drill: { name: 'One breath per strike', text: '1 2 1', effort: 'easy' },
    bags: [],
    strikes: [],
  },
] as const satisfies readonly TrainingFault[];

export type FaultId = (typeof faultList)[number]['id'];

/** Something that a coach sees, and what it means. */
export interface SeenSign {
  readonly sees: string;
  readonly means: FaultId;
  readonly bags: readonly BagKind[];
}

/** Signs, and the fault that each of them tells of (trade page, sections 7 and 9; common practice, no source). A new one is a line here. */
export const seenSigns: readonly SeenSign[] = [
  { sees: 'the ball spins off to the side', means: 'off-line', bags: ['double-end', 'reflex'] },
  { sees: 'the bag is pushed and swings wide', means: 'pushing', bags: ['heavy'] },
  { sees: 'the bag hardly moves', means: 'range', bags: ['heavy', 'standing'] },
  { sees: 'the standing bag tips', means: 'leaning', bags: ['standing'] },
  { sees: 'the board is hit from above', means: 'downward', bags: ['speed'] },
  { sees: 'the glove lands on the outer knuckles', means: 'knuckles', bags: ['heavy', 'standing', 'pads'] },
  { sees: 'the glove lands on the thumb side', means: 'open-hand', bags: ['heavy', 'standing'] },
  { sees: 'the hand comes back low', means: 'low-return', bags: [] },
  { sees: 'the elbow flares before the hook', means: 'hand-drops', bags: [] },
  { sees: 'the feet end up together after a combination', means: 'feet-together', bags: [] },
  { sees: 'the feet cross while circling', means: 'crossing-feet', bags: [] },
  { sees: 'the face goes red and you hear no breathing', means: 'breath', bags: [] },
  { sees: 'they are chest to chest with the bag', means: 'walking-in', bags: ['heavy'] },
  { sees: 'both toes point at the bag', means: 'square', bags: [] },
];

/** A fault by its id. `faultNamed('wrist').drill.text` */
export function faultNamed(id: FaultId): TrainingFault {
  const found = faultList.find((fault) => fault.id === id);
  if (!found) throw new Error(`no fault ${id}`);
  return found;
}

/** Faults that show on a bag; those that show on any are among them. */
export function faultsOn(bag: string | null): readonly TrainingFault[] {
  return faultList.filter(
    ({ bags }: TrainingFault) => bag === null || bags.length === 0 || bags.some((each) => each === bag),
  );
}

/** The piece that mends a fault, ready to be put into a sheet. */
export function mendPiece({ drill }: TrainingFault, id: string, ms: number): PieceOf<'combination'> {
  const { name, text, effort } = drill;
  return { kind: 'combination', id, ms, effort, focus: 'technique', text, words: name };
}

/** The reminder of a fault as a focus line of a block. */
export function faultFocus({ reminder, strikes }: TrainingFault): TechniqueFocus {
  return { words: reminder, moves: [...strikes], everyMs: 45_000 };
}
