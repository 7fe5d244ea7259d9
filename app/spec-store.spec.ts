// Storage of its own for each spec. Holds no tests of its own.
import { provideZonelessChangeDetection, type Provider, type EnvironmentProviders } from '@angular/core';
import { provideRouter } from '@angular/router';
import { databaseName } from './store/database';

/** Providers of a test: zoneless, a router without routes, and a database nobody else uses. */
export function testProviders(): (Provider | EnvironmentProviders)[] {
  return [
    provideZonelessChangeDetection(),
    provideRouter([]),
    { provide: databaseName, useValue: `spec-${crypto.randomUUID()}` },
  ];
}

/** Waits until something holds; fails by the runner's own time limit where it never does. */
export async function until(holds: () => boolean): Promise<void> {
  while (!holds()) await new Promise((next) => setTimeout(next, 10));
}
