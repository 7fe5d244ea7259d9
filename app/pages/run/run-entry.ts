import { inject, Injectable, signal } from '@angular/core';
import { firstValueFrom } from 'rxjs';
import { entryOfRun, type LogEntry, type RunState, type Said } from '../../../core/index';
import { LastRunsService } from '../../services/last-runs.service';
import { LogService } from '../../services/log.service';
import { Live } from './live';
import { RunKeeper } from './run-keeper';
import { RunSensors } from './run-sensors';

/** The entry of a run in the log: written when it stands stopped, and again when it is over. */
@Injectable()
export class RunEntry {
  private readonly live = inject(Live);
  private readonly keeper = inject(RunKeeper);
  private readonly sensors = inject(RunSensors);
  private readonly log = inject(LogService);
  private readonly lastRuns = inject(LastRunsService);
  /** As it was last written; null while nothing has ended. */
  readonly entry = signal<LogEntry | null>(null);
  /** What the coach has said of the run while it stood stopped, or when it was over. */
  private amended: Said = {};

  begin(): void {
    this.entry.set(null);
    this.amended = {};
    this.sensors.begin();
    const sheet = this.live.sheet();
    if (sheet) void this.rememberClass(sheet.id);
  }

  /** The class is the one that this sheet was run with the last time, until somebody says another. */
  private async rememberClass(sheetId: string): Promise<void> {
    const group = (await firstValueFrom(this.lastRuns.lastOf$(sheetId)))?.who?.group;
    if (group && !this.amended.who) this.amended = { ...this.amended, who: { group, names: [], people: null } };
  }

  private of({ deeds }: RunState, rate: number): LogEntry | null {
    const [sheet, timeline, planned] = [this.live.sheet(), this.live.timeline(), this.live.asPlanned()];
    if (!sheet || !timeline || !planned) return null;
    const run = { id: this.keeper.key, sheet, deeds, rate, changes: this.live.changes() };
    return { ...entryOfRun(run, planned, timeline), ...this.sensors.figures(), ...this.amended };
  }

  /** What stands stopped may be left so: its entry is written, then shown. */
  async note(state: RunState, rate: number): Promise<void> {
    const entry = this.of(state, rate);
    if (!entry) return;
    await this.keeper.note(entry);
    this.entry.set(entry);
  }

  /** Writes the entry, then shows it. */
  async finish(state: RunState, rate: number): Promise<void> {
    const entry = this.of(state, rate);
    if (!entry) return;
    this.entry.set(null);
    // What cannot be written now is shown all the same, and written again by itself.
    await this.keeper.finish(entry);
    this.entry.set(entry);
  }

  /** What is said of the run is kept as it is typed. */
  amend(change: Said): void {
    const entry = this.entry();
    if (!entry) return;
    this.amended = { ...this.amended, ...change };
    this.entry.set({ ...entry, ...change });
    void this.log.change(entry, change);
  }
}
