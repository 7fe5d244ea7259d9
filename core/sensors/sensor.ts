// What a punch counter and a pulse strap tell a run. `Sensor` is the interface that a real device stands behind as well; the ones
// that ship are simulated (`simulated.ts`). A real strap speaks as `heartRateOf` reads (Bluetooth's Heart Rate Service).
import type { SessionTime } from '../units';
import type { Bpm } from './pulse';

export const sensorKinds = ['counter', 'strap'] as const;
export type SensorKind = (typeof sensorKinds)[number];

/** Something that a sensor has told at a second of the session. */
export type Reading =
  | { readonly kind: 'punches'; readonly at: SessionTime; readonly count: number }
  | { readonly kind: 'pulse'; readonly at: SessionTime; readonly bpm: Bpm };

/** How a sensor is. */
export interface SensorState {
  /** Whether it is on the line; it comes back by itself. */
  readonly connected: boolean;
  /** What is left, 0 to 1. */
  readonly battery: number;
}

/** A sensor on the body of one athlete. Whoever puts a real one behind it answers from what has arrived so far. */
export interface Sensor {
  readonly kind: SensorKind;
  readonly name: string;
  /** It measures nobody: every screen says so, and its figures teach the product nothing. */
  readonly simulated: boolean;
  /** What it has told from a moment (included) to another (not included), in order. */
  readings(from: SessionTime, until: SessionTime): readonly Reading[];
  stateAt(at: SessionTime): SensorState;
}

/**
 * The pulse in a Heart Rate Measurement (Bluetooth SIG, Heart Rate Service 1.0, characteristic 0x2A37; from memory): bit 0 of the
 * flags says whether the value has 8 or 16 bits, bits 1 and 2 whether the strap touches the skin. Null where it cannot be read, or
 * the strap says that it touches nothing.
 * @example heartRateOf(new DataView(Uint8Array.of(0, 72).buffer)) // 72
 */
export function heartRateOf(value: DataView): Bpm | null {
  if (value.byteLength < 2) return null;
  const flags = value.getUint8(0);
  const [wide, knowsContact, touches] = [(flags & 1) !== 0, (flags & 4) !== 0, (flags & 2) !== 0];
  if (knowsContact && !touches) return null;
  if (wide && value.byteLength < 3) return null;
  const bpm = wide ? value.getUint16(1, true) : value.getUint8(1);
  return bpm > 0 ? bpm : null;
}
