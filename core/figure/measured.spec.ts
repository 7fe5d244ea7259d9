import type { BodyMotion } from './body-motion';
import { jointsAt, poseAt } from './body-motion';
import { bodySides, type BodySide, type JointName, type Joints, type Pose } from './pose';
import { jointRanges, lengths, massAt, masses, radii } from './rig';
import { angleBetween, chestAxes, pelvisAxes } from './solve';
import { between, cross, dot, length, minus, plus, squareTo, times, unit, type Vector } from './vector';

/** What a spec measures of a figure: how far it is outside what bodies do. Nothing of the product uses it. */

const degrees = 180 / Math.PI;

/** Limbs with the lengths they must keep. */
export const limbs: readonly (readonly [JointName, JointName, number])[] = [
  ['pelvis', 'chest', lengths.trunk],
  ['chest', 'neck', lengths.neck],
  ['neck', 'head', lengths.head],
  ...bodySides.flatMap((side): (readonly [JointName, JointName, number])[] => [
    ['chest', `${side} shoulder`, lengths.halfShoulders],
    [`${side} shoulder`, `${side} elbow`, lengths.upperArm],
    [`${side} elbow`, `${side} hand`, lengths.forearm],
    ['pelvis', `${side} hip`, lengths.halfHips],
    [`${side} hip`, `${side} knee`, lengths.thigh],
    [`${side} knee`, `${side} ankle`, lengths.shank],
    [`${side} ankle`, `${side} ball`, Math.hypot(lengths.ankleHeight, lengths.ankleToBall)],
  ]),
];

/** The greatest error of any limb's length. */
export function lengthError(joints: Joints): number {
  return Math.max(...limbs.map(([from, to, size]) => Math.abs(length(minus(joints[to], joints[from])) - size)));
}

/** Flexion of a hinge: 0 is straight. */
const flexion = (a: Vector, b: Vector, c: Vector): number => angleBetween(minus(b, a), minus(c, b));

export interface JointAngles {
  readonly name: string;
  /** Degrees beyond what the table allows; nothing or less where it allows it. */
  readonly beyond: number;
}

/** How far each joint is beyond its range. */
export function jointAngles(joints: Joints, pose: Pose): JointAngles[] {
  const out: JointAngles[] = [];
  const pelvis = pelvisAxes(pose.hipTurn, pose.hipTip);
  const upward = unit(minus(joints.chest, joints.pelvis));
  const twist = Math.abs((((((pose.chestTurn - pose.hipTurn) * degrees + 180) % 360) + 360) % 360) - 180);
  out.push({ name: 'trunk twist', beyond: twist - jointRanges.trunk.rotation });
  for (const side of bodySides) {
    const [hip, knee, ankle] = [joints[`${side} hip`], joints[`${side} knee`], joints[`${side} ankle`]];
    const [shoulder, elbow, hand] = [joints[`${side} shoulder`], joints[`${side} elbow`], joints[`${side} hand`]];
    const bent = flexion(shoulder, elbow, hand);
    out.push({ name: `${side} elbow`, beyond: Math.max(bent - jointRanges.elbow.flexion, 5 - bent) });
    const folded = flexion(hip, knee, ankle);
    out.push({ name: `${side} knee`, beyond: Math.max(folded - jointRanges.knee.flexion, 5 - folded) });
    const outside = side === 'right' ? 1 : -1;
    // The trunk is one piece in the rig: half of its lean is the pelvis's, half the spine's (the table allows 80° of it).
    const right = pelvis.right;
    const up = unit(squareTo(unit(plus(upward, [0, 1, 0])), right));
    const ahead = cross(up, right);
    const thigh = unit(minus(knee, hip));
    const flexed = Math.atan2(dot(thigh, ahead), -dot(thigh, up)) * degrees;
    const abducted = Math.asin(Math.max(-1, Math.min(1, dot(thigh, right) * outside))) * degrees;
    const hipRange = jointRanges.hip;
    const behind = flexed < -90 ? flexed + 360 : flexed;
    // Near the side of the body the direction of flexion means little: it fades with what is left of it.
    const share = Math.cos((abducted * Math.PI) / 180);
    out.push({ name: `${side} hip flexion`, beyond: behind - hipRange.flexion });
    out.push({ name: `${side} hip extension`, beyond: (-flexed - hipRange.extension) * (share > 0.4 ? 1 : 0) });
    out.push({ name: `${side} hip abduction`, beyond: abducted - hipRange.abduction });
    out.push({ name: `${side} hip adduction`, beyond: -abducted - hipRange.adduction });
    const chest = chestAxes(pose.chestTurn, pose.lean);
    const upper = unit(minus(elbow, shoulder));
    const back = Math.atan2(-dot(upper, chest.forward), -dot(upper, chest.upward)) * degrees;
    // Extension is a swing straight back: an arm that is out to the side is abducted instead.
    const aside = Math.abs(dot(upper, chest.right));
    out.push({
      name: `${side} shoulder extension`,
      beyond: aside < 0.6 && back > 0 && back < 150 ? back - jointRanges.shoulder.extension : -1,
    });
  }
  return out;
}

interface Capsule {
  readonly name: string;
  readonly from: Vector;
  readonly to: Vector;
  readonly radius: number;
}

function capsules(joints: Joints): Capsule[] {
  const trunk: Capsule[] = [
    { name: 'head', from: joints.head, to: joints.head, radius: radii.head },
    {
      name: 'trunk',
      from: between(joints.pelvis, joints.chest, 0.1),
      to: between(joints.pelvis, joints.chest, 0.86),
      radius: radii.chest,
    },
  ];
  return [
    ...trunk,
    ...bodySides.flatMap((side): Capsule[] => [
      {
        name: `${side} upper arm`,
        from: joints[`${side} shoulder`],
        to: joints[`${side} elbow`],
        radius: radii.upperArm,
      },
      {
        name: `${side} forearm`,
        from: joints[`${side} elbow`],
        to: between(joints[`${side} elbow`], joints[`${side} hand`], 0.75),
        radius: radii.forearm,
      },
      { name: `${side} glove`, from: joints[`${side} hand`], to: joints[`${side} hand`], radius: radii.glove },
      {
        name: `${side} thigh`,
        from: between(joints[`${side} hip`], joints[`${side} knee`], 0.25),
        to: joints[`${side} knee`],
        radius: radii.thigh,
      },
      { name: `${side} shank`, from: joints[`${side} knee`], to: joints[`${side} ankle`], radius: radii.shank },
      { name: `${side} foot`, from: joints[`${side} ankle`], to: joints[`${side} ball`], radius: radii.foot },
    ]),
  ];
}

/** Shortest way between two stretches (closest points of two segments, as in Ericson, Real-Time Collision Detection). */
function apart(a: Capsule, b: Capsule): number {
  const [d1, d2, r] = [minus(a.to, a.from), minus(b.to, b.from), minus(a.from, b.from)];
  const [aa, ee, f] = [dot(d1, d1), dot(d2, d2), dot(d2, r)];
  const clamp = (value: number): number => Math.max(0, Math.min(1, value));
  let [s, t] = [0, 0];
  if (aa < 1e-12 && ee < 1e-12) return length(r);
  if (aa < 1e-12) t = clamp(f / ee);
  else {
    const c = dot(d1, r);
    if (ee < 1e-12) s = clamp(-c / aa);
    else {
      const bb = dot(d1, d2);
      const denominator = aa * ee - bb * bb;
      s = denominator > 1e-12 ? clamp((bb * f - c * ee) / denominator) : 0;
      t = (bb * s + f) / ee;
      if (t < 0) {
        t = 0;
        s = clamp(-c / aa);
      } else if (t > 1) {
        t = 1;
        s = clamp((bb - c) / aa);
      }
    }
  }
  return length(minus(plus(a.from, times(d1, s)), plus(b.from, times(d2, t))));
}

/** Pairs that touch by nature: what they are joined by, gloves in guard, arms that hang at the side, what a squat folds. */
const free: readonly (readonly [RegExp, RegExp])[] = [
  [/^(left|right) upper arm$/, /^trunk$/],
  [/^(left|right) thigh$/, /^trunk$/],
  [/glove$/, /^head$/],
  [/glove$/, /glove$/],
  [/glove$/, /(forearm|upper arm)$/],
  [/forearm$/, /forearm$/],
  [/thigh$/, /thigh$/],
  [/(forearm|glove)$/, /thigh$/],
];

const joined = (a: string, b: string): boolean => {
  const [sideA, partA] = [a.split(' ')[0], a.slice(a.indexOf(' ') + 1)];
  const [sideB, partB] = [b.split(' ')[0], b.slice(b.indexOf(' ') + 1)];
  if (sideA !== sideB) return false;
  const chains = [
    ['upper arm', 'forearm', 'glove'],
    ['thigh', 'shank', 'foot'],
  ];
  return chains.some((chain) => chain.includes(partA) && chain.includes(partB));
};

/** Which parts run into one another, and by how much, in statures. */
export function collisions(joints: Joints): { readonly pair: string; readonly depth: number }[] {
  const all = capsules(joints);
  const out: { pair: string; depth: number }[] = [];
  all.forEach((a, index) => {
    for (const b of all.slice(index + 1)) {
      if (joined(a.name, b.name)) continue;
      if (free.some(([x, y]) => (x.test(a.name) && y.test(b.name)) || (y.test(a.name) && x.test(b.name)))) continue;
      const depth = a.radius + b.radius - apart(a, b);
      if (depth > 0) out.push({ pair: `${a.name} / ${b.name}`, depth });
    }
  });
  return out;
}

/** Where the body's mass is (Dempster's shares). */
export function centreOfMass(joints: Joints): Vector {
  const sum: Vector[] = [
    times(between(joints.pelvis, joints.chest, massAt.trunk), masses.trunk),
    times(joints.head, masses.head),
  ];
  for (const side of bodySides) {
    const at = (from: JointName, to: JointName, share: number, mass: number): void => {
      sum.push(times(between(joints[from], joints[to], share), mass));
    };
    at(`${side} shoulder`, `${side} elbow`, massAt.upperArm, masses.upperArm);
    at(`${side} elbow`, `${side} hand`, massAt.forearm, masses.forearm);
    at(`${side} hip`, `${side} knee`, massAt.thigh, masses.thigh);
    at(`${side} knee`, `${side} ankle`, massAt.shank, masses.shank);
    at(`${side} ankle`, `${side} ball`, massAt.foot, masses.foot);
  }
  return sum.reduce((a, b) => plus(a, b), [0, 0, 0]);
}

/** A sole's corners on the floor: heel and toes, a foot's width apart. */
function sole(joints: Joints, pose: Pose, side: BodySide): [number, number][] {
  const { ball, yaw } = pose.feet[side];
  const [fx, fz] = [Math.cos(yaw), Math.sin(yaw)];
  const heel = joints[`${side} ankle`];
  const halfWidth = 0.028;
  const corner = (x: number, z: number, by: number): [number, number] => [x - fz * by, z + fx * by];
  return [
    corner(ball[0] + fx * 0.05, ball[2] + fz * 0.05, halfWidth),
    corner(ball[0] + fx * 0.05, ball[2] + fz * 0.05, -halfWidth),
    corner(heel[0] - fx * 0.02, heel[2] - fz * 0.02, halfWidth),
    corner(heel[0] - fx * 0.02, heel[2] - fz * 0.02, -halfWidth),
  ];
}

function convex(points: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: readonly [number, number], a: readonly [number, number], b: readonly [number, number]): number =>
    (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (list: readonly (readonly [number, number])[]): (readonly [number, number])[] => {
    const out: (readonly [number, number])[] = [];
    for (const point of list) {
      for (;;) {
        const [a, b] = [out.at(-2), out.at(-1)];
        if (!a || !b || turn(a, b, point) > 0) break;
        out.pop();
      }
      out.push(point);
    }
    return out.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

/** How far outside the feet's base the mass is, while both are planted; null while one is not. */
export function outOfBalance(joints: Joints, pose: Pose): number | null {
  if (bodySides.some((side) => pose.feet[side].ball[1] > 1e-6)) return null;
  // Somebody with the hands on the floor stands on them too.
  if (joints['left hand'][1] < 0.12) return null;
  const base = convex(bodySides.flatMap((side) => sole(joints, pose, side)));
  const [x, , z] = centreOfMass(joints);
  let worst = -Infinity;
  base.forEach((from, index) => {
    const to = base[(index + 1) % base.length] ?? from;
    const [dx, dz] = [to[0] - from[0], to[1] - from[1]];
    const size = Math.hypot(dx, dz);
    if (size > 0) worst = Math.max(worst, -((x - from[0]) * -dz + (z - from[1]) * dx) / size);
  });
  return worst;
}

export interface Worst {
  readonly what: string;
  readonly at: number;
  readonly value: number;
}

/** The worst of each kind over a motion, sampled every few milliseconds. */
export function worstOf(motion: BodyMotion, every = 5): Map<string, Worst> {
  const worst = new Map<string, Worst>();
  const note = (what: string, at: number, value: number): void => {
    const before = worst.get(what);
    if (!before || value > before.value) worst.set(what, { what, at, value });
  };
  let before: Joints | null = null;
  let beforePose: Pose | null = null;
  for (let at = 0; at <= motion.ms; at += every) {
    const pose = poseAt(motion, at);
    const joints = jointsAt(motion, at);
    note('length', at, lengthError(joints));
    for (const { name, beyond } of jointAngles(joints, pose)) note(name.replace(/^(left|right) /, ''), at, beyond);
    for (const { pair, depth } of collisions(joints)) note(`touch ${pair}`, at, depth);
    const off = outOfBalance(joints, pose);
    if (off !== null) note('balance', at, off);
    if (before && beforePose) {
      for (const side of bodySides) {
        note('hand speed', at, length(minus(joints[`${side} hand`], before[`${side} hand`])) / (every / 1000));
        note('foot speed', at, length(minus(joints[`${side} ball`], before[`${side} ball`])) / (every / 1000));
        note('under the floor', at, -joints[`${side} ball`][1]);
        if (pose.feet[side].ball[1] < 1e-9 && beforePose.feet[side].ball[1] < 1e-9)
          note('planted', at, length(minus(joints[`${side} ball`], before[`${side} ball`])));
      }
    }
    before = joints;
    beforePose = pose;
  }
  return worst;
}
