import { Component, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { provideRouter, RouterOutlet, withComponentInputBinding, withInMemoryScrolling } from '@angular/router';
import { provideServiceWorker } from '@angular/service-worker';
import { routes } from './routes';
import type { Database } from './store/database';
import { firstRows } from './store/first-rows';

/** What is there before anything else: a place for the frame. Everything is loaded after it, so that it is small. */
@Component({ selector: 'kt-root', imports: [RouterOutlet], template: '<router-outlet />' })
class Root {}

bootstrapApplication(Root, {
  providers: [
    provideZonelessChangeDetection(),
    provideBrowserGlobalErrorListeners(),
    // As soon as the first view stands: on this machine's own address the worker fetches all before it answers anything.
    provideServiceWorker('ngsw-worker.js', { registrationStrategy: 'registerWhenStable:5000' }),
    provideRouter(routes, withComponentInputBinding(), withInMemoryScrolling({ scrollPositionRestoration: 'top' })),
    {
      provide: firstRows,
      useValue: async (database: Database) => (await import('./store/demo-rows')).seedDemo(database, new Date()),
    },
  ],
}).catch((thrown: unknown) => {
  console.error(thrown);
});
