import { computed, inject, Injectable, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Store } from '../store/store';
import { SettingsService } from './settings.service';

const key = 'backed up';
const dayMs = 24 * 3600 * 1000;

/** Whether a backup is due. What makes and reads one is loaded when somebody asks for it. */
@Injectable({ providedIn: 'root' })
export class BackupDueService {
  private readonly store = inject(Store);
  private readonly settings = inject(SettingsService);

  /** When the last backup was made, in milliseconds since 1970; null where none was. */
  readonly last = toSignal(
    this.store.watch(async ({ choices }) => {
      const value = (await choices.get(key))?.value;
      return typeof value === 'number' ? value : null;
    }),
  );
  /** The oldest record that is the coach's own; what is only the demo needs no backup. */
  private readonly oldest = toSignal(
    this.store.watch(({ sheets }) =>
      sheets
        .orderBy('changedAt')
        .filter(({ demo }) => !demo)
        .first(),
    ),
  );
  private readonly now = signal(Date.now());
  /** Whether a backup is due: the last one, or the coach's first own sheet, is older than was chosen. */
  readonly due = computed(() => {
    const [last, oldest, every] = [this.last(), this.oldest(), this.settings.settings().backupEvery];
    if (last === undefined || !oldest || every === 0) return false;
    return this.now() - (last ?? oldest.changedAt) > every * dayMs;
  });

  /** Remembers that a backup was made. */
  async made(now: Date): Promise<void> {
    await this.store.write('the backup date', key, ({ choices }) => choices.put({ key, value: now.getTime() }));
    this.now.set(Date.now());
  }
}
