import type { Sheet } from '../../core/index';
import { startHelper, type Helper } from '../workers/in-worker';
import type { SpokenWishes } from '../workers/protocol';
import type { Scripts } from '../workers/script.worker';

let helper: Helper<Scripts> | null = null;

/** The worker that makes scripts, started where it is not there: its code takes longer to load than a script takes to make. */
export const scriptsWorker = (): Helper<Scripts> =>
  (helper ??= startHelper(new Worker(new URL('../workers/script.worker', import.meta.url), { type: 'module' })));

/** Ends the worker; the next question starts a new one. */
export function endScriptsWorker(): void {
  helper?.end();
  helper = null;
}

/** Makes the script of a sheet before it is asked for, so that the answer is quick. Errors are reported when it is asked for. */
export function makeScriptAhead(sheet: Sheet, wishes: SpokenWishes): void {
  scriptsWorker()
    .ask((scripts) => scripts.scriptOf(sheet, wishes, []))
    .catch(() => undefined);
}
