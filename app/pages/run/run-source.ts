import { inject, Injectable, signal } from '@angular/core';
import { handOver, type Milliseconds, type Moment, type RunClock, type SourceTime } from '../../../core/index';
import { SoundService } from '../../services/sound.service';

/** The two clocks drift less than this between two looks, unless one of them has jumped. */
const jumpMs = 500;

/** A clock that has run on for so long between two looks was left alone: the device slept, or the page stood still. */
const sleepMs = 30_000;

/** A run that has been silent for so long says so. */
const saidSilentMs = 2000;

/** The clock that a run goes by: the audio clock, or the page's while audio is blocked. */
@Injectable()
export class RunSource {
  private readonly sound = inject(SoundService);
  /** Last reading of the clock the run goes by, and of the page's clock at the same look. */
  private readonly last = signal<SourceTime>(0);
  readonly source = this.last.asReadonly();
  private page: SourceTime = 0;
  /** What both clocks showed when they were last read for a jump. */
  private seen: { readonly source: SourceTime; readonly page: SourceTime } | null = null;
  /** Whether it is the audio clock. */
  onAudio = false;

  private readonly quiet = signal(false);
  /** Whether a run has gone on without the audio clock for so long that it is to be said. */
  readonly silent = this.quiet.asReadonly();
  private quietSince: SourceTime | null = null;

  /** Notes how long a run has gone on without the audio clock. */
  lookForSilence(running: boolean): void {
    if (this.onAudio || !running) this.quietSince = null;
    else this.quietSince ??= performance.now();
    this.quiet.set(this.quietSince !== null && performance.now() - this.quietSince >= saidSilentMs);
  }

  /** Takes the audio clock where there is one now. */
  choose(): void {
    this.onAudio = this.sound.now() !== null;
  }

  /** Reads both clocks at one moment. */
  read(): SourceTime {
    this.page = performance.now();
    const source = this.onAudio ? (this.sound.now() ?? this.page) : this.page;
    this.last.set(source);
    return source;
  }

  private readonly sleep = signal<Milliseconds>(0);
  /** How long the device slept in a run that has stood since; 0 where it did not. */
  readonly slept = this.sleep.asReadonly();

  /**
   * Where the clock of a running session has run on while nobody looked, by more than a class stands still for: its reading
   * before that; else null.
   */
  sleptFrom(): SourceTime | null {
    const before = this.last();
    const audio = this.onAudio ? this.sound.now() : null;
    // Either clock may have run on: sound that the device took away stands, while the page's clock does not.
    const ms = Math.max(performance.now() - this.page, audio === null ? 0 : audio - before);
    this.sleep.set(ms > sleepMs ? ms : 0);
    return ms > sleepMs ? before : null;
  }

  now(): Moment {
    return { source: this.read(), wall: Date.now() };
  }

  /** Audio may be blocked or taken away in the middle of a run: the same session on the other clock, or null while this one goes on. */
  change(clock: RunClock): RunClock | null {
    const audio = this.sound.now();
    if (this.onAudio === (audio !== null)) return null;
    // Blocked audio stands still at an unknown moment: both clocks were last read together at the last look.
    const changed =
      audio === null ? handOver(clock, this.last(), this.page) : handOver(clock, performance.now(), audio);
    this.onAudio = audio !== null;
    this.seen = null;
    return changed;
  }

  /** Where the audio clock has run on without the page, or the page without it (a device that slept): its reading before that; else null. */
  jumpedFrom(): SourceTime | null {
    const before = this.seen;
    this.read();
    this.seen = { source: this.last(), page: this.page };
    if (!before || !this.onAudio) return null;
    const apart = this.last() - before.source - (this.page - before.page);
    return Math.abs(apart) > jumpMs ? before.source : null;
  }
}
