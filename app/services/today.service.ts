import { DOCUMENT, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { fromEvent, interval, merge } from 'rxjs';
import { dayOf, type Day } from '../../core/index';

const lookEveryMs = 30_000;

/** The day it is, also for a page that stands open over midnight. */
@Injectable({ providedIn: 'root' })
export class TodayService {
  private readonly now = signal<Day>(dayOf(Date.now()));
  readonly day = this.now.asReadonly();

  constructor() {
    // A hidden page's timers may sleep; it looks again when somebody looks at it.
    merge(interval(lookEveryMs), fromEvent(inject(DOCUMENT), 'visibilitychange'))
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.now.set(dayOf(Date.now())));
  }
}
