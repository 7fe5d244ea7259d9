import type { BodySide, Joints } from './pose';
import { bodySides } from './pose';
import { lengths, radii } from './rig';
import { minus, plus, squareTo, times, unit, cross, between, type Vector } from './vector';
import type { Camera, Seen } from './view';

/** What a part is painted with: names, which whoever draws turns into colours. */
export type Paint =
  'lead limb' | 'rear limb' | 'lead glove' | 'rear glove' | 'trunk' | 'shorts' | 'skin' | 'band' | 'line' | 'bag';

/** A disc on the picture. */
export interface Disc {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}

/** One part of the picture: the outline around one or more discs, or a line. Parts come from back to front. */
export type PicturePart =
  | { readonly kind: 'hull'; readonly discs: readonly Disc[]; readonly paint: Paint; readonly depth: number }
  | {
      readonly kind: 'line';
      readonly points: readonly (readonly [number, number])[];
      readonly width: number;
      readonly paint: Paint;
      readonly depth: number;
    };

function disc(seen: Seen, radius: number): Disc {
  return { x: seen.x, y: seen.y, r: radius * seen.scale };
}

/** A hull around balls in space, as deep as their middle. */
export function hull(
  camera: Camera,
  balls: readonly (readonly [Vector, number])[],
  paint: Paint,
  nearer = 0,
): PicturePart {
  const seen = balls.map(([point, radius]) => ({ at: camera(point), radius }));
  const depth = seen.reduce((sum, { at }) => sum + at.depth, 0) / seen.length - nearer;
  return { kind: 'hull', discs: seen.map(({ at, radius }) => disc(at, radius)), paint, depth };
}

/** Where the face looks: across the shoulders, level. */
function facing(joints: Joints): Vector {
  const across = minus(joints['right shoulder'], joints['left shoulder']);
  const ahead = unit(cross(minus(joints.chest, joints.pelvis), across));
  // The head stays on the target: half the chest's turn at most.
  return unit(plus([1, 0, 0], times(ahead, 0.25)));
}

/** A band around the head, of which the near half is seen. */
function headBand(joints: Joints, camera: Camera, look: Vector): PicturePart {
  const upward = unit(minus(joints.head, joints.neck));
  const ahead = unit(squareTo(look, upward));
  const aside = cross(ahead, upward);
  const middle = plus(joints.head, times(upward, 0.018));
  const away = camera(middle).depth;
  const points: [number, number][] = [];
  for (let step = -8; step <= 8; step += 1) {
    const angle = (step / 8) * 1.9;
    const at = plus(
      middle,
      plus(times(ahead, Math.cos(angle) * radii.head * 0.97), times(aside, Math.sin(angle) * radii.head * 0.97)),
    );
    const seen = camera(at);
    if (seen.depth <= away + 0.004) points.push([seen.x, seen.y]);
  }
  return { kind: 'line', points, width: 0.02, paint: 'band', depth: away - radii.head - 0.01 };
}

/** A line down the chest that shows which way it faces; nothing from behind. */
function chestLine(joints: Joints, camera: Camera): PicturePart[] {
  const across = unit(minus(joints['right shoulder'], joints['left shoulder']));
  const ahead = unit(cross(minus(joints.chest, joints.pelvis), across));
  const at = (share: number, out: number): Vector =>
    plus(between(joints.pelvis, joints.chest, share), times(ahead, out));
  const points = [at(0.92, 0.06), at(0.7, 0.066), at(0.45, 0.062)].map((point) => camera(point));
  const trunk = camera(between(joints.pelvis, joints.chest, 0.6));
  if ((points[1]?.depth ?? 0) > trunk.depth - 0.012) return [];
  return [
    {
      kind: 'line',
      points: points.map(({ x, y }) => [x, y] as const),
      width: 0.007,
      paint: 'line',
      depth: trunk.depth - 0.062,
    },
  ];
}

function arm(joints: Joints, camera: Camera, side: BodySide, name: 'lead' | 'rear'): PicturePart[] {
  const [shoulder, elbow, hand] = [joints[`${side} shoulder`], joints[`${side} elbow`], joints[`${side} hand`]];
  const wrist = between(elbow, hand, 1 - 0.05 / lengths.forearm);
  const knuckles = plus(hand, times(unit(minus(hand, elbow)), 0.014));
  return [
    hull(
      camera,
      [
        [shoulder, 0.035],
        [elbow, radii.upperArm * 0.92],
      ],
      `${name} limb`,
    ),
    hull(
      camera,
      [
        [elbow, radii.upperArm * 0.92],
        [wrist, radii.forearm * 0.85],
      ],
      `${name} limb`,
      0.004,
    ),
    hull(
      camera,
      [
        [wrist, 0.024],
        [hand, radii.glove],
        [knuckles, radii.glove * 0.9],
      ],
      `${name} glove`,
      0.012,
    ),
  ];
}

function leg(joints: Joints, camera: Camera, side: BodySide, name: 'lead' | 'rear'): PicturePart[] {
  const [hip, knee, ankle, ball] = [
    joints[`${side} hip`],
    joints[`${side} knee`],
    joints[`${side} ankle`],
    joints[`${side} ball`],
  ];
  const hem = between(hip, knee, 0.62);
  const foot = minus(ball, ankle);
  const toe = plus(ball, times(unit(foot), 0.028));
  const heel = plus(ankle, [0, 0, 0]);
  return [
    hull(
      camera,
      [
        [between(hip, knee, 0.4), 0.046],
        [knee, 0.033],
      ],
      `${name} limb`,
    ),
    hull(
      camera,
      [
        [knee, 0.032],
        [between(knee, ankle, 0.35), 0.031],
        [ankle, 0.021],
      ],
      `${name} limb`,
      0.002,
    ),
    hull(
      camera,
      [
        [heel, 0.024],
        [plus(ball, [0, 0.014, 0]), 0.021],
        [plus(toe, [0, 0.012, 0]), 0.016],
      ],
      `${name} glove`,
      0.006,
    ),
    hull(
      camera,
      [
        [hip, 0.058],
        [hem, 0.049],
      ],
      'shorts',
      0.01,
    ),
  ];
}

/**
 * A body as parts to be drawn one over the other, from back to front, in statures of the picture. Which limbs are lead
 * ones is the stance's to say. Undrawn: canvas, SVG and print make their own of it.
 * @example pictureOf(jointsAt(motion, 150), 'left', cameraOf(views.side, [0, 0, 0]))[0].paint
 */
export function pictureOf(joints: Joints, lead: BodySide, camera: Camera): PicturePart[] {
  const look = facing(joints);
  const shoulders = bodySides.map((side): readonly [Vector, number] => [
    between(joints.chest, joints[`${side} shoulder`], 0.72),
    0.048,
  ]);
  // The waist turns half with the hips, half with the shoulders.
  const waist = bodySides.map((side): readonly [Vector, number] => [
    between(
      between(joints.pelvis, joints[`${side} hip`], 0.45),
      between(joints.chest, joints[`${side} shoulder`], 0.35),
      0.3,
    ),
    0.052,
  ]);
  const hips = bodySides.map((side): readonly [Vector, number] => [
    between(joints.pelvis, joints[`${side} hip`], 0.55),
    0.054,
  ]);
  const parts: PicturePart[] = [
    hull(camera, [...shoulders, ...waist], 'trunk'),
    hull(camera, [...hips, [between(joints.pelvis, joints.chest, 0.17), 0.064]], 'shorts', 0.006),
    hull(
      camera,
      [
        [between(joints.chest, joints.neck, 0.3), 0.034],
        [joints.neck, 0.03],
      ],
      'skin',
      -0.05,
    ),
    hull(
      camera,
      [
        [plus(joints.head, times(look, 0.006)), radii.head],
        [plus(joints.head, plus(times(look, 0.014), [0, -0.026, 0])), radii.head * 0.72],
      ],
      'skin',
    ),
    headBand(joints, camera, look),
    ...chestLine(joints, camera),
    ...bodySides.flatMap((side) => {
      const name = side === lead ? 'lead' : 'rear';
      return [...arm(joints, camera, side, name), ...leg(joints, camera, side, name)];
    }),
  ];
  return parts.sort((a, b) => b.depth - a.depth);
}
