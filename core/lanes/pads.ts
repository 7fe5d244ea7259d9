import { unfold } from '../mechanics/steps';
import { moveKind } from '../moves/catalogue';
import { familyOf, fullMoveName, type Move } from '../moves/move';
import type { Combination } from '../notation/combination';

/** Who hits with whom in a turn; numbers are people from 1. */
export interface Pairing {
  readonly pairs: readonly (readonly [number, number])[];
  /** Without a partner this turn: shadows beside a pair and changes in next. */
  readonly odd: number | null;
}

/**
 * Pairs for some turns by the circle method (round robin): nobody sits out twice before everybody has, and nobody meets the
 * same partner again before having met all.
 * @example pairUp(3, 3).map(({ odd }) => odd) // three different people
 */
export function pairUp(people: number, turns: number): Pairing[] {
  const even = people + (people % 2);
  return Array.from({ length: turns }, (_, turn): Pairing => {
    const ring = Array.from({ length: Math.max(0, even - 1) }, (__, at) => ((at + turn) % (even - 1)) + 1);
    const seats = [...ring, even];
    const pairs: [number, number][] = [];
    let odd: number | null = null;
    for (let at = 0; at < even / 2; at += 1) {
      const [one = 0, other = 0] = [seats[at], seats[even - 1 - at]];
      if (one > people || other > people) odd = Math.min(one, other);
      else pairs.push([one, other]);
    }
    return { pairs, odd };
  });
}

function holdsFor(strike: Move): string {
  const high = strike.target === 'body' ? 'low, in front of the ribs' : 'at head height';
  switch (familyOf(strike)) {
    case 'punch':
      if (moveKind(strike.id).shape === 'turning')
        return `${strike.side}-side pad turned in, ${high}; press back lightly as it lands`;
      if (moveKind(strike.id).shape === 'rising') return `${strike.side}-side pad facing down, ${high}`;
      return `${strike.side} side pad facing out, ${high}`;
    case 'elbow':
      return 'pad upright by the shoulder, other hand behind it';
    case 'knee':
      return 'both pads crossed low in front of the stomach, hips back';
    case 'kick':
      return 'both pads together on that side, elbows in, lean into it; a low kick becomes a body kick here';
    case 'teep':
      return 'pad flat on the stomach, step back as it lands';
    default:
      return 'resist the push, then give way';
  }
}

function holderCall(given: Move): string | null {
  const { holder } = moveKind(given.id);
  return holder === 'pad' ? `${fullMoveName(given)}: ${holdsFor(given)}` : holder;
}

/**
 * What the holder does for a combination on pads, in order, said once for repeats (common practice, no source; our own words).
 * Nothing is held before the sternum or groin.
 * @example holderCalls(combination)[0] // "jab: lead side pad facing out, at head height"
 */
export function holderCalls(combination: Combination): string[] {
  const calls = unfold(combination)
    .slice(0, 200)
    .flatMap((step) => step.content)
    .flatMap((content) =>
      content.kind === 'move'
        ? (holderCall(content) ?? [])
        : ['hold a pad at head height, catch what comes, move around in between'],
    );
  return calls.filter((call, at) => calls.indexOf(call) === at);
}
