import { inject, Injectable } from '@angular/core';
import { Observable } from 'rxjs';
import type { Sheet } from '../../core/index';
import type { AudioAnswer, AudioRequest } from '../workers/protocol';
import { SettingsService } from './settings.service';
import { VoiceService } from './voice.service';

/** Rate of sound files; the recorded voices have no more. */
const rate = 16_000;

/** Renders a session as sound in a worker; whoever stops listening stops the work. */
@Injectable({ providedIn: 'root' })
export class AudioFileService {
  private readonly settings = inject(SettingsService);
  private readonly voices = inject(VoiceService);

  render(sheet: Sheet, as: AudioRequest['as']): Observable<AudioAnswer> {
    const { wordings, talk, countFrom } = this.settings.settings();
    return new Observable((answers) => {
      const worker = new Worker(new URL('../workers/audio.worker', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<AudioAnswer>) => {
        answers.next(data);
        if (data.kind !== 'progress') answers.complete();
      };
      worker.onerror = ({ message }) => {
        answers.next({ kind: 'failed', what: message || 'the worker stopped' });
        answers.complete();
      };
      void this.voices.spoken().then((recording) => {
        const request: AudioRequest = { sheet, wordings, talk, countFrom, rate, recording, as };
        worker.postMessage(request);
      });
      return () => {
        worker.terminate();
      };
    });
  }
}
