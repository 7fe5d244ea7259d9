import { DestroyRef, inject, Injectable } from '@angular/core';
import { type PreloadingStrategy, type Route, Router } from '@angular/router';
import { EMPTY, fromEvent, merge, type Observable, take } from 'rxjs';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { whenIdle } from './when-idle';

/** Where a coach goes most often from a view: loaded ahead once the page has nothing to do. */
const likelyNext: Readonly<Record<string, readonly string[]>> = {
  sheets: ['sheets/:id'],
  'sheets/:id': ['run/:id'],
};

/** The likely next view is loaded before all else that nobody has asked for, in milliseconds of quiet. */
const soonMs = 200;

/** The route that an address belongs to, of those known. `routeOf('/run/demo-1', ['run/:id', 'log'])` → `run/:id` */
export function routeOf(address: string, routes: readonly string[]): string | null {
  const parts = address.split(/[?#]/)[0]?.split('/').filter(Boolean) ?? [];
  const fits = (route: string): boolean => {
    const wanted = route.split('/');
    return wanted.length === parts.length && wanted.every((each, at) => each.startsWith(':') || each === parts[at]);
  };
  return routes.find(fits) ?? null;
}

/**
 * Loads the code of a view before it is opened: when a link to it is under the pointer, has the focus or is touched, and that
 * of the likely next view when the page has nothing to do. A button that leads to a view names it: `data-leads-to="sheets/:id"`.
 */
@Injectable({ providedIn: 'root' })
export class WhenWanted implements PreloadingStrategy {
  private readonly router = inject(Router);
  private readonly loads = new Map<string, () => Observable<unknown>>();

  constructor() {
    merge(...['pointerover', 'focusin', 'touchstart'].map((type) => fromEvent(document, type, { passive: true })))
      .pipe(takeUntilDestroyed(inject(DestroyRef)))
      .subscribe(({ target }) => {
        const near = target instanceof Element ? target.closest<HTMLElement>('a[href], [data-leads-to]') : null;
        const leads = near?.dataset['leadsTo'] ?? routeOf(near?.getAttribute('href') ?? '', [...this.loads.keys()]);
        if (leads) this.load(leads);
      });
  }

  preload({ path }: Route, load: () => Observable<unknown>): Observable<unknown> {
    if (path !== undefined && !this.loads.has(path)) this.loads.set(path, load);
    const here = routeOf(this.router.url, [...this.loads.keys(), 'sheets']) ?? '';
    if (path !== undefined && likelyNext[here]?.includes(path)) void whenIdle(soonMs).then(() => this.load(path));
    return EMPTY;
  }

  /** Loads once; what fails is loaded again by who opens the view. */
  private load(path: string): void {
    const load = this.loads.get(path);
    if (load) this.loads.set(path, () => EMPTY);
    load?.()
      .pipe(take(1))
      .subscribe({ error: () => this.loads.set(path, load) });
  }
}
