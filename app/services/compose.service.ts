import { Injectable, type OnDestroy } from '@angular/core';
import type { Composing } from '../workers/composing.worker';
import type { ComposeAnswer } from '../workers/composing';
import { startHelper, type Helper } from '../workers/in-worker';

/** Composes in a worker that is there as long as somebody composes; here where there is none. */
@Injectable()
export class ComposeService implements OnDestroy {
  private helper: Helper<Composing> | null = null;
  /** Whether a question is under way. */
  private busy = false;

  /** What some wishes come to; a question that is put meanwhile ends the one before it. */
  async compose(wishes: string, take: number, seed: number): Promise<ComposeAnswer> {
    // A bound on seconds may take long: what nobody waits for any more is not worked out to its end.
    if (this.busy) this.end();
    this.busy = true;
    try {
      this.helper ??= startHelper<Composing>(
        new Worker(new URL('../workers/composing.worker', import.meta.url), { type: 'module' }),
      );
      return await this.helper.ask((composing) => composing.composeFor(wishes, take, seed));
    } catch {
      this.end();
      return (await import('../workers/composing')).composeFor(wishes, take, seed);
    } finally {
      this.busy = false;
    }
  }

  private end(): void {
    this.helper?.end();
    this.helper = null;
  }

  ngOnDestroy(): void {
    this.end();
  }
}
