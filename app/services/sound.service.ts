import { effect, inject, Injectable } from '@angular/core';
import {
  attack,
  ClockWatch,
  partialLevel,
  partialRing,
  sounds,
  type Clip,
  type Milliseconds,
  type SoundKind,
} from '../../core/index';
import { SettingsService } from './settings.service';

/** The audio session of a page, where a browser has one (W3C Audio Session, draft). */
interface AudioSessionNavigator {
  readonly audioSession?: { type: string };
}

/** A start waits for the audio clock for so long. */
const unlockWithinMs = 400;

/** Asks the device to turn music down while the page sounds; a browser without audio sessions is left as it is. */
function askForQuiet(device: Navigator & AudioSessionNavigator): void {
  if (device.audioSession) device.audioSession.type = 'transient';
}

/** Bells and ticks on the audio clock, made here from plain waves; nothing sounds before a person has pressed something. */
@Injectable({ providedIn: 'root' })
export class SoundService {
  private readonly settings = inject(SettingsService);
  private context: AudioContext | null = null;
  /** Everything sounds through it, so that the volume holds for what was put on the clock long before it was changed. */
  private master: GainNode | null = null;
  /** The clock may stand still while it says that it runs: no device, or one that was just taken away. */
  private readonly watch = new ClockWatch();
  private readonly playing = new Set<AudioScheduledSourceNode>();

  constructor() {
    effect(() => {
      const { volume } = this.settings.settings();
      if (this.master) this.master.gain.value = volume;
    });
  }

  /**
   * Opens the audio clock; must be called from a press of a key or button. A browser may never answer: nobody waits for it
   * longer than a moment, and where it answers later, `now` has the clock from then on.
   */
  async unlock(): Promise<void> {
    try {
      if (this.settings.settings().duckMusic) askForQuiet(navigator);
      this.context ??= new AudioContext();
      this.master ??= this.toSpeaker(this.context);
      const late = new Promise((done) => setTimeout(done, unlockWithinMs));
      await Promise.race([this.context.resume(), late]);
    } catch {
      // No audio device, or audio is blocked: the run goes by the page's clock and stays silent.
      this.context = null;
    }
  }

  private toSpeaker(context: AudioContext): GainNode {
    const master = new GainNode(context, { gain: this.settings.settings().volume });
    master.connect(context.destination);
    return master;
  }

  /** The audio clock in milliseconds, or null while audio is blocked, or stands still for no reason that it gives. */
  now(): Milliseconds | null {
    const reading = this.context?.state === 'running' ? this.context.currentTime * 1000 : null;
    return this.watch.read(reading, performance.now());
  }

  /** Plays a cue at a reading of the audio clock, exactly. */
  playAt(kind: SoundKind, at: Milliseconds): void {
    const [context, out] = [this.context, this.master];
    if (context?.state !== 'running' || !out) return;
    const sound = sounds[kind];
    for (let strike = 0; strike < sound.strikes; strike += 1)
      for (const [index, frequency] of sound.partials.entries())
        this.tone(
          out,
          sound.wave,
          frequency,
          at / 1000 + strike * sound.apart,
          partialRing(sound, index),
          partialLevel(sound, index),
        );
  }

  /** Plays clips of a recording at readings of the audio clock, exactly; a clip that is cut short is faded. */
  speakAt(recording: AudioBuffer, clips: readonly Clip[], at: Milliseconds): void {
    const [context, out] = [this.context, this.master];
    if (context?.state !== 'running' || !out) return;
    for (const clip of clips) {
      const start = (at + clip.at) / 1000;
      const end = start + clip.ms / 1000;
      if (end <= context.currentTime) continue;
      const late = Math.max(0, context.currentTime - start);
      const source = new AudioBufferSourceNode(context, { buffer: recording });
      const gain = new GainNode(context);
      gain.gain.setValueAtTime(1, Math.max(start, end - 0.008));
      gain.gain.linearRampToValueAtTime(0, end);
      source.connect(gain).connect(out);
      source.start(start + late, clip.from / 1000 + late, clip.ms / 1000 - late);
      this.playing.add(source);
      source.onended = () => this.playing.delete(source);
    }
  }

  private tone(out: GainNode, wave: OscillatorType, frequency: number, at: number, ring: number, level: number): void {
    const { context } = out;
    const start = Math.max(at, context.currentTime);
    const oscillator = new OscillatorNode(context, { type: wave, frequency });
    const gain = new GainNode(context, { gain: 0 });
    gain.gain.setValueAtTime(0, start);
    gain.gain.linearRampToValueAtTime(level, start + attack);
    gain.gain.exponentialRampToValueAtTime(0.0001, start + ring);
    oscillator.connect(gain).connect(out);
    oscillator.start(start);
    oscillator.stop(start + ring + 0.02);
    this.playing.add(oscillator);
    oscillator.onended = () => this.playing.delete(oscillator);
  }

  /** Whether the device has a voice of its own. */
  canSay(): boolean {
    return typeof speechSynthesis !== 'undefined' && speechSynthesis.getVoices().length > 0;
  }

  /** Speaks with the device's own voice, where it has one. */
  say(words: string): void {
    if (this.settings.settings().voice === 'none' || !this.canSay()) return;
    speechSynthesis.cancel();
    const utterance = new SpeechSynthesisUtterance(words);
    utterance.volume = this.settings.settings().volume;
    utterance.lang = 'en';
    speechSynthesis.speak(utterance);
  }

  /** Silences everything at once, what is still to come included. */
  silence(): void {
    for (const source of this.playing) source.stop();
    this.playing.clear();
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
  }
}
