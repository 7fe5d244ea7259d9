import { inject, Injectable, type OnDestroy } from '@angular/core';
import type { StoredSheet } from '../store/database';
import { Store } from '../store/store';
import { endSums, inSums } from '../workers/in-sums';

/** Sums that take long, of a sheet for its list. Worked out in a worker; here where there is none. */
@Injectable({ providedIn: 'root' })
export class SumsService implements OnDestroy {
  private readonly store = inject(Store);
  private readonly under = new Set<string>();

  /** Works the figures of a stored sheet out and keeps them with it, if it is still the same by then. */
  async keepFigures({ id, rev, sheet }: StoredSheet): Promise<void> {
    const mark = `${id} ${rev ?? 0}`;
    if (this.under.has(mark)) return;
    this.under.add(mark);
    const figures = await inSums((sums) => sums.figuresOf(sheet));
    await this.store.write('list totals', `figures ${id}`, (database) =>
      database.transaction('rw', database.sheets, async () => {
        const row = await database.sheets.get(id);
        if (row && row.rev === rev) await database.sheets.put({ ...row, figures });
      }),
    );
    this.under.delete(mark);
  }

  ngOnDestroy(): void {
    endSums();
  }
}
