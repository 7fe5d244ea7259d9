import { Injectable } from '@angular/core';
import { catchError, of, type Observable } from 'rxjs';
import type { Balls } from '../workers/ball.worker';
import { askOnce } from '../workers/in-worker';
import type { BallAnswer, BallRequest } from '../workers/protocol';

/** Works the ball out in a worker of its own; whoever stops listening stops the work. */
@Injectable({ providedIn: 'root' })
export class BallService {
  drill(request: BallRequest): Observable<BallAnswer> {
    return askOnce<Balls, BallAnswer>(
      () => new Worker(new URL('../workers/ball.worker', import.meta.url), { type: 'module' }),
      (balls) => balls.drill(request),
    ).pipe(
      catchError(() => of<BallAnswer>({ ok: false, what: 'the ball’s movement could not be calculated; try again' })),
    );
  }
}
