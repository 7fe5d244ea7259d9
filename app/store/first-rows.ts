import { InjectionToken } from '@angular/core';
import type { Database } from './database';

/** What is put into a database before anything asks it; the demo on a first visit, nothing in specs. */
export const firstRows = new InjectionToken<(database: Database) => Promise<void>>('first rows', {
  factory: () => () => Promise.resolve(),
});
