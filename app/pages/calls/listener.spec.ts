import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { scriptOf, readTempoText, type Clip, type SoundKind, type Voice, type Saying } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';
import { SoundService } from '../../services/sound.service';
import { VoiceService } from '../../services/voice.service';
import { testProviders, until } from '../../spec-store.spec';
import { Listener } from './listener';

const voice: Voice = {
  id: 'v',
  name: 'V',
  files: ['v.ogg'],
  clips: { one: [0, 300], two: [300, 300], three: [600, 300], 'ten seconds': [900, 700] },
};

/** Sound with a clock that is set by hand, and that remembers what was put on it. */
class Heard {
  clock: number | null = 5000;
  readonly cues: { readonly kind: SoundKind; readonly at: number }[] = [];
  readonly clips: { readonly words: string; readonly at: number }[] = [];
  readonly said: string[] = [];
  hasVoice = false;
  silenced = 0;
  unlock(): Promise<void> {
    return Promise.resolve();
  }
  now(): number | null {
    return this.clock;
  }
  playAt(kind: SoundKind, at: number): void {
    this.cues.push({ kind, at });
  }
  speakAt(_: AudioBuffer, clips: readonly Clip[], at: number): void {
    for (const clip of clips) this.clips.push({ words: clip.words, at: at + clip.at });
  }
  canSay(): boolean {
    return this.hasVoice;
  }
  say(words: string): void {
    this.said.push(words);
  }
  silence(): void {
    this.silenced += 1;
  }
}

describe('listening to a stretch', () => {
  const { sheet } = readTempoText('round 1:00: 1 2\nrest 0:30\nround 1:00: 2 3');
  const track = scriptOf(sheet, { countFrom: 3 });

  async function setUp(recorded: 'recorded' | 'not yet' | 'none' = 'recorded') {
    const heard = new Heard();
    const buffer = new OfflineAudioContext(1, 1, 16_000).createBuffer(1, 16_000, 16_000);
    const voices = {
      voice: signal(recorded === 'none' ? null : voice),
      recording: signal(recorded === 'recorded' ? buffer : null),
      getReady: () => undefined,
      missing: ({ say }: Saying): readonly string[] => (/water/i.test(say) ? ['water'] : []),
    };
    TestBed.configureTestingModule({
      providers: [
        ...testProviders(),
        Listener,
        { provide: SoundService, useValue: heard },
        { provide: VoiceService, useValue: voices },
      ],
    });
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    settings.change({ countFrom: 3 });
    return { listener: TestBed.inject(Listener), heard };
  }

  it('puts thirty seconds of bells and clips on the audio clock, a moment after the press', async () => {
    const { listener, heard } = await setUp();
    await listener.play(track, 40_000);
    const begin = 5000 + 150 - 40_000;
    expect(heard.cues.find(({ kind }) => kind === 'end bell')?.at).toBe(begin + 60_000);
    expect(heard.cues.every(({ at }) => at >= begin + 40_000 && at < begin + 70_000)).toBeTrue();
    expect(heard.clips.find(({ words }) => words === 'ten seconds')?.at).toBe(begin + 50_000);
    expect(heard.clips.map(({ words }) => words)).toEqual(jasmine.arrayContaining(['three', 'two', 'one']));
    expect(listener.playing()).toBeTrue();
    listener.stop();
    expect([listener.playing(), heard.silenced > 1]).toEqual([false, true]);
  });

  it('shows where it has come to, and ends by itself', async () => {
    const { listener, heard } = await setUp();
    await listener.play(track, 10_000);
    expect(listener.at()).toBe(10_000);
    heard.clock = 5000 + 150 + 12_000;
    await until(() => listener.at() === 22_000);
    heard.clock = 5000 + 150 + 30_000;
    await until(() => !listener.playing());
    expect(heard.said).toEqual([]);
  });

  it('leaves words without a clip to the device’s voice, at their moment', async () => {
    const { listener, heard } = await setUp();
    heard.hasVoice = true;
    const rest = track.calls.find(({ kind }) => kind === 'water');
    await listener.play(track, (rest?.at ?? 0) - 20);
    await until(() => heard.said.length > 0);
    expect(heard.said).toEqual(['Rest. Water']);
    listener.stop();
  });

  it('says what is wrong where nothing can be heard', async () => {
    const { listener, heard } = await setUp('not yet');
    await listener.play(track, 0);
    expect(listener.trouble()).toContain('The voice is still loading');
    listener.stop();
    heard.clock = null;
    heard.cues.length = 0;
    await listener.play(track, 0);
    expect(listener.trouble()).toContain('No sound from this device');
    expect([listener.playing(), heard.cues.length]).toEqual([false, 0]);
  });

  it('is bells alone where nobody speaks', async () => {
    const { listener, heard } = await setUp('none');
    await listener.play(track, 0);
    expect(heard.cues.length).toBeGreaterThan(0);
    expect([heard.clips, heard.said, listener.trouble()]).toEqual([[], [], '']);
    listener.stop();
  });
});
