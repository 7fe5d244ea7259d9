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
  'conditioning',
  'slot',
  'wait',
] as const;
export type Family = (typeof families)[number];

/** What a punch does in the air; the staff's outline and the mechanics ask for it. */
export type Shape = 'straight' | 'turning' | 'rising';

/** Which distance a strike needs: `close` ones want a step in when bag and hitter are apart. */
export type Reach = 'close' | 'bridging';

/** Everything the product knows about one kind of move. Adding a move is adding one of these. */
export interface MoveKind {
  readonly id: string;
  /** The canonical name, without a side. */
  readonly name: string;
  readonly family: Family;
  /** What carries it out; null where no single limb does. */
  readonly limb: 'hand' | 'leg' | null;
  /** Sides it can be done on; empty where sides mean nothing. */
  readonly sides: readonly Side[];
  /** The side of the bare name; null where it has none. */
  readonly usual: Side | null;
  /** Targets it can go to, the usual one first; empty where nothing is hit. */
  readonly targets: readonly Target[];
  /** Length of one, at steady pace (house values of the trade page, section 4). */
  readonly ms: Milliseconds;
  /** Short form by side, as the writer spells it; `both` where sides mean nothing or are marked by -l/-r. */
  readonly short: { readonly lead?: string; readonly rear?: string; readonly both?: string };
  /** Further short forms that are read, with the side they mean. */
  readonly alsoShort?: Readonly<Record<string, Side>>;
  /** Further full names that are read, side-less like `name`. */
  readonly alsoNames?: readonly string[];
  readonly shape?: Shape;
  readonly reach?: Reach;
  /** Whether `-l`/`-r` after it choose the side. */
  readonly marked?: boolean;
  /** Whether its side is part of its name ("lead hook", but "low kick"). */
  readonly sideInName?: boolean;
}
