import { inject, Injectable } from '@angular/core';
import {
  dueFrom,
  positionOf,
  sourceAt,
  type RunState,
  type Script,
  type SessionTime,
  type SoundCue,
} from '../../../core/index';
import { SoundService } from '../../services/sound.service';
import { RunSource } from './run-source';
import { Speaker } from './speaker';

/**
 * Sounds are put on the audio clock this long ahead: browsers let a hidden page's timers run once a minute, and a session
 * must be heard all the same.
 */
const lookAheadMs = 90_000;

/** What a run sounds like from here on, put on the audio clock: bells, clicks and words of one script. */
@Injectable()
export class RunSounds {
  private readonly sound = inject(SoundService);
  private readonly source = inject(RunSource);
  private readonly speaker = inject(Speaker);
  private cues: readonly SoundCue[] = [];
  private next = 0;

  /** Goes by another script from now on. */
  goBy(script: Script): void {
    this.cues = script.sounds;
    this.speaker.goBy(script);
  }

  /** Silences what is on the clock and goes on from a moment; from now, unless some of what was missed is to be looked at. */
  replan(state: RunState | null, from?: SessionTime): void {
    this.sound.silence();
    const at = state ? positionOf(state, this.source.source()) : 0;
    const since = Math.min(from ?? at, at) - 1;
    const next = this.cues.findIndex((cue) => cue.at >= since && cue.breaksBefore >= (state?.breaksPassed ?? 0));
    this.next = next < 0 ? this.cues.length : next;
    this.speaker.from(at);
  }

  /** Puts what is heard soon on the audio clock; nothing from behind an open break that has not been passed. */
  schedule(state: RunState, rate: number): void {
    if (state.phase !== 'running' || !this.source.onAudio) return;
    const at = positionOf(state, this.source.source());
    const until = at + lookAheadMs * rate;
    // What was missed while nobody looked is not fired together: one cue tells how things stand.
    const { late, next } = dueFrom(this.cues, this.next, at, state.breaksPassed);
    this.next = next;
    if (late) this.sound.playAt(late.kind, this.source.source());
    for (
      let cue = this.cues[this.next];
      cue && cue.at <= until && cue.breaksBefore <= state.breaksPassed;
      cue = this.cues[(this.next += 1)]
    )
      this.sound.playAt(cue.kind, sourceAt(state.clock, cue.at));
    // In a rehearsal nothing is spoken: words cannot be hurried.
    if (rate === 1) this.speaker.plan(state, this.source.source(), lookAheadMs);
  }
}
