import { computed, effect, inject, Injectable, signal } from '@angular/core';
import {
  assemble,
  lengthIn,
  spokenLength,
  voicePackSchema,
  type Milliseconds,
  type Recording,
  type Saying,
  type ScriptWishes,
  type Voice,
  type VoicePack,
} from '../../core/index';
import { SettingsService } from './settings.service';

const folder = 'voice/';

/** The recorded voices: what they can say, how long it takes, and their recordings, read when they are first needed. */
@Injectable({ providedIn: 'root' })
export class VoiceService {
  private readonly settings = inject(SettingsService);
  private readonly pack = signal<VoicePack | null>(null);
  private readonly recordings = new Map<string, Promise<AudioBuffer | null>>();

  /** The chosen voice of the pack; null for the device's own, for none, or before the pack is read. */
  readonly voice = computed(
    (): Voice | null => this.pack()?.voices.find(({ id }) => id === this.settings.settings().voice) ?? null,
  );
  readonly names = computed(() => (this.pack()?.voices ?? []).map(({ id, name }) => ({ id, name })));
  /** The chosen voice's recording, once it is decoded. */
  readonly recording = signal<AudioBuffer | null>(null);

  /** Whose words, how much, and how long they take: by the clips, where a recorded voice speaks. */
  readonly wishes = computed((): ScriptWishes => {
    const voice = this.voice();
    return { ...this.settings.wishes(), ...(voice ? { lengthOf: lengthIn(voice) } : {}) };
  });

  /** Settles when the pack has been read, or cannot be. */
  private readonly loaded = this.load();

  constructor() {
    effect(() => {
      const voice = this.voice();
      this.recording.set(null);
      if (voice) void this.record(voice).then((buffer) => voice === this.voice() && this.recording.set(buffer));
    });
  }

  private async load(): Promise<void> {
    try {
      const read = voicePackSchema.safeParse(await (await fetch(`${folder}manifest.json`)).json());
      if (read.success) this.pack.set(read.data);
    } catch {
      // Without the pack the calls are on the screen, and in the device's own voice where it has one.
    }
  }

  /** The chosen voice with its samples, once they are there; null where no recorded voice is chosen or it cannot be decoded. */
  async spoken(): Promise<Recording | null> {
    await this.loaded;
    const voice = this.voice();
    const buffer = voice && (await this.record(voice));
    return voice && buffer ? { voice, samples: buffer.getChannelData(0) } : null;
  }

  private record(voice: Voice): Promise<AudioBuffer | null> {
    const known = this.recordings.get(voice.id) ?? this.decode(voice);
    this.recordings.set(voice.id, known);
    return known;
  }

  /** The first of the voice's files that this browser can decode, at the recording's own rate. */
  private async decode(voice: Voice): Promise<AudioBuffer | null> {
    const rate = this.pack()?.rate ?? 16_000;
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
