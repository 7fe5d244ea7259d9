import { computed, DestroyRef, effect, inject, Injectable, Injector, signal } from '@angular/core';
import {
  clockAt,
  compile,
  liveTimeline,
  notice,
  sameParts,
  saidAt,
  soundsOf,
  whereIs,
  workFault,
  type Hello,
  type RemoteDeed,
  type RemotePanel,
  type Press,
  type Refusal,
  type RunState,
  type ServerMessage,
  type Showing,
  type SoundCue,
  type WallPlan,
  type WallState,
} from '../../core/index';
import { AwakeService } from './awake.service';
import { LiveLine } from './live-line';
import { Presses } from './presses';
import type { SoundService } from './sound.service';
import { TickerService } from './ticker.service';

const beatMs = 250;
/** Bells are put on the audio clock so long ahead. */
const aheadMs = 1500;

/** Follows a run on another device: goes by the server's clock, and counts on by itself while the line is lost. */
@Injectable()
export class Follower {
  private readonly beats = inject(TickerService).every(beatMs);
  private readonly injector = inject(Injector);
  private readonly awake = inject(AwakeService);
  private readonly on = signal<LiveLine | null>(null);
  private readonly plan = signal<WallPlan | null>(null);
  private readonly state = signal<WallState | null>(null);
  /** Reading of the server's clock at the last look. */
  private readonly source = signal(0);
  readonly hostHere = signal(true);
  readonly over = signal(false);
  readonly refusal = signal<Refusal | null>(null);
  /** What the coach has put on this wall. */
  readonly told = signal<Showing | null>(null);
  /** What a remote can press. */
  readonly panel = signal<RemotePanel | null>(null);
  readonly line = computed(() => this.on()?.state() ?? null);
  private readonly follows = computed(() => this.on() !== null && this.refusal() === null && !this.over());

  readonly sheet = computed(() => this.plan()?.sheet ?? null);
  readonly breathHeld = computed(() => this.plan()?.breathHeld ?? false);
  readonly named = computed(() => this.plan()?.named ?? true);
  readonly words = computed(() => this.plan()?.words ?? null);
  private readonly planned = computed(() => {
    const sheet = this.sheet();
    return sheet ? compile(sheet) : null;
  });
  readonly timeline = computed(() => {
    const [plan, planned] = [this.plan(), this.planned()];
    return plan && planned ? liveTimeline(planned, plan.changes) : null;
  });
  private readonly cues = computed((): readonly SoundCue[] => {
    const [timeline, words] = [this.timeline(), this.words()];
    return timeline && words ? soundsOf(timeline, [...words.lead, ...words.calls], words.breaks) : [];
  });
  /** The run as it stands now: time goes on here, too, to an open break or to the end. */
  private readonly run = computed((): RunState | null => {
    const [state, timeline] = [this.state(), this.timeline()];
    if (!state || !timeline) return null;
    return notice({ ...state, deeds: [] }, timeline, { source: this.source(), wall: 0 });
  });
  readonly phase = computed(() => this.run()?.phase ?? null);
  readonly breaksPassed = computed(() => this.run()?.breaksPassed ?? 0);
  /** Before the start it stands at second zero. */
  readonly where = computed(() => {
    const [run, timeline] = [this.run(), this.timeline()];
    if (!timeline) return null;
    return whereIs(run ?? waiting, timeline, this.source());
  });
  readonly said = computed(() => {
    const [words, where] = [this.words(), this.where()];
    if (!words || !where || this.phase() === null || where.leaf?.open) return '';
    return saidAt(words, where.leaf, where.position)?.say ?? '';
  });

  private hello: Exclude<Hello, { kind: 'open' }> | null = null;
  /** What this device comes back with, where it was changed while it was in. */
  readonly moved = signal<Extract<ServerMessage, { kind: 'moved' }> | null>(null);
  private bells: SoundService | null = null;
  private rung = -Infinity;

  constructor() {
    let frame = 0;
    const draw = (): void => {
      this.look();
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    const hidden = this.beats.subscribe(() => this.look());
    effect(() => {
      // What was put ahead is of another moment.
      this.state();
      this.bells?.silence();
      this.rung = -Infinity;
    });
    // A screen that follows does not go dark in class.
    effect(() => {
      if (this.follows()) void this.awake.keep();
      else this.awake.letGo();
    });
    inject(DestroyRef).onDestroy(() => {
      this.awake.letGo();
      cancelAnimationFrame(frame);
      hidden.unsubscribe();
      this.end();
    });
  }

  /** Joins a room; what was followed before is let go. */
  follow(hello: Exclude<Hello, { kind: 'open' }>): void {
    this.end();
    this.refusal.set(null);
    this.over.set(false);
    this.hello = hello;
    const line = new LiveLine(() => this.hello ?? hello, this.beats);
    line.messages.subscribe((message) => this.hear(message));
    this.on.set(line);
  }

  end(): void {
    this.outgoing.clear();
    this.on()?.end();
    this.on.set(null);
    this.plan.set(null);
    this.state.set(null);
    this.panel.set(null);
    this.bells?.silence();
  }

  /** Tells the coach what this wall shows. */
  show(showing: Showing): void {
    if (this.line() === 'open') this.on()?.say({ kind: 'showing', showing });
  }

  private readonly outgoing = new Presses((press) => this.sayPress(press));
  private presses = 0;

  /** Sent as fast as the server passes presses on; Stop before all others. */
  press(press: Press): void {
    if (this.line() === 'open') this.outgoing.add(press);
  }

  private sayPress(press: Press): void {
    this.on()?.say({ kind: 'press', number: (this.presses += 1), press });
  }

  deed(deed: RemoteDeed): void {
    this.press({ kind: 'deed', deed });
  }

  /** Rings the bells here, too; asked for by a press, since browsers play nothing before one. */
  async sound(on: boolean): Promise<void> {
    if (!on) {
      this.bells?.silence();
      this.bells = null;
      return;
    }
    const { SoundService: service } = await import('./sound.service');
    const bells = this.injector.get(service);
    await bells.unlock();
    this.bells = bells;
  }

  private hear(message: ServerMessage): void {
    switch (message.kind) {
      case 'plan':
        // What would unfold beyond all bounds is not laid out, whoever sends it.
        if (workFault(message.plan.sheet) === null) this.takePlan(message.plan);
        return;
      case 'state':
        this.state.set(message.state);
        return;
      case 'panel':
        this.panel.set(message.panel);
        return;
      case 'moved':
        this.move(message);
        return;
      case 'show':
        this.told.set(message.showing);
        return;
      case 'host':
        this.hostHere.set(message.here);
        return;
      case 'refused':
        // Whoever was in once waits for the tablet, which may come back later (a server that was started anew).
        if (this.line() !== 'ended') return;
        this.refusal.set(message.why);
        this.end();
        return;
      case 'ended':
        this.end();
        this.over.set(true);
        return;
      default:
        return;
    }
  }

  /** Another device was removed: the room has a new code, and remotes have a new secret. */
  private move(moved: Extract<ServerMessage, { kind: 'moved' }>): void {
    const { code, control } = moved;
    if (this.hello?.kind === 'control') this.hello = { ...this.hello, code, secret: control ?? this.hello.secret };
    else if (this.hello) this.hello = { ...this.hello, code };
    this.moved.set(moved);
  }

  /** A live change comes with the whole plan: only what it changes is worked out again. */
  private takePlan(plan: WallPlan): void {
    this.plan.update((before) => ({ ...plan, sheet: sameParts(before?.sheet ?? null, plan.sheet) }));
  }

  private look(): void {
    const line = this.on();
    if (!line || line.offset() === null) return;
    this.source.set(line.now());
    this.ring();
  }

  /** Puts the bells of the next moment on the audio clock. */
  private ring(): void {
    const [run, bells] = [this.run(), this.bells];
    const now = bells?.now() ?? null;
    if (!run || !bells || now === null || run.phase !== 'running') return;
    const at = clockAt(run.clock, this.source());
    const until = at + aheadMs * run.clock.rate;
    const from = Math.max(at, this.rung);
    for (const cue of this.cues())
      if (cue.at >= from && cue.at < until && cue.breaksBefore === run.breaksPassed)
        bells.playAt(cue.kind, now + (cue.at - at) / run.clock.rate);
    this.rung = until;
  }
}

/** A run that has not begun. */
const waiting: RunState = {
  phase: 'paused',
  clock: { anchorSession: 0, anchorSource: 0, running: false, rate: 1 },
  breaksPassed: 0,
  deeds: [],
};
