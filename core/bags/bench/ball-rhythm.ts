import { onsets, stepMs, study } from '../../mechanics/study';
import { isStrike } from '../../moves/move';
import type { Combination } from '../../notation/combination';
import { paceOf } from '../../mechanics/effort';
import type { Milliseconds, PaceFactor, Seconds } from '../../units';

/** When the strikes of one repetition land, from its beginning, at a pace; a strike lands at the end of its time. */
export function landings(combination: Combination, pace: PaceFactor = 1): Milliseconds[] {
  const [repetition] = study(combination).turns;
  if (!repetition) return [];
  const starts = onsets(repetition);
  return repetition.walk.steps.flatMap(({ step }, at) =>
    step.content.some((each) => each.kind === 'move' && isStrike(each))
      ? [((starts[at] ?? 0) + stepMs(step)) / pace]
      : [],
  );
}

/** One wait between two strikes: what the hands need, and which return of the ball they meet. */
export interface Meeting {
  readonly hands: Seconds;
  /** Return intervals until the ball comes toward the hitter again: odd. */
  readonly returns: number;
  readonly ball: Seconds;
}

/** How a combination goes on a ball when each strike waits for it. */
export interface BallRhythm {
  readonly meetings: readonly Meeting[];
  /** Pace that the ball allows where the hands are at their fastest; 1 is steady. */
  readonly pace: PaceFactor;
  /** The paces by name at which the hands need not wait more than a little. */
  readonly flows: readonly { readonly name: string; readonly pace: PaceFactor }[];
}

/** Hands may wait this much longer than they need and still flow (house value). */
const patience = 1.15;

const paces: readonly { readonly name: string; readonly pace: PaceFactor }[] = [
  { name: 'learning', pace: paceOf('steady', 'technique') },
  { name: 'easy', pace: paceOf('easy') },
  { name: 'strong', pace: paceOf('strong') },
  { name: 'steady', pace: paceOf('steady') },
  { name: 'speed', pace: paceOf('steady', 'speed') },
  { name: 'all-out', pace: paceOf('all-out') },
];

function meet(hands: Seconds, interval: Seconds): Meeting {
  // Rounded so that a gap that is exactly a return is not counted as one more.
  const needed = Math.ceil(hands / interval - 1e-9);
  const returns = needed % 2 === 1 ? needed : needed + 1;
  return { hands, returns, ball: returns * interval };
}

const total = (meetings: readonly Meeting[], what: 'hands' | 'ball'): Seconds =>
  meetings.reduce((sum, meeting) => sum + meeting[what], 0);

/**
 * Which returns of the ball the strikes of a combination meet, and at which paces it flows: after a blow the ball comes
 * toward the hitter after 1, 3, 5 … return intervals (trade page, section 7), and hands cannot come sooner than their own time.
 * @example ballRhythm(combination, 0.16).meetings[0].returns // 3
 */
export function ballRhythm(combination: Combination, interval: Seconds): BallRhythm {
  const at = (pace: PaceFactor): Meeting[] => {
    const landed = landings(combination, pace);
    return landed.slice(1).map((time, index) => meet((time - (landed[index] ?? 0)) / 1000, interval));
  };
  const fastest = Math.max(...paces.map(({ pace }) => pace));
  const meetings = at(fastest);
  return {
    meetings,
    pace: meetings.length === 0 ? fastest : (fastest * total(meetings, 'hands')) / total(meetings, 'ball'),
    flows: paces.filter(({ pace }) => {
      const here = at(pace);
      return total(here, 'ball') <= patience * total(here, 'hands');
    }),
  };
}
