import type { Side } from '../moves/kind';
import type { Move } from '../moves/move';
import type { Degrees, Milliseconds } from '../units';
import type { Hit } from './body-motion';
import { bodySide, chestRow, directionIn, footRow, guardFoot, hipsRow, pointIn, angleIn, type Frame } from './frame';
import type { HandIntent } from './hands';
import { guard, type FootKey, type Key, type Motion, type Travel } from './motion';
import { bodySides, type BodySide } from './pose';
import { lengths } from './rig';
import { ankleToBall, pelvisAxes } from './solve';
import { begin, firmUntil, lastRow, newTrack, put, release, type Track } from './track';
import { minus, plus, squareTo, swung, times, turned, unit, type Vector } from './vector';

const sides = ['lead', 'rear'] as const satisfies readonly Side[];
const radians = Math.PI / 180;

/** A body while its motion is laid out. */
export interface Body {
  readonly hips: Track;
  readonly chest: Track;
  readonly feet: Readonly<Record<BodySide, Track>>;
  readonly handIntents: Readonly<Record<BodySide, HandIntent[]>>;
  readonly hits: Hit[];
  /** Where it stands now. */
  frame: Frame;
}

const sideOf = (frame: Frame, body: BodySide): Side => (bodySide(frame, 'lead') === body ? 'lead' : 'rear');
const guardFootRow = (frame: Frame, body: BodySide): readonly number[] =>
  footRow(frame, guardFoot(frame, sideOf(frame, body)));

/** Somebody in guard. */
export function newBody(frame: Frame): Body {
  return {
    hips: newTrack(hipsRow(frame, guard.hips)),
    chest: newTrack(chestRow(frame, guard.chest)),
    feet: { left: newTrack(guardFootRow(frame, 'left')), right: newTrack(guardFootRow(frame, 'right')) },
    handIntents: { left: [], right: [] },
    hits: [],
    frame,
  };
}

/** What one move may have at a time: of two that are joined, the other does without. */
export type Group = 'trunk' | 'feet' | `${Side} hand`;

/** When and where the keys of a move are played. */
export interface Playing {
  readonly at: Milliseconds;
  /** The move's own length. */
  readonly ms: Milliseconds;
  /** Where the athlete stands at a share of it. */
  readonly frameAt: (share: number) => Frame;
  /** Where they stand afterwards. */
  readonly after: Frame;
  readonly move: Move;
  /** What another move beside it has. */
  readonly taken: ReadonlySet<Group>;
}

/** Hips go ahead of the chest, and the chest of the hand: power comes from the floor (trial: 15 to 35 ms). */
const hipsAhead = (ms: Milliseconds): Milliseconds => Math.min(25, ms * 0.08);
/** What has landed stays a moment (trial: about 40 ms until it is seen to go back). */
const hold = (ms: Milliseconds): Milliseconds => Math.min(20, ms * 0.06);
/** A hard strike is wound up further, a light one not at all (house value). */
const hardWindUp = 1.35;

/** A feint goes this share of the way, and turns the body no further than this (house values). */
const shownShare = 0.5;
const shownTurn: Degrees = 22;

/** What is only shown of a move: a leg is drawn up, everything else goes part of the way, and nobody spins. */
function shown(motion: Motion): readonly Key[] {
  const lands = motion.hit?.at ?? 1;
  const part = (from: number, to: number | undefined): number =>
    from + Math.max(-shownTurn, Math.min(shownTurn, ((to ?? from) - from) * shownShare));
  const near = (from: number, to: number | undefined): number => from + ((to ?? from) - from) * shownShare;
  const drawn = motion.keys.find((key) => sides.some((side) => key.feet?.[side]?.leg));
  return motion.keys
    .filter(({ at }) => (drawn ? at <= drawn.at : at <= lands))
    .map((key): Key => {
      const { hips, chest, hands } = key;
      return {
        at: drawn ? (key.at / drawn.at) * 0.5 : key.at,
        ...(hips && {
          hips: {
            x: near(guard.hips.x, hips.x),
            y: near(guard.hips.y, hips.y),
            z: near(guard.hips.z, hips.z),
            turn: part(guard.hips.turn, hips.turn),
            tip: near(0, hips.tip),
          },
        }),
        ...(chest && {
          chest: {
            turn: part(guard.chest.turn, chest.turn),
            lean: near(guard.chest.lean, chest.lean),
            side: near(0, chest.side),
          },
        }),
        ...(hands && !motion.spins && !drawn && { hands }),
        ...(drawn && key.feet && { feet: key.feet }),
      };
    });
}

/** A hard kick or knee is driven from deeper (house value). */
function sunk(key: Key, lands: number): Key {
  return key.hips?.y !== undefined && key.at < lands ? { ...key, hips: { ...key.hips, y: key.hips.y - 0.015 } } : key;
}

/** Keys of a move as it is done: how far a strike is wound up before it lands, what is only shown of a feint. */
function keysOf(motion: Motion, { force, feint }: Move): readonly Key[] {
  if (feint) return shown(motion);
  if (!force || !motion.hit || motion.spins) return motion.keys;
  const lands = motion.hit.at;
  const byHand = motion.hit.point === 'hand' || motion.hit.point === 'elbow';
  if (!byHand) return force === 'hard' ? motion.keys.map((key) => sunk(key, lands)) : motion.keys;
  return motion.keys.flatMap((key): Key[] => {
    if (key.at >= lands) return [key];
    if (force === 'light') return key.feet ? [{ at: key.at, feet: key.feet }] : [];
    const further = (from: number, to: number | undefined): number => from + ((to ?? from) - from) * hardWindUp;
    return [
      {
        ...key,
        ...(key.hips && { hips: { ...key.hips, turn: further(guard.hips.turn, key.hips.turn) } }),
        ...(key.chest && { chest: { ...key.chest, turn: further(guard.chest.turn, key.chest.turn) } }),
      },
    ];
  });
}

type HipsKey = Required<NonNullable<Key['hips']>>;
type FootState = Required<Pick<FootKey, 'turn' | 'heel' | 'knee' | 'ball'>> &
  Pick<FootKey, 'ankle' | 'leg' | 'carried'>;

/** What a foot does by a key, what is left out taken from before; a new place takes the one before it away. */
function nextFoot(before: FootState, key: FootKey): FootState {
  const { ankle: _, leg: __, carried: ___, ...plain } = before;
  return (key.ball ?? key.ankle ?? key.leg ?? key.carried) ? { ...plain, ...key } : { ...before, ...key };
}

/** A foot of the guard as it is when the whole body has turned. */
function carriedFoot(
  foot: ReturnType<typeof guardFoot>,
  { by, lift }: NonNullable<FootKey['carried']>,
  heel: Degrees,
): ReturnType<typeof guardFoot> {
  const [x, , z] = turned(foot.ball, by * radians);
  return { ball: [x, lift, z], turn: foot.turn + by, heel, knee: turned(foot.knee, by * radians) };
}

/** A foot in the world: planted by its ball, in the air by its ankle or by the way of thigh and shank. */
function footIn(frame: Frame, side: Side, foot: FootState, hip: Vector): readonly number[] {
  const { ankle, leg, turn, heel, carried } = foot;
  if (carried) return footRow(frame, carriedFoot(guardFoot(frame, side), carried, heel));
  if (!ankle && !leg) return footRow(frame, foot);
  const [yaw, pitch] = [angleIn(frame, turn), heel * radians];
  const thigh = leg ? times(unit(directionIn(frame, leg.thigh)), lengths.thigh) : null;
  const end =
    thigh && leg
      ? plus(plus(hip, thigh), times(unit(directionIn(frame, leg.shank)), lengths.shank))
      : pointIn(frame, ankle ?? [0, 0, 0]);
  const knee = thigh ? unit(squareTo(thigh, unit(minus(end, hip)))) : directionIn(frame, foot.knee);
  return [...plus(end, ankleToBall(yaw, pitch)), yaw, pitch, ...knee];
}

/** Where a hip joint is, by the row of the hips. */
function hipOf([x = 0, y = 0, z = 0, turn = 0, tip = 0]: readonly number[], body: BodySide): Vector {
  const { right } = pelvisAxes(turn, tip);
  return plus([x, y, z], times(right, (body === 'right' ? 1 : -1) * lengths.halfHips));
}

/** Writes the keys of a move onto the tracks. */
export function playKeys(body: Body, motion: Motion, playing: Playing): void {
  const { at, ms, frameAt, after, taken, move } = playing;
  const keys = keysOf(motion, move);
  const turns = !taken.has('trunk') && keys.some(({ hips }) => hips);
  const leans = !taken.has('trunk') && keys.some(({ chest }) => chest);
  if (turns) begin(body.hips, at);
  if (leans) begin(body.chest, at);
  let hips: HipsKey = guard.hips;
  let chest: Required<NonNullable<Key['chest']>> = guard.chest;
  for (const key of keys) {
    const when = at + key.at * ms;
    const frame = frameAt(key.at);
    if (key.hips && turns) {
      hips = { ...hips, ...key.hips };
      put(body.hips, Math.max(at + 0.6 * (when - at), when - hipsAhead(ms)), hipsRow(frame, hips));
      if (motion.hit?.at === key.at) put(body.hips, when + hold(ms), hipsRow(frame, hips));
    }
    if (key.chest && leans) {
      chest = { ...chest, ...key.chest };
      put(body.chest, when, chestRow(frame, chest));
      if (motion.hit?.at === key.at) put(body.chest, when + hold(ms), chestRow(frame, chest));
    }
  }
  if (turns) release(body.hips, at + motion.back * ms + hipsAhead(ms), hipsRow(after, guard.hips));
  if (leans) release(body.chest, at + motion.back * ms + 2 * hipsAhead(ms), chestRow(after, guard.chest));
  for (const side of sides) {
    if (!taken.has(`${side} hand`)) playHand(body, side, keys, motion, playing);
    if (!taken.has('feet')) playFoot(body, side, keys, motion, playing);
  }
}

function playHand(body: Body, side: Side, keys: readonly Key[], motion: Motion, playing: Playing): void {
  const { at, ms, frameAt, after, move } = playing;
  const own = keys.filter((key) => key.hands?.[side]);
  if (own.length === 0) return;
  const which = bodySide(frameAt(0), side);
  const intents = body.handIntents[which];
  intents.push({ kind: 'begin', at });
  for (const key of own) {
    const hand = key.hands?.[side];
    const lands = !move.feint && motion.hit?.at === key.at && side === (move.side ?? 'lead');
    const way = move.feint ? shownShare : 1;
    if (hand) intents.push({ kind: 'put', at: at + key.at * ms, frame: frameAt(key.at), key: hand, lands, way });
    if (hand && lands)
      intents.push({
        kind: 'put',
        at: at + key.at * ms + hold(ms),
        frame: frameAt(key.at),
        key: hand,
        lands: false,
        way,
      });
  }
  intents.push({ kind: 'release', at: at + motion.back * ms, frame: after, side: sideOf(after, which) });
}

/** A leg is carried from key to key by its joints, not along the straight way of its foot: time gone, way gone. */
const passing = [
  [1 / 3, 1 / 3],
  [2 / 3, 2 / 3],
] as const;
/** Into a target it accelerates. */
const landing = [
  [0.35, 0.29],
  [0.7, 0.65],
] as const;

function footBetween(from: FootState, to: FootState, way: number): FootState {
  const number = (a: number, b: number): number => a + (b - a) * way;
  return {
    ...to,
    turn: number(from.turn, to.turn),
    heel: number(from.heel, to.heel),
    ...(from.leg &&
      to.leg && {
        leg: {
          thigh: swung(unit(from.leg.thigh), unit(to.leg.thigh), way),
          shank: swung(unit(from.leg.shank), unit(to.leg.shank), way),
        },
      }),
  };
}

function hipsBetween(from: HipsKey, to: HipsKey, way: number): HipsKey {
  const number = (name: keyof HipsKey): number => from[name] + (to[name] - from[name]) * way;
  return { x: number('x'), y: number('y'), z: number('z'), turn: number('turn'), tip: number('tip') };
}

function playFoot(
  body: Body,
  side: Side,
  keys: readonly Key[],
  motion: Motion,
  { at, ms, frameAt, after, move }: Playing,
): void {
  if (!keys.some((key) => key.feet?.[side])) return;
  const which = bodySide(frameAt(0), side);
  const track = body.feet[which];
  begin(track, at);
  let foot: FootState = guardFoot(frameAt(0), side);
  let hips: HipsKey = guard.hips;
  let before: { readonly at: number; readonly foot: FootState; readonly hips: HipsKey } | null = null;
  const putAt = (share: number, footThen: FootState, hipsThen: HipsKey): void => {
    const frame = frameAt(share);
    put(track, at + share * ms, footIn(frame, side, footThen, hipOf(hipsRow(frame, hipsThen), which)));
  };
  for (const key of keys) {
    hips = { ...hips, ...key.hips };
    const own = key.feet?.[side];
    if (!own) continue;
    foot = nextFoot(foot, own);
    if (before?.foot.leg && foot.leg) {
      const lands = motion.hit?.at === key.at && side === (move.side ?? 'lead');
      for (const [time, way] of lands ? landing : passing)
        putAt(
          before.at + (key.at - before.at) * time,
          footBetween(before.foot, foot, way),
          hipsBetween(before.hips, hips, way),
        );
    }
    putAt(key.at, foot, hips);
    if (motion.hit?.at === key.at && foot.leg) putAt(key.at + (hold(ms) * 0.6) / ms, foot, hips);
    before = { at: key.at, foot, hips };
  }
  const goal = guardFootRow(after, which);
  const last = lastRow(track);
  const slides = Math.hypot((goal[0] ?? 0) - (last[0] ?? 0), (goal[2] ?? 0) - (last[2] ?? 0)) > 0.005;
  if (before && slides && (last[1] ?? 0) < 0.005) {
    // A foot that stands elsewhere is lifted to come back: what is planted never slides.
    const middle = at + ((before.at + motion.back) / 2) * ms;
    put(
      track,
      middle,
      last.map((value, channel) => (channel === 1 ? stepLift : (value + (goal[channel] ?? 0)) / 2)),
    );
  }
  release(track, at + motion.back * ms, goal);
}

/** How high a stepping foot is lifted, and how high a hop goes. */
const stepLift = 0.022;
const hopLift = 0.04;

/** The feet go from where they stand to the guard of another frame; the trunk goes with them unless a strike has it. */
export function stepTo(
  body: Body,
  to: Frame,
  at: Milliseconds,
  ms: Milliseconds,
  travel: Travel,
  trunkToo: boolean,
): void {
  const first = travel.right ? (travel.right > 0 ? 'right' : 'left') : bodySide(body.frame, travel.first);
  for (const which of bodySides) {
    const track = body.feet[which];
    const goal = guardFootRow(to, which);
    const [from, until] = travel.trades === 'hop' ? [0.2, 0.8] : which === first ? [0, 0.58] : [0.42, 1];
    begin(track, at + from * ms);
    const start = lastRow(track);
    const [dx, dz] = [(goal[0] ?? 0) - (start[0] ?? 0), (goal[2] ?? 0) - (start[2] ?? 0)];
    if (Math.hypot(dx, dz) > 1e-6) {
      const lift = travel.trades === 'hop' ? hopLift : stepLift + 0.06 * Math.hypot(dx, dz);
      put(
        track,
        at + ((from + until) / 2) * ms,
        start.map((value, channel) => (channel === 1 ? lift : (value + (goal[channel] ?? 0)) / 2)),
      );
    }
    put(track, at + until * ms, goal);
    if (to.lead !== body.frame.lead || to.heading !== body.frame.heading)
      body.handIntents[which].push(
        { kind: 'begin', at },
        { kind: 'release', at: at + ms, frame: to, side: sideOf(to, which) },
      );
  }
  if (!trunkToo) return;
  begin(body.hips, at);
  begin(body.chest, at);
  if (travel.trades === 'hop') {
    const [x = 0, , z = 0, turn = 0] = lastRow(body.hips);
    const [goalX, , goalZ, goalTurn] = hipsRow(to, guard.hips);
    put(body.hips, at + ms / 2, [(x + goalX) / 2, guard.hips.y + 0.012, (z + goalZ) / 2, (turn + goalTurn) / 2, 0]);
  }
  put(body.hips, at + ms, hipsRow(to, guard.hips));
  put(body.chest, at + ms, chestRow(to, guard.chest));
}

/** One small step on the spot takes about this long, as does one bounce (house values). */
const shuffleMs: Milliseconds = 420;
const bounceMs: Milliseconds = 300;
const bounceDepth = 0.011;

/** An open question: the guard is kept, the feet move. */
export function shuffle(body: Body, at: Milliseconds, ms: Milliseconds): void {
  const steps = Math.max(1, Math.floor(ms / shuffleMs));
  const each = ms / steps;
  for (let step = 0; step < steps; step += 1) {
    const which = bodySide(body.frame, step % 2 === 0 ? 'lead' : 'rear');
    const track = body.feet[which];
    const from = at + step * each;
    const goal = guardFootRow(body.frame, which);
    begin(track, from + 0.1 * each);
    put(
      track,
      from + 0.5 * each,
      goal.map((value, channel) => (channel === 1 ? stepLift : value)),
    );
    put(track, from + 0.9 * each, goal);
  }
  breathe(body, at, ms);
}

/** A light bounce in guard until a moment, from when the trunk is free. */
export function breathe(body: Body, at: Milliseconds, ms: Milliseconds): void {
  const free = Math.max(at, body.hips.at(-1)?.at ?? 0);
  const bounces = Math.floor((at + ms - free) / (2 * bounceMs));
  if (bounces < 1) return;
  begin(body.hips, free);
  for (let bounce = 0; bounce < bounces; bounce += 1) {
    const from = free + bounce * 2 * bounceMs;
    put(body.hips, from + bounceMs, hipsRow(body.frame, { ...guard.hips, y: guard.hips.y - bounceDepth }));
    put(body.hips, from + 2 * bounceMs, hipsRow(body.frame, guard.hips));
  }
}

/** Less time than this is no time to wind up again (trial: 0.13 s). */
const leastWindUp: Milliseconds = 110;

/** A side that has just fired is wound up again by a moment. */
export function windUp(body: Body, side: Side, at: Milliseconds): void {
  if (at - firmUntil(body.chest) < leastWindUp) return;
  const turn = side === 'rear' ? 12 : -16;
  put(
    body.hips,
    at - 1,
    hipsRow(body.frame, { ...guard.hips, y: guard.hips.y - 0.008, turn: guard.hips.turn + turn * 0.5 }),
  );
  put(body.chest, at - 1, chestRow(body.frame, { ...guard.chest, turn: guard.chest.turn + turn }));
}
