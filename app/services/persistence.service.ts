import { inject, Injectable, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { distinctUntilChanged, filter, take } from 'rxjs';
import { toObservable } from '@angular/core/rxjs-interop';
import { Store } from '../store/store';

/** How much room the browser gives, in megabytes, and whether little of it is left. */
export interface Space {
  readonly usedMb: number;
  readonly ofMb: number;
  readonly short: boolean;
}

const megabyte = 1024 * 1024;
/** From this share on, or with less than this left, room is short (house values). */
const shortFrom = 0.8;
const shortLeftMb = 50;

/** Whether the browser keeps things for good, and how much room there is. */
@Injectable({ providedIn: 'root' })
export class PersistenceService {
  private readonly store = inject(Store);
  readonly kept = signal<'unknown' | 'protected' | 'clearable'>('unknown');
  readonly space = signal<Space | null>(null);
  /** Sheets that are the coach's own: from the first one on there is something to lose. */
  private readonly own = toSignal(
    this.store.watch(({ sheets }) =>
      sheets
        .filter(({ demo }) => !demo)
        .limit(1)
        .count(),
    ),
    { initialValue: 0 },
  );

  constructor() {
    void this.look();
    toObservable(this.own)
      .pipe(
        distinctUntilChanged(),
        filter((count) => count > 0),
        take(1),
      )
      .subscribe(() => void this.ask());
  }

  /** Asks the browser to keep what is stored until the coach clears it. */
  async ask(): Promise<void> {
    if (typeof navigator.storage?.persist !== 'function') return;
    await navigator.storage.persist().catch(() => false);
    await this.look();
  }

  private async look(): Promise<void> {
    // Older browsers, and pages without a secure address, have none of it.
    const manager: Partial<StorageManager> | undefined = navigator.storage;
    const kept = await manager?.persisted?.().catch(() => undefined);
    if (kept !== undefined) this.kept.set(kept ? 'protected' : 'clearable');
    const { usage, quota } = (await manager?.estimate?.().catch(() => undefined)) ?? {};
    if (usage === undefined || !quota) return;
    const [usedMb, ofMb] = [usage / megabyte, quota / megabyte];
    this.space.set({ usedMb, ofMb, short: usage > shortFrom * quota || ofMb - usedMb < shortLeftMb });
  }
}
