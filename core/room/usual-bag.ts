import type { BagKind } from '../bags/kind-names';
import type { RoomBag } from '../sheet/room';

type Measures = Omit<RoomBag, 'id' | 'kind' | 'name' | 'x' | 'y'>;

/** Usual sizes of each kind, to begin measuring from (house values; hung bags weigh about 36 kg, from memory). */
const usual: Readonly<Record<BagKind, Measures>> = {
  shadow: { radius: 0.9, bottom: 0, top: 0.1, places: 4 },
  heavy: { radius: 0.18, bottom: 0.5, top: 1.7, places: 2, mass: 36, chain: 0.6 },
  standing: { radius: 0.25, bottom: 0, top: 1.7, places: 2 },
  'double-end': {
    radius: 0.1,
    bottom: 1.4,
    top: 1.6,
    places: 1,
    cords: { mass: 0.3, upper: 1.2, lower: 1.4, tensionUpper: 63, tensionLower: 60 },
  },
  reflex: { radius: 0.1, bottom: 1.4, top: 1.6, places: 1 },
  speed: { radius: 0.1, bottom: 1.5, top: 1.8, places: 1, rebounds: 360 },
  pads: { radius: 0.3, bottom: 1, top: 1.7, places: 2 },
};

/** A bag of a kind with usual sizes, in a place of the room. Kinds of the coach's own begin as a standing bag. */
export function usualBag(id: string, kind: string, x: number, y: number): RoomBag {
  const measures = usual[kind as BagKind] ?? usual.standing;
  return { id, kind, name: '', x, y, ...measures };
}
