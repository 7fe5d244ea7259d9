import type { Move } from '../moves/move';
import type { Degrees } from '../units';
import { guard, type Key, type Motion } from './motion';

const sides = ['lead', 'rear'] as const;

/** A hard strike is wound up further, a light one not at all (house value). */
const hardWindUp = 1.35;

/** A feint goes this share of the way, and turns the body no further than this (house values). */
export const shownShare = 0.5;
const shownTurn: Degrees = 22;

/** What is only shown of a move: a leg is drawn up, everything else goes part of the way, and nobody spins. */
function shown(motion: Motion): readonly Key[] {
  const lands = motion.hit?.at ?? 1;
  const part = (from: number, to: number | undefined): number =>
    from + Math.max(-shownTurn, Math.min(shownTurn, ((to ?? from) - from) * shownShare));
  const near = (from: number, to: number | undefined): number => from + ((to ?? from) - from) * shownShare;
  const drawn = motion.keys.find((key) => sides.some((side) => key.feet?.[side]?.leg));
  return motion.keys
    .filter(({ at }) => (drawn ? at <= drawn.at : at <= lands))
    .map((key): Key => {
      const { hips, chest, hands } = key;
      return {
        at: drawn ? (key.at / drawn.at) * 0.5 : key.at,
        ...(hips && {
          hips: {
            x: near(guard.hips.x, hips.x),
            y: near(guard.hips.y, hips.y),
            z: near(guard.hips.z, hips.z),
            turn: part(guard.hips.turn, hips.turn),
            tip: near(0, hips.tip),
          },
        }),
        ...(chest && {
          chest: {
            turn: part(guard.chest.turn, chest.turn),
            lean: near(guard.chest.lean, chest.lean),
            side: near(0, chest.side),
          },
        }),
        ...(hands && !motion.spins && !drawn && { hands }),
        ...(drawn && key.feet && { feet: key.feet }),
      };
    });
}

/** A hard kick or knee is driven from deeper (house value). */
function sunk(key: Key, lands: number): Key {
  return key.hips?.y !== undefined && key.at < lands ? { ...key, hips: { ...key.hips, y: key.hips.y - 0.015 } } : key;
}

/** Keys of a move as it is done: how far a strike is wound up before it lands, what is only shown of a feint. */
export function keysOf(motion: Motion, { force, feint }: Move): readonly Key[] {
  if (feint) return shown(motion);
  if (!force || !motion.hit || motion.spins) return motion.keys;
  const lands = motion.hit.at;
  const byHand = motion.hit.point === 'hand' || motion.hit.point === 'elbow';
  if (!byHand) return force === 'hard' ? motion.keys.map((key) => sunk(key, lands)) : motion.keys;
  return motion.keys.flatMap((key): Key[] => {
    if (key.at >= lands) return [key];
    if (force === 'light') return key.feet ? [{ at: key.at, feet: key.feet }] : [];
    const further = (from: number, to: number | undefined): number => from + ((to ?? from) - from) * hardWindUp;
    return [
      {
        ...key,
        ...(key.hips && { hips: { ...key.hips, turn: further(guard.hips.turn, key.hips.turn) } }),
        ...(key.chest && { chest: { ...key.chest, turn: further(guard.chest.turn, key.chest.turn) } }),
      },
    ];
  });
}
