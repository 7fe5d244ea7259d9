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
    name: 'Wrist bends at impact',
    why: 'the load goes through the joint instead of the forearm',
    reminder: 'Wrist in line with the forearm',
    drill: { name: 'Slow touches, wrist straight', text: '1~ 2~', effort: 'easy' },
    bags: ['heavy', 'standing'],
    strikes: ['jab', 'cross', 'lead hook', 'rear hook'],
  },
  {
    id: 'open-hand',
    name: 'Open hand at impact',
    why: 'fingers get hurt, and nothing lands',
    reminder: 'Fist closed as it lands',
    drill: { name: 'Close on the last inch', text: '1 wait 2', effort: 'easy' },
    bags: ['heavy', 'standing', 'speed'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'knuckles',
    name: 'Lands on the wrong knuckles',
    why: 'the outer bones of the hand are thin',
    reminder: 'First two knuckles, turn it over',
    drill: { name: 'Turn the fist over, one at a time', text: '1 wait 2 wait', effort: 'easy' },
    bags: ['heavy', 'standing', 'pads'],
    strikes: ['jab', 'cross', 'lead hook', 'rear hook'],
  },
  {
    id: 'leaning',
    name: 'Leaning on the bag',
    why: 'the weight is out over the toes and the next strike has no ground under it',
    reminder: 'Stay off the bag, weight over your feet',
    drill: { name: 'Touch and step out', text: '1 2 out', effort: 'steady' },
    bags: ['heavy', 'standing'],
    strikes: [],
  },
  {
    id: 'pushing',
    name: 'Pushing the bag',
    why: 'a fist that stays on the bag pushes it away instead of hitting it',
    reminder: 'Snap it back as fast as it went',
    drill: { name: 'Snap back, single shots', text: '2 wait 2 wait', effort: 'steady' },
    bags: ['heavy', 'standing'],
    strikes: ['cross', 'jab'],
  },
  {
    id: 'chin',
    name: 'Chin lifts at speed',
    why: 'what is quick forgets what is slow',
    reminder: 'Chin down when it gets fast',
    drill: { name: 'Build up speed, chin on the chest', text: '1 2 1 2', effort: 60 },
    bags: [],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'hand-drops',
    name: 'Hand drops before the hook',
    why: 'it shows the hook, and opens the head',
    reminder: 'From the cheek, not from the hip',
    drill: { name: 'Hook from the guard', text: 'bl-r 3 wait', effort: 'easy' },
    bags: [],
    strikes: ['lead hook', 'rear hook'],
  },
  {
    id: 'other-hand',
    name: 'The other hand drops',
    why: 'the side that does not strike is open',
    reminder: 'The other hand stays at the cheek',
    drill: { name: 'Strike and block', text: '1 bl 2 bl-r', effort: 'easy' },
    bags: [],
    strikes: ['jab', 'cross', 'lead hook', 'lead uppercut'],
  },
  {
    id: 'low-return',
    name: 'Hand comes back low',
    why: 'it swings home past the chest and leaves the head open',
    reminder: 'Home the way it went',
    drill: { name: 'Straight out, straight home', text: '1 pa 2', effort: 'easy' },
    bags: ['double-end', 'pads'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'walking-in',
    name: 'Walking straight into the bag',
    why: 'it swings in on whoever stands before it',
    reminder: 'Left and right round it, not into it',
    drill: { name: 'Left and right round the bag', text: 'left 1 2 right', effort: 'easy' },
    bags: ['heavy'],
    strikes: [],
  },
  {
    id: 'crossing-feet',
    name: 'Feet cross',
    why: 'nobody can strike or stand with crossed feet',
    reminder: 'Nearer foot first, feet never cross',
    drill: { name: 'Step and strike', text: 'left+1 right+1', effort: 'easy' },
    bags: [],
    strikes: [],
  },
  {
    id: 'feet-together',
    name: 'Feet come together',
    why: 'there is no base to turn on',
    reminder: 'Feet never together',
    drill: { name: 'Step in, strike, step out', text: 'in 1 2 out', effort: 'easy' },
    bags: [],
    strikes: [],
  },
  {
    id: 'square',
    name: 'Hips square',
    why: 'nothing is wound up, and the whole trunk is a target',
    reminder: 'Hip and heel turn with it',
    drill: { name: 'Turn the hip, hold', text: '2 wait 3 wait', effort: 'easy' },
    bags: [],
    strikes: ['cross', 'lead hook', 'rear hook'],
  },
  {
    id: 'range',
    name: 'Out of range',
    why: 'full reach is missed, and short reach is a push',
    reminder: 'Fist just touches, then step for the rest',
    drill: { name: 'Measure with the jab', text: '1 in 2 out', effort: 'easy' },
    bags: ['double-end', 'heavy'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'downward',
    name: 'Striking downward',
    why: 'the board is hit with the knuckles',
    reminder: 'Straight touches, by ear',
    drill: { name: 'Straight touches', text: '1~', effort: 'easy' },
    bags: ['speed'],
    strikes: [],
  },
  {
    id: 'off-line',
    name: 'Off the middle line',
    why: 'the ball is met beside its middle and spins away',
    reminder: 'Through the middle, softly first',
    drill: { name: 'Single straights through the middle', text: '1 wait 2 wait', effort: 'easy' },
    bags: ['double-end', 'reflex'],
    strikes: ['jab', 'cross'],
  },
  {
    id: 'breath',
    name: 'Breath held',
    why: 'whoever holds the breath tires in a minute',
    reminder: 'Breathe out on each strike',
    drill: { name: 'A breath to each strike', text: '1 2 1', effort: 'easy' },
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
  { sees: 'the bag is pushed and hangs back', means: 'pushing', bags: ['heavy'] },
  { sees: 'the bag hardly moves', means: 'range', bags: ['heavy', 'standing'] },
  { sees: 'the standing bag tips', means: 'leaning', bags: ['standing'] },
  { sees: 'the board is hit from above', means: 'downward', bags: ['speed'] },
  { sees: 'the glove lands on the outer knuckle', means: 'knuckles', bags: ['heavy', 'standing', 'pads'] },
  { sees: 'the glove lands on the inner side of the thumb', means: 'open-hand', bags: ['heavy', 'standing'] },
  { sees: 'the hand comes back low', means: 'low-return', bags: [] },
  { sees: 'the elbow flares before the hook', means: 'hand-drops', bags: [] },
  { sees: 'the feet stand together after a combination', means: 'feet-together', bags: [] },
  { sees: 'the steps cross on the way round', means: 'crossing-feet', bags: [] },
  { sees: 'the face goes red and no breath is heard', means: 'breath', bags: [] },
  { sees: 'they stand chest to chest with the bag', means: 'walking-in', bags: ['heavy'] },
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
