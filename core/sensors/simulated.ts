import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { paceOf } from '../mechanics/effort';
import { planLeaf } from '../tally/planned';
import type { Leaf, Timeline } from '../timeline/leaf';
import type { SessionTime } from '../units';
import { mostPulse, pulseAt, type Bpm } from './pulse';
import type { Reading, Sensor, SensorKind, SensorState } from './sensor';

/** How a simulated sensor and whoever wears it behave (house values: believable, nobody's figures). */
const habits = {
  missed: 0.04,
  doubled: 0.02,
  /** Share of the planned punches that is lost to tiredness by the end of an hour. */
  tiredAfterHour: 0.15,
  /** One drop-out in so many seconds, and how long it lasts. */
  dropEvery: 420,
  dropLasts: 8,
  batteryHours: 9,
  /** Seconds in which the pulse comes two thirds of its way up, and down. */
  upSeconds: 35,
  downSeconds: 55,
  /** Shares of the reserve: between pieces, and at the pace of easy and of hard work. */
  restShare: 0.35,
  workShare: 0.45,
  hardShare: 0.55,
} as const;

const second = 1000;

/** A number from 0 to 1 that belongs to a second of a seed: the same whenever it is asked for. */
function chance(seed: number, at: number): number {
  const random = xoroshiro128plus((seed * 2_654_435_761 + at * 40_503) >>> 0);
  return uniformInt(random, 0, 999_999) / 1_000_000;
}

function stateAt(seed: number, at: SessionTime): SensorState {
  const now = Math.max(0, Math.floor(at / second));
  const span = Math.floor(now / habits.dropEvery);
  const begins = span * habits.dropEvery + Math.floor(chance(seed + 1, span) * (habits.dropEvery - habits.dropLasts));
  return {
    connected: now < begins || now >= begins + habits.dropLasts,
    battery: Math.max(0, 0.95 - now / 3600 / habits.batteryHours),
  };
}

/** What a sensor has told, second by second; nothing while it is off the line. */
function simulated(kind: SensorKind, name: string, seed: number, tell: (at: number) => Reading | null): Sensor {
  return {
    kind,
    name,
    simulated: true,
    stateAt: (at) => stateAt(seed, at),
    readings: (from, until) => {
      const out: Reading[] = [];
      for (let at = Math.max(0, Math.ceil(from / second)); at * second < until; at += 1) {
        const reading = stateAt(seed, at * second).connected ? tell(at) : null;
        if (reading) out.push(reading);
      }
      return out;
    },
  };
}

const leafAt = ({ leaves }: Timeline, at: SessionTime): Leaf | undefined =>
  leaves.findLast((leaf) => leaf.at <= at && at < leaf.at + leaf.ms);

/**
 * A counter on the wrists of somebody who does what is planned, gets tired, and whose counter misses some punches and counts
 * others twice. The same seed tells the same.
 * @example simulatedCounter(compile(sheet), 1).readings(0, 60_000)
 */
export function simulatedCounter(timeline: Timeline, seed: number): Sensor {
  const rates = new Map<Leaf, number>();
  const rateOf = (leaf: Leaf): number => {
    const known = rates.get(leaf) ?? (planLeaf(leaf).counts.punches / leaf.ms) * second;
    rates.set(leaf, known);
    return known;
  };
  return simulated('counter', 'Punch counter', seed, (at) => {
    const leaf = leafAt(timeline, at * second);
    if (!leaf || leaf.ms === 0) return null;
    const heard = 1 - habits.missed + habits.doubled;
    const rate = rateOf(leaf) * heard * (1 - habits.tiredAfterHour * Math.min(1, at / 3600));
    // As many as the rate says in the long run, uneven from second to second.
    const count = Math.floor(rate + chance(seed, at));
    return count > 0 ? { kind: 'punches', at: at * second, count } : null;
  });
}

/**
 * A strap on somebody of an age and a resting pulse: the pulse follows the work, up sooner than down, and climbs a little as it
 * goes on. The same seed tells the same.
 * @example simulatedStrap(compile(sheet), 1, { age: 40, rest: 60 }).readings(0, 5000)
 */
export function simulatedStrap(
  timeline: Timeline,
  seed: number,
  body: { readonly age: number; readonly rest: Bpm },
): Sensor {
  const most = mostPulse(body.age);
  const seconds: Bpm[] = [];
  const aimAt = (at: number): Bpm => {
    const leaf = leafAt(timeline, at * second);
    const works = leaf !== undefined && leaf.block !== 'rest' && leaf.block !== 'show';
    const drift = 0.05 * Math.min(1, at / 3600);
    const share = works ? habits.workShare + habits.hardShare * (paceOf(leaf.effort) - 0.6) : habits.restShare;
    return pulseAt(body.rest, most, Math.min(0.97, Math.max(0.1, share + drift)));
  };
  const pulseOf = (at: number): Bpm => {
    for (let next = seconds.length; next <= at; next += 1) {
      const before = seconds[next - 1] ?? body.rest + 10;
      const aim = aimAt(next);
      seconds.push(before + (aim - before) / (aim > before ? habits.upSeconds : habits.downSeconds));
    }
    return seconds[at] ?? body.rest;
  };
  return simulated('strap', 'Heart-rate strap', seed, (at) => ({
    kind: 'pulse',
    at: at * second,
    bpm: Math.round(pulseOf(at) + 3 * (chance(seed, at) - 0.5)),
  }));
}
