import { figureOf } from '../figure/figure-of';
import { sceneAt } from '../figure/scene';
import { views } from '../figure/view';
import { readCombination } from '../notation/read';
import { bagBeside, ballSwing, swingOf, swungOut } from './bag-figure';
import { pendulumPeriod } from './bench/pendulum';
import { bagKinds } from './kind-names';
import { bagNatures } from './kinds';

const read = readCombination('2');
const figure = figureOf(read.ok ? read.value : { items: [] }, 'orthodox');
const landed = figure.motion.hits[0]?.at ?? 0;

describe('a bag beside the figure', () => {
  it('swings away from the hitter after a blow and comes back after half a period of its pendulum', () => {
    const swing = swingOf(bagNatures.heavy);
    const period = 1000 * pendulumPeriod(1.4);
    expect(swungOut(figure, landed, swing)).toBe(0);
    expect(swungOut(figure, landed + period / 4, swing)).toBeGreaterThan(0.005);
    expect(swungOut(figure, landed + period / 2, swing)).toBeCloseTo(0, 9);
    expect(swungOut(figure, landed + (3 * period) / 4, swing)).toBeLessThan(0);
    expect(Math.abs(swungOut(figure, landed + 5000, swing))).toBeLessThan(0.001);
    // A ball whose bench figures are known swings by them.
    const ball = { mass: 0.3, upper: 1, lower: 1, tensionUpper: 60, tensionLower: 57 };
    // f = (1/2π)·√((60/1 + 57/1)/0.3), worked by hand.
    expect(swingOf(bagNatures['double-end'], ballSwing(ball)).frequency).toBeCloseTo(3.143, 3);
    expect(ballSwing(ball).byHand).toBeCloseTo(0.5 / Math.sqrt(117 * 0.3), 9);
  });

  it('hangs still before a blow, swings by its own figures after it, dies away and stands still again', () => {
    // A light swing of a metre and three quarters out, once a second: in statures it is one (figure of 1.75 m).
    const swing = { frequency: 1, byHand: 1.75, byLeg: 3.5 };
    const after = (seconds: number): number => swungOut(figure, landed + 1000 * seconds, swing);
    expect([after(-0.2), after(0)]).toEqual([0, 0]);
    const [first, second] = [after(0.25), after(1.25)];
    expect(first).toBeGreaterThan(0.5);
    expect(first).toBeLessThan(1);
    // It loses the same share with each second.
    expect(second / first).toBeCloseTo(after(2.25) / second, 9);
    expect(after(0.75) / first).toBeCloseTo(-Math.sqrt(second / first), 9);
    expect(first).toBeCloseTo((second / first) ** 0.25, 9);
    expect(after(60.25)).toBe(0);
    // A leg sends it further than a hand.
    const kick = readCombination('bk');
    const kicked = figureOf(kick.ok ? kick.value : { items: [] }, 'orthodox');
    const hit = kicked.motion.hits[0]?.at ?? 0;
    expect(swungOut(kicked, hit + 250, swing)).toBeCloseTo(2 * first, 9);
  });

  it('is drawn as its kind is: hung, standing, a ball between cords, and nothing on a free floor or for pads', () => {
    const parts = (kind: (typeof bagKinds)[number]): number =>
      sceneAt(figure, landed, views.side, bagBeside(bagNatures[kind], figure)).parts.filter(
        ({ paint }) => paint === 'bag',
      ).length;
    const counts = Object.fromEntries(bagKinds.map((kind) => [kind, parts(kind)]));
    expect(counts).toEqual(
      jasmine.objectContaining({ shadow: 0, pads: 0, heavy: 2, standing: 1, 'double-end': 3, reflex: 2 }),
    );
  });
});
