import fc from 'fast-check';
import { mirrorCombination } from '../mechanics/mirror';
import { onsets, study } from '../mechanics/study';
import { moveKind, moveKinds } from '../moves/catalogue';
import { isStrike, move, type Move } from '../moves/move';
import { anyCombination, plainCombination } from '../notation/arbitrary.spec';
import type { Combination } from '../notation/combination';
import { readCombination } from '../notation/read';
import { jointsAt } from './body-motion';
import { figureJoints, figureLandings, figureOf, mirrorJoints, type Figure } from './figure-of';
import { worstOf } from './measured.spec';
import { motions } from './motions';
import { jointNames, type BodySide, type Joints } from './pose';
import { figureStature } from './rig';
import { length, minus, times } from './vector';

const combinationOf = (text: string): Combination => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(`${text}: ${read.fault.what}`);
  return read.value;
};

/** Every kind of move on every side and at every height. */
const everyMove: readonly Move[] = moveKinds.flatMap((kind) =>
  (kind.sides.length > 0 ? kind.sides : [undefined]).flatMap((side) =>
    (kind.targets.length > 0 ? kind.targets : [undefined]).map((target) => move(kind.id, side, target)),
  ),
);

/** What a body does not do, over a figure, in the units in which it is limited; nothing where all is within. */
function beyond(figure: Figure, pace: number): string[] {
  const fast = Math.max(1, pace);
  const out: string[] = [];
  for (const { what, at, value } of worstOf(figure.motion, 8).values()) {
    const most =
      what === 'length' || what === 'planted' || what === 'under the floor'
        ? 1e-9
        : // Speeds of single maximal strikes: fists of trained boxers 8 to 12 m/s (Walilko, Viano and Bir 2005: 9.1 ± 2.1;
          // Whiting 1988), feet in round kicks 14 to 18 m/s (Gavagan and Sayers 2017; Pozo 2011); all from memory.
          what === 'hand speed'
          ? (12 * fast) / figureStature
          : what === 'foot speed'
            ? (18 * fast) / figureStature
            : what.startsWith('touch')
              ? 0.02 / figureStature
              : // The mass has 5 mm beyond the sole's edge: soles are drawn with straight edges.
                what === 'balance'
                ? 0.005 / figureStature
                : // Joint ranges are read to the degree from a table of fives.
                  1;
    if (value > most) out.push(`${what}: ${value} at ${at} ms, ${most}`);
  }
  return out;
}

describe('the figure', () => {
  it('has a motion for every move, and every strike lands in front, at the height of its target', () => {
    // House values of the command's page (cli.md) at a stature of 1.75 m.
    const heights = { head: [1.52, 1.64], body: [0.93, 1.43], leg: [0.45, 0.8] } as const;
    let strikes = 0;
    for (const each of everyMove) {
      const motion = motions[each.id](each.side ?? 'lead', each.target);
      expect(motion.hit !== null)
        .withContext(each.id)
        .toBe(isStrike(each));
      if (!isStrike(each) || !each.target) continue;
      for (const stance of ['orthodox', 'southpaw', 'square'] as const) {
        strikes += 1;
        const [landing] = figureLandings(figureOf({ items: [each] }, stance));
        const { where, target, at } = landing ??
          fail(each.id) ?? { where: [0, 0, 0] as const, target: [0, 0, 0] as const, at: 0 };
        const [low, high] = heights[each.target];
        expect(where[1] * figureStature)
          .withContext(`${each.id} ${each.target} ${stance}`)
          .toBeGreaterThanOrEqual(low);
        expect(where[1] * figureStature)
          .withContext(`${each.id} ${each.target} ${stance}`)
          .toBeLessThanOrEqual(high);
        expect(where[0] * figureStature)
          .withContext(each.id)
          .toBeGreaterThan(0.3);
        expect(length(minus(where, target))).toBeLessThan(1e-9);
        expect(at).toBeCloseTo((motion.hit?.at ?? 0) * moveKind(each.id).ms, 9);
      }
    }
    expect(strikes).toBeGreaterThan(100);
  });

  it('keeps within what a body does, whatever is thrown at whatever pace', () => {
    let seen = 0;
    fc.assert(
      fc.property(plainCombination, fc.constantFrom(0.6, 1, 1.45, 1.8, 2.4), (combination, pace) => {
        seen += 1;
        expect(beyond(figureOf(combination, 'orthodox', pace), pace)).toEqual([]);
      }),
      { numRuns: 60, seed: 2024 },
    );
    expect(seen).toBe(60);
  });

  it('keeps limbs, floor and numbers whole in slots, pairs, turns and groups too', () => {
    let seen = 0;
    fc.assert(
      fc.property(anyCombination, fc.constantFrom('orthodox' as const, 'square' as const), (combination, stance) => {
        seen += 1;
        const worst = worstOf(figureOf(combination, stance).motion, 20);
        for (const what of ['length', 'planted', 'under the floor'])
          expect(worst.get(what)?.value ?? 0)
            .withContext(what)
            .toBeLessThan(1e-9);
      }),
      { numRuns: 40, seed: 77 },
    );
    expect(seen).toBe(40);
  });

  it('is continuous in position and velocity', () => {
    const figure = figureOf(combinationOf('1 2 sl 3b bk switch lk swk sprawl 2'), 'orthodox', 1.3);
    const step = 0.25;
    const path: Joints[] = [];
    for (let at = 0; at < figure.motion.ms; at += step) path.push(jointsAt(figure.motion, at));
    expect(path.length).toBeGreaterThan(10_000);
    let [jump, jerk] = [0, 0];
    for (let index = 2; index < path.length; index += 1) {
      const [a, b, c] = [path[index - 2], path[index - 1], path[index]];
      for (const joint of jointNames) {
        if (!a || !b || !c) continue;
        const [before, after] = [minus(b[joint], a[joint]), minus(c[joint], b[joint])];
        jump = Math.max(jump, length(after));
        jerk = Math.max(jerk, length(minus(after, before)) / (step / 1000));
      }
    }
    // A foot at 18 m/s goes 4.5 mm in a quarter of a millisecond; velocity changes by no more than a body's acceleration does.
    expect(jump * figureStature).toBeLessThan(0.0047 * 1.3);
    expect(jerk * figureStature).toBeLessThan(2);
  });

  it('of a southpaw is the mirror of the mirrored combination, to the last bit, and always the same', () => {
    let seen = 0;
    fc.assert(
      fc.property(anyCombination, (combination) => {
        const left = figureOf(combination, 'southpaw');
        const right = figureOf(mirrorCombination(combination), 'orthodox');
        for (const share of [0, 0.31, 0.77, 1]) {
          seen += 1;
          const at = left.motion.ms * share;
          expect(figureJoints(left, at)).toEqual(mirrorJoints(figureJoints(right, at)));
          expect(figureJoints(left, at)).toEqual(figureJoints(figureOf(combination, 'southpaw'), at));
        }
        const swap = (side: BodySide): BodySide => (side === 'left' ? 'right' : 'left');
        expect(figureLandings(left).map(({ limb }) => limb)).toEqual(
          figureLandings(right).map(
            ({ limb }): typeof limb =>
              `${limb.startsWith('left') ? swap('left') : swap('right')} ${limb.endsWith('hand') ? 'hand' : 'leg'}`,
          ),
        );
      }),
      { numRuns: 25, seed: 5 },
    );
    expect(seen).toBe(100);
  });

  it('lands each strike at its onset and its own share of its length, seams and pace included', () => {
    const combination = combinationOf('1 2 tp 3 4 4b in+1 1+shift 2');
    const [turn] = study(combination).turns;
    const starts = turn ? onsets(turn) : [];
    for (const pace of [0.8, 2.4]) {
      const landings = figureLandings(figureOf(combination, 'orthodox', pace));
      expect(landings.length).toBe(9);
      for (const { at, step, move: thrown } of landings) {
        const motion = motions[thrown.id](thrown.side ?? 'lead', thrown.target);
        expect(at).toBeCloseTo(((starts[step] ?? 0) + (motion.hit?.at ?? 0) * moveKind(thrown.id).ms) / pace, 6);
      }
    }
  });

  it('shows a reload as winding up again, a missing step as the step, and trades places with true feet', () => {
    const at = (text: string, when: number): Joints => figureJoints(figureOf(combinationOf(text), 'orthodox'), when);
    const turnOf = (joints: Joints): number => {
      const across = minus(joints['right shoulder'], joints['left shoulder']);
      return Math.atan2(-across[0], across[2]);
    };
    // 4 4b reloads for 0.08 s; 2 4 for 0.15: the rear shoulder goes back between the two.
    expect(turnOf(at('2 4', 449))).toBeGreaterThan(turnOf(at('2 4', 160)) + 0.6);
    // A hook after a teep wants a step in: the feet stand further on (trade page, section 4, rule 2).
    expect(at('tp 3', 950)['left ball'][0] - at('tp 3', 0)['left ball'][0]).toBeCloseTo(0.05, 6);
    const [before, after] = [at('switch 1', 0), at('switch 1', 500)];
    expect(before['left ball'][0]).toBeGreaterThan(before['right ball'][0]);
    expect(after['right ball'][0]).toBeGreaterThan(after['left ball'][0]);
    expect(figureLandings(figureOf(combinationOf('switch 1'), 'orthodox'))[0]?.limb).toBe('right hand');
    // Shift: the rear foot passes under the punch, which is still thrown by the hand that led.
    const shifted = figureOf(combinationOf('2+shift 1'), 'orthodox');
    expect(figureLandings(shifted).map(({ limb }) => limb)).toEqual(['right hand', 'right hand']);
    expect(figureJoints(shifted, 500)['left ball'][0]).toBeCloseTo(0.14, 9);
  });

  it('shows an open slot as guard and moving feet, and a feint without a hit', () => {
    const figure = figureOf(combinationOf('any 3 ft 1 bk'), 'orthodox');
    expect(figureLandings(figure).map(({ move: thrown }) => thrown.id)).toEqual(['body-kick']);
    const feet = [...Array(100).keys()].map((step) => figureJoints(figure, step * 10)['left ball'][1]);
    expect(Math.max(...feet)).toBeGreaterThan(0.01);
    const reach = (when: number): number =>
      length(minus(figureJoints(figure, when)['left hand'], figureJoints(figure, when)['left shoulder']));
    expect(reach(1041 + 150)).toBeLessThan(0.3);
    expect(times([1, 0, 0], 2)).toEqual([2, 0, 0]);
  });
});
