import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { demoRows, tablesOf } from '../store/demo-tables';
import { Store } from '../store/store';

/** The demo class, there on the first visit and cleared by one button. What a coach has changed is no demo any more and stays. */
@Injectable({ providedIn: 'root' })
export class DemoService {
  private readonly store = inject(Store);

  /** How many untouched demo records are left. */
  readonly left = toSignal(
    this.store.watch(async (database) => {
      const counts = await Promise.all(tablesOf(database).map((table) => demoRows(table).count()));
      return counts.reduce((sum, count) => sum + count, 0);
    }),
    { initialValue: 0 },
  );

  /** Takes the untouched demo out; the returned function puts it back. */
  async clear(): Promise<() => Promise<void>> {
    const { putIn, takeOut } = await import('../store/demo-clear');
    const { written } = await this.store.write('clearing the examples', 'demo', takeOut);
    const taken = await written;
    return async () => {
      await this.store.write('the examples', 'demo', (database) => putIn(database, taken));
    };
  }
}
