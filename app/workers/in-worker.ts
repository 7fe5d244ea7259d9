import { releaseProxy, wrap, type Remote } from 'comlink';
import { Observable } from 'rxjs';

/** A worker that answers questions until it is ended. */
export interface Helper<Api> {
  /** Puts a question; fails with the reason where the worker cannot start or stops. */
  readonly ask: <T>(question: (api: Remote<Api>) => T | Promise<T>) => Promise<T>;
  readonly end: () => void;
}

/**
 * Begins to ask a worker whose file exposes an `Api` by comlink.
 * @example startHelper<Sums>(new Worker(new URL('./sums.worker', import.meta.url), { type: 'module' }))
 */
export function startHelper<Api>(worker: Worker): Helper<Api> {
  const api = wrap<Api>(worker);
  const failed = new Promise<never>((_, fail) =>
    worker.addEventListener(
      'error',
      ({ message }) => fail(new Error(message || 'the calculation stopped unexpectedly')),
      { once: true },
    ),
  );
  // Heard by whoever asks; nobody may be asking when it fails.
  failed.catch(() => undefined);
  return {
    ask: async (question) => Promise.race([question(api), failed]),
    end: () => {
      api[releaseProxy]();
      worker.terminate();
    },
  };
}

/** Asks a worker of its own, which ends with its answer, or as soon as nobody listens any more. */
export function askOnce<Api, T>(make: () => Worker, question: (api: Remote<Api>) => T | Promise<T>): Observable<T> {
  return new Observable<T>((answers) => {
    const helper = startHelper<Api>(make());
    helper.ask(question).then(
      (answer) => {
        answers.next(answer);
        answers.complete();
      },
      (reason: unknown) => answers.error(reason),
    );
    return () => helper.end();
  });
}
