import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { filter, firstValueFrom } from 'rxjs';
import {
  begin,
  endRun,
  go,
  goTo,
  handOver,
  hold,
  lastJump,
  livePaces,
  mostDeeds,
  notice,
  pause,
  positionOf,
  resume,
  stageBefore,
  stopNow,
  takeJumpBack,
  takeUp,
  type Moment,
  type RunState,
  type SessionTime,
  type Script,
  type Sheet,
  type SourceTime,
  type UnfinishedRun,
  whereIs,
  withFreshDrills,
  type WallState,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import { ScriptService } from '../../services/script.service';
import { SoundService } from '../../services/sound.service';
import { TickerService } from '../../services/ticker.service';
import { Live, type Pressed } from './live';
import { RunEntry } from './run-entry';
import { RunKeeper } from './run-keeper';
import { RunSensors } from './run-sensors';
import { RunSounds } from './run-sounds';
import { RunSource } from './run-source';
import { Speaker } from './speaker';

const lookEveryMs = 100;
/** Sound that has come so late after a bell still sounds it. */
const lateBellMs = 1000;
const jumpNames = { back: 'went back', forward: 'skipped ahead', repeat: 'repeated' } as const;
/** Performs a sheet: looks at the clock, schedules what is heard, keeps what was done. */
@Injectable()
export class Runner {
  private readonly sound = inject(SoundService);
  private readonly settings = inject(SettingsService);
  private readonly keeper = inject(RunKeeper);
  private readonly scripts = inject(ScriptService);
  private readonly ticker = inject(TickerService);
  private readonly source = inject(RunSource);
  private readonly sensors = inject(RunSensors);

  private readonly live = inject(Live);
  readonly sheet = this.live.sheet.asReadonly();
  readonly timeline = this.live.timeline;
  readonly state = signal<RunState | null>(null);
  readonly position = computed(() => {
    const state = this.state();
    return state ? positionOf(state, this.source.source()) : 0;
  });
  readonly where = computed(() => {
    const [state, timeline] = [this.state(), this.timeline()];
    return state && timeline ? whereIs(state, timeline, this.source.source()) : null;
  });
  readonly leaf = computed(() => this.where()?.leaf ?? null);
  private readonly entries = inject(RunEntry);
  readonly entry = this.entries.entry.asReadonly();
  private readonly speaker = inject(Speaker);
  private readonly sounds = inject(RunSounds);
  readonly said = this.speaker.said;

  /** The script as the worker has made it, and the sheet that it is of. */
  readonly script = signal<Script | null>(null);
  private readonly scriptReady = toObservable(this.script).pipe(filter((script) => script !== null));
  /** What was pressed last: whatever that was is what can be taken back. */
  private readonly pressed = signal<'change' | 'jump' | 'hold'>('change');
  /** What can be taken back, in words. */
  readonly last = computed(() => {
    const state = this.state();
    const jump = state && this.pressed() === 'jump' ? lastJump(state) : null;
    if (state?.phase === 'held' && this.pressed() === 'hold') return 'class on hold';
    return jump ? jumpNames[jump.what as keyof typeof jumpNames] : this.live.last();
  });
  private rate = 1;
  private frame = 0;
  /** Between the press and the first second: a second press begins nothing. */
  private starting = false;

  constructor() {
    const destroyed = inject(DestroyRef);
    this.ticker
      .every(lookEveryMs)
      .pipe(takeUntilDestroyed(destroyed))
      .subscribe(() => this.look());
    this.scripts
      .of(toObservable(this.sheet), toObservable(this.live.changes))
      .pipe(takeUntilDestroyed(destroyed))
      .subscribe((script) => this.goBy(script));
    destroyed.onDestroy(() => {
      cancelAnimationFrame(this.frame);
      this.sound.silence();
      this.keep(true);
      this.keeper.letGo();
    });
    const draw = (): void => {
      this.look();
      this.frame = requestAnimationFrame(draw);
    };
    this.frame = requestAnimationFrame(draw);
  }

  /** Begins a run; false where one is beginning or goes on already. */
  start(sheet: Sheet, rate: number): Promise<boolean> {
    return this.once(() => this.begin(sheet, rate));
  }

  private async once(begin: () => Promise<void>): Promise<boolean> {
    if (this.starting || this.running()) return false;
    this.starting = true;
    try {
      await begin();
      return true;
    } finally {
      this.starting = false;
    }
  }

  private async begin(sheet: Sheet, rate: number): Promise<void> {
    await this.sound.unlock();
    // Drawn by this run: who has done a drill before cannot know what comes.
    const drawn = withFreshDrills(sheet, Date.now());
    await this.show(drawn);
    this.live.begin(drawn);
    this.rate = rate;
    this.keeper.own(freshId());
    this.entries.begin();
    this.source.choose();
    this.set(begin(this.source.now(), this.settings.settings().countIn * 1000, rate));
  }

  /** Goes on with a run that a reload broke off; it stands paused at its second. */
  takeUp(key: string, run: UnfinishedRun): Promise<boolean> {
    return this.once(() => this.goOnWith(key, run));
  }

  private async goOnWith(key: string, run: UnfinishedRun): Promise<void> {
    await this.sound.unlock();
    await this.show(run.sheet);
    this.keeper.own(key);
    this.rate = run.rate;
    this.source.choose();
    this.live.begin(run.sheet, run.changes);
    this.set(takeUp(run.at, run.breaksPassed, run.deeds, run.rate));
  }

  /** Has the script of a sheet made, so that the run can begin at once when somebody presses. */
  prepare(sheet: Sheet): void {
    if (this.sheet() === sheet) return;
    this.script.set(null);
    this.live.begin(sheet);
    this.speaker.sheet.set(sheet);
  }

  /** Takes a sheet up, and waits for its script: nothing begins before it is known what is said. */
  private async show(sheet: Sheet): Promise<void> {
    this.prepare(sheet);
    if (this.script() === null) await firstValueFrom(this.scriptReady);
  }

  private goBy(script: Script): void {
    this.script.set(script);
    this.sounds.goBy(script);
    if (this.state() && this.state()?.phase !== 'over') this.sounds.replan(this.state());
  }

  toggle(): void {
    this.change((state, now) => (state.phase === 'running' ? pause(state, now) : resume(state, now)));
  }

  /** Everyone with me: the clock waits, the feet do not. */
  hold(): void {
    this.change(hold);
    this.pressed.set('hold');
    if (this.state()?.phase === 'held' && this.rate === 1) this.speaker.hold();
  }

  /** Changes what is to come, from now on; false where that changes nothing. */
  alter(pressed: Pressed): boolean {
    if (!this.running() || !this.live.change(pressed, this.moment())) return false;
    this.pressed.set('change');
    return true;
  }

  /**
   * So much faster, or slower, than now; within what a class is made to do. `goesOn` where a key is held: all of it is one
   * change, taken back at once.
   */
  pace(by: number, goesOn = false): void {
    const wanted = Math.round((this.live.pace() + by) * 100) / 100;
    const factor = Math.min(livePaces.most, Math.max(livePaces.least, wanted));
    if (factor === this.live.pace() || !this.running()) return;
    if (goesOn) this.live.goOnPacing(factor, this.moment());
    else this.alter({ kind: 'pace', factor });
  }

  /** Takes the last press back, whichever it was: a hold, a jump through the session, or a change of it. */
  undo(): void {
    if (!this.running()) return;
    const timeline = this.timeline();
    const last = this.pressed();
    this.pressed.set('change');
    if (last === 'hold' && this.state()?.phase === 'held') this.toggle();
    else if (last === 'jump' && timeline) this.change((state, now) => takeJumpBack(state, timeline, now));
    else this.live.undo(this.moment());
  }

  private running(): boolean {
    const phase = this.state()?.phase;
    return phase !== undefined && phase !== 'over';
  }

  private moment(): SessionTime {
    return Math.round(this.position());
  }

  /** Goes to the beginning of the stage before this one of the same build; does nothing in the first. */
  stageBack(): void {
    const [state, timeline, leaf] = [this.state(), this.timeline(), this.leaf()];
    const before = timeline && leaf ? stageBefore(timeline, leaf) : null;
    if (!state || !timeline || !before) return;
    this.set(goTo(state, timeline, before, this.source.now()));
    this.pressed.set('jump');
  }

  go(where: 'back' | 'forward' | 'repeat'): void {
    const timeline = this.timeline();
    if (timeline) this.change((state, now) => go(state, timeline, where, now));
    this.pressed.set('jump');
  }

  stopNow(): void {
    const before = this.state();
    this.sound.silence();
    this.change(stopNow);
    if (this.state() !== before && this.rate === 1) this.speaker.stop();
  }

  /** How the run stands, on a clock that others know, which shows `now` at this moment. */
  standsAt(now: SourceTime): WallState | null {
    const state = this.state();
    if (!state) return null;
    const { phase, clock, breaksPassed } = state;
    return { phase, clock: handOver(clock, this.source.read(), now), breaksPassed };
  }

  /** Ends a run that was stopped; its entry is in the log then. */
  end(): void {
    this.change(endRun);
  }

  private change(deed: (state: RunState, now: Moment) => RunState): void {
    const state = this.state();
    if (!state) return;
    const after = deed(state, this.source.now());
    if (after !== state) this.set(after);
  }

  /** A new state by somebody's doing: what was planned ahead is silenced and planned anew. */
  private set(state: RunState): void {
    this.state.set(state);
    this.source.read();
    this.sounds.replan(this.state());
    this.sounds.schedule(state, this.rate);
    this.settle(state);
  }

  /** What follows from any new state, whoever made it. */
  private settle(state: RunState): void {
    this.keep(true);
    this.announce();
    if (state.phase === 'over') void this.entries.finish(state, this.rate);
    else if (state.phase === 'stopped') void this.entries.note(state, this.rate);
  }

  private look(): void {
    const [state, timeline] = [this.state(), this.timeline()];
    if (!state || !timeline || state.phase === 'over') return;
    if (this.noticeSleep(state)) return;
    this.changeClocks(state);
    this.source.lookForSilence(state.phase === 'running');
    this.noticeJump();
    const before = this.state() ?? state;
    const noticed = notice(before, timeline, this.source.now());
    // Time brought a break or the end: the bell that rings there rings out.
    if (noticed !== before) {
      this.state.set(noticed);
      this.settle(noticed);
    }
    this.sensors.look(before, timeline, this.position());
    const now = this.state();
    if (now) this.sounds.schedule(now, this.rate);
    this.announce();
    this.keep(false);
  }

  /** Nobody trained while the device slept: the session stands at the last second that was seen, and its coach decides. */
  private noticeSleep(state: RunState): boolean {
    const from = state.phase === 'running' ? this.source.sleptFrom() : null;
    if (from !== null) this.set(pause(state, { source: from, wall: Date.now() }));
    return from !== null;
  }

  /** What was put ahead on a clock that has jumped is planned anew: nothing of it sounds together at the wrong moment. */
  private noticeJump(): void {
    const from = this.source.jumpedFrom();
    const state = this.state();
    if (from !== null && state?.phase === 'running') this.sounds.replan(state, positionOf(state, from));
  }

  /** The session goes on without a jump where its clock is taken away or comes back. */
  private changeClocks(state: RunState): void {
    const clock = this.source.change(state.clock);
    if (!clock) return;
    this.state.set({ ...state, clock });
    this.source.read();
    const now = this.state();
    // Sound that has just come sounds what it was too late for by a moment.
    this.sounds.replan(
      now,
      now && this.source.onAudio ? positionOf(now, this.source.source()) - lateBellMs : undefined,
    );
  }

  /** The words of the moment, on the screen and where no clip says them. */
  private announce(): void {
    const state = this.state();
    if (state) this.speaker.show(state, this.leaf(), positionOf(state, this.source.source()), this.rate);
  }

  private keep(now: boolean): void {
    const [state, sheet] = [this.state(), this.sheet()];
    if (!state || !sheet || state.phase === 'over') return;
    const changes = this.live.changes();
    this.keeper.keep(now, () => ({
      sheet,
      at: positionOf(state, this.source.source()),
      breaksPassed: state.breaksPassed,
      deeds: state.deeds.slice(-mostDeeds),
      ...(changes.length > 0 ? { changes: [...changes] } : {}),
      rate: this.rate,
      seen: Date.now(),
    }));
  }
}
