import type { Side } from '../moves/kind';
import type { Milliseconds } from '../units';
import { guardFootRow, sideOf, stepLift, type Body } from './body';
import { bodySide, chestRow, hipsRow, type Frame } from './frame';
import { guard, type Travel } from './motion';
import { bodySides } from './pose';
import { begin, firmUntil, lastRow, put } from './track';

/** How high a hop goes. */
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
  body.stands.push({ at: at + ms / 2, frame: to });
  begin(body.ground, at);
  put(body.ground, at + ms, [to.origin[0], to.origin[2]]);
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
