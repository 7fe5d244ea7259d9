import { Injectable } from '@angular/core';
import { Observable } from 'rxjs';
import type { BallAnswer, BallRequest } from '../workers/protocol';

/** Works the ball out in a worker of its own; whoever stops listening stops the work. */
@Injectable({ providedIn: 'root' })
export class BallService {
  drill(request: BallRequest): Observable<BallAnswer> {
    return new Observable((answers) => {
      const worker = new Worker(new URL('../workers/ball.worker', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<BallAnswer>) => {
        answers.next(data);
        answers.complete();
      };
      worker.onerror = () => {
        answers.next({ ok: false, what: 'the ball could not be worked out; try again' });
        answers.complete();
      };
      worker.postMessage(request);
      return () => {
        worker.terminate();
      };
    });
  }
}
