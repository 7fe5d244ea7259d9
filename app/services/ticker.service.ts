import { Injectable } from '@angular/core';
import { interval, Observable, type Subscription } from 'rxjs';

/** A beat for what must go on while the page is hidden. */
@Injectable({ providedIn: 'root' })
export class TickerService {
  /** Beats so often, from a worker; by the page's own timer where none can be had. Ends with the subscription. */
  every(ms: number): Observable<unknown> {
    return new Observable<unknown>((beats) => {
      const worker = new Worker(new URL('../workers/ticker.worker', import.meta.url), { type: 'module' });
      worker.onmessage = () => {
        beats.next(null);
      };
      let instead: Subscription | null = null;
      worker.onerror = () => {
        worker.terminate();
        instead ??= interval(ms).subscribe(beats);
      };
      worker.postMessage(ms);
      return () => {
        worker.terminate();
        instead?.unsubscribe();
      };
    });
  }
}
