import { inject, Injectable } from '@angular/core';
import type { LogEntry, UnfinishedRun } from '../../../core/index';
import { UnfinishedRunService } from '../../services/unfinished-run.service';

const keepEveryMs = 400;

/** Keeps where a run stands, so that a reload takes it up at its second, and says to other tabs that it is performed here. */
@Injectable()
export class RunKeeper {
  private readonly unfinished = inject(UnfinishedRunService);
  private lastKept = -Infinity;
  /** The key under which the run is kept while it is not over, and the lock that says it is performed here. */
  key = '';
  /** What is practised, where somebody runs alone. */
  solo: UnfinishedRun['solo'];
  private free: () => void = () => undefined;

  /** Takes a run as this tab's own. */
  own(key: string): void {
    this.free();
    this.key = key;
    this.free = this.unfinished.hold(key);
  }

  /** Keeps it now, or when the last time was long enough ago. By the page's clock: the system's may be set back in a run. */
  keep(now: boolean, run: () => UnfinishedRun): void {
    if (!now && performance.now() - this.lastKept < keepEveryMs) return;
    this.lastKept = performance.now();
    const { solo } = this;
    void this.unfinished.put(this.key, { ...run(), ...(solo ? { solo } : {}) }, now);
  }

  /** Writes the entry of a run that stands stopped and may go on. */
  async note(entry: LogEntry): Promise<void> {
    await this.unfinished.note(entry);
  }

  /** Writes the entry of a run that is over; what cannot be written now is written again by itself. */
  async finish(entry: LogEntry): Promise<void> {
    await this.unfinished.finish(this.key, entry);
    this.letGo();
  }

  /** Others may take it up. */
  letGo(): void {
    this.free();
  }
}
