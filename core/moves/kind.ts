import type { Milliseconds } from '../units';

/** The side in front (lead) or behind (rear). Left and right are worked out for an athlete's stance. */
export type Side = 'lead' | 'rear';
export const targets = ['head', 'body', 'leg'] as const;
export type Target = (typeof targets)[number];

export const families = [
  'punch',
  'elbow',
  'knee',
  'kick',
  'teep',
  'push',
  'defence',
  'feet',
  'hold',
  'conditioning',
  'slot',
  'wait',
] as const;
export type Family = (typeof families)[number];

/** What a punch does in the air; the staff's outline and the mechanics ask for it. */
export type Shape = 'straight' | 'turning' | 'rising';

/** Which distance a strike needs: `close` ones want a step in when bag and hitter are apart. */
export type Reach = 'close' | 'bridging';

/** How strikes are gathered where few words have to do; null for what is no strike. */
export const strikeGroups = [
  'straights',
  'hooks',
  'uppercuts',
  'other punches',
  'elbows',
  'knees',
  'kicks',
  'teeps',
  'free',
] as const;
export type StrikeGroup = (typeof strikeGroups)[number];

/**
 * Everything the product knows about one kind of move. Adding a move is adding one of these: what another part of the
 * program asks of it is a field here, and most are required, so that the compiler asks for them.
 */
export interface MoveKind {
  readonly id: string;
  /** The canonical name, without a side. */
  readonly name: string;
  /** More than one of it, as it is said. */
  readonly plural: string;
  readonly family: Family;
  /** What carries it out; null where no single limb does. */
  readonly limb: 'hand' | 'leg' | null;
  /** Sides it can be done on; empty where sides mean nothing. */
  readonly sides: readonly Side[];
  /** The side of the bare name; null where it has none, or leaves it open. */
  readonly usual: Side | null;
  /** Targets it can go to, the usual one first; empty where nothing is hit. */
  readonly targets: readonly Target[];
  /** Length of one, at steady pace (house values of the trade page, section 4). */
  readonly ms: Milliseconds;
  /**
   * Short form by side, as the writer spells it; `both` where sides mean nothing or are marked by -l/-r; `byTarget` where
   * each target has a form of its own.
   */
  readonly short: {
    readonly lead?: string;
    readonly rear?: string;
    readonly both?: string;
    readonly byTarget?: Readonly<Record<Target, string>>;
  };
  /** Further short forms that are read, with the side they mean. */
  readonly alsoShort?: Readonly<Record<string, Side>>;
  /** Further full names that are read, side-less like `name`. */
  readonly alsoNames?: readonly string[];
  /** What a strike does in the air; null for what is none, or has no such shape. */
  readonly shape: Shape | null;
  /** Which distance a strike needs; null for what is none. */
  readonly reach: Reach | null;
  /** Whether `-l`/`-r` after it choose the side. */
  readonly marked?: boolean;
  /** Whether its side is part of its name ("lead hook", but "low kick"). */
  readonly sideInName?: boolean;
  /** Whether a lone one that comes again directly takes the other side (a second slip, a second block). */
  readonly alternates?: boolean;
  /** Whether hip and shoulder turn all the way: what does not may be repeated freely, and needs no winding up. */
  readonly turnsHips: boolean;
  /** Which side it leaves wound up: the one it goes to, the other one, or either. */
  readonly loads: 'own side' | 'other side' | 'either';
  /** Whether it sends bag and hitter apart, brings them together, or leaves them as they are. */
  readonly distance: 'parts' | 'joins' | 'keeps';
  /** How it changes which foot leads. */
  readonly feet: 'stay' | 'trade places';
  /** Whether the leg that it was done with comes back ready for a kick of the other one, or a teep of its own. */
  readonly readiesLegs?: boolean;
  /** Ids of the kinds whose turn it takes straight back, so that the same hand flows. */
  readonly takesBack?: readonly string[];
  /** Whether it sends a ball between cords sideways … */
  readonly wild: boolean;
  /** … and whether the same hand brings it back by it. */
  readonly bringsBack: boolean;
  /** Whether it walks round the bag, which takes free floor. */
  readonly circles?: boolean;
  /** What is done instead where nobody jumps; null for what stays on the floor by itself. */
  readonly grounded: string | null;
  /** What is done instead, to the body, where arms stay below the shoulder; null where it need only be aimed there. */
  readonly belowShoulder: string | null;
  readonly group: StrikeGroup | null;
  /** The kind that does its work from the other side; null where it is its own, or there is none. */
  readonly otherSide: string | null;
  /** The kind that the athlete's own left and right make of it; null where they make no difference. */
  readonly mirror: string | null;
  /** What it becomes at another height. */
  readonly heights?: Readonly<Partial<Record<Target, string>>>;
  /** Sides on which the staff editor offers it one press away; empty where it is only typed. */
  readonly offered: readonly Side[] | 'plain';
  /** What a pad holder does for it: words of their own, the pad its shape asks for, or nothing. */
  readonly holder: string | 'pad' | null;
}
