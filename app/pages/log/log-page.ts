import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatSortModule } from '@angular/material/sort';
import { MatTableModule } from '@angular/material/table';
import { MatTooltip } from '@angular/material/tooltip';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { map, switchMap } from 'rxjs';
import { sayClock, type LogEntry } from '../../../core/index';
import { EntryForm } from '../../parts/entry-form';
import { Pages } from '../../parts/pages';
import { UnreadList } from '../../parts/unread-list';
import { LogService, logOrders, type LogOrder } from '../../services/log.service';
import { SumsService } from '../../services/sums.service';
import { NoticeService } from '../../services/notice.service';

const weeks = 4;
/** Rows that stand on one page of a list. */
const longestList = 25;

/** What happened, the latest first unless ordered otherwise. */
@Component({
  selector: 'kt-log-page',
  imports: [
    MatSortModule,
    MatTableModule,
    MatTooltip,
    MatIcon,
    MatButtonModule,
    DatePipe,
    RouterLink,
    EntryForm,
    Pages,
    UnreadList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './log-page.html',
  styleUrl: './log-page.scss',
})
export class LogPage {
  protected readonly unreadStores = ['log'] as const;
  private readonly log = inject(LogService);
  private readonly sums = inject(SumsService);
  private readonly notices = inject(NoticeService);

  protected readonly open = signal<string | null>(null);
  protected readonly pageIndex = signal(0);
  protected readonly pageSize = longestList;
  private readonly order = signal<LogOrder>({ by: 'when', down: true });
  protected readonly columns = ['when', 'title', 'time', 'rounds', 'punches', 'effort', 'change'];
  private readonly wanted = computed(() => ({ index: this.pageIndex(), order: this.order() }));
  protected readonly page = toSignal(
    toObservable(this.wanted).pipe(
      switchMap(({ index, order }) => this.log.page$(index * longestList, longestList, order)),
    ),
  );
  protected readonly entries = computed(() => this.page()?.rows);
  protected readonly byId = (_: number, entry: LogEntry): string => entry.id;

  protected orderBy(column: string, down: boolean): void {
    const by = logOrders.find((each) => each === column);
    if (!by) return;
    this.pageIndex.set(0);
    this.order.set({ by, down });
  }

  protected tagsOf({ done, rehearsal, brokenOff }: LogEntry): readonly string[] {
    return [...(done.finished ? [] : [brokenOff ? 'broken off' : 'given up']), ...(rehearsal ? ['rehearsal'] : [])];
  }

  /** Left and right of the last four weeks, as planned and by the share that was done; null where nothing was run. */
  protected readonly balance = toSignal(
    this.log.since$(Date.now() - weeks * 7 * 24 * 3600 * 1000).pipe(
      switchMap((entries) => this.sums.balance(entries, weeks, Date.now())),
      map(({ strikes, left, balanced }) => {
        const all = strikes.left + strikes.right;
        return all < 1 ? null : { all: Math.round(all), left: Math.round(left * 100), balanced };
      }),
    ),
  );

  protected time(ms: number): string {
    return sayClock(Math.round(ms / 1000) * 1000);
  }

  protected change(entry: LogEntry, change: Partial<LogEntry>): void {
    void this.log.change(entry, change);
  }

  protected async remove(entry: LogEntry): Promise<void> {
    const putBack = await this.log.remove(entry.id);
    this.notices.undoable(`Entry “${entry.title}” deleted`, putBack);
  }
}
