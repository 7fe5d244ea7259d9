import ICAL from 'ical.js';
import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { plainText } from '../plain-text';
import { dayFromIso, dayOf, type Day } from '../log/day';
import { sayInLine, saySession } from './say-session';
import type { Programme, ProgrammeSession } from '../sheet/programme';

const minuteMs = 60_000;
const dayMs = 24 * 60 * minuteMs;

/** What stands behind a session's id, so that no other calendar's event has the same. */
const domain = 'keen-tempo.invalid';

/** The stable id of a session in calendars. `uidOf({ id: 'p-1' })` → `p-1@keen-tempo.invalid` */
export const uidOf = ({ id }: Pick<ProgrammeSession, 'id'>): string =>
  // Whatever a file has brought in as an id: nothing in it ends a line or begins a property.
  `${encodeURIComponent(plainText(id))}@${domain}`;

/**
 * The sessions of a programme as a calendar (RFC 5545): at the times of the wall where they are, with stable ids, so that a
 * second import updates the first. There are no names in it, not even the programme's own.
 * @example programmeIcs(programme, Date.now()).includes('BEGIN:VEVENT') // true
 */
export function programmeIcs(programme: Programme, stamp: number): string {
  const { wishes, sessions } = programme;
  const calendar = ical({
    name: 'Keen Tempo programme',
    prodId: { company: 'Keen Tempo', product: 'Programme', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  sessions.forEach((session, at) => {
    // A floating time is written by the digits that UTC has: they are made those of the wall, wherever this runs.
    const start = new Date((dayFromIso(session.day) ?? 0) * dayMs + wishes.at * minuteMs);
    calendar.createEvent({
      id: uidOf(session),
      sequence: session.sequence,
      stamp: new Date(stamp),
      // Without a zone: at the class's own time, wherever the calendar stands.
      floating: true,
      start,
      end: new Date(start.getTime() + session.minutes * minuteMs),
      summary: `Session ${at + 1} of ${sessions.length}`,
      description: sayInLine(saySession({ sessions }, session)),
      status: session.state === 'missed' ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
  });
  return plainText(calendar.toString());
}

/** A day and time that a calendar has for one of our sessions. */
export interface IcsMove {
  readonly uid: string;
  readonly day: Day;
}

/**
 * Days of our sessions as a calendar has them, for sessions that were moved there; null where the text is no calendar.
 * @example movesIn(programmeIcs(programme, Date.now()))?.length === programme.sessions.length // true
 */
export function movesIn(text: string): IcsMove[] | null {
  try {
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
    return calendar.getAllSubcomponents('vevent').flatMap((each): IcsMove[] => {
      const { uid, startDate } = new ICAL.Event(each);
      return uid.endsWith(`@${domain}`) ? [{ uid, day: dayOf(startDate.toJSDate().getTime()) }] : [];
    });
  } catch {
    return null;
  }
}
