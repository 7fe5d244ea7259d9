import { computed, inject, Injectable, signal, type OnDestroy } from '@angular/core';
import { clipsOfCall, type Call, type Script, type SessionTime } from '../../../core/index';
import { SoundService } from '../../services/sound.service';
import { VoiceService } from '../../services/voice.service';

/** How much is played at once. */
const stretchMs = 30_000;
const leadMs = 150;

/** Plays a stretch of the script, so that the coach hears how it goes. */
@Injectable()
export class Listener implements OnDestroy {
  private readonly sound = inject(SoundService);
  private readonly voices = inject(VoiceService);
  /** Where the stretch has come to on the session's clock; null while nothing is played. */
  readonly at = signal<SessionTime | null>(null);
  readonly playing = computed(() => this.at() !== null);
  /** Why nothing is heard, in words that say how to mend it. */
  readonly trouble = signal('');
  private readonly timers = new Set<ReturnType<typeof setTimeout>>();
  private frame = 0;

  constructor() {
    this.voices.getReady();
  }

  async play(script: Script, from: SessionTime): Promise<void> {
    this.stop();
    this.trouble.set('');
    await this.sound.unlock();
    const now = this.sound.now();
    if (now === null) {
      this.trouble.set('No sound from this device: check the volume and output, then press Listen again.');
      return;
    }
    if (this.voices.voice() && !this.voices.recording())
      this.trouble.set('The voice is still loading, so you only hear bells. Press Listen again in a moment.');
    const begin = now + leadMs - from;
    const inside = ({ at }: { readonly at: SessionTime }): boolean => at >= from && at < from + stretchMs;
    for (const { kind, at } of script.sounds.filter(inside)) this.sound.playAt(kind, begin + at);
    for (const call of script.calls.filter((each) => inside(each) && each.kind !== 'bell'))
      this.speak(call, begin, from);
    this.follow(begin, from);
  }

  /** From clips on the audio clock; in the device's own voice at its moment where there are none. */
  private speak(call: Call, begin: number, from: SessionTime): void {
    const [voice, recording] = [this.voices.voice(), this.voices.recording()];
    const toDevice = this.sound.canSay() && (!voice || this.voices.missing(call).length > 0);
    if (voice && recording && !toDevice) this.sound.speakAt(recording, clipsOfCall(call, voice).clips, begin + call.at);
    else if (toDevice) this.timers.add(setTimeout(() => this.sound.say(call.say), leadMs + call.at - from));
  }

  private follow(begin: number, from: SessionTime): void {
    const now = this.sound.now();
    const at = now === null ? null : Math.max(from, now - begin);
    if (at === null || at >= from + stretchMs) {
      this.at.set(null);
      return;
    }
    this.at.set(at);
    this.frame = requestAnimationFrame(() => {
      this.follow(begin, from);
    });
  }

  stop(): void {
    cancelAnimationFrame(this.frame);
    for (const timer of this.timers) clearTimeout(timer);
    this.timers.clear();
    this.sound.silence();
    this.at.set(null);
  }

  ngOnDestroy(): void {
    this.stop();
  }
}
