import { TestBed } from '@angular/core/testing';
import { testProviders } from '../spec-store.spec';
import { SettingsService } from './settings.service';
import { SoundService } from './sound.service';

/** An audio context that only remembers what was put on it. */
class QuietContext {
  static made = 0;
  static last: QuietContext | null = null;
  state = 'suspended';
  currentTime = 2;
  readonly destination = {};
  constructor() {
    QuietContext.made += 1;
    QuietContext.last = this;
  }
  resume(): Promise<void> {
    this.state = 'running';
    return Promise.resolve();
  }
}

describe('bells', () => {
  const real = { context: window.AudioContext, oscillator: window.OscillatorNode, gain: window.GainNode };
  let started: number[];
  let stopped: (number | undefined)[];
  /** The first is the one that everything sounds through. */
  let gains: { value: number }[];

  beforeEach(() => {
    started = [];
    stopped = [];
    gains = [];
    QuietContext.made = 0;
    const node = { connect: <T>(other: T): T => other };
    const param = {
      setValueAtTime: () => undefined,
      linearRampToValueAtTime: () => undefined,
      exponentialRampToValueAtTime: () => undefined,
    };
    Object.assign(window, {
      AudioContext: QuietContext,
      OscillatorNode: function make() {
        return { ...node, start: (at: number) => started.push(at), stop: (at?: number) => stopped.push(at) };
      },
      GainNode: function make(_: unknown, options?: { gain: number }) {
        const gain = { ...param, value: gains.length === 0 ? (options?.gain ?? 1) : 1 };
        gains.push(gain);
        return { ...node, context: QuietContext.last, gain };
      },
    });
    TestBed.configureTestingModule({ providers: testProviders() });
  });

  afterEach(() => {
    Object.assign(window, { AudioContext: real.context, OscillatorNode: real.oscillator, GainNode: real.gain });
  });

  it('are waited for by a start for a moment only: a browser may never answer', async () => {
    spyOn(QuietContext.prototype, 'resume').and.returnValue(new Promise(() => undefined));
    const sound = TestBed.inject(SoundService);
    const began = performance.now();
    await sound.unlock();
    // Half a second would be felt; how long exactly is the machine's.
    expect(performance.now() - began).toBeGreaterThan(300);
    expect(sound.now()).toBeNull();
    if (QuietContext.last) QuietContext.last.state = 'running';
    expect(sound.now()).toBe(2000);
  });

  it('need a press first: before that there is no audio clock and nothing sounds', async () => {
    const sound = TestBed.inject(SoundService);
    sound.playAt('start bell', 0);
    expect([sound.now(), QuietContext.made, started.length]).toEqual([null, 0, 0]);
    await sound.unlock();
    expect([sound.now(), QuietContext.made]).toEqual([2000, 1]);
  });

  it('stand on the audio clock exactly, the end bell struck three times', async () => {
    const sound = TestBed.inject(SoundService);
    await sound.unlock();
    sound.playAt('start bell', 5000);
    expect(new Set(started)).toEqual(new Set([5]));
    started.length = 0;
    sound.playAt('end bell', 6000);
    expect([...new Set(started)].map((at) => Math.round(at * 100) / 100)).toEqual([6, 6.32, 6.64]);
    started.length = 0;
    // What is already past sounds at once, not in the past.
    sound.playAt('count', 500);
    expect(new Set(started)).toEqual(new Set([2]));
  });

  it('are silenced at once, those still to come included', async () => {
    const sound = TestBed.inject(SoundService);
    await sound.unlock();
    sound.playAt('end bell', 60_000);
    const planned = stopped.length;
    sound.silence();
    expect(stopped.slice(planned)).toEqual(new Array(planned).fill(undefined));
    sound.silence();
    expect(stopped.length).toBe(2 * planned);
  });

  it('sound through one volume, so that a change holds for what was put on the clock before it', async () => {
    const sound = TestBed.inject(SoundService);
    const settings = TestBed.inject(SettingsService);
    settings.change({ volume: 0.5 });
    await sound.unlock();
    sound.playAt('start bell', 90_000);
    expect([gains[0]?.value, started[0]]).toEqual([0.5, 90]);
    settings.change({ volume: 0 });
    TestBed.tick();
    expect(gains[0]?.value).toBe(0);
  });

  it('do without audio where there is none', async () => {
    Object.assign(window, {
      AudioContext: function none() {
        throw new Error('no device');
      },
    });
    const sound = TestBed.inject(SoundService);
    await sound.unlock();
    expect(sound.now()).toBeNull();
    sound.say('One, two');
    sound.silence();
  });
});
