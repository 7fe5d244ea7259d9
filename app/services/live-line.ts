import { signal } from '@angular/core';
import { retry, repeat, Subject, timeout, timer, type Observable, type Subscription } from 'rxjs';
import { webSocket } from 'rxjs/webSocket';
import {
  keptTrips,
  offsetOf,
  readMessage,
  serverSchema,
  wallLimits,
  type Hello,
  type HostMessage,
  type Milliseconds,
  type Refusal,
  type RemoteMessage,
  type RoundTrip,
  type ServerMessage,
  type WallMessage,
} from '../../core/index';

/** How a line is: `lost` tries again by itself, `ended` does not. */
export type LineState = 'connecting' | 'open' | 'lost' | 'ended';
type Said = HostMessage | WallMessage | RemoteMessage;

/** Quickly at first, so that a screen is right at once; then so often that clocks cannot drift apart. */
const askEveryMs = { first: 250, later: 5000 } as const;
/** Nothing heard for so long: the other end is gone without a word. */
const lostAfterMs = 3 * askEveryMs.later;
const againAfterMs = { least: 500, most: 5000 } as const;

/** This page's own clock, which never goes back. */
const local = (): Milliseconds => performance.timeOrigin + performance.now();

/** A line to the live channel of the server that the page came from: it comes back by itself, and knows the server's clock. */
export class LiveLine {
  readonly state = signal<LineState>('connecting');
  /** Why the server has turned it away. */
  readonly refusal = signal<Refusal | null>(null);
  /** How far the server's clock is ahead of the page's; null until it has answered. */
  readonly offset = signal<Milliseconds | null>(null);
  private readonly heard = new Subject<ServerMessage>();
  readonly messages: Observable<ServerMessage> = this.heard;
  private readonly socket = webSocket<string>({
    url: `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}/live`,
    serializer: (text) => text,
    deserializer: ({ data }) => String(data),
    openObserver: { next: () => this.opened() },
    closeObserver: { next: () => this.state.update((state) => (state === 'ended' ? state : 'lost')) },
  });
  private trips: readonly RoundTrip[] = [];
  private asked: Milliseconds = -Infinity;
  private fails = 0;
  private wasIn = false;
  private readonly open: Subscription;
  private readonly asking: Subscription;

  /** `hello` is said anew whenever the line is open; `beats` come several times a second, in a hidden page too. */
  constructor(
    private readonly hello: () => Hello,
    beats: Observable<unknown>,
  ) {
    const again = (): Observable<number> => {
      this.fails += 1;
      return timer(Math.min(againAfterMs.most, againAfterMs.least * 2 ** (this.fails - 1)));
    };
    this.open = this.socket
      .pipe(timeout({ each: lostAfterMs }), retry({ delay: again }), repeat({ delay: again }))
      .subscribe((text) => this.hear(text));
    this.asking = beats.subscribe(() => this.ask());
  }

  private opened(): void {
    this.trips = [];
    this.state.set('open');
    this.socket.next(JSON.stringify(this.hello()));
    this.ask();
  }

  private hear(text: string): void {
    const message = readMessage(serverSchema, text);
    // What cannot be understood comes from another version of the server: what can be goes on.
    if (!message) return;
    if (message.kind === 'pong') {
      const { t0, t1, t2 } = message;
      this.trips = [...this.trips, { t0, t1, t2, t3: local() }].slice(-keptTrips);
      this.offset.set(offsetOf(this.trips));
      return;
    }
    if (message.kind === 'joined' || message.kind === 'opened') {
      this.wasIn = true;
      this.fails = 0;
    }
    if (
      message.kind === 'ended' ||
      message.kind === 'replaced' ||
      (message.kind === 'refused' && !this.passes(message.why))
    ) {
      if (message.kind === 'refused') this.refusal.set(message.why);
      this.end();
    }
    this.heard.next(message);
  }

  /** A restarted server learns code and secret from the tablet, which may come back after the screens. */
  private passes(why: Refusal): boolean {
    return why === 'too often' || ((why === 'no such code' || why === 'wrong secret') && this.wasIn);
  }

  private ask(): void {
    const now = local();
    const every = this.trips.length < keptTrips ? askEveryMs.first : askEveryMs.later;
    if (this.state() !== 'open' || now - this.asked < every) return;
    this.asked = now;
    this.say({ kind: 'ping', t0: now });
  }

  /** Says something; nothing where the line is not open, since what is late is wrong. False where it is too much for the line. */
  say(message: Said): boolean {
    if (this.state() !== 'open') return true;
    const text = JSON.stringify(message);
    if (text.length > wallLimits.hostBytes) return false;
    this.socket.next(text);
    return true;
  }

  /** The server's clock, as far as it is known. */
  now(): Milliseconds {
    return local() + (this.offset() ?? 0);
  }

  end(): void {
    this.state.set('ended');
    this.open.unsubscribe();
    this.asking.unsubscribe();
  }
}
