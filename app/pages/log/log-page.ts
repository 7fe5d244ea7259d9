import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import { mdiDeleteOutline, mdiPencilOutline } from '@mdi/js';
import { balanceOver, sayClock, type LogEntry } from '../../../core/index';
import { EntryForm } from '../../parts/entry-form';
import { Icon } from '../../parts/icon';
import { LogService } from '../../services/log.service';

const weeks = 4;

interface Day {
  readonly day: number;
  readonly entries: readonly LogEntry[];
}

/** What happened, day by day. */
@Component({
  selector: 'kt-log-page',
  imports: [DatePipe, RouterLink, EntryForm, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './log-page.html',
  styleUrl: './log-page.scss',
})
export class LogPage {
  private readonly log = inject(LogService);
  private readonly snack = inject(MatSnackBar);

  protected readonly icons = { edit: mdiPencilOutline, bin: mdiDeleteOutline };
  protected readonly open = signal<string | null>(null);
  protected readonly days = computed((): readonly Day[] | undefined => {
    const days = new Map<number, LogEntry[]>();
    for (const entry of this.log.all() ?? []) {
      const date = new Date(entry.startedAt);
      const day = new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime();
      days.set(day, [...(days.get(day) ?? []), entry]);
    }
    return this.log.all() && [...days].map(([day, entries]) => ({ day, entries }));
  });

  /** Left and right of the last four weeks, as planned and by the share that was done; null where nothing was run. */
  protected readonly balance = computed(() => {
    const { strikes, left, balanced } = balanceOver(this.log.all() ?? [], weeks, Date.now());
    const all = strikes.left + strikes.right;
    return all < 1 ? null : { weeks, all: Math.round(all), left: Math.round(left * 100), balanced };
  });

  protected time(ms: number): string {
    return sayClock(Math.round(ms / 1000) * 1000);
  }

  protected async change(entry: LogEntry): Promise<void> {
    await this.log.put(entry);
  }

  protected async remove(entry: LogEntry): Promise<void> {
    const putBack = await this.log.remove(entry.id);
    this.snack
      .open(`Entry “${entry.title}” deleted`, 'Undo', { duration: 8000 })
      .onAction()
      .subscribe(() => void putBack());
  }
}
