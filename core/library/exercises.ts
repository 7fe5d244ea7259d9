import type { Level } from '../bags/kind-names';
import type { StillName } from '../figure/stills';
import type { Milliseconds } from '../units';

/** What a piece may need beside floor and shoes. */
export type Equipment = 'rope' | 'mat' | 'bag';

/** A warm-up, core or cool-down piece: what it is called, how long it usually takes, and how it is done. */
export interface Exercise {
  readonly name: string;
  /** How the figure stands for it; null where it cannot show it. */
  readonly still: StillName | null;
  readonly part: 'warm-up' | 'core' | 'cool-down';
  readonly ms: Milliseconds;
  /** How it is done, in our own words. */
  readonly how: string;
  /** The easiest level it is given to. */
  readonly from: Level;
  readonly needs?: Equipment;
  /** Feet leave the floor. */
  readonly jumps?: true;
  /** The hands carry weight with the wrist bent. */
  readonly onHands?: true;
  /** The arms work above or far from the shoulder. */
  readonly shoulders?: true;
}

/**
 * Pieces round the rounds (common practice, no source; times from the trade page, section 6). A new one goes here, and
 * drafts, versions and the piece list know it.
 */
export const exercises: readonly Exercise[] = [
  {
    name: 'March and reach',
    still: 'knee up, arm up',
    part: 'warm-up',
    ms: 60_000,
    how: 'March on the spot and reach up with the other hand at each step.',
    from: 'beginner',
  },
  {
    name: 'Skipping, easy feet',
    still: 'small jump',
    part: 'warm-up',
    ms: 120_000,
    how: 'Small jumps from the balls of the feet; without a rope turn the wrists.',
    from: 'beginner',
    jumps: true,
  },
  {
    name: 'Side steps, hands up',
    still: null,
    part: 'warm-up',
    ms: 60_000,
    how: 'Two steps left, two right, feet never together, hands at the cheeks.',
    from: 'beginner',
  },
  {
    name: 'Arm circles, both ways',
    still: 'arms wide',
    part: 'warm-up',
    ms: 45_000,
    how: 'Small circles that grow, forward and then back, ribs down.',
    from: 'beginner',
    shoulders: true,
  },
  {
    name: 'Hip circles, both ways',
    still: 'hands on hips',
    part: 'warm-up',
    ms: 45_000,
    how: 'Hands on the hips, slow wide circles, then the other way.',
    from: 'beginner',
  },
  {
    name: 'Squat and stand tall',
    still: 'squat',
    part: 'warm-up',
    ms: 45_000,
    how: 'Sit back as far as is easy, heels down, stand and breathe out.',
    from: 'beginner',
  },
  {
    name: 'Trunk turns in stance',
    still: null,
    part: 'warm-up',
    ms: 45_000,
    how: 'In your stance turn hip and shoulder together, back heel lifts as you turn.',
    from: 'beginner',
  },
  {
    name: 'Knee lifts',
    still: 'knee up',
    part: 'warm-up',
    ms: 45_000,
    how: 'Lift one knee after the other to hip height, stand tall over the other foot.',
    from: 'beginner',
  },
  {
    name: 'Star jumps',
    still: 'star',
    part: 'warm-up',
    ms: 45_000,
    how: 'Jump feet and arms apart and together again, land softly.',
    from: 'intermediate',
    jumps: true,
    shoulders: true,
  },
  {
    name: 'Walk out to a plank',
    still: 'plank',
    part: 'warm-up',
    ms: 45_000,
    how: 'Fold, walk the hands out to a straight line, walk back and stand.',
    from: 'intermediate',
    onHands: true,
  },
  {
    name: 'Leg swings',
    still: 'leg swung',
    part: 'warm-up',
    ms: 60_000,
    how: 'Hold the wall; swing a leg front and back, then across, loose and low.',
    from: 'beginner',
  },
  {
    name: 'Plank',
    still: 'plank',
    part: 'core',
    ms: 40_000,
    how: 'On forearms, one line from head to heels, breathe on.',
    from: 'beginner',
    needs: 'mat',
    shoulders: true,
  },
  {
    name: 'Dead bug',
    still: 'dead bug',
    part: 'core',
    ms: 40_000,
    how: 'On your back, lower one arm and the other leg slowly, low back stays down.',
    from: 'beginner',
    needs: 'mat',
  },
  {
    name: 'Bridge',
    still: 'bridge',
    part: 'core',
    ms: 40_000,
    how: 'On your back, feet near, lift the hips and squeeze, lower slowly.',
    from: 'beginner',
    needs: 'mat',
  },
  {
    name: 'Side plank left',
    still: null,
    part: 'core',
    ms: 30_000,
    how: 'On the left forearm, knees or feet down, hips off the floor.',
    from: 'beginner',
    needs: 'mat',
    shoulders: true,
  },
  {
    name: 'Side plank right',
    still: null,
    part: 'core',
    ms: 30_000,
    how: 'On the right forearm, knees or feet down, hips off the floor.',
    from: 'beginner',
    needs: 'mat',
    shoulders: true,
  },
  {
    name: 'Slow punch crunch',
    still: 'crunch',
    part: 'core',
    ms: 40_000,
    how: 'Crunch up and turn with a slow straight to each side.',
    from: 'beginner',
    needs: 'mat',
  },
  {
    name: 'Hollow hold',
    still: 'hollow',
    part: 'core',
    ms: 30_000,
    how: 'Low back pressed down, legs and shoulders just off the floor.',
    from: 'intermediate',
    needs: 'mat',
  },
  {
    name: 'Mountain climbers',
    still: 'climber',
    part: 'core',
    ms: 40_000,
    how: 'Hands under shoulders, knees come in one after the other.',
    from: 'intermediate',
    needs: 'mat',
    onHands: true,
    shoulders: true,
  },
  {
    name: 'Press-ups',
    still: 'plank',
    part: 'core',
    ms: 40_000,
    how: 'On knees or feet, whole body in one piece, elbows near the ribs.',
    from: 'intermediate',
    needs: 'mat',
    onHands: true,
    shoulders: true,
  },
  {
    name: 'Squat hold',
    still: 'squat',
    part: 'core',
    ms: 45_000,
    how: 'Sit at an easy height, hands at the cheeks, small slips side to side.',
    from: 'beginner',
  },
  {
    name: 'V-sit turns',
    still: 'v-sit',
    part: 'core',
    ms: 40_000,
    how: 'Sit back, feet light, turn from side to side with closed fists.',
    from: 'advanced',
    needs: 'mat',
  },
  {
    name: 'Loose twists',
    still: 'trunk turned',
    part: 'cool-down',
    ms: 45_000,
    how: 'Feet wide, arms loose, let them wrap round you from side to side.',
    from: 'beginner',
  },
  {
    name: 'Chest and shoulder stretch',
    still: 'arms wide',
    part: 'cool-down',
    ms: 45_000,
    how: 'Hands behind the back, lift a little, then one arm across the chest, both sides.',
    from: 'beginner',
  },
  {
    name: 'Forearm stretch',
    still: 'arms in front',
    part: 'cool-down',
    ms: 30_000,
    how: 'Arm out, gently draw the fingers back, then down, both sides.',
    from: 'beginner',
  },
  {
    name: 'Hip stretch, both sides',
    still: 'low lunge',
    part: 'cool-down',
    ms: 60_000,
    how: 'Long step, back knee low, tuck the hips, breathe out long.',
    from: 'beginner',
  },
  {
    name: 'Hamstrings, both sides',
    still: 'folded forward',
    part: 'cool-down',
    ms: 60_000,
    how: 'Heel in front, straight back, lean until it pulls softly.',
    from: 'beginner',
  },
  {
    name: 'Calves on the step',
    still: null,
    part: 'cool-down',
    ms: 45_000,
    how: 'Lean on the wall, back heel down, both sides.',
    from: 'beginner',
  },
  {
    name: 'Long breaths',
    still: 'standing easy',
    part: 'cool-down',
    ms: 60_000,
    how: 'In through the nose for two, out for four, shoulders down.',
    from: 'beginner',
  },
];

const rank: Readonly<Record<Level, number>> = { beginner: 0, intermediate: 1, advanced: 2 };

/**
 * Pieces for a part of the session that a level can do with what is there; all equipment unless told.
 * @example exercisesFor('core', 'beginner', []) // those that need no mat
 */
export function exercisesFor(
  part: Exercise['part'],
  level: Level,
  equipment: readonly Equipment[] = ['rope', 'mat', 'bag'],
): Exercise[] {
  return exercises.filter(
    (each) =>
      each.part === part &&
      rank[each.from] <= rank[level] &&
      (each.needs === undefined || equipment.includes(each.needs)),
  );
}

/** The piece that some words name, whatever else they say; null where they name none. */
export function exerciseNamed(words: string): Exercise | null {
  const plain = words.toLowerCase();
  return exercises.find((each) => plain.startsWith(each.name.toLowerCase())) ?? null;
}
