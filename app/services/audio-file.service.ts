import { inject, Injectable } from '@angular/core';
import { proxy } from 'comlink';
import { catchError, from, map, merge, of, Subject, switchMap, takeWhile, type Observable } from 'rxjs';
import type { Sheet } from '../../core/index';
import type { Renderer } from '../workers/audio.worker';
import { askOnce } from '../workers/in-worker';
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
    const wishes = this.settings.wishes();
    return from(this.voices.spoken()).pipe(
      switchMap((recording) => this.inWorker({ sheet, wishes, rate, recording, as })),
    );
  }

  private inWorker(request: AudioRequest): Observable<AudioAnswer> {
    const shares = new Subject<AudioAnswer>();
    const file = askOnce<Renderer, Blob>(
      () => new Worker(new URL('../workers/audio.worker', import.meta.url), { type: 'module' }),
      (renderer) =>
        renderer.render(
          request,
          proxy((share: number) => shares.next({ kind: 'progress', share })),
        ),
    );
    const done = file.pipe(
      map((made): AudioAnswer => ({ kind: 'done', file: made })),
      catchError((reason: unknown) =>
        of<AudioAnswer>({
          kind: 'failed',
          what: reason instanceof Error ? reason.message : 'this browser could not encode it',
        }),
      ),
    );
    return merge(shares, done).pipe(takeWhile(({ kind }) => kind === 'progress', true));
  }
}
