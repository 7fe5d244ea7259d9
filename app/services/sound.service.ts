import { inject, Injectable } from '@angular/core';
import type { Cue, Milliseconds } from '../../core/index';
import { SettingsService } from './settings.service';

/** A struck or blown sound: partials in hertz, how long it rings, how often it is struck and how far apart. */
interface Voice {
  readonly partials: readonly number[];
  readonly wave: OscillatorType;
  readonly ring: number;
  readonly strikes: number;
  readonly apart: number;
  readonly level: number;
}

const voices: Readonly<Record<Cue['kind'], Voice>> = {
  'start bell': { partials: [784, 1177, 1862], wave: 'sine', ring: 1.6, strikes: 1, apart: 0, level: 0.5 },
  'end bell': { partials: [784, 1177, 1862], wave: 'sine', ring: 1.3, strikes: 3, apart: 0.32, level: 0.5 },
  change: { partials: [523, 1046], wave: 'triangle', ring: 0.22, strikes: 2, apart: 0.13, level: 0.4 },
  ten: { partials: [1480, 2217], wave: 'square', ring: 0.06, strikes: 2, apart: 0.16, level: 0.16 },
  count: { partials: [988], wave: 'triangle', ring: 0.14, strikes: 1, apart: 0, level: 0.4 },
};

/** Bells and ticks on the audio clock, made here from plain waves; nothing sounds before a person has pressed something. */
@Injectable({ providedIn: 'root' })
export class SoundService {
  private readonly settings = inject(SettingsService);
  private context: AudioContext | null = null;
  private readonly playing = new Set<OscillatorNode>();

  /** Opens the audio clock; must be called from a press of a key or button. */
  async unlock(): Promise<void> {
    try {
      this.context ??= new AudioContext();
      await this.context.resume();
    } catch {
      // No audio device, or audio is blocked: the run goes by the page's clock and stays silent.
      this.context = null;
    }
  }

  /** The audio clock in milliseconds, or null while audio is blocked. */
  now(): Milliseconds | null {
    return this.context?.state === 'running' ? this.context.currentTime * 1000 : null;
  }

  /** Plays a cue at a reading of the audio clock, exactly. */
  playAt(kind: Cue['kind'], at: Milliseconds): void {
    const context = this.context;
    if (context?.state !== 'running') return;
    const { partials, wave, ring, strikes, apart, level } = voices[kind];
    for (let strike = 0; strike < strikes; strike += 1)
      for (const [index, frequency] of partials.entries())
        this.tone(
          context,
          wave,
          frequency,
          at / 1000 + strike * apart,
          ring / (1 + index * 0.6),
          (level * this.settings.settings().volume) / (index + 1),
        );
  }

  private tone(
    context: AudioContext,
    wave: OscillatorType,
    frequency: number,
    at: number,
    ring: number,
    level: number,
  ): void {
    if (level <= 0) return;
    const start = Math.max(at, context.currentTime);
    const oscillator = new OscillatorNode(context, { type: wave, frequency });
    const gain = new GainNode(context, { gain: 0 });
    gain.gain.setValueAtTime(0, start);
    gain.gain.linearRampToValueAtTime(level, start + 0.004);
    gain.gain.exponentialRampToValueAtTime(0.0001, start + ring);
    oscillator.connect(gain).connect(context.destination);
    oscillator.start(start);
    oscillator.stop(start + ring + 0.02);
    this.playing.add(oscillator);
    oscillator.onended = () => this.playing.delete(oscillator);
  }

  /** Speaks with the device's own voice, where it has one. */
  say(words: string): void {
    if (
      !this.settings.settings().speak ||
      typeof speechSynthesis === 'undefined' ||
      speechSynthesis.getVoices().length === 0
    )
      return;
    speechSynthesis.cancel();
    const utterance = new SpeechSynthesisUtterance(words);
    utterance.volume = this.settings.settings().volume;
    utterance.lang = 'en';
    speechSynthesis.speak(utterance);
  }

  /** Silences everything at once, what is still to come included. */
  silence(): void {
    for (const oscillator of this.playing) oscillator.stop();
    this.playing.clear();
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
  }
}
