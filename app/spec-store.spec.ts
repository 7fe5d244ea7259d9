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

/** Waits until something holds; gives up with the reason before the runner does, so that nothing runs on into the next spec. */
export async function until(holds: () => boolean): Promise<void> {
  const end = performance.now() + 4000;
  while (!holds()) {
    if (performance.now() > end) throw new Error(`waited in vain for ${holds.toString()}`);
    await new Promise((next) => setTimeout(next, 10));
  }
}
