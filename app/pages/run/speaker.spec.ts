import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import {
  begin,
  compile,
  readTempoText,
  scriptOf,
  takeUp,
  type Clip,
  type Leaf,
  type RunState,
  type Saying,
  type ScriptWishes,
  type Voice,
} from '../../../core/index';
import { SoundService } from '../../services/sound.service';
import { VoiceService } from '../../services/voice.service';
import { testProviders } from '../../spec-store.spec';
import { Speaker } from './speaker';

const voice: Voice = {
  id: 'v',
  name: 'V',
  files: ['v.ogg'],
  clips: { one: [0, 300], two: [300, 300], three: [600, 300], 'ten seconds': [900, 700], stop: [1600, 300] },
};

/** Sound that only remembers what it was asked for. */
class Heard {
  readonly clips: { readonly words: string; readonly at: number }[] = [];
  readonly said: string[] = [];
  hasVoice = false;
  now(): number {
    return 5000;
  }
  canSay(): boolean {
    return this.hasVoice;
  }
  say(words: string): void {
    this.said.push(words);
  }
  speakAt(_: AudioBuffer, clips: readonly Clip[], at: number): void {
    for (const clip of clips) this.clips.push({ words: clip.words, at: at + clip.at });
  }
}

describe('the speaker', () => {
  function setUp(text: string, recorded = true) {
    const heard = new Heard();
    const voices = {
      voice: signal<Voice | null>(recorded ? voice : null),
      getReady: () => undefined,
      recording: signal<AudioBuffer | null>(
        recorded ? new OfflineAudioContext(1, 1, 16_000).createBuffer(1, 16_000, 16_000) : null,
      ),
      wishes: signal<ScriptWishes>({}),
      lengthOf: ({ say }: Saying): number => say.length * 100,
      missing: ({ say }: Saying): readonly string[] => (/hose/.test(say) ? ['hose'] : []),
    };
    TestBed.configureTestingModule({
      providers: [
        ...testProviders(),
        Speaker,
        { provide: SoundService, useValue: heard },
        { provide: VoiceService, useValue: voices },
      ],
    });
    const speaker = TestBed.inject(Speaker);
    const { sheet } = readTempoText(text);
    const timeline = compile(sheet);
    speaker.sheet.set(sheet);
    speaker.goBy(scriptOf(sheet));
    const state: RunState = begin({ source: 0, wall: 0 }, 0, 1);
    const leaf = (at: number): Leaf => timeline.leaves[at] as Leaf;
    return { speaker, heard, state, leaf, sheet, voices };
  }

  it('puts what is said soon on the audio clock, each call once', () => {
    const { speaker, heard, state } = setUp('round 0:30: 1 2');
    speaker.from(0);
    speaker.plan(state, 0, 3000);
    // "One, two." follows the bell of a second and the gap of 0.3 s.
    expect(heard.clips.map(({ words }) => words)).toEqual(['one', 'two']);
    expect(heard.clips[0]?.at).toBe(1300);
    speaker.plan(state, 0, 3000);
    expect(heard.clips.length).toBe(2);
    speaker.plan(state, 18_000, 3000);
    expect(heard.clips.at(-1)).toEqual({ words: 'ten seconds', at: 20_000 });
  });

  it('holds its calls while the recording is still being read', () => {
    const { speaker, heard, state, voices } = setUp('round 0:30: 1 2');
    const recording = voices.recording();
    voices.recording.set(null);
    speaker.from(0);
    speaker.plan(state, 0, 3000);
    expect(heard.clips).toEqual([]);
    voices.recording.set(recording);
    speaker.plan(state, 100, 3000);
    expect(heard.clips.map(({ words }) => words)).toEqual(['one', 'two']);
  });

  it('begins in the middle without saying what lies behind', () => {
    const { speaker, heard, state } = setUp('round 0:30: 1 2');
    speaker.from(25_000);
    speaker.plan(state, 25_000, 3000);
    expect(heard.clips.map(({ words }) => words)).toEqual(['three']);
  });

  it('waits behind an open break, and says there what belongs there', () => {
    const { speaker, heard, leaf } = setUp('round 0:30: 1\nrest open\nround 0:30: 1 2');
    const waiting = takeUp(30_000, 0, [], 1);
    speaker.from(30_000);
    speaker.plan(waiting, 30_000, 10_000);
    expect(heard.clips).toEqual([]);
    speaker.show({ ...waiting, phase: 'break' }, leaf(1), 30_000, 1);
    expect(speaker.said()).toContain('Take a break');
    expect(heard.clips.length).toBeGreaterThan(0);
    expect(heard.clips.every(({ at }) => at >= 5000)).toBeTrue();
  });

  it('leaves free words to the device’s voice where it has one, else the clips say what they can', () => {
    const withVoice = setUp('round 0:30\n0:30: 1 2\nsay "hose up, one" at 0:10');
    withVoice.heard.hasVoice = true;
    withVoice.speaker.from(9000);
    withVoice.speaker.plan(withVoice.state, 9000, 3000);
    expect(withVoice.heard.clips).toEqual([]);
    withVoice.speaker.show(withVoice.state, withVoice.leaf(0), 10_000, 1);
    expect(withVoice.heard.said).toEqual(['hose up, one']);
    TestBed.resetTestingModule();
    const without = setUp('round 0:30\n0:30: 1 2\nsay "hose up, one" at 0:10');
    without.speaker.from(9000);
    without.speaker.plan(without.state, 9000, 3000);
    expect(without.heard.clips.map(({ words }) => words)).toEqual(['one']);
  });

  it('shows every call, speaks none in a rehearsal, and none that is late', () => {
    const { speaker, heard, state, leaf } = setUp('round 0:30: 1 2', false);
    heard.hasVoice = true;
    speaker.from(0);
    speaker.show(state, leaf(0), 0, 4);
    expect(speaker.said()).toBe('One, two.');
    speaker.show(state, leaf(0), 20_000, 4);
    expect(speaker.said()).toBe('ten seconds');
    expect(heard.said).toEqual([]);
    speaker.show(state, leaf(0), 27_900, 1);
    expect(speaker.said()).toBe('three');
    expect(heard.said).toEqual([]);
    speaker.show(state, leaf(0), 28_100, 1);
    expect(heard.said).toEqual(['two']);
  });

  it('gives the device’s voice all of an open break at once, since each saying cuts the last one off', () => {
    const { speaker, heard, leaf } = setUp('round 0:30: 1\nrest open\nround 0:30: 2', false);
    heard.hasVoice = true;
    const waiting = takeUp(30_000, 0, [], 1);
    speaker.from(30_000);
    speaker.show({ ...waiting, phase: 'break' }, leaf(1), 30_000, 1);
    expect(heard.said.length).toBe(1);
    expect(heard.said[0]).toContain('Take a break');
    expect(heard.said[0]).toContain('Next, the last round: cross');
  });

  it('says stop at once, in the coach’s own word where there is one', () => {
    const { speaker, heard } = setUp('round 0:30: 1 2');
    speaker.stop();
    expect(heard.clips).toEqual([{ words: 'stop', at: 5000 }]);
    expect(speaker.said()).toBe('Stop.');
    const device = ((): ReturnType<typeof setUp> => {
      TestBed.resetTestingModule();
      return setUp('phrase: stop "All stop"\nround 0:30: 1', false);
    })();
    device.heard.hasVoice = true;
    device.speaker.stop();
    expect(device.heard.said).toEqual(['All stop']);
  });

  it('says to get ready before second zero', () => {
    const { speaker, state } = setUp('round 0:30: 1 2');
    speaker.show(state, null, -6000, 1);
    expect(speaker.said()).toBe('Get ready.');
    speaker.show(state, null, -2900, 1);
    expect(speaker.said()).toBe('three');
    speaker.show(state, null, -900, 1);
    expect(speaker.said()).toBe('one');
  });

  it('shows nothing that the coach has muted, and what is said in the coach’s words', () => {
    const { sheet, speaker, state, leaf } = setUp('round 0:30: 1 2');
    const key = scriptOf(sheet).calls.find(({ kind }) => kind === 'new')?.key ?? '';
    const by = (edit: object): void => {
      speaker.goBy(scriptOf({ ...sheet, calls: { edits: [{ key, ...edit }] } }));
      speaker.from(0);
      speaker.show(state, leaf(0), 1000, 1);
    };
    by({ muted: true });
    expect(speaker.said()).toBe('');
    by({ say: 'Fists up' });
    expect(speaker.said()).toBe('Fists up');
  });
});
