import { isoDay, type Day } from '../log/day';
import type { Digest } from '../log/digest';
import { sessionLoad, type Load } from '../log/load';
import { alike } from '../merging/alike';
import { learntIn } from '../progress/due';
import {
  programmeFormat,
  programmeVersion,
  type Programme,
  type ProgrammeSession,
  type ProgrammeWishes,
} from '../sheet/programme';
import { dayOfSession, plan, sessionDays, type Known, type Plan } from './plan';
import { sayStep } from './steps';

/** Loads by day of what was run; a session whose effort nobody has said counts as this hard (house value). */
const unsaidEffort = 5;

/** What the log knows when a plan is made. `knownFrom(digests, today)` */
export function knownFrom(digests: readonly Digest[], today: Day): Known {
  const loads = new Map<Day, Load>();
  for (const { learns, day, effort, ms } of digests)
    if (learns && day <= today) loads.set(day, (loads.get(day) ?? 0) + (sessionLoad(effort ?? unsaidEffort, ms) ?? 0));
  return { today, learnt: learntIn(digests.filter(({ day }) => day <= today)), loads };
}

/** A programme with what could not be held, and what has changed against the one before. */
export interface Replanned {
  readonly programme: Programme;
  readonly plan: Plan;
  /** What moved, in sentences. */
  readonly moved: readonly string[];
}

/** A new programme from wishes and from what the log knows. `newProgramme('p1', wishes, digests, today).plan.left` */
export function newProgramme(id: string, wishes: ProgrammeWishes, digests: readonly Digest[], today: Day): Replanned {
  const laid = plan(wishes, sessionDays(wishes), [], knownFrom(digests, today), (at) => `${id}-${at + 1}`);
  return {
    programme: { format: programmeFormat, version: programmeVersion, id, wishes, sessions: [...laid.sessions] },
    plan: laid,
    moved: [],
  };
}

/** Whether a session was held: its own sheet was run, or anything was on its day. */
function heldOn(session: ProgrammeSession, digests: readonly Digest[]): boolean {
  const day = dayOfSession(session);
  return digests.some(
    (digest) =>
      digest.learns && (digest.day === day || (session.sheetId !== null && digest.sheetId === session.sheetId)),
  );
}

/** Sessions with what became of those that are over; today's is missed when the day is over. `withStates(sessions, digests, today)[0]?.state` */
export function withStates(
  sessions: readonly ProgrammeSession[],
  digests: readonly Digest[],
  today: Day,
): ProgrammeSession[] {
  return sessions.map((session) => {
    if (heldOn(session, digests)) return { ...session, state: 'done' };
    return { ...session, state: dayOfSession(session) < today ? 'missed' : 'open' };
  });
}

const isOver = ({ state }: ProgrammeSession): boolean => state !== 'open';

function sayMoves(before: readonly ProgrammeSession[], after: readonly ProgrammeSession[]): string[] {
  const placeOf = (sessions: readonly ProgrammeSession[]): Map<string, string> =>
    new Map(sessions.flatMap(({ adds, day, state }) => (adds && state !== 'missed' ? [[sayStep(adds), day]] : [])));
  const old = new Map(before.flatMap(({ adds, day }) => (adds ? [[sayStep(adds), day] as const] : [])));
  const now = placeOf(after);
  return [...old].flatMap(([step, day]) => {
    const then = now.get(step);
    if (then === day) return [];
    return [then === undefined ? `${step} no longer fits` : `${step} moves from ${day} to ${then}`];
  });
}

/**
 * A programme after some days: what was held is done, what was not is missed, and the rest is planned anew from what the log
 * knows. Sessions keep their names, and their days where those are still to come.
 * @example replan(programme, digests, today).moved // ["1 2 3 moves from 2026-12-01 to 2026-12-03"]
 */
export function replan(programme: Programme, digests: readonly Digest[], today: Day): Replanned {
  const { wishes } = programme;
  const sessions = withStates(programme.sessions, digests, today);
  const over = sessions.filter(isOver);
  const open = sessions.filter((session) => !isOver(session)).sort((a, b) => dayOfSession(a) - dayOfSession(b));
  const laid = plan(wishes, open.map(dayOfSession), over, knownFrom(digests, today), (at) => open[at]?.id ?? '');
  const next = laid.sessions.map((session, at): ProgrammeSession => {
    const old = open[at];
    if (!old) return session;
    const same = alike(old.adds, session.adds) && alike(old.repeats, session.repeats) && old.effort === session.effort;
    // A sheet that was drafted for something else is the coach's own to keep; the session has none.
    return {
      ...session,
      moved: old.moved,
      sheetId: same ? old.sheetId : null,
      sequence: same ? old.sequence : old.sequence + 1,
    };
  });
  const all = [...over, ...next].sort((a, b) => dayOfSession(a) - dayOfSession(b));
  return {
    programme: { ...programme, sessions: all },
    plan: laid,
    moved: sayMoves(programme.sessions, all),
  };
}

/** A session on another day, and the rest planned anew around it; null where that day has one already. `moveSession(programme, 'p-2', day, digests, today)` */
export function moveSession(
  programme: Programme,
  id: string,
  day: Day,
  digests: readonly Digest[],
  today: Day,
): Replanned | null {
  const taken = programme.sessions.some((session) => session.id !== id && dayOfSession(session) === day);
  if (taken || day < today) return null;
  const sessions = programme.sessions.map((session) =>
    session.id === id && session.state === 'open'
      ? { ...session, day: isoDay(day), moved: true, sequence: session.sequence + 1 }
      : session,
  );
  return replan({ ...programme, sessions }, digests, today);
}
