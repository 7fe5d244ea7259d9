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
  type Press,
  type Refusal,
  type RemoteMessage,
  type Role,
  type WallMessage,
} from '../core/index';
import { Allowance } from './allowance';
import { Passes, type RoomPass } from './passes';
import {
  sayMembers,
  tell,
  tellGuests,
  tellHost,
  tellMembers,
  type Guest,
  type Line,
  type Room,
  type RoomClock,
} from './room';
import { addressOf, Shares } from './shares';

/** What a line has turned out to be. */
type Place =
  | { readonly kind: 'new' }
  | { readonly kind: 'host'; readonly room: Room }
  | { readonly kind: 'guest'; readonly room: Room; readonly guest: Guest };

const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest();
/** In a time that does not depend on how much of it is right. */
const isSame = (one: string, other: string): boolean => timingSafeEqual(hashOf(one), hashOf(other));
const freshSecret = (): string => randomBytes(18).toString('base64url');

/**
 * The rooms of the live channel: a tablet that runs a session, walls that follow it, remotes that press for it. Nothing of a
 * run is kept here: whoever comes in is told by the tablet. Lines come and go by `enter`.
 */
export class Rooms {
  private readonly rooms = new Map<string, Room>();
  private readonly shares: Shares;

  constructor(
    private readonly clock: RoomClock,
    /** Addresses of this machine in its network. */
    private readonly addresses: readonly string[] = [],
    private readonly passes = new Passes(randomBytes(32)),
  ) {
    this.shares = new Shares(clock);
  }

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
    const share = this.shares.of(line.from);
    share.lines += 1;
    const welcome = share.lines <= share.most.lines;
    if (!welcome) this.refuse(line, 'too many from here');
    return {
      hear: (text) => {
        if (!welcome) return;
        if (!allowance.take() || !share.bytes.take(text.length)) this.refuse(line, 'too often');
        else if (place.kind === 'new') place = this.greet(line, text);
        else if (place.kind === 'host') this.hearHost(place.room, line, text);
        else this.hearGuest(place.room, place.guest, text);
      },
      gone: () => {
        share.lines -= 1;
        this.leave(line, place);
      },
      said: () => place.kind !== 'new',
    };
  }

  /** Closes rooms that are too old, or whose tablet has been away for too long. */
  sweep(): void {
    const now = this.clock.now();
    for (const room of this.rooms.values())
      if (now - room.since > wallLimits.roomMs || (!room.host && now - room.seen > wallLimits.awayMs)) this.end(room);
    this.shares.sweep();
  }

  private greet(line: Line, text: string): Place {
    const hello = text.length <= wallLimits.guestBytes ? readMessage(helloSchema, text) : null;
    if (!hello) return this.refuse(line, 'not understood');
    if (hello.kind === 'open') return this.open(line, hello);
    if (!this.shares.of(line.from).wrong.has()) return this.refuse(line, 'too often');
    const room = this.rooms.get(hello.code);
    // The same words whether there is the room or not: a remote learns nothing of codes.
    if (hello.kind === 'control' && !(room && isSame(room.control, hello.secret)))
      return this.mistaken(line, 'wrong secret');
    if (!room) return this.mistaken(line, 'no such code');
    if (room.guests.size >= wallLimits.guests) return this.refuse(line, 'too many');
    return this.join(room, line, hello.kind === 'control' ? 'remote' : 'wall');
  }

  /**
   * A tablet: the room that it proves to be its own, or a new one. A code alone opens nothing, whether its room is here or not:
   * the answer is a new code, and tells nothing.
   */
  private open(line: Line, { secret, room: given }: Extract<Hello, { kind: 'open' }>): Place {
    const own = given && this.passes.isRight(given, secret) ? given : null;
    // A tablet whose line broke as its room got another code knows the old one.
    const known = own ? (this.rooms.get(own.code) ?? this.movedFrom(own.code)) : undefined;
    if (known && isSame(known.secret, secret)) return this.comeBack(known, line);
    const share = this.shares.of(line.from);
    const address = addressOf(line.from);
    const ofAddress = [...this.rooms.values()].filter(({ from }) => from === address);
    if (ofAddress.length >= share.most.rooms) {
      // A room that its tablet has left makes place for a new one of the same address.
      const left = ofAddress.find(({ host }) => host === null);
      if (!left) return this.refuse(line, 'too many from here');
      this.end(left);
    }
    if (this.rooms.size >= wallLimits.rooms) return this.refuse(line, 'too many');
    if (!share.opens.take()) return this.refuse(line, 'too often');
    return this.make(line, secret, known ? null : own);
  }

  private movedFrom(code: string): Room | undefined {
    return [...this.rooms.values()].find((room) => room.earlier.includes(code));
  }

  private comeBack(room: Room, line: Line): Place {
    const before = room.host;
    room.host = line;
    room.seen = this.clock.now();
    if (before) {
      tell(before, { kind: 'replaced' });
      before.close();
    }
    this.tellOpened(room);
    sayMembers(room, this.clock);
    tellGuests(room, { kind: 'host', here: true });
    return { kind: 'host', room };
  }

  /** `again` is the room that a server forgot when it was restarted: its walls know its code, its remotes their secret. */
  private make(line: Line, secret: string, again: RoomPass | null): Place {
    const now = this.clock.now();
    const room: Room = {
      code: again?.code ?? this.freshCode(),
      secret,
      control: again?.control ?? freshSecret(),
      since: now,
      from: addressOf(line.from),
      host: line,
      seen: now,
      guests: new Map(),
      earlier: [],
      next: 1,
      membersWait: false,
      membersTold: -Infinity,
    };
    this.rooms.set(room.code, room);
    this.tellOpened(room);
    return { kind: 'host', room };
  }

  private tellOpened(room: Room): void {
    const { code, control } = room;
    tellHost(room, { kind: 'opened', code, control, pass: this.passOf(room), addresses: [...this.addresses] });
  }

  private passOf({ code, secret, control }: Room): string {
    return this.passes.of(code, secret, control);
  }

  private join(room: Room, line: Line, role: Role): Place {
    const guest: Guest = {
      id: `${role.charAt(0)}${room.next}`,
      role,
      line,
      showing: null,
      pressed: -1,
      presses: new Allowance(wallLimits.pressesPerSecond, wallLimits.pressBurst, this.clock),
    };
    room.next += 1;
    room.guests.set(guest.id, guest);
    tell(line, { kind: 'joined', id: guest.id });
    tell(line, { kind: 'host', here: room.host !== null });
    tellMembers(room, this.clock);
    return { kind: 'guest', room, guest };
  }

  private hearHost(room: Room, line: Line, text: string): void {
    // A tablet that has come back by another line has the word there.
    if (room.host !== line || !this.rooms.has(room.code)) return;
    room.seen = this.clock.now();
    const said = text.length <= wallLimits.hostBytes ? readMessage(hostSchema, text) : null;
    if (!said) tell(line, { kind: 'refused', why: 'not understood' });
    else this.doForHost(room, line, said);
  }

  private doForHost(room: Room, line: Line, said: HostMessage): void {
    switch (said.kind) {
      case 'ping':
        this.pong(line, said.t0);
        return;
      case 'plan':
        tellGuests(room, { kind: 'plan', plan: said.plan }, said.to);
        return;
      case 'state':
        tellGuests(room, { kind: 'state', state: said.state }, said.to);
        return;
      case 'panel':
        tellGuests(room, { kind: 'panel', panel: said.panel }, said.to, 'remote');
        return;
      case 'show':
        tellGuests(room, { kind: 'show', showing: said.showing }, said.to, 'wall');
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

  /**
   * The code and the remotes' secret are void from then on, so that it cannot come back by what it knows, from whatever address.
   * Whoever stays is told the new ones.
   */
  private shutOut(room: Room, guest: Guest): void {
    this.refuse(guest.line, 'shut out');
    // Out at once: nothing of it goes on while its line is closing.
    room.guests.delete(guest.id);
    tellMembers(room, this.clock);
    this.rooms.delete(room.code);
    room.earlier.push(room.code);
    room.code = this.freshCode(room.code);
    room.control = freshSecret();
    this.rooms.set(room.code, room);
    const { code, control } = room;
    tellHost(room, { kind: 'renewed', code, control, pass: this.passOf(room) });
    tellGuests(room, { kind: 'moved', code }, undefined, 'wall');
    tellGuests(room, { kind: 'moved', code, control }, undefined, 'remote');
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
      tellMembers(room, this.clock);
    } else if (said.number > guest.pressed && (isStop(said.press) || guest.presses.take())) {
      guest.pressed = said.number;
      tellHost(room, { kind: 'press', from: guest.id, press: said.press });
    }
  }

  private leave(line: Line, place: Place): void {
    if (place.kind === 'new') return;
    const { room } = place;
    if (place.kind === 'guest') {
      if (room.guests.delete(place.guest.id)) tellMembers(room, this.clock);
    } else if (room.host === line) {
      room.host = null;
      room.seen = this.clock.now();
      tellGuests(room, { kind: 'host', here: false });
    }
  }

  private end(room: Room): void {
    this.rooms.delete(room.code);
    for (const { line } of room.guests.values()) {
      tell(line, { kind: 'ended' });
      line.close();
    }
    room.guests.clear();
    if (room.host) {
      tell(room.host, { kind: 'ended' });
      room.host.close();
    }
    room.host = null;
  }

  private freshCode(not = ''): string {
    for (;;) {
      const code = Array.from({ length: wallLimits.code }, () => codeSigns[randomInt(codeSigns.length)]).join('');
      if (code !== not && !this.rooms.has(code)) return code;
    }
  }

  private mistaken(line: Line, why: Refusal): Place {
    this.shares.of(line.from).wrong.take();
    return this.refuse(line, why);
  }

  private refuse(line: Line, why: Refusal): Place {
    tell(line, { kind: 'refused', why });
    line.close();
    return { kind: 'new' };
  }

  /** Both readings are one here: nothing is waited for between them. */
  private pong(line: Line, t0: number): void {
    const now = this.clock.now();
    tell(line, { kind: 'pong', t0, t1: now, t2: now });
  }
}

const isStop = (press: Press): boolean => press.kind === 'deed' && press.deed === 'stop';
