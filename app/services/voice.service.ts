import { computed, effect, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { fromEvent, merge } from 'rxjs';
import {
  assemble,
  lengthIn,
  spokenLength,
  voicePackSchema,
  withOwnWords,
  type Hertz,
  type Milliseconds,
  type Recording,
  type Saying,
  type ScriptWishes,
  type Voice,
  type VoicePack,
} from '../../core/index';
import { OwnWordsService, sameClips } from './own-words.service';
import { SettingsService } from './settings.service';
import { idle } from './when-idle';

const folder = 'voice/';
/** Rate of the recordings where the pack is not read yet. */
const usualRate: Hertz = 16_000;

/** Where the last clip of a voice ends in its recording. */
const endOf = ({ clips }: Voice): Milliseconds =>
  Object.values(clips).reduce((end, [from, ms]) => Math.max(end, from + ms), 0);

/** The recorded voices: what they can say, how long it takes, and their recordings, decoded when somebody is going to listen. */
@Injectable({ providedIn: 'root' })
export class VoiceService {
  private readonly settings = inject(SettingsService);
  private readonly ownWords = inject(OwnWordsService);
  private readonly pack = signal<VoicePack | null>(null);
  private readonly recordings = new Map<string, Promise<AudioBuffer | null>>();

  /** The chosen voice as the pack has it. */
  private readonly packed = computed(
    (): Voice | null => this.pack()?.voices.find(({ id }) => id === this.settings.settings().voice) ?? null,
  );
  /** The coach's own words in that voice. */
  private readonly own = computed(() => this.ownWords.spoken().filter(({ voice }) => voice === this.packed()?.id), {
    equal: sameClips,
  });
  private readonly rate = computed(() => this.pack()?.rate ?? usualRate);
  /** The chosen voice with all it can say; null for the device's own, for none, or before the pack is read. */
  readonly voice = computed((): Voice | null => {
    const packed = this.packed();
    const clips = this.own().map(({ words, samples }) => ({ words, ms: (samples.length / this.rate()) * 1000 }));
    return packed && withOwnWords(packed, endOf(packed), clips);
  });
  readonly names = computed(() => (this.pack()?.voices ?? []).map(({ id, name }) => ({ id, name })));
  private readonly decoded = signal<AudioBuffer | null>(null);
  /** Counts how often it was tried again. */
  private readonly again = signal(0);
  /** Whether somebody is going to listen: a recording takes a second or two of work and megabytes to decode. */
  private readonly wanted = signal(false);
  /** The chosen voice's recording, once it is wanted and decoded, with the coach's own words where the voice has them. */
  readonly recording = computed((): AudioBuffer | null => {
    const decoded = this.decoded();
    return decoded && this.withOwn(decoded);
  });

  /** A recording with the coach's own words behind it, where the voice says that they are. */
  private withOwn(decoded: AudioBuffer): AudioBuffer {
    const [voice, own] = [this.voice(), this.own()];
    if (!voice || own.length === 0) return decoded;
    const place = (ms: Milliseconds): number => Math.round((ms / 1000) * decoded.sampleRate);
    const length = Math.max(decoded.length, place(endOf(voice)) + 1);
    const whole = new AudioBuffer({ length, sampleRate: decoded.sampleRate, numberOfChannels: 1 });
    whole.copyToChannel(decoded.getChannelData(0), 0);
    for (const { words, samples } of own)
      whole.copyToChannel(new Float32Array(samples), 0, place(voice.clips[words]?.[0] ?? 0));
    return whole;
  }

  /** Whose words, how much, and how long they take: by the clips, where a recorded voice speaks. */
  readonly wishes = computed((): ScriptWishes => {
    const voice = this.voice();
    return { ...this.settings.wishes(), ...(voice ? { lengthOf: lengthIn(voice) } : {}) };
  });

  /** Settles when the pack has been read, or cannot be. */
  private readonly loaded = idle().then(() => this.load());

  constructor() {
    // The line is back, or somebody looks at the page again: what is missing is read again.
    merge(fromEvent(globalThis, 'online'), fromEvent(document, 'visibilitychange'))
      .pipe(takeUntilDestroyed())
      .subscribe(() => void this.readAgain());
    effect(() => {
      const packed = this.packed();
      this.again();
      this.decoded.set(null);
      if (packed && this.wanted())
        void this.record(packed).then((buffer) => packed === this.packed() && this.decoded.set(buffer));
    });
  }

  private async readAgain(): Promise<void> {
    if (document.visibilityState === 'hidden') return;
    if (this.pack() === null) await this.load();
    else if (this.wanted() && this.decoded() === null) this.again.update((times) => times + 1);
  }

  private async load(): Promise<void> {
    try {
      const read = voicePackSchema.safeParse(await (await fetch(`${folder}manifest.json`)).json());
      if (read.success) this.pack.set(read.data);
    } catch {
      // Without the pack the calls are on the screen, and in the device's own voice where it has one.
    }
  }

  /** Has the recording decoded from now on, whichever voice is chosen: asked for where somebody is going to listen. */
  getReady(): void {
    this.wanted.set(true);
  }

  /** The chosen voice and its recording, once they are there; null where no recorded voice is chosen or it cannot be decoded. */
  async ready(): Promise<{ readonly voice: Voice; readonly recording: AudioBuffer } | null> {
    await this.loaded;
    const packed = this.packed();
    const decoded = packed && (await this.record(packed));
    if (!decoded) return null;
    await this.ownWords.settled();
    const voice = this.voice();
    return voice && { voice, recording: this.withOwn(decoded) };
  }

  /** The chosen voice with its samples, as workers take it. */
  async spoken(): Promise<Recording | null> {
    const ready = await this.ready();
    return ready && { voice: ready.voice, samples: ready.recording.getChannelData(0) };
  }

  private record(voice: Voice): Promise<AudioBuffer | null> {
    const known = this.recordings.get(voice.id) ?? this.decode(voice);
    this.recordings.set(voice.id, known);
    // What could not be read is tried again by who asks next.
    void known.then((read) => read ?? this.recordings.delete(voice.id));
    return known;
  }

  /** The first of the voice's files that this browser can decode, at the recording's own rate. */
  private async decode(voice: Voice): Promise<AudioBuffer | null> {
    const rate = this.rate();
    for (const file of voice.files)
      try {
        const bytes = await (await fetch(folder + file)).arrayBuffer();
        return await new OfflineAudioContext(1, 1, rate).decodeAudioData(bytes);
      } catch {
        // The next file is of another kind.
      }
    return null;
  }

  /** Time that words take as they will be said. */
  lengthOf(saying: Saying): Milliseconds {
    const voice = this.voice();
    return voice ? lengthIn(voice)(saying) : spokenLength(saying.say);
  }

  /** Words of a call that the chosen voice has no clip for. */
  missing(saying: Saying): readonly string[] {
    const voice = this.voice();
    return voice ? assemble(saying, voice).missing : [];
  }
}
