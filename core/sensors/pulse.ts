/** Beats a minute. */
export type Bpm = number;

/** The highest pulse to be expected at an age: 208 − 0.7 × age (Tanaka, Monahan and Seals 2001). `mostPulse(40)` → `180` */
export const mostPulse = (age: number): Bpm => 208 - 0.7 * age;

/** The pulse at a share of the reserve: rest + share × (most − rest) (Karvonen 1957). `pulseAt(60, 180, 0.5)` → `120` */
export const pulseAt = (rest: Bpm, most: Bpm, share: number): Bpm => rest + share * (most - rest);

/** How hard a pulse is, by the share of the reserve that it uses (house values in the usual order). */
const bands = [
  { from: 0.9, name: 'maximum' },
  { from: 0.8, name: 'very hard' },
  { from: 0.65, name: 'hard' },
  { from: 0.5, name: 'steady' },
  { from: 0.3, name: 'easy' },
  { from: -Infinity, name: 'at rest' },
] as const;
export type PulseBand = (typeof bands)[number]['name'];

/** A band in beats a minute; the hardest has no end. */
export interface PulseRange {
  readonly name: PulseBand;
  readonly from: Bpm;
  readonly to: Bpm;
}

/** The bands from easy on for an age and a pulse at rest, the easiest first. `pulseRanges(40, 60)[0]` → `{ name: 'easy', from: 96, to: 120 }` */
export function pulseRanges(age: number, rest: Bpm): PulseRange[] {
  const most = mostPulse(age);
  const rising = bands.filter(({ from }) => from > 0).reverse();
  return rising.map(({ name, from }, at) => ({
    name,
    from: Math.round(pulseAt(rest, most, from)),
    to: Math.round(pulseAt(rest, most, rising[at + 1]?.from ?? 1)),
  }));
}

/** The band of a pulse. `pulseBand(150, 60, 180)` → `"hard"` */
export function pulseBand(bpm: Bpm, rest: Bpm, most: Bpm): PulseBand {
  const share = most > rest ? (bpm - rest) / (most - rest) : 0;
  return bands.find(({ from }) => share >= from)?.name ?? 'at rest';
}
