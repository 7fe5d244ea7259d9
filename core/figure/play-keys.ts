import type { Side } from '../moves/kind';
import type { Move } from '../moves/move';
import type { Milliseconds } from '../units';
import { guardFootRow, sideOf, stepLift, type Body } from './body';
import { footBetween, footIn, hipOf, hipsBetween, nextFoot, type FootState, type HipsKey } from './foot-keys';
import { keysOf, shownShare } from './force';
import { bodySide, chestRow, guardFoot, hipsRow, type Frame } from './frame';
import { guard, type Key, type Motion } from './motion';
import { begin, lastRow, put, release } from './track';

const sides = ['lead', 'rear'] as const satisfies readonly Side[];

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
