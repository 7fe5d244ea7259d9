// Storage of its own for each spec. Holds no tests of its own.
import {
  inject,
  provideZonelessChangeDetection,
  type Signal,
  type Provider,
  type EnvironmentProviders,
} from '@angular/core';
import { provideRouter } from '@angular/router';
import { toSignal } from '@angular/core/rxjs-interop';
import { TestBed } from '@angular/core/testing';
import type { LogEntry } from '../core/index';
import { demoFile, type DemoFile } from '../demo/rows';
import { LogService } from './services/log.service';
import { SheetsService, type Page } from './services/sheets.service';
import type { StoredSheet } from './store/database';
import { provideIcons } from './parts/icons';
import { databaseName } from './store/database-name';

/** Providers of a test: zoneless, a router without routes, and a database nobody else uses. */
export function testProviders(): (Provider | EnvironmentProviders)[] {
  return [
    provideZonelessChangeDetection(),
    provideIcons(),
    provideRouter([]),
    { provide: databaseName, useValue: `spec-${crypto.randomUUID()}` },
  ];
}

/** The demo as the build writes it. */
export const builtDemo = (): Promise<DemoFile> => Promise.resolve(demoFile());

/** The sheets that are stored, as a list shows them; undefined until storage has answered. */
export function sheetsHere(): Signal<Page<StoredSheet> | undefined> {
  return TestBed.runInInjectionContext(() => toSignal(inject(SheetsService).page$(0, 1000)));
}

/** The log entries that is stored. */
export function logHere(): Signal<readonly LogEntry[] | undefined> {
  return TestBed.runInInjectionContext(() => toSignal(inject(LogService).all$));
}

/** Waits until something holds; gives up with the reason before the runner does, so that nothing runs on into the next spec. */
export async function until(holds: () => boolean, ms = 4000): Promise<void> {
  const end = performance.now() + ms;
  while (!holds()) {
    if (performance.now() > end) throw new Error(`waited in vain for ${holds.toString()}`);
    await new Promise((next) => setTimeout(next, 10));
  }
}
