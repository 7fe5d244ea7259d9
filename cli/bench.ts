import {
  bodyHeights,
  doubleEndSwing,
  excursion,
  pendulumPeriod,
  rotate,
  sayFault,
  speedBagRowRate,
  twiceAsTight,
} from '../core/index';
import { BadInput } from './io';
import { numberFlag, wholeFlag } from './numbers';

/** Flags of `tempo bench`. */
export type BenchOptions = Readonly<Partial<Record<string, string | boolean>>>;

const exact = (value: number): number => Number(value.toPrecision(10));

function flag(options: BenchOptions, name: string): string | undefined {
  const given = options[name];
  return typeof given === 'string' ? given : undefined;
}

/** A positive measure in SI units. */
function measure(options: BenchOptions, name: string, most: number): number {
  return numberFlag(name, flag(options, name), 1e-6, most);
}

/** `tempo bench pendulum|double-end|speed-bag|heights|rotation`: what the bag bench works out. */
export function bench(what: string | undefined, options: BenchOptions): unknown {
  switch (what) {
    case 'pendulum':
      return { period: exact(pendulumPeriod(measure(options, 'length', 100))) };
    case 'double-end': {
      const ball = {
        mass: measure(options, 'mass', 100),
        upper: measure(options, 'upper', 100),
        lower: measure(options, 'lower', 100),
        tensionUpper: measure(options, 'tension-upper', 100_000),
        tensionLower: measure(options, 'tension-lower', 100_000),
      };
      const swing = doubleEndSwing(ball);
      const impulse = options['impulse'] === undefined ? null : measure(options, 'impulse', 1000);
      const tight = twiceAsTight(ball);
      return {
        frequency: exact(swing.frequency),
        returnInterval: exact(swing.returnInterval),
        tempos: swing.tempos.map(exact),
        notes: swing.notes,
        ...(impulse === null ? {} : { excursion: exact(excursion(ball, impulse)) }),
        twiceAsTight: { frequency: exact(tight.frequency), excursion: exact(tight.excursion) },
      };
    }
    case 'speed-bag': {
      const row = (flag(options, 'rebounds-per-hit') ?? '').split(',').map((count) => count.trim());
      const counts = row.map((count) => wholeFlag('rebounds-per-hit', count === '' ? undefined : count, 0, 99));
      const rate = speedBagRowRate(measure(options, 'rebounds-per-minute', 10_000), counts);
      if (!rate.ok) throw new BadInput(`--rebounds-per-hit: ${sayFault(rate.fault).replace(/^character 1: /, '')}`);
      return { hitsPerMinute: exact(rate.value) };
    }
    case 'heights':
      return bodyHeights(measure(options, 'stature', 3));
    case 'rotation': {
      const kinds = (flag(options, 'kinds') ?? '')
        .split(',')
        .map((kind) => kind.trim())
        .filter(Boolean);
      if (kinds.length === 0)
        throw new BadInput('--kinds missing: separate them with commas, for example "heavy,double-end,shadow"');
      const { turns, sharing } = rotate(wholeFlag('groups', flag(options, 'groups'), 1, 500), kinds);
      return { turns, sharing };
    }
    default:
      throw new BadInput(`${what ?? 'bench'}: use bench pendulum, double-end, speed-bag, heights or rotation`);
  }
}
