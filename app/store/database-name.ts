import { InjectionToken } from '@angular/core';

/** Name of the browser's database; specs give each test one of its own. */
export const databaseName = new InjectionToken<string>('database name', { factory: () => 'keen-tempo' });
