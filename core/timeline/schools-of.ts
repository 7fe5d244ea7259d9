import { usualSchools, type Schools } from '../bags/conditions';
import type { Sheet } from '../sheet/schema';

/**
 * Where coaches disagree, as a sheet has it: its own word first, then the coach's, then the usual one.
 * @example schoolsOf(sheet).afterHook // "rear straight"
 */
export function schoolsOf({ schools }: Pick<Sheet, 'schools'>, coach: Schools = usualSchools): Schools {
  return {
    kick: schools?.kick ?? coach.kick,
    afterHook: schools?.afterHook ?? coach.afterHook,
    bodyOnDoubleEnd: schools?.bodyOnDoubleEnd ?? coach.bodyOnDoubleEnd,
    ballTricks: schools?.ballTricks ?? coach.ballTricks,
  };
}
