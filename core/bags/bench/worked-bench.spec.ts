import { rotate } from '../../lanes/rotation';
import { fromUnits, inUnits, measureSystems, sayLength, type Measured } from '../../measures';
import { doubleEndSwing, excursion } from './double-end';
import { bodyHeights } from './heights';
import { gravity, pendulumPeriod } from './pendulum';
import { speedBagRate } from './speed-bag';

describe('worked bench: pendulums', () => {
  // Textbook: T = 2π·√(L/g) with standard gravity, worked with a pocket calculator to four digits.
  const rows: readonly (readonly [length: number, period: number])[] = [
    [0.1, 0.6345],
    [0.25, 1.0032],
    [0.5, 1.4188],
    [1, 2.0064],
    [1.5, 2.4573],
    [2, 2.8375],
    [2.5, 3.1724],
    [4, 4.0128],
  ];
  for (const [length, period] of rows)
    it(`${length} m swings in ${period} s`, () => {
      expect(pendulumPeriod(length)).toBeCloseTo(period, 3);
    });
});

describe('worked bench: balls between cords', () => {
  // Textbook: k = T₁/L₁ + T₂/L₂, f = √(k/m)/2π. The figures are chosen so that k/m is a square: ω = 10, 20, 25, 40.
  const rows: readonly (readonly [mass: number, length: number, tension: number, omega: number])[] = [
    [0.5, 1, 25, 10],
    [0.25, 1, 50, 20],
    [0.2, 0.8, 50, 25],
    [0.1, 1, 80, 40],
  ];
  for (const [mass, length, tension, omega] of rows)
    it(`${mass} kg on ${tension} N over ${length} m turns at ${omega} rad/s`, () => {
      const ball = { mass, upper: length, lower: length, tensionUpper: tension, tensionLower: tension };
      const swing = doubleEndSwing(ball);
      expect(swing.frequency).toBeCloseTo(omega / (2 * Math.PI), 9);
      expect(swing.returnInterval).toBeCloseTo(Math.PI / omega, 9);
      expect(swing.tempos[0]).toBeCloseTo((60 * omega) / Math.PI, 6);
      expect(swing.tempos[1]).toBeCloseTo((20 * omega) / Math.PI, 6);
      // x = p/(m·ω): a blow of 1 kg·m/s.
      expect(excursion(ball, 1)).toBeCloseTo(1 / (mass * omega), 9);
    });

  it('hangs without a note where the upper cord carries the ball', () => {
    const mass = 0.4;
    const ball = { mass, upper: 1, lower: 1, tensionUpper: 20 + mass * gravity, tensionLower: 20 };
    expect(doubleEndSwing(ball).notes).toEqual([]);
  });
});

describe('worked bench: speed bags', () => {
  // Trade page, section 7: touches per minute = rebounds a minute / rebounds a touch; odd ones only.
  const rows: readonly (readonly [rebounds: number, per: number, touches: number | null])[] = [
    [360, 1, 360],
    [360, 3, 120],
    [360, 5, 72],
    [350, 7, 50],
    [450, 9, 50],
    [360, 2, null],
    [360, 4, null],
    [360, -1, null],
    [360, 2.5, null],
  ];
  for (const [rebounds, per, touches] of rows)
    it(`${rebounds} rebounds, ${per} a touch: ${touches ?? 'refused'}`, () => {
      const read = speedBagRate(rebounds, per);
      expect(read.ok ? read.value : null).toBe(touches);
    });
});

describe('worked bench: heights', () => {
  // Drillis and Contini's shares of stature, from memory, multiplied by hand.
  it('of 1.60 m and of 2.00 m', () => {
    expect(bodyHeights(1.6)).toEqual({
      knee: 0.456,
      hip: 0.848,
      elbow: 1.008,
      shoulder: 1.309,
      chin: 1.392,
      eye: 1.498,
    });
    expect(bodyHeights(2)).toEqual({ knee: 0.57, hip: 1.06, elbow: 1.26, shoulder: 1.636, chin: 1.74, eye: 1.872 });
  });
});

describe('worked bench: rotations', () => {
  it('of two, three and four kinds', () => {
    expect(rotate(1, ['a', 'b']).turns).toEqual([['a'], ['b']]);
    expect(rotate(3, ['a', 'b', 'c']).turns).toEqual([
      ['a', 'b', 'c'],
      ['b', 'c', 'a'],
      ['c', 'a', 'b'],
    ]);
    expect(rotate(4, ['a', 'b']).turns).toEqual([
      ['a', 'b', 'a', 'b'],
      ['b', 'a', 'b', 'a'],
    ]);
    expect(rotate(4, ['a', 'b']).sharing).toBe(2);
    expect(rotate(2, []).turns).toEqual([]);
  });
});

describe('worked bench: measures', () => {
  // NIST SP 811, appendix B.8: factors from inch, pound and pound-force.
  const rows: readonly (readonly [what: Measured, imperial: number, metric: number])[] = [
    ['length', 1, 0.0254],
    ['length', 12, 0.3048],
    ['length', 36, 0.9144],
    ['mass', 1, 0.45359237],
    ['mass', 100, 45.359237],
    ['pull', 1, 4.4482216152605],
    ['pull', 10, 44.482216152605],
  ];
  for (const [what, imperial, metric] of rows)
    it(`${imperial} of ${what} is ${metric}`, () => {
      expect(fromUnits(what, imperial, 'imperial')).toBeCloseTo(metric, 9);
      expect(inUnits(what, metric, 'imperial')).toBeCloseTo(imperial, 2);
      expect(fromUnits(what, metric, 'metric')).toBe(metric);
    });

  it('are said as people say them', () => {
    expect(measureSystems.map((system) => sayLength(1.524, system))).toEqual(['1.52 m', '5 ft 0 in']);
    expect(sayLength(0.3048, 'imperial')).toBe('1 ft 0 in');
    expect(sayLength(1.9, 'imperial')).toBe('6 ft 3 in');
  });
});
