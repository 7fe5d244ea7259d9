import { wallLimits, type Member, type Role, type ServerMessage } from '../core/index';
import type { Allowance } from './allowance';

/** A line to somebody, whatever carries it. */
export interface Line {
  /** Its address: limits go by it. */
  readonly from: string;
  send(text: string): void;
  close(): void;
}

/** What rooms go by; specs set the clock. */
export interface RoomClock {
  /** Milliseconds on the clock that everybody is brought to. */
  now(): number;
  /** Does something so many milliseconds later. */
  later(ms: number, task: () => void): void;
}

export interface Guest {
  readonly id: string;
  readonly role: Role;
  readonly line: Line;
  showing: Member['showing'];
  /** Number of the last press that was taken. */
  pressed: number;
  readonly presses: Allowance;
}

export interface Room {
  /** Another one when a device is shut out. */
  code: string;
  /** The tablet's own; only it knows it. */
  readonly secret: string;
  /** Given to whoever may control; told to the tablet, and to remotes that are in. */
  control: string;
  readonly since: number;
  /** The address that opened it. */
  readonly from: string;
  host: Line | null;
  /** When the tablet was last on the line. */
  seen: number;
  readonly guests: Map<string, Guest>;
  /** Codes that it had. */
  readonly earlier: string[];
  next: number;
  /** Whether a list of who is there waits to be told, and when the last was. */
  membersWait: boolean;
  membersTold: number;
}

/** Sends a message on one line. */
export function tell(line: Line, message: ServerMessage): void {
  line.send(JSON.stringify(message));
}

/** Sends a message to the tablet, if it is connected. */
export function tellHost(room: Room, message: ServerMessage): void {
  if (room.host) tell(room.host, message);
}

/** Tells everybody who looks on, or one of them; written out once for all. */
export function tellGuests(room: Room, message: ServerMessage, to?: string, role?: Role): void {
  const text = JSON.stringify(message);
  for (const guest of room.guests.values())
    if ((to === undefined || guest.id === to) && (role === undefined || guest.role === role)) guest.line.send(text);
}

/** At once, or together with what else comes within a moment: many screens that change do not hold the tablet up. */
export function tellMembers(room: Room, clock: RoomClock): void {
  if (room.membersWait) return;
  const wait = room.membersTold + wallLimits.membersEveryMs - clock.now();
  if (wait <= 0) {
    sayMembers(room, clock);
    return;
  }
  room.membersWait = true;
  clock.later(wait, () => sayMembers(room, clock));
}

/** Sends the tablet the list of its screens and remotes now. */
export function sayMembers(room: Room, clock: RoomClock): void {
  room.membersWait = false;
  room.membersTold = clock.now();
  const members = [...room.guests.values()].map(({ id, role, showing }) => ({ id, role, showing }));
  tellHost(room, { kind: 'members', members });
}
