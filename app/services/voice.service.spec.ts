import { TestBed } from '@angular/core/testing';
import { plain, type VoicePack } from '../../core/index';
import { testProviders, until } from '../spec-store.spec';
import { SettingsService } from './settings.service';
import { VoiceService } from './voice.service';

describe('the recorded voices', () => {
  const pack: VoicePack = {
    rate: 16_000,
    voices: [{ id: 'slt', name: 'V', files: ['v.unknown', 'v.wav'], clips: { one: [0, 300] } }],
  };

  /** A quarter of a second of silence as a WAV file, 16 bits, one channel. */
  function wav(): ArrayBuffer {
    const samples = 4000;
    const view = new DataView(new ArrayBuffer(44 + samples * 2));
    const put = (at: number, text: string): void => {
      Array.from(text).forEach((letter, index) => {
        view.setUint8(at + index, letter.charCodeAt(0));
      });
    };
    put(0, 'RIFF');
    view.setUint32(4, 36 + samples * 2, true);
    put(8, 'WAVEfmt ');
    view.setUint32(16, 16, true);
    view.setUint16(20, 1, true);
    view.setUint16(22, 1, true);
    view.setUint32(24, 16_000, true);
    view.setUint32(28, 32_000, true);
    view.setUint16(32, 2, true);
    view.setUint16(34, 16, true);
    put(36, 'data');
    view.setUint32(40, samples * 2, true);
    return view.buffer;
  }

  async function setUp() {
    const fetched: string[] = [];
    spyOn(window, 'fetch').and.callFake((asked) => {
      const path = asked as string;
      fetched.push(path);
      const found = path.endsWith('.json') ? JSON.stringify(pack) : path.endsWith('.wav') ? wav() : 'no sound';
      return Promise.resolve(new Response(found));
    });
    TestBed.configureTestingModule({ providers: testProviders() });
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    settings.change({ voice: 'slt' });
    const voices = TestBed.inject(VoiceService);
    await until(() => voices.voice() !== null);
    TestBed.tick();
    return { voices, fetched };
  }

  it('are read again when the line is back, where they could not be', async () => {
    const { voices } = await setUp();
    (window.fetch as jasmine.Spy).and.rejectWith(new TypeError('Failed to fetch'));
    expect(await voices.ready()).toBeNull();
    voices.getReady();
    TestBed.tick();
    (window.fetch as jasmine.Spy).and.callFake((path: string) =>
      Promise.resolve(new Response(path.endsWith('.wav') ? wav() : 'no sound')),
    );
    dispatchEvent(new Event('online'));
    await until(() => {
      TestBed.tick();
      return voices.recording() !== null;
    });
    expect((await voices.ready())?.voice.id).toBe('slt');
  });

  it('are known at once, and decoded only when somebody is going to listen', async () => {
    const { voices, fetched } = await setUp();
    expect([voices.names(), voices.recording()]).toEqual([[{ id: 'slt', name: 'V' }], null]);
    expect(fetched).toEqual(['voice/manifest.json']);
    voices.getReady();
    TestBed.tick();
    await until(() => voices.recording() !== null);
    expect(voices.recording()?.duration).toBe(0.25);
    // What this browser cannot decode is passed over.
    expect(fetched.slice(1)).toEqual(['voice/v.unknown', 'voice/v.wav']);
  });

  it('are decoded once, for whoever asks', async () => {
    const { voices, fetched } = await setUp();
    const [ready, spoken] = await Promise.all([voices.ready(), voices.spoken()]);
    expect([ready?.voice.id, ready?.recording.length, spoken?.samples.length]).toEqual(['slt', 4000, 4000]);
    expect(fetched.filter((path) => path.endsWith('.wav')).length).toBe(1);
  });

  it('fall back to the speaking rate where there is no pack, and nothing is missing', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const voices = TestBed.inject(VoiceService);
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    TestBed.tick();
    expect(voices.lengthOf(plain('one two'))).toBe(727);
    expect(voices.missing(plain('no such word'))).toEqual([]);
    expect(voices.wishes().talk).toBe('all');
    settings.change({ talk: 'bells' });
    expect(voices.wishes().talk).toBe('bells');
  });
});
