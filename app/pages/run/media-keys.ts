import { DestroyRef, effect, inject, Injectable } from '@angular/core';
import { wavHead, type Hertz } from '../../../core/index';
import { Runner } from './runner';

/** Silence of a length for which browsers give a page the keys of a headset and a keyboard (Chromium: 5 s and more). */
const silenceSeconds = 10;
const rate: Hertz = 8000;

/** Keys for play and pause, a piece back and on, on keyboards, headsets and locked screens (W3C Media Session). */
@Injectable()
export class MediaKeys {
  private readonly runner = inject(Runner);
  private readonly silence = new Audio();
  private made = '';

  constructor() {
    const session: MediaSession | undefined = navigator.mediaSession;
    if (!session) return;
    effect(() => {
      const [phase, sheet] = [this.runner.state()?.phase ?? null, this.runner.sheet()];
      const runs = phase === 'running';
      session.playbackState = phase === null || phase === 'over' ? 'none' : runs ? 'playing' : 'paused';
      session.metadata = sheet ? new MediaMetadata({ title: sheet.title || 'Session', artist: 'Keen Tempo' }) : null;
      // Without something that plays, no browser hands the keys out.
      if (phase !== null && phase !== 'over') void this.play();
      else this.silence.pause();
    });
    const keys: readonly (readonly [MediaSessionAction, () => void])[] = [
      ['play', () => this.ifStanding()],
      ['pause', () => this.ifRunning()],
      ['stop', () => this.runner.stopNow()],
      ['previoustrack', () => this.runner.go('back')],
      ['nexttrack', () => this.runner.go('forward')],
    ];
    for (const [action, press] of keys) this.listen(session, action, press);
    inject(DestroyRef).onDestroy(() => {
      for (const [action] of keys) this.listen(session, action, null);
      session.playbackState = 'none';
      session.metadata = null;
      this.silence.pause();
      URL.revokeObjectURL(this.made);
    });
  }

  private listen(session: MediaSession, action: MediaSessionAction, press: (() => void) | null): void {
    try {
      session.setActionHandler(action, press);
    } catch {
      // A browser that does not know this key.
    }
  }

  private ifRunning(): void {
    if (this.runner.state()?.phase === 'running') this.runner.toggle();
  }

  private ifStanding(): void {
    if (this.runner.state()?.phase !== 'running') this.runner.toggle();
  }

  private async play(): Promise<void> {
    if (this.made === '') {
      const samples = silenceSeconds * rate;
      this.made = URL.createObjectURL(
        new Blob([wavHead(samples, rate), new Int16Array(samples)], { type: 'audio/wav' }),
      );
      this.silence.src = this.made;
      this.silence.loop = true;
    }
    await this.silence.play().catch(() => undefined);
  }
}
