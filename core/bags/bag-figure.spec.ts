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
