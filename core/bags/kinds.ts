import type { BagKind } from '../session/schema';
import type { Family, Target } from '../moves/kind';

/** What a kind of bag can take; the matcher knows nothing else of it. */
export interface BagNature {
  readonly kind: BagKind;
  /** Targets that can be hit on it. */
  readonly targets: readonly Target[];
  /** Families of strikes that it takes. */
  readonly families: readonly Family[];
  /** Hard shots are softened. */
  readonly powerCapped?: true;
  /** A hook sends it sideways, so that a rear straight must follow and bring it back. */
  readonly wildAfterHooks?: true;
  /** It has to settle between two strikes. */
  readonly oneAtATime?: true;
  /** Numbered combinations make no sense on it; this is done instead. */
  readonly rhythm?: string;
}

const allFamilies: readonly Family[] = ['punch', 'elbow', 'knee', 'kick', 'teep', 'push'];
const allTargets: readonly Target[] = ['head', 'body', 'leg'];

/**
 * The kinds of bag and what they take (trade page, section 7; common practice, no source, house values marked there).
 * A heavy bag is taken to be long enough for low kicks and free all round.
 */
export const bagNatures: Readonly<Record<BagKind, BagNature>> = {
  shadow: { kind: 'shadow', targets: allTargets, families: allFamilies },
  heavy: { kind: 'heavy', targets: allTargets, families: allFamilies },
  standing: { kind: 'standing', targets: ['head', 'body'], families: allFamilies, powerCapped: true },
  'double-end': { kind: 'double-end', targets: ['head'], families: ['punch'], wildAfterHooks: true },
  reflex: { kind: 'reflex', targets: ['head'], families: ['punch'], powerCapped: true, oneAtATime: true },
  speed: {
    kind: 'speed',
    targets: ['head'],
    families: ['punch'],
    rhythm: 'triplets: three rebounds to a touch, lead and rear in turn, then runs of singles',
  },
  pads: { kind: 'pads', targets: ['head', 'body'], families: allFamilies },
};
