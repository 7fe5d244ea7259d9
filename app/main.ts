import {
  Component,
  ErrorHandler,
  provideBrowserGlobalErrorListeners,
  provideZonelessChangeDetection,
} from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import {
  provideRouter,
  RouterOutlet,
  withComponentInputBinding,
  withInMemoryScrolling,
  withPreloading,
} from '@angular/router';
import { routes } from './routes';
import type { Database } from './store/database';
import { CodeErrorHandler } from './services/missing-code';
import { offlineUse } from './services/offline-use';
import { WhenWanted } from './services/when-wanted';
import { seedDemo } from './store/demo-rows';
import { firstRows } from './store/first-rows';

/** What is there before anything else: a place for the frame. Everything is loaded after it, so that it is small. */
@Component({ selector: 'kt-root', imports: [RouterOutlet], template: '<router-outlet />' })
class Root {}

bootstrapApplication(Root, {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    { provide: offlineUse, useValue: true },
    { provide: ErrorHandler, useClass: CodeErrorHandler },
    provideRouter(
      routes,
      withComponentInputBinding(),
      withInMemoryScrolling({ scrollPositionRestoration: 'top' }),
      withPreloading(WhenWanted),
    ),
    {
      provide: firstRows,
      useValue: (database: Database) => seedDemo(database, new Date()),
    },
  ],
}).catch((thrown: unknown) => {
  console.error(thrown);
});
