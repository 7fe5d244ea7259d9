import type { FootKey, Key, Motion } from './motion';
import type { Vector } from './vector';

/** The same motion within a part of another one's time. */
export function within(motion: Motion, from: number, to: number): readonly Key[] {
  return motion.keys.map((key) => ({ ...key, at: from + key.at * (to - from) }));
}

/** Where the standing foot is while lead and rear have traded places for a switched strike. */
const tradedBall = (height: number): Vector => [0.12, height, 0.06];
const traded = { ball: tradedBall(0), knee: [0.7, 0.1, 0.7] } satisfies FootKey;

/** Feet trade places in a hop, the strike of the leg that is now behind follows, and lands where it began. */
export function switched(strike: Motion): Motion {
  const from = 0.26;
  return {
    ...strike,
    hit: strike.hit && { ...strike.hit, at: from + strike.hit.at * (1 - from) },
    keys: [
      {
        at: 0.12,
        hips: { y: 0.505, turn: 10 },
        chest: { turn: 10 },
        feet: {
          lead: { ball: [0, 0.03, -0.1], turn: -10, heel: 25 },
          rear: { ball: [0, 0.03, 0.09], turn: 15, heel: 25 },
        },
      },
      {
        at: 0.24,
        hips: { y: 0.475, turn: -16 },
        chest: { turn: -14 },
        feet: {
          lead: { ball: [-0.12, 0, -0.09], turn: -35, heel: 25, knee: [0.85, 0.1, -0.5] },
          rear: { ...traded, turn: 10, heel: 5 },
        },
      },
      ...within(strike, from, 1)
        .filter((key) => key.at > 0.32)
        .map((key) => {
          const standing = key.feet?.rear;
          return standing
            ? {
                ...key,
                feet: {
                  ...key.feet,
                  rear: { ...standing, ...traded, ball: tradedBall(standing.ball?.[1] ?? 0), turn: 62 },
                },
              }
            : key;
        }),
      { at: 0.88, hips: { y: 0.5 } },
    ],
  };
}
