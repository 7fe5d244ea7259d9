import { TestBed } from '@angular/core/testing';
import { firstValueFrom, lastValueFrom, take, toArray } from 'rxjs';
import { readTempoText, type Recording } from '../../core/index';
import { testProviders } from '../spec-store.spec';
import type { AudioAnswer } from '../workers/protocol';
import { AudioFileService } from './audio-file.service';
import { VoiceService } from './voice.service';

const recording: Recording = {
  voice: { id: 'v', name: 'V', files: ['v.ogg'], clips: { one: [0, 300], two: [300, 300] } },
  samples: Float32Array.from({ length: 16_000 }, (_, at) => 0.4 * Math.sin(at / 6)),
};

describe('sound files', () => {
  const { sheet } = readTempoText('round 1:00: 1 2');

  function service(spoken: Promise<Recording | null>): AudioFileService {
    TestBed.configureTestingModule({
      providers: [...testProviders(), { provide: VoiceService, useValue: { spoken: () => spoken } }],
    });
    return TestBed.inject(AudioFileService);
  }

  async function samplesOf(answer: AudioAnswer | undefined): Promise<{ head: string; samples: Int16Array }> {
    if (answer?.kind !== 'done') throw new Error(answer?.kind ?? 'nothing');
    const bytes = await answer.file.arrayBuffer();
    return {
      head: String.fromCharCode(...new Uint8Array(bytes.slice(0, 4)), ...new Uint8Array(bytes.slice(8, 12))),
      samples: new Int16Array(bytes.slice(44)),
    };
  }

  /** Whether something sounds between two seconds. */
  const sounds = (samples: Int16Array, from: number, to: number): boolean =>
    samples.subarray(from * 16_000, to * 16_000).some((value) => Math.abs(value) > 500);

  it('are made in a worker, with progress that only grows, bells and voice where they belong', async () => {
    const answers = await lastValueFrom(service(Promise.resolve(recording)).render(sheet, 'wav').pipe(toArray()));
    const shares = answers.flatMap((answer) => (answer.kind === 'progress' ? [answer.share] : []));
    expect(shares.length).toBeGreaterThan(3);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.at(-1)).toBe(1);
    const { head, samples } = await samplesOf(answers.at(-1));
    expect(head).toBe('RIFFWAVE');
    // A minute, and the last bell rings out and the end is said.
    expect(samples.length).toBe(66 * 16_000);
    expect(sounds(samples, 0, 0.5)).toBeTrue();
    // "One, two." follows the bell of a second and the gap of 0.3 s, when the bell has nearly rung out.
    expect(sounds(samples, 1.35, 1.6)).toBeTrue();
    expect(sounds(samples, 10, 20)).toBeFalse();
  });

  it('wait for the voice instead of leaving it out', async () => {
    let arrive: (recording: Recording) => void = () => undefined;
    const later = new Promise<Recording>((resolve) => (arrive = resolve));
    const made = lastValueFrom(service(later).render(sheet, 'wav'));
    setTimeout(() => arrive(recording), 100);
    const { samples } = await samplesOf(await made);
    expect(sounds(samples, 1.35, 1.6)).toBeTrue();
  });

  it('are bells alone without a voice', async () => {
    const { samples } = await samplesOf(await lastValueFrom(service(Promise.resolve(null)).render(sheet, 'wav')));
    expect(sounds(samples, 0, 0.5)).toBeTrue();
    expect(sounds(samples, 1.7, 20)).toBeFalse();
  });

  it('are no longer made once nobody waits for them', async () => {
    const ended = spyOn(Worker.prototype, 'terminate').and.callThrough();
    const first = await firstValueFrom(service(Promise.resolve(recording)).render(sheet, 'mp3').pipe(take(1)));
    expect(first.kind).toBe('progress');
    expect(ended).toHaveBeenCalledTimes(1);
  });
});
