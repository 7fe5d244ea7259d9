import type { MoveId } from '../moves/catalogue';
import { handMotions } from './hand-motions';
import { kickMotions } from './kick-motions';
import { kneeMotions } from './knee-motions';
import type { MotionOf } from './motion';
import { otherMotions } from './other-motions';

/** How each move of the catalogue looks: a move without a motion does not compile. `motions.jab('lead', 'head').hit` */
export const motions: Readonly<Record<MoveId, MotionOf>> = {
  ...handMotions,
  ...kickMotions,
  ...kneeMotions,
  ...otherMotions,
};
