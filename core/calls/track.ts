import { compile } from '../session/compile';
import type { Sheet } from '../session/schema';
import { candidatesOf, type CallPlan } from './candidates';
import { schedule, type Schedule } from './schedule';

/** A session's script: what is called when, what at open breaks, and what there is no room for. */
export interface CallTrack extends Schedule {
  readonly breaks: CallPlan['breaks'];
}

/** The call track of a sheet. `callTrack(sheet).calls[0].say` → `"bell"` */
export function callTrack(sheet: Sheet): CallTrack {
  const { candidates, breaks } = candidatesOf(compile(sheet));
  return { ...schedule(candidates), breaks };
}
