import { computed, DestroyRef, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { interval } from 'rxjs';
import {
  helloSchema,
  readMessage,
  wallChanges,
  wallSheet,
  wallWords,
  wordsOfCoach,
  type Hello,
  type Member,
  type Press,
  type Refusal,
  type RemotePanel,
  type ServerMessage,
  type Showing,
  type WallPlan,
  setRunning,
  wallLimits,
} from '../../../core/index';
import { BookService } from '../../services/book.service';
import { LiveLine } from '../../services/live-line';
import { Presses } from '../../services/presses';
import { SettingsService } from '../../services/settings.service';
import { TickerService } from '../../services/ticker.service';
import { insteadOf } from './instead';
import { Live } from './live';
import { Runner } from './runner';

/** The room that this tab has opened: a reload comes back to it, another tab has its own. */
const roomKey = 'keen-tempo wall';
/** Clocks of two devices drift apart a little; the state is said again so often. */
const againEveryMs = 5000;
const beatMs = 250;
/** Whoever comes within this is told together. */
const gatherMs = 200;

/** What a wall or a remote needs to come in. */
export interface Opened {
  readonly code: string;
  readonly wall: string;
  /** With the secret behind `#`: it stands in no address that a server sees. */
  readonly remote: string;
  /** Whether other devices reach this server at all. */
  readonly reachable: boolean;
}

type OpenHello = Extract<Hello, { kind: 'open' }>;

/** The room as this tab has kept it; a room of its own, not opened yet, where there is none. */
function roomOfTab(): OpenHello {
  try {
    const stored = readMessage(helloSchema, sessionStorage.getItem(roomKey) ?? '');
    if (stored?.kind === 'open') return stored;
  } catch {
    // Without storage a reload makes a new code.
  }
  return { kind: 'open', secret: freshSecret() };
}

function keep(room: OpenHello | null): void {
  try {
    if (room) sessionStorage.setItem(roomKey, JSON.stringify(room));
    else sessionStorage.removeItem(roomKey);
  } catch {
    // As above.
  }
}

const wallAt = (base: string, code: string): string => `${base}/wall/${code}`;
const remoteAt = (base: string, code: string, control: string): string => `${base}/remote#${code}.${control}`;
/** Held by the tab that has the room. */
const lockName = (code: string): string => `keen-tempo room ${code}`;

/** 192 bits, in letters that an address takes. */
const freshSecret = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(24)), (byte) => byte.toString(16).padStart(2, '0')).join('');

/** Shows the run on walls, and lets remotes press for it. The tablet goes on as if nobody were there. */
@Injectable()
export class Walls {
  private readonly runner = inject(Runner);
  private readonly live = inject(Live);
  private readonly settings = inject(SettingsService);
  private readonly book = inject(BookService);
  private readonly beats = inject(TickerService).every(beatMs);

  private room: OpenHello;
  private readonly line = signal<LiveLine | null>(null);
  /** Who has come in and knows nothing yet. */
  private readonly fresh = new Set<string>();
  readonly opened = signal<Opened | null>(null);
  readonly members = signal<readonly Member[]>([]);
  /** Words of the coach's own and cheers too, which may name people. */
  readonly names = signal(false);
  /** The session is too long for one message: walls go without words. */
  readonly wordless = signal(false);
  readonly state = computed(() => this.line()?.state() ?? null);
  /** Another tab or window has this room now. */
  readonly isReplaced = signal(false);
  /** Why the server opens no room. */
  readonly refusal = signal<Refusal | null>(null);
  private left = false;
  /** Until it is known whether this tab's room is another tab's, too. */
  private readonly known: Promise<void>;
  private letLockGo: () => void = () => undefined;
  private readonly presses = new Presses((press) => this.press(press), 0);

  private readonly plan = computed((): WallPlan | null => {
    const [sheet, script] = [this.live.sheet(), this.runner.script()];
    if (!sheet) return null;
    return {
      sheet: wallSheet(sheet, this.settings.schools()),
      changes: wallChanges(this.live.changes()),
      named: this.settings.namesStrikes(sheet.class.level),
      breathHeld: this.settings.settings().breathHeld,
      words: script
        ? wallWords(script, this.names() ? null : wordsOfCoach(sheet, this.settings.settings().wordings))
        : null,
    };
  });
  private readonly instead = computed(() => insteadOf(this.book.all() ?? []).slice(0, wallLimits.instead));
  private readonly panel = computed(
    (): RemotePanel => ({
      phase: this.runner.state()?.phase ?? null,
      pace: this.live.pace(),
      last: this.runner.last(),
      resting: this.runner.leaf()?.block === 'rest',
      staged: (this.runner.leaf()?.stage ?? null) !== null,
      instead: this.instead(),
    }),
    { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) },
  );

  constructor() {
    const here = computed(() => this.opened() !== null && this.line()?.state() === 'open');
    effect(() => {
      if (here() && this.plan()) untracked(() => this.sayPlan());
    });
    effect(() => {
      this.runner.state();
      if (here()) untracked(() => this.sayState());
    });
    effect(() => {
      this.panel();
      if (here()) untracked(() => this.sayPanel());
    });
    interval(againEveryMs)
      .pipe(takeUntilDestroyed())
      .subscribe(() => {
        if (here()) this.sayState();
      });
    inject(DestroyRef).onDestroy(() => this.leave());
    this.room = roomOfTab();
    this.known = this.room.room ? this.leaveToOtherTab(this.room.room.code) : Promise.resolve();
    void this.known.then(() => {
      if (this.room.room) this.open();
    });
  }

  /** A duplicated tab has a copy of this one's memory: where another tab has the room, this one has none. */
  private async leaveToOtherTab(code: string): Promise<void> {
    if (!('locks' in navigator)) return;
    const { held = [] } = await navigator.locks.query();
    if (held.some(({ name }) => name === lockName(code))) this.room = { kind: 'open', secret: freshSecret() };
  }

  /** Asks again after a refusal, or takes the room back from another tab. */
  openAgain(): void {
    this.line()?.end();
    this.line.set(null);
    this.open();
  }

  /** Opens a room, or comes back to the one this tab had. */
  open(): void {
    void this.known.then(() => {
      if (this.line() || this.left) return;
      this.isReplaced.set(false);
      this.refusal.set(null);
      const line = new LiveLine(() => this.room, this.beats);
      line.messages.subscribe((message) => this.hear(line, message));
      this.line.set(line);
    });
  }

  /** Ends the room: every wall and remote is let go. */
  close(): void {
    const line = this.line();
    line?.say({ kind: 'close' });
    line?.end();
    this.letGo();
  }

  /** The coach looks at something else: walls stand where the run stands, and the room waits for the next run of this tab. */
  private leave(): void {
    this.left = true;
    this.letLockGo();
    this.presses.clear();
    const line = this.line();
    const state = line && line.offset() !== null ? this.runner.standsAt(line.now()) : null;
    if (line && state) {
      const phase = state.phase === 'over' ? 'over' : 'paused';
      line.say({ kind: 'state', state: { ...state, phase, clock: setRunning(state.clock, false, line.now()) } });
    }
    line?.end();
    this.line.set(null);
  }

  /** A new code; the old ones end. */
  renew(): void {
    this.close();
    this.open();
  }

  shut(id: string): void {
    this.line()?.say({ kind: 'shut', to: id });
  }

  show(id: string, showing: Showing): void {
    this.line()?.say({ kind: 'show', to: id, showing });
  }

  private letGo(): void {
    this.letLockGo();
    this.presses.clear();
    keep(null);
    this.room = { kind: 'open', secret: freshSecret() };
    this.line.set(null);
    this.opened.set(null);
    this.members.set([]);
    this.isReplaced.set(false);
    this.refusal.set(null);
  }

  private hear(line: LiveLine, message: ServerMessage): void {
    switch (message.kind) {
      case 'opened':
        this.take(message);
        return;
      case 'members':
        this.meet(message.members);
        return;
      case 'press':
        this.presses.add(message.press);
        return;
      case 'renewed':
        this.move(message);
        return;
      case 'replaced':
        this.letLockGo();
        this.members.set([]);
        this.isReplaced.set(true);
        return;
      case 'refused':
        if (line.state() === 'ended') this.refusal.set(message.why);
        return;
      case 'ended':
        if (this.line() === line) this.letGo();
        return;
      default:
        return;
    }
  }

  private take({ code, control, pass, addresses }: Extract<ServerMessage, { kind: 'opened' }>): void {
    this.remember({ code, control, pass });
    this.holdLock(code);
    // A restarted server numbers its screens from one again; their list follows.
    this.members.set([]);
    const isHere = ['localhost', '127.0.0.1', '[::1]'].includes(location.hostname);
    const base = isHere ? (addresses[0] ?? location.origin) : location.origin;
    this.opened.set({
      code,
      wall: wallAt(base, code),
      remote: remoteAt(base, code, control),
      reachable: !isHere || addresses.length > 0,
    });
  }

  /** A device was removed: the others go on under a new code, which is kept before anything else. */
  private move({ code, control, pass }: Extract<ServerMessage, { kind: 'renewed' }>): void {
    const opened = this.opened();
    if (!opened) return;
    this.remember({ code, control, pass });
    this.holdLock(code);
    const base = new URL(opened.wall).origin;
    this.opened.set({ ...opened, code, wall: wallAt(base, code), remote: remoteAt(base, code, control) });
  }

  private remember(room: NonNullable<OpenHello['room']>): void {
    this.room = { ...this.room, room };
    keep(this.room);
  }

  private holdLock(code: string): void {
    this.letLockGo();
    const over = new Promise<void>((done) => (this.letLockGo = done));
    if ('locks' in navigator) void navigator.locks.request(lockName(code), { ifAvailable: true }, () => over);
  }

  /** Whoever is new is told where things stand; where many come at once, all are told together, so that the line can take it. */
  private meet(members: readonly Member[]): void {
    const known = new Set(this.members().map(({ id }) => id));
    this.members.set(members);
    const none = this.fresh.size === 0;
    for (const { id } of members) if (!known.has(id)) this.fresh.add(id);
    if (none && this.fresh.size > 0) setTimeout(() => this.tellFresh(), gatherMs);
  }

  private tellFresh(): void {
    const [one, ...others] = this.fresh;
    this.fresh.clear();
    const to = others.length === 0 ? one : undefined;
    this.sayPlan(to);
    this.sayState(to);
    this.sayPanel(to);
  }

  private sayPlan(to?: string): void {
    const [line, plan] = [this.line(), this.plan()];
    if (!line || !plan) return;
    const said = line.say({ kind: 'plan', ...(to ? { to } : {}), plan });
    this.wordless.set(!said);
    if (!said) line.say({ kind: 'plan', ...(to ? { to } : {}), plan: { ...plan, words: null } });
  }

  private sayState(to?: string): void {
    const line = this.line();
    // Until its clock is known, nothing can be said on it.
    if (!line || line.offset() === null) return;
    const state = this.runner.standsAt(line.now());
    // After a reload the run stands nowhere until it is taken up: walls count on from what they know.
    if (state) line.say({ kind: 'state', ...(to ? { to } : {}), state });
  }

  private sayPanel(to?: string): void {
    this.line()?.say({ kind: 'panel', ...(to ? { to } : {}), panel: this.panel() });
  }

  private press(press: Press): void {
    if (press.kind === 'pace') this.runner.pace(press.by);
    else if (press.kind === 'change') {
      // The moment is this tablet's, whatever the remote says.
      if (press.change.kind === 'undo') this.runner.undo();
      else this.runner.alter(press.change);
    } else
      ({
        toggle: () => this.runner.toggle(),
        hold: () => this.runner.hold(),
        back: () => this.runner.go('back'),
        forward: () => this.runner.go('forward'),
        repeat: () => this.runner.go('repeat'),
        'stage back': () => this.runner.stageBack(),
        stop: () => this.runner.stopNow(),
        undo: () => this.runner.undo(),
      })[press.deed]();
  }
}
