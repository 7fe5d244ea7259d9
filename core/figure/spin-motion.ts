import type { Side } from '../moves/kind';
import type { Degrees, Statures } from '../units';
import { guard, type FootKey, type Key, type MotionOf } from './motion';

/** Both feet carried round with the whole body by some degrees: light, or set down. */
const carried = (degrees: Degrees, lift: Statures): Readonly<Record<Side, FootKey>> => {
  const foot = { carried: { by: degrees, lift }, heel: 22 };
  return { lead: foot, rear: foot };
};
const spinLift: Statures = 0.025;

/** Guard carried round with the body. */
const spun = (degrees: number): NonNullable<Key['hands']> => ({
  lead: { ...guard.hands.lead, turned: degrees },
  rear: { near: [0.06, -0.06, 0.11], elbow: [-0.1, -0.8, 0.7], turned: degrees },
});

/** The body goes all the way round, rear shoulder first, feet light under it; the back of the fist lands as it comes past. */
export const spinningBackFist: MotionOf = (_, target) => {
  const [y, drop] = target === 'body' ? [0.665, 0.075] : [0.9, 0];
  return {
    hit: { at: 0.66, point: 'hand' },
    back: 1.08,
    spins: 1,
    keys: [
      { at: 0.04, feet: { lead: {}, rear: {} } },
      { at: 0.17, hands: spun(60), feet: carried(60, spinLift) },
      {
        at: 0.26,
        hips: { x: 0.01, y: 0.48 - drop * 0.5, turn: 140 },
        chest: { turn: 150, lean: 3 },
        feet: carried(130, spinLift),
        hands: spun(120),
      },
      { at: 0.35, hands: spun(180), feet: carried(190, spinLift) },
      {
        at: 0.44,
        hips: { x: 0.015, turn: 245 },
        chest: { turn: 258, lean: 3 },
        feet: carried(245, spinLift),
        hands: spun(230),
      },
      {
        at: 0.52,
        hands: { ...spun(270), rear: { near: [0.15, -0.045, 0.17], elbow: [-0.1, -0.8, 0.7], turned: 280 } },
      },
      { at: 0.55, feet: carried(322, 0) },
      {
        at: 0.66,
        hips: { x: 0.03, y: 0.485 - drop, turn: 330 },
        chest: { turn: 330, lean: 4 },
        hands: { lead: guard.hands.lead, rear: { to: [0.5, y, 0.01], elbow: [0, -0.6, 0.6] } },
      },
      { at: 0.7, feet: carried(322, 0) },
      { at: 0.85, feet: carried(352, spinLift) },
    ],
  };
};
