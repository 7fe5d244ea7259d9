import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { filter, interval, startWith } from 'rxjs';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import type { LogEntry } from '../../core/index';
import { LastRunsService } from './last-runs.service';
import { NoticeService } from './notice.service';
import { SettingsService } from './settings.service';

const minute = 60_000;
/** How long after a session it is asked how hard it was (Foster 1998: about half an hour), and how long that is worth asking. */
const againAfter = 30 * minute;
const noLongerAfter = 12 * 60 * minute;
const noticeMs = 60_000;

/** Whether an entry is to be asked about at a moment. */
export function isToBeAsked(entry: LogEntry | null, now: number): boolean {
  if (!entry || entry.rehearsal || entry.byHand) return false;
  const since = now - (entry.startedAt + entry.done.ms);
  return since >= againAfter && since < noLongerAfter;
}

/** Asks half an hour after a run how hard it was, where the coach wishes that; of one run once. */
@Injectable({ providedIn: 'root' })
export class AskAgainService {
  private readonly runs = inject(LastRunsService);
  private readonly notices = inject(NoticeService);
  private readonly router = inject(Router);
  private readonly settings = inject(SettingsService);
  private asked = '';

  constructor() {
    interval(minute)
      .pipe(
        startWith(0),
        filter(() => this.settings.settings().askAgain),
        takeUntilDestroyed(),
      )
      .subscribe(() => void this.look());
  }

  private async look(): Promise<void> {
    const last = await this.runs.last();
    if (!last || last.id === this.asked || !isToBeAsked(last, Date.now())) return;
    this.asked = last.id;
    await this.notices.say(
      `Half an hour since “${last.title}”: now you’ve rested, how hard was it?`,
      { name: 'Rate it', press: () => void this.router.navigate(['/log'], { queryParams: { entry: last.id } }) },
      noticeMs,
    );
  }
}
