import { speedRhythm } from '../bags/rhythm';
import { figureJoints } from './figure-of';
import { lengthError } from './measured.spec';
import { bodySides, jointNames } from './pose';
import { stillAt, stillFigure, stills, type StillName } from './stills';
import { touchesFigure } from './touches';
import { dot, minus, plus, times, unit } from './vector';

describe('the figure at rest', () => {
  it('holds each pose with whole limbs, above the floor, for as long as one looks', () => {
    const names = Object.keys(stills) as StillName[];
    expect(names.length).toBeGreaterThan(15);
    for (const name of names) {
      const figure = stillFigure(name, 'orthodox');
      const joints = figureJoints(figure, stillAt);
      expect(lengthError(joints)).withContext(name).toBeLessThan(1e-9);
      for (const joint of jointNames) expect(joints[joint][1]).withContext(`${name}: ${joint}`).toBeGreaterThan(-0.02);
      const later = figureJoints(figure, 60_000);
      for (const joint of jointNames) expect(later[joint][1]).withContext(name).toBeCloseTo(joints[joint][1], 3);
    }
  });

  it('is what its name says: hips below knees in a squat, shoulders and hips level in a plank, arms up in a star', () => {
    const of = (name: StillName) => figureJoints(stillFigure(name, 'orthodox'), stillAt);
    expect(of('squat').pelvis[1]).toBeLessThan(0.32);
    expect(Math.abs(of('plank').chest[1] - of('plank').pelvis[1])).toBeLessThan(0.1);
    expect(of('star')['left hand'][1]).toBeGreaterThan(of('star').head[1]);
    expect(of('dead bug')['left knee'][1]).toBeGreaterThan(of('dead bug').pelvis[1] + 0.15);
    expect(of('folded forward').chest[1]).toBeLessThan(of('folded forward').pelvis[1]);
  });

  it('is straight from shoulder to ankle in planks and press-ups', () => {
    const names = ['plank', 'press-up', 'side plank left', 'side plank right'] as const;
    for (const name of names) {
      const joints = figureJoints(stillFigure(name, 'orthodox'), stillAt);
      const ankles = times(plus(joints['left ankle'], joints['right ankle']), 0.5);
      const [trunk, legs] = [minus(joints.chest, joints.pelvis), minus(joints.pelvis, ankles)];
      const bend = (Math.acos(dot(unit(trunk), unit(legs))) * 180) / Math.PI;
      expect(bend).withContext(name).toBeLessThan(15);
      for (const side of bodySides) {
        const [hip, knee, ankle] = [joints[`${side} hip`], joints[`${side} knee`], joints[`${side} ankle`]];
        const fold = (Math.acos(dot(unit(minus(hip, knee)), unit(minus(knee, ankle)))) * 180) / Math.PI;
        // Never quite to full lock.
        expect(fold).withContext(`${name}: ${side} knee`).toBeLessThan(20);
      }
    }
    expect(names.length).toBe(4);
  });

  it('lies on the forearm that a side plank names, whoever leads', () => {
    for (const stance of ['orthodox', 'southpaw'] as const) {
      const left = figureJoints(stillFigure('side plank left', stance), stillAt);
      for (const joint of ['left elbow', 'left hand', 'left ankle'] as const)
        expect(left[joint][1]).withContext(joint).toBeLessThan(0.08);
      expect(left['right shoulder'][1]).toBeGreaterThan(left['left shoulder'][1] + 0.2);
      const right = figureJoints(stillFigure('side plank right', stance), stillAt);
      expect(right['right elbow'][1]).toBeLessThan(0.08);
      // The one is the other in a mirror.
      for (const [x, y, z] of [left['left hand'], left.head]) {
        const other = [right['right hand'], right.head].find((each) => Math.abs(each[1] - y) < 1e-9);
        expect(other?.[0]).toBeCloseTo(x, 9);
        expect(other?.[2]).toBeCloseTo(-z, 9);
      }
    }
  });

  it('touches a speed bag with the hand of each touch, at its moment', () => {
    const rhythm = speedRhythm([3, 3, 1, 1], 300);
    if (!rhythm.ok) throw new Error('no rhythm');
    const touches = rhythm.value.touches.map(({ at, side }) => ({ at: 1000 + at * 1000, side }));
    const figure = touchesFigure(touches, 10_000, 'orthodox');
    expect(touches.length).toBe(4);
    for (const { at, side } of touches) {
      const hand = side === 'lead' ? 'left hand' : 'right hand';
      const there = figureJoints(figure, at)[hand];
      expect(there[0]).toBeCloseTo(0.325, 2);
      // Nearest to the bag at the touch itself.
      for (const off of [-80, 80]) expect(figureJoints(figure, at + off)[hand][0]).toBeLessThan(there[0]);
    }
  });
});
