import type { Target } from '../moves/kind';
import type { Milliseconds } from '../units';

/** What a slot's moves count as. */
export type SlotCount = 'punches' | 'elbows' | 'knees' | 'kicks' | 'teeps' | 'defences';

/** Everything the product knows of what a slot may be filled with. */
export interface SlotNature {
  /** Length of one of its moves at steady pace: the table value, or the mean of those it may be. */
  readonly ms: Milliseconds;
  /** What one of its moves counts as; the shares add up to one. */
  readonly counts: Readonly<Partial<Record<SlotCount, number>>>;
  /** Where one of its strikes goes; the shares add up to one, or there are none where nothing is hit. */
  readonly targets: Readonly<Partial<Record<Target, number>>>;
  /** One and more of them, as they are said: a number alone would be heard as a punch. */
  readonly said: { readonly one: string; readonly more: string };
}

const hand = { counts: { punches: 1 }, targets: { head: 1 } } as const;

/** What an open slot may be filled with (trade page, section 3; shares and means are house values). A new one is a line here. */
export const slotNatures = {
  jabs: { ...hand, ms: 300, said: { one: 'jab', more: 'jabs' } },
  straights: { ...hand, ms: 300, said: { one: 'straight', more: 'straights' } },
  hooks: { ...hand, ms: 360, said: { one: 'hook', more: 'hooks' } },
  uppercuts: { ...hand, ms: 380, said: { one: 'uppercut', more: 'uppercuts' } },
  body: {
    ms: 347,
    counts: { punches: 1 },
    targets: { body: 1 },
    said: { one: 'punch to the body', more: 'punches to the body' },
  },
  punches: { ...hand, ms: 347, said: { one: 'punch', more: 'punches' } },
  kicks: { ms: 750, counts: { kicks: 1 }, targets: { body: 1 }, said: { one: 'kick', more: 'kicks' } },
  strikes: {
    ms: 347,
    counts: { punches: 0.2, elbows: 0.2, knees: 0.2, kicks: 0.2, teeps: 0.2 },
    targets: { head: 0.4, body: 0.6 },
    said: { one: 'strike', more: 'strikes' },
  },
  // The mean of the eight defences of the table.
  defences: { ms: 344, counts: { defences: 1 }, targets: {}, said: { one: 'defence', more: 'defences' } },
} as const satisfies Record<string, SlotNature>;

/** What an open slot may be filled with; `punches` unless said. */
export type SlotKind = keyof typeof slotNatures;
export const slotKinds = Object.keys(slotNatures) as SlotKind[];

/** What is known of a kind of slot. `slotNature('kicks').ms` → `750` */
export const slotNature = (of: SlotKind): SlotNature => slotNatures[of];

/** Whether what fills it is a strike. `isStrikeSlot('defences')` → `false` */
export const isStrikeSlot = (of: SlotKind): boolean => slotNature(of).counts.defences === undefined;
