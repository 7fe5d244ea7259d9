import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { interval } from 'rxjs';
import {
  begin,
  compile,
  cues,
  go,
  handOver,
  leafIndexOf,
  notice,
  pause,
  positionOf,
  resume,
  sourceAt,
  stopNow,
  takeUp,
  tally,
  whatWasDone,
  type LogEntry,
  type Moment,
  type RunState,
  type Sheet,
  type SourceTime,
  type UnfinishedRun,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { LogService } from '../../services/log.service';
import { SettingsService } from '../../services/settings.service';
import { SoundService } from '../../services/sound.service';
import { UnfinishedRunService } from '../../services/unfinished-run.service';
import { Speaker } from './speaker';

/** Sounds are put on the audio clock this long ahead, so that a page whose timers are throttled still keeps time. */
const lookAheadMs = 3000;
const lookEveryMs = 100;
const keepEveryMs = 400;

/** Performs a sheet: looks at the clock, schedules what is heard, keeps what was done. */
@Injectable()
export class Runner {
  private readonly sound = inject(SoundService);
  private readonly settings = inject(SettingsService);
  private readonly unfinished = inject(UnfinishedRunService);
  private readonly log = inject(LogService);

  readonly sheet = signal<Sheet | null>(null);
  readonly timeline = computed(() => {
    const sheet = this.sheet();
    return sheet ? compile(sheet) : null;
  });
  readonly state = signal<RunState | null>(null);
  /** Last reading of the clock the run goes by, and of the page's clock at the same look. */
  private readonly source = signal<SourceTime>(0);
  private page: SourceTime = 0;
  readonly position = computed(() => {
    const state = this.state();
    return state ? positionOf(state, this.source()) : 0;
  });
  readonly index = computed(() => {
    const [state, timeline] = [this.state(), this.timeline()];
    return state && timeline ? leafIndexOf(state, timeline, this.source()) : -1;
  });
  readonly leaf = computed(() => this.timeline()?.leaves[this.index()] ?? null);
  readonly next = computed(() => this.timeline()?.leaves[this.index() + 1] ?? null);
  /** The entry of a run that is over; it is in the log before it is shown. */
  readonly entry = signal<LogEntry | null>(null);
  private readonly speaker = inject(Speaker);
  readonly said = this.speaker.said;

  private readonly cues = computed(() => {
    const timeline = this.timeline();
    return timeline ? cues(timeline, this.settings.settings().countFrom) : [];
  });
  /** Whether the source is the audio clock; the page's clock stands in while audio is blocked. */
  private onAudio = false;
  private nextCue = 0;
  private lastKept = 0;
  private rate = 1;
  private frame = 0;

  constructor() {
    const destroyed = inject(DestroyRef);
    interval(lookEveryMs)
      .pipe(takeUntilDestroyed(destroyed))
      .subscribe(() => this.look());
    destroyed.onDestroy(() => {
      cancelAnimationFrame(this.frame);
      this.sound.silence();
      this.keep(true);
    });
    const draw = (): void => {
      this.look();
      this.frame = requestAnimationFrame(draw);
    };
    this.frame = requestAnimationFrame(draw);
  }

  async start(sheet: Sheet, rate: number): Promise<void> {
    await this.sound.unlock();
    this.show(sheet);
    this.rate = rate;
    this.entry.set(null);
    this.onAudio = this.sound.now() !== null;
    this.set(begin(this.now(), this.settings.settings().countIn * 1000, rate));
  }

  /** Goes on with a run that a reload broke off; it stands paused at its second. */
  async takeUp(run: UnfinishedRun): Promise<void> {
    await this.sound.unlock();
    this.show(run.sheet);
    this.rate = run.rate;
    this.onAudio = this.sound.now() !== null;
    this.set(takeUp(run.at, run.breaksPassed, run.deeds, run.rate));
  }

  private show(sheet: Sheet): void {
    this.sheet.set(sheet);
    this.speaker.sheet.set(sheet);
    this.speaker.timeline.set(this.timeline());
  }

  toggle(): void {
    this.change((state, now) => (state.phase === 'running' ? pause(state, now) : resume(state, now)));
  }

  go(where: 'back' | 'forward' | 'repeat'): void {
    const timeline = this.timeline();
    if (timeline) this.change((state, now) => go(state, timeline, where, now));
  }

  stopNow(): void {
    const before = this.state();
    this.sound.silence();
    this.change(stopNow);
    if (this.state() !== before && this.rate === 1) this.speaker.stop();
  }

  private change(deed: (state: RunState, now: Moment) => RunState): void {
    const state = this.state();
    if (!state) return;
    const after = deed(state, this.now());
    if (after !== state) this.set(after);
  }

  /** Reads both clocks at one moment. */
  private read(): SourceTime {
    this.page = performance.now();
    const source = this.onAudio ? (this.sound.now() ?? this.page) : this.page;
    this.source.set(source);
    return source;
  }

  private now(): Moment {
    return { source: this.read(), wall: Date.now() };
  }

  /** A new state by somebody's doing: what was planned ahead is silenced and planned anew. */
  private set(state: RunState): void {
    this.state.set(state);
    this.read();
    this.replan();
    this.settle(state);
  }

  private replan(): void {
    this.sound.silence();
    const state = this.state();
    const at = state ? positionOf(state, this.source()) : 0;
    const next = this.cues().findIndex((cue) => cue.at >= at - 1 && cue.breaksBefore >= (state?.breaksPassed ?? 0));
    this.nextCue = next < 0 ? this.cues().length : next;
    this.speaker.from(at);
  }

  /** What follows from any new state, whoever made it. */
  private settle(state: RunState): void {
    this.keep(true);
    this.announce();
    if (state.phase === 'over') void this.finish(state);
  }

  private look(): void {
    const [state, timeline] = [this.state(), this.timeline()];
    if (!state || !timeline || state.phase === 'over') return;
    this.changeClocks(state);
    const before = this.state() ?? state;
    const noticed = notice(before, timeline, this.now());
    // Time brought a break or the end: the bell that rings there rings out.
    if (noticed !== before) {
      this.state.set(noticed);
      this.settle(noticed);
    }
    this.schedule();
    this.announce();
    this.keep(false);
  }

  /** Audio may be blocked or taken away in the middle of a run; the session goes on without a jump. */
  private changeClocks(state: RunState): void {
    const audio = this.sound.now();
    if (this.onAudio === (audio !== null)) return;
    // Blocked audio stands still at an unknown moment: both clocks were last read together at the last look.
    const clock =
      audio === null
        ? handOver(state.clock, this.source(), this.page)
        : handOver(state.clock, performance.now(), audio);
    this.onAudio = audio !== null;
    this.state.set({ ...state, clock });
    this.read();
    this.replan();
  }

  /** Puts what is heard soon on the audio clock; nothing from behind an open break that has not been passed. */
  private schedule(): void {
    const state = this.state();
    if (state?.phase !== 'running' || !this.onAudio) return;
    const until = positionOf(state, this.source()) + lookAheadMs * this.rate;
    for (
      let cue = this.cues()[this.nextCue];
      cue && cue.at <= until && cue.breaksBefore <= state.breaksPassed;
      cue = this.cues()[(this.nextCue += 1)]
    )
      this.sound.playAt(cue.kind, sourceAt(state.clock, cue.at));
    // In a rehearsal nothing is spoken: words cannot be hurried.
    if (this.rate === 1) this.speaker.plan(state, this.source(), lookAheadMs);
  }

  /** The words of the moment, on the screen and where no clip says them. */
  private announce(): void {
    const state = this.state();
    if (state) this.speaker.show(state, this.leaf(), positionOf(state, this.source()), this.rate);
  }

  private keep(now: boolean): void {
    const [state, sheet] = [this.state(), this.sheet()];
    if (!state || !sheet || state.phase === 'over') return;
    if (!now && Date.now() - this.lastKept < keepEveryMs) return;
    this.lastKept = Date.now();
    void this.unfinished.put({
      sheet,
      at: positionOf(state, this.source()),
      breaksPassed: state.breaksPassed,
      deeds: [...state.deeds],
      rate: this.rate,
      seen: Date.now(),
    });
  }

  /** Writes the entry, then shows it. */
  private async finish(state: RunState): Promise<void> {
    const [sheet, timeline] = [this.sheet(), this.timeline()];
    if (!sheet || !timeline) return;
    const entry: LogEntry = {
      id: freshId(),
      startedAt: state.deeds[0]?.wall ?? Date.now(),
      sheetId: sheet.id,
      title: sheet.title,
      sheet,
      planned: {
        ms: timeline.ms,
        rounds: timeline.rounds,
        punches: Math.round(tally(timeline, sheet.stance).counts.punches),
      },
      done: whatWasDone(state.deeds, timeline),
      deeds: [...state.deeds].slice(-5000),
      effort: null,
      counted: null,
      note: '',
      rehearsal: this.rate !== 1,
    };
    await this.log.put(entry);
    await this.unfinished.clear();
    this.entry.set(entry);
  }
}
