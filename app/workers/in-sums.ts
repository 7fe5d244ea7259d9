import type { Remote } from 'comlink';
import { startHelper, type Helper } from './in-worker';
import type { Sums } from './sums.worker';

let helper: Helper<Sums> | null = null;

/** Ends the worker; the next question begins another. */
export function endSums(): void {
  helper?.end();
  helper = null;
}

/**
 * Asks the worker of long sums, which is begun with the first question; where none can be had the page itself does it.
 * @example await inSums((sums) => sums.figuresOf(sheet))
 */
export async function inSums<T>(question: (sums: Sums | Remote<Sums>) => T | Promise<T>): Promise<T> {
  try {
    helper ??= startHelper(new Worker(new URL('./sums.worker', import.meta.url), { type: 'module' }));
    return await helper.ask(question);
  } catch {
    endSums();
    return question(await import('./sums'));
  }
}
