import { inject, Injectable, type OnDestroy } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { combineLatest, filter, map, Observable, switchMap } from 'rxjs';
import { callTrack, lengthIn, type CallTrack, type Sheet, type Voice } from '../../core/index';
import type { TrackAnswer, TrackRequest, VoiceRequest } from '../workers/protocol';
import { SettingsService } from './settings.service';
import { VoiceService } from './voice.service';

/** Makes scripts in a worker that stays: only what has changed is worked out anew. */
@Injectable({ providedIn: 'root' })
export class TrackService implements OnDestroy {
  private readonly settings = toObservable(inject(SettingsService).settings);
  private readonly voice = toObservable(inject(VoiceService).voice);
  private worker: Worker | null = null;
  /** Whose clips the worker goes by. */
  private told: Voice | null = null;
  private last = 0;

  /** The script of a sheet, again with every change of it, of the voice, and of the coach's words. */
  of(sheets: Observable<Sheet | null>): Observable<CallTrack> {
    return combineLatest([sheets, this.settings, this.voice]).pipe(
      filter((all): all is [Sheet, (typeof all)[1], (typeof all)[2]] => all[0] !== null),
      switchMap(([sheet, { wordings, talk, countFrom }, voice]) => {
        this.tell(voice);
        return this.ask({ kind: 'track', sheet, wordings, talk, countFrom }, voice);
      }),
    );
  }

  private running(): Worker {
    return (this.worker ??= new Worker(new URL('../workers/calls.worker', import.meta.url), { type: 'module' }));
  }

  private tell(voice: Voice | null): void {
    if (voice === this.told) return;
    this.told = voice;
    this.running().postMessage({ kind: 'voice', voice } satisfies VoiceRequest);
  }

  private ask(request: Omit<TrackRequest, 'id'>, voice: Voice | null): Observable<CallTrack> {
    const worker = this.running();
    const id = (this.last += 1);
    return new Observable<TrackAnswer>((answers) => {
      const hear = ({ data }: MessageEvent<TrackAnswer>): void => {
        if (data.id === id) answers.next(data);
      };
      /** A worker that cannot start, or has failed, is let go; the script is made here, once. */
      const fail = (): void => {
        this.letGo();
        const { sheet, ...wishes } = request;
        const lengthOf = voice ? { lengthOf: lengthIn(voice) } : {};
        answers.next({ id, track: callTrack(sheet, { ...wishes, ...lengthOf }) });
      };
      worker.addEventListener('message', hear);
      worker.addEventListener('error', fail);
      worker.postMessage({ ...request, id } satisfies TrackRequest);
      return () => {
        worker.removeEventListener('message', hear);
        worker.removeEventListener('error', fail);
      };
    }).pipe(map(({ track }) => track));
  }

  private letGo(): void {
    this.worker?.terminate();
    this.worker = null;
    this.told = null;
  }

  ngOnDestroy(): void {
    this.letGo();
  }
}
