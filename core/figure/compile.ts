/*
 * A combination as motion. Begin at `motionOf`: it goes through the repetitions step by step, writes the keys of each move
 * (`motions.ts`) onto tracks of hips, chest, feet and hands, and makes curves of them. The next move cuts the return of
 * the last one, which is all the blending there is. Times are those of the mechanics: onsets, seams, pace.
 */
import type { LoopSettings } from '../mechanics/seams';
import { onsets, stepMs, type Repetition } from '../mechanics/study';
import { leadingMove, type Step } from '../mechanics/steps';
import { moveKind } from '../moves/catalogue';
import { familyOf, isHandStrike, isStrike, type Move } from '../moves/move';
import type { Milliseconds, PaceFactor } from '../units';
import { finished } from './finished';
import { bodySide, frameBetween, handed, startFrame, travelled, type Frame } from './frame';
import type { ContactPoint, Motion } from './motion';
import { motions } from './motions';
import type { BodyMotion, Hit } from './body-motion';
import { newBody, type Body } from './body';
import { breathe, shuffle, stepTo, windUp } from './footwork';
import { hurried, hurryOf } from './hurried';
import { playKeys, type Group } from './play-keys';

/** One repetition and when it begins. */
export interface Performed {
  readonly at: Milliseconds;
  readonly repetition: Repetition;
  /** When each of its steps begins, from its own beginning, where it is not done at its own pace. */
  readonly onsets?: readonly Milliseconds[];
}

export interface MotionOptions {
  readonly pace?: PaceFactor;
  /** The natural stance with level feet. */
  readonly square?: boolean;
  /** Whether the feet come back to the first stance in the breath between repetitions. */
  readonly otherStance?: LoopSettings['otherStance'];
  /** How long it goes on; to the end of the last repetition unless said. */
  readonly until?: Milliseconds;
}

/** A step that is being laid out. */
interface Laying {
  readonly step: Step;
  readonly at: Milliseconds;
  readonly pace: PaceFactor;
  readonly index: number;
}

/** How a move looks where it stands: on its side, at its height. */
function motionOfMove(move: Move): Motion {
  return motions[move.id](move.side ?? 'lead', move.target);
}

function limbOf(frame: Frame, move: Move, point: ContactPoint): Hit['limb'] {
  const side = bodySide(frame, move.side ?? 'lead');
  return `${side} ${point === 'hand' || point === 'elbow' ? 'hand' : 'leg'}`;
}

/** Lays out one move, alone or beside the one it is joined with. */
function layMove(body: Body, move: Move, laying: Laying, from: Frame, to: Frame, taken: ReadonlySet<Group>): void {
  const motion = motionOfMove(move);
  const kind = moveKind(move.id);
  const ms = (move.feint ? moveKind('step-in').ms : kind.ms) / laying.pace;
  const frameAt = (share: number): Frame =>
    from === to ? from : frameBetween(from, to, Math.min(1, (share * ms * laying.pace) / stepMs(laying.step)));
  // Whoever has gone all the way round goes on from there, and does not unwind.
  const after =
    motion.spins && !move.feint ? { ...to, heading: to.heading + motion.spins * 2 * Math.PI * handed(to) } : to;
  playKeys(body, motion, { at: laying.at, ms, frameAt, after, move, taken });
  body.frame = after;
  const lands = motion.hit && !move.feint && isStrike(move);
  if (motion.hit && lands && !(kind.limb === 'leg' && taken.has('feet'))) {
    const { at, point } = motion.hit;
    body.hits.push({
      at: laying.at + at * ms,
      step: laying.index,
      move,
      point,
      limb: limbOf(from, move, point),
      body: bodySide(from, move.side ?? 'lead'),
      frame: frameAt(at),
    });
  }
}

/** What a motion moves. */
function groupsOf({ keys }: Motion): Group[] {
  return [
    ...(keys.some(({ hips, chest }) => hips ?? chest) ? (['trunk'] as const) : []),
    ...(keys.some(({ feet }) => feet) ? (['feet'] as const) : []),
    ...(['lead', 'rear'] as const).flatMap((side): Group[] =>
      keys.some(({ hands }) => hands?.[side]) ? [`${side} hand`] : [],
    ),
  ];
}

function layStep(body: Body, laying: Laying): void {
  const { step, at, pace } = laying;
  const moves = step.content.filter((each): each is Move => each.kind === 'move');
  const dodges = moves.some(({ id }) => moveKind(id).family === 'defence' && moveKind(id).limb === null);
  const led = leadingMove(step);
  body.done.push({ at, ms: stepMs(step) / pace, step: laying.index, move: led.kind === 'move' ? led : null, dodges });
  if (moves.length === 0) {
    shuffle(body, at, stepMs(step) / pace);
    return;
  }
  const from = body.frame;
  const goer = moves.find((move) => !move.feint && motionOfMove(move).travel);
  const travel = goer && motionOfMove(goer).travel;
  const to = travel ? travelled(from, travel) : from;
  // What is no strike has the trunk, so that a jab goes out of a slip; of two strikes the first has.
  const others = moves
    .filter((move) => move !== goer)
    .sort((a, b) => Number(isStrike(a) && !a.feint) - Number(isStrike(b) && !b.feint));
  if (travel) {
    const trunkFree = !others.some((move) => groupsOf(motionOfMove(move)).includes('trunk'));
    stepTo(body, to, at, stepMs(step) / pace, travel, trunkFree);
    body.frame = to;
  }
  const taken = new Set<Group>(travel ? ['feet'] : []);
  for (const move of others) {
    const striking = others.flatMap((each): Group[] =>
      each !== move && each.side && isHandStrike(each) ? [`${each.side} hand`] : [],
    );
    layMove(body, move, laying, from, to, new Set([...taken, ...striking]));
    for (const group of groupsOf(motionOfMove(move))) taken.add(group);
  }
}

/** What happens in the seam before a step: a missing step is taken, what must be wound up again is. */
function laySeam(body: Body, repetition: Repetition, index: number, end: Milliseconds, onset: Milliseconds): void {
  const seam = repetition.seams[index - 1];
  if (seam?.verdict === 'step') {
    const travel = { forward: 0.05, first: 'lead' } as const;
    const to = travelled(body.frame, travel);
    stepTo(body, to, end, onset - end, travel, true);
    body.frame = to;
  }
  const next = (repetition.walk.steps[index] ?? repetition.walk.steps[0])?.step.content.find(
    (each): each is Move => each.kind === 'move',
  );
  if (seam?.verdict === 'reload' && next?.side && familyOf(next) === 'punch') windUp(body, next.side, onset);
}

/** A missing step is taken this long before what it is for, where times are told (trade page: a step costs 0.25 s). */
const seamMs: Milliseconds = 250;

/** Walking back over a stature's length takes about this long (house value). */
const msPerStature: Milliseconds = 1400;

/** A breath: a light bounce in guard, and the feet back where they began. */
function layBreath(body: Body, home: Frame, at: Milliseconds, ms: Milliseconds, reset: boolean): void {
  const back = home.lead === body.frame.lead || !reset ? body.frame.lead : home.lead;
  const turns = 2 * Math.PI * Math.round(body.frame.heading / (2 * Math.PI));
  const to: Frame = { ...home, heading: turns, lead: back };
  const way = Math.hypot(body.frame.origin[0], body.frame.origin[2]) + Math.abs(turns - body.frame.heading) * 0.4;
  const hops = back !== body.frame.lead;
  // Where the breath is too short to walk back unhurried, the next repetition begins where this one ended.
  const needed = way > 1e-6 || hops ? 300 + way * msPerStature : 0;
  if (needed > 0 && needed <= ms) {
    stepTo(body, to, at, needed, { first: 'rear', ...(hops && { trades: 'hop' }) }, true);
    body.frame = to;
  }
  breathe(body, at, ms);
}

/** Repetitions laid out at a pace that motions are shaped for. */
function laidOut(performed: readonly Performed[], pace: PaceFactor, options: MotionOptions): BodyMotion {
  const home = startFrame(options.square ?? false);
  const body = newBody(home);
  const begins = performed.map(({ at }) => at);
  performed.forEach(({ at: begin, repetition, onsets: told }, time) => {
    const starts = told?.map((onset) => begin + onset) ?? onsets(repetition).map((onset) => begin + onset / pace);
    let end = begin;
    repetition.walk.steps.forEach(({ step }, index) => {
      const at = starts[index] ?? begin;
      if (at > end + 1 && told) breathe(body, end, at - end);
      laySeam(body, repetition, index, told ? Math.max(end, at - seamMs / pace) : end, at);
      layStep(body, { step, at, pace, index });
      end = at + stepMs(step) / pace;
    });
    const done = told ? end : begin + repetition.ms / pace;
    laySeam(body, repetition, repetition.walk.steps.length, end, done);
    const next = begins[time + 1] ?? options.until ?? done;
    if (next - done > 1) layBreath(body, home, done, next - done, options.otherStance === 'reset');
  });
  const last = performed.at(-1);
  const ms = options.until ?? (last ? last.at + last.repetition.ms / pace : 0);
  return finished(body, home, ms);
}

/**
 * Repetitions as motion, in an orthodox (or square) stance; a southpaw's is the mirror of the mirrored combination
 * (`figureOf`). Pure; the same for the same repetitions.
 * @example motionOf([{ at: 0, repetition: study(combination).turns[0] }]).hits[0].at // 150
 */
export function motionOf(performed: readonly Performed[], options: MotionOptions = {}): BodyMotion {
  const { pace = 1, until } = options;
  const hurry = hurryOf(pace);
  if (hurry === 1) return laidOut(performed, pace, options);
  const slower = performed.map(({ at, repetition, onsets: told }): Performed => {
    const later = told?.map((onset) => onset * hurry);
    return { at: at * hurry, repetition, ...(later ? { onsets: later } : {}) };
  });
  const longer = { ...options, ...(until === undefined ? {} : { until: until * hurry }) };
  return hurried(laidOut(slower, pace / hurry, longer), hurry);
}
