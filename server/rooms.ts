import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import {
  codeSigns,
  helloSchema,
  hostSchema,
  readMessage,
  remoteSchema,
  wallLimits,
  wallSchema,
  type Hello,
  type HostMessage,
  type Member,
  type Refusal,
  type RemoteMessage,
  type Role,
  type ServerMessage,
  type WallMessage,
} from '../core/index';
import { Allowance } from './allowance';

/** A line to somebody, whatever carries it. */
export interface Line {
  /** Where it comes from: wrong codes are counted by it. */
  readonly from: string;
  send(text: string): void;
  close(): void;
}

/** What rooms go by; specs set the clock. */
export interface RoomClock {
  /** Milliseconds on the clock that everybody is brought to. */
  now(): number;
}

interface Guest {
  readonly id: string;
  readonly role: Role;
  readonly line: Line;
  showing: Member['showing'];
  /** Number of the last press that was taken. */
  pressed: number;
}

interface Room {
  readonly code: string;
  readonly hostHash: Buffer;
  /** Given to whoever may control; told to the tablet alone. */
  readonly control: string;
  readonly since: number;
  host: Line | null;
  /** When the tablet was last on the line. */
  seen: number;
  readonly guests: Map<string, Guest>;
  /** Addresses that were shut out: they stay out for as long as there is the code. */
  readonly shut: Set<string>;
  next: number;
}

/** What a line has turned out to be. */
type Place =
  | { readonly kind: 'new' }
  | { readonly kind: 'host'; readonly room: Room }
  | { readonly kind: 'guest'; readonly room: Room; readonly guest: Guest };

const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest();
/** In a time that does not depend on how much of it is right. */
const isSame = (hash: Buffer, secret: string): boolean => timingSafeEqual(hash, hashOf(secret));

/**
 * The rooms of the live channel: a tablet that runs a session, walls that follow it, remotes that press for it. Nothing of a
 * run is kept here: whoever comes in is told by the tablet. Lines come and go by `enter`.
 */
export class Rooms {
  private readonly rooms = new Map<string, Room>();
  private readonly wrong = new Map<string, Allowance>();

  constructor(
    private readonly clock: RoomClock,
    /** Addresses of this machine in its network. */
    private readonly addresses: readonly string[] = [],
  ) {}

  /** How many rooms there are, and who is in them. */
  count(): { readonly rooms: number; readonly guests: number } {
    return {
      rooms: this.rooms.size,
      guests: [...this.rooms.values()].reduce((sum, room) => sum + room.guests.size, 0),
    };
  }

  /** Takes a line in; gives back what to do with what it says, and when it is gone. */
  enter(line: Line): {
    readonly hear: (text: string) => void;
    readonly gone: () => void;
    readonly said: () => boolean;
  } {
    let place: Place = { kind: 'new' };
    const allowance = new Allowance(wallLimits.perSecond, wallLimits.burst, this.clock);
    return {
      hear: (text) => {
        if (!allowance.take()) this.refuse(line, 'too often');
        else if (place.kind === 'new') place = this.greet(line, text);
        else if (place.kind === 'host') this.hearHost(place.room, line, text);
        else this.hearGuest(place.room, place.guest, text);
      },
      gone: () => this.leave(line, place),
      said: () => place.kind !== 'new',
    };
  }

  /** Closes rooms that are too old, or whose tablet has been away for too long. */
  sweep(): void {
    const now = this.clock.now();
    for (const room of this.rooms.values())
      if (now - room.since > wallLimits.roomMs || (!room.host && now - room.seen > wallLimits.awayMs)) this.end(room);
    for (const [from, allowance] of this.wrong) if (allowance.full()) this.wrong.delete(from);
  }

  private greet(line: Line, text: string): Place {
    const hello = text.length <= wallLimits.guestBytes ? readMessage(helloSchema, text) : null;
    if (!hello) return this.refuse(line, 'not understood');
    if (hello.kind === 'open') return this.open(line, hello);
    if (!this.wrongOf(line).has()) return this.refuse(line, 'too often');
    const room = this.rooms.get(hello.code);
    if (!room) return this.mistaken(line, 'no such code');
    if (hello.kind === 'control' && !isSame(hashOf(room.control), hello.secret))
      return this.mistaken(line, 'wrong secret');
    if (room.shut.has(line.from)) return this.refuse(line, 'shut out');
    if (room.guests.size >= wallLimits.guests) return this.refuse(line, 'too many');
    return this.join(room, line, hello.kind === 'control' ? 'remote' : 'wall');
  }

  /** A tablet: its own room again where it still is, or a new one. */
  private open(line: Line, { code, secret }: Extract<Hello, { kind: 'open' }>): Place {
    const now = this.clock.now();
    const known = code === undefined ? undefined : this.rooms.get(code);
    if (known && isSame(known.hostHash, secret)) {
      const before = known.host;
      known.host = line;
      known.seen = now;
      before?.close();
      this.tellHost(known, {
        kind: 'opened',
        code: known.code,
        control: known.control,
        addresses: [...this.addresses],
      });
      this.tellMembers(known);
      this.tellGuests(known, { kind: 'host', here: true });
      return { kind: 'host', room: known };
    }
    if (this.rooms.size >= wallLimits.rooms) return this.refuse(line, 'too many');
    const room: Room = {
      // A server that was started anew has forgotten the code that walls still know.
      code: code !== undefined && !known ? code : this.freshCode(),
      hostHash: hashOf(secret),
      control: randomBytes(18).toString('base64url'),
      since: now,
      host: line,
      seen: now,
      guests: new Map(),
      shut: new Set(),
      next: 1,
    };
    this.rooms.set(room.code, room);
    this.tellHost(room, { kind: 'opened', code: room.code, control: room.control, addresses: [...this.addresses] });
    return { kind: 'host', room };
  }

  private join(room: Room, line: Line, role: Role): Place {
    const guest: Guest = { id: `${role.charAt(0)}${room.next}`, role, line, showing: null, pressed: -1 };
    room.next += 1;
    room.guests.set(guest.id, guest);
    this.tell(line, { kind: 'joined', id: guest.id });
    this.tell(line, { kind: 'host', here: room.host !== null });
    this.tellMembers(room);
    return { kind: 'guest', room, guest };
  }

  private hearHost(room: Room, line: Line, text: string): void {
    // A tablet that has come back by another line has the word there.
    if (room.host !== line || !this.rooms.has(room.code)) return;
    room.seen = this.clock.now();
    const said = text.length <= wallLimits.hostBytes ? readMessage(hostSchema, text) : null;
    if (!said) this.tell(line, { kind: 'refused', why: 'not understood' });
    else this.doForHost(room, line, said);
  }

  private doForHost(room: Room, line: Line, said: HostMessage): void {
    switch (said.kind) {
      case 'ping':
        this.pong(line, said.t0);
        return;
      case 'plan':
        this.tellGuests(room, { kind: 'plan', plan: said.plan }, said.to);
        return;
      case 'state':
        this.tellGuests(room, { kind: 'state', state: said.state }, said.to);
        return;
      case 'panel':
        this.tellGuests(room, { kind: 'panel', panel: said.panel }, said.to, 'remote');
        return;
      case 'show':
        this.tellGuests(room, { kind: 'show', showing: said.showing }, said.to, 'wall');
        return;
      case 'shut': {
        const guest = room.guests.get(said.to);
        if (guest) this.shutOut(room, guest);
        return;
      }
      case 'close':
        this.end(room);
        return;
    }
  }

  /** Its address stays out, too, unless others of the room are at the same one: windows of one machine, say. */
  private shutOut({ host, guests, shut }: Room, guest: Guest): void {
    const { from } = guest.line;
    const shared =
      host?.from === from || [...guests.values()].some((each) => each !== guest && each.line.from === from);
    if (!shared) shut.add(from);
    this.refuse(guest.line, 'shut out');
  }

  private hearGuest(room: Room, guest: Guest, text: string): void {
    if (room.guests.get(guest.id) !== guest) return;
    if (text.length > wallLimits.guestBytes) {
      this.refuse(guest.line, 'not understood');
      return;
    }
    const said: WallMessage | RemoteMessage | null =
      guest.role === 'wall' ? readMessage(wallSchema, text) : readMessage(remoteSchema, text);
    if (!said) this.refuse(guest.line, 'not understood');
    else if (said.kind === 'ping') this.pong(guest.line, said.t0);
    else if (said.kind === 'showing') {
      guest.showing = said.showing;
      this.tellMembers(room);
    } else if (said.number > guest.pressed) {
      guest.pressed = said.number;
      this.tellHost(room, { kind: 'press', from: guest.id, press: said.press });
    }
  }

  private leave(line: Line, place: Place): void {
    if (place.kind === 'new') return;
    const { room } = place;
    if (place.kind === 'guest') {
      if (room.guests.delete(place.guest.id)) this.tellMembers(room);
    } else if (room.host === line) {
      room.host = null;
      room.seen = this.clock.now();
      this.tellGuests(room, { kind: 'host', here: false });
    }
  }

  private end(room: Room): void {
    this.rooms.delete(room.code);
    for (const { line } of room.guests.values()) {
      this.tell(line, { kind: 'ended' });
      line.close();
    }
    room.guests.clear();
    if (room.host) {
      this.tell(room.host, { kind: 'ended' });
      room.host.close();
    }
    room.host = null;
  }

  private freshCode(): string {
    for (;;) {
      const code = Array.from({ length: wallLimits.code }, () => codeSigns[randomInt(codeSigns.length)]).join('');
      if (!this.rooms.has(code)) return code;
    }
  }

  private wrongOf({ from }: Line): Allowance {
    const known = this.wrong.get(from);
    if (known) return known;
    const { wrongPerMinute } = wallLimits;
    const fresh = new Allowance(wrongPerMinute / 60, wrongPerMinute, this.clock);
    this.wrong.set(from, fresh);
    return fresh;
  }

  private mistaken(line: Line, why: Refusal): Place {
    this.wrongOf(line).take();
    return this.refuse(line, why);
  }

  private refuse(line: Line, why: Refusal): Place {
    this.tell(line, { kind: 'refused', why });
    line.close();
    return { kind: 'new' };
  }

  /** Both readings are one here: nothing is waited for between them. */
  private pong(line: Line, t0: number): void {
    const now = this.clock.now();
    this.tell(line, { kind: 'pong', t0, t1: now, t2: now });
  }

  private tell(line: Line, message: ServerMessage): void {
    line.send(JSON.stringify(message));
  }

  private tellHost(room: Room, message: ServerMessage): void {
    if (room.host) this.tell(room.host, message);
  }

  /** Tells everybody who looks on, or one of them; written out once for all. */
  private tellGuests(room: Room, message: ServerMessage, to?: string, role?: Role): void {
    const text = JSON.stringify(message);
    for (const guest of room.guests.values())
      if ((to === undefined || guest.id === to) && (role === undefined || guest.role === role)) guest.line.send(text);
  }

  private tellMembers(room: Room): void {
    const members = [...room.guests.values()].map(({ id, role, showing }) => ({ id, role, showing }));
    this.tellHost(room, { kind: 'members', members });
  }
}
