import { InjectionToken } from '@angular/core';
import { ourDatabase } from '../first/first-list';

/** Name of the browser's database; specs give each test one of its own. */
export const databaseName = new InjectionToken<string>('database name', { factory: () => ourDatabase });
