import { readCombination } from '../notation/read';
import { six } from '../moves/scheme';
import { viewAt } from './best-views';
import { curveThrough, valueAt } from './curve';
import { figureJoints, figureOf, type Figure } from './figure-of';
import { outlineOf } from './outline';
import { sceneAt } from './scene';
import { stripLabels, stripSvg, tellingMoments } from './strip';
import { svgOutline } from './svg-path';
import { cameraOf, views } from './view';

const figureFor = (text: string): Figure => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(text);
  return figureOf(read.value, 'orthodox');
};

describe('the drawing of the figure', () => {
  it('sees the right side of somebody in front of it on the left, and as in a mirror on the right', () => {
    // Facing one another, the other one's right hand is on one's own left; a mirror turns it round.
    const right = [0.14, 0.5, 0.2] as const;
    expect(cameraOf(views.front, [0, 0, 0])(right).x).toBeLessThan(0);
    expect(cameraOf(views['mirrored front'], [0, 0, 0])(right).x).toBeGreaterThan(0);
    expect(cameraOf(views.side, [0, 0, 0])([0.5, 0.5, 0]).x).toBeGreaterThan(0);
    expect(cameraOf(views.side, [0, 0, 0])([0.14, 0.9, 0]).y).toBeLessThan(0);
    // Nearer is larger.
    const [near, far] = [
      cameraOf(views.front, [0, 0, 0])([0.6, 0.5, 0]),
      cameraOf(views.front, [0, 0, 0])([-0.2, 0.5, 0]),
    ];
    expect(near.scale).toBeGreaterThan(far.scale);
  });

  it('outlines discs as a band stretched around them: lengths known from geometry', () => {
    const round = (arcs: ReturnType<typeof outlineOf>): number =>
      arcs.reduce((sum, { disc, from, to }) => sum + disc.r * (to - from), 0);
    expect(round(outlineOf([{ x: 0, y: 0, r: 2 }]))).toBeCloseTo(4 * Math.PI, 9);
    // Two like discs: two half circles. A disc inside another has no part in it.
    expect(
      round(
        outlineOf([
          { x: 0, y: 0, r: 1 },
          { x: 4, y: 1, r: 1 },
        ]),
      ),
    ).toBeCloseTo(2 * Math.PI, 9);
    expect(
      outlineOf([
        { x: 0, y: 0, r: 3 },
        { x: 1, y: 0, r: 1 },
      ]).map(({ disc }) => disc.r),
    ).toEqual([3]);
    expect(
      new Set(
        outlineOf([
          { x: 0, y: 0, r: 1 },
          { x: 4, y: 0, r: 1 },
          { x: 2, y: 5, r: 1 },
          { x: 2, y: 1, r: 0.5 },
        ]).map(({ disc }) => disc),
      ).size,
    ).toBe(3);
    expect(svgOutline([{ x: 0, y: 0, r: 1 }])).toMatch(/^M0 -1A1 1 .*Z$/);
  });

  it('rings where a strike lands, trails the limb that throws it and the head that goes out of its way', () => {
    const figure = figureFor('1 sl 2');
    const landed = sceneAt(figure, 150, views.side);
    expect(landed.ring?.strength).toBe(1);
    const hand = cameraOf(views.side, [0, 0, 0])(figureJoints(figure, 150)['left hand']);
    expect(landed.ring?.x).toBeCloseTo(hand.x, 9);
    expect(landed.trails.map(({ paint }) => paint)).toEqual(['lead glove']);
    expect(sceneAt(figure, 450, views.side).trails.map(({ paint }) => paint)).toEqual(['line']);
    expect(sceneAt(figure, 740, views.side).trails.map(({ paint }) => paint)).toEqual(['rear glove']);
    expect(sceneAt(figure, 1400, views.side).ring).toBeNull();
    // From back to front.
    const depths = landed.parts.map(({ depth }) => depth);
    expect(depths.length).toBeGreaterThan(15);
    expect([...depths].sort((a, b) => b - a)).toEqual(depths);
  });

  it('after a switch paints the other side as the lead one', () => {
    const figure = figureFor('switch 1');
    const at = (when: number): string => sceneAt(figure, when, views.side).trails[0]?.paint ?? '';
    expect(at(figure.motion.hits[0]?.at ?? 0)).toBe('lead glove');
    expect(figure.motion.hits[0]?.limb).toBe('right hand');
  });

  it('looks from where each move is told best, and goes there smoothly', () => {
    const figure = figureFor('1 4 5 bk');
    const azimuths = [...Array(2500).keys()].map((at) => viewAt('by move', figure, at).azimuth);
    // The jab from the open side, the hook from in front, the uppercut from the side (as the contact sheets show).
    expect(azimuths[100]).toBe(views['three-quarter'].azimuth);
    expect(azimuths[655]).toBeCloseTo(views.front.azimuth, 0);
    expect(azimuths[1030]).toBeCloseTo(views.side.azimuth, 0);
    const jumps = azimuths.slice(1).map((each, index) => Math.abs(each - (azimuths[index] ?? 0)));
    expect(Math.max(...jumps)).toBeLessThan(1);
    expect(viewAt('side', figure, 500)).toBe(views.side);
  });

  it('as a strip has one still for each step, named as it is written', () => {
    const read = readCombination('1 (2 3)x2 in+1');
    if (!read.ok) throw new Error('unread');
    const figure = figureOf(read.value, 'orthodox');
    const labels = stripLabels(read.value, six);
    expect(labels).toEqual(['1', '2', '3', '2', '3', 'in+1']);
    expect(tellingMoments(figure).length).toBe(6);
    const svg = stripSvg(figure, views.side, labels);
    expect(svg.match(/<text/g)?.length).toBe(6);
    expect(svg).toContain('viewBox="0 0 720 168"');
    expect(stripSvg(figure, views.side, ['<b>'])).toContain('&lt;b&gt;');
  });
});

describe('a curve', () => {
  it('goes through its keys, no further than they do, and stands still between two that are alike', () => {
    const curve = curveThrough([
      { at: 0, row: [0] },
      { at: 100, row: [1] },
      { at: 150, row: [1] },
      { at: 400, row: [-1] },
    ]);
    const values = [...Array(41).keys()].map((step) => valueAt(curve, step * 10, [])[0] ?? NaN);
    expect(values[10]).toBe(1);
    expect(values[12]).toBe(1);
    expect(values[40]).toBe(-1);
    expect(Math.max(...values)).toBe(1);
    expect(Math.min(...values)).toBe(-1);
    expect(valueAt(curve, 5000, [])).toEqual([-1]);
  });
});
