import { inject, Injectable, signal } from '@angular/core';
import { clipsOfCall, cues, type CallTrack, type Timeline } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';
import { SoundService } from '../../services/sound.service';
import { VoiceService } from '../../services/voice.service';

/** How much is played at once. */
const stretchMs = 30_000;

/** Plays a stretch of the script, so that the coach hears how it goes. */
@Injectable()
export class Listener {
  private readonly sound = inject(SoundService);
  private readonly voices = inject(VoiceService);
  private readonly settings = inject(SettingsService);
  readonly playing = signal(false);
  private timer: ReturnType<typeof setTimeout> | undefined;

  async play(track: CallTrack, timeline: Timeline, from: number): Promise<void> {
    this.stop();
    await this.sound.unlock();
    const now = this.sound.now();
    if (now === null) return;
    const begin = now + 150 - from;
    const [voice, recording] = [this.voices.voice(), this.voices.recording()];
    const inside = ({ at }: { readonly at: number }): boolean => at >= from && at < from + stretchMs;
    for (const { kind, at } of cues(timeline, this.settings.settings().countFrom).filter(inside))
      this.sound.playAt(kind, begin + at);
    for (const call of track.calls.filter((each) => inside(each) && each.kind !== 'bell'))
      if (voice && recording) this.sound.speakAt(recording, clipsOfCall(call, voice).clips, begin + call.at);
    this.playing.set(true);
    this.timer = setTimeout(() => {
      this.playing.set(false);
    }, stretchMs);
  }

  stop(): void {
    clearTimeout(this.timer);
    this.sound.silence();
    this.playing.set(false);
  }
}
