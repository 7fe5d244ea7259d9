import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { switchMap } from 'rxjs';
import { FilesService } from '../services/files.service';
import { NoticeService } from '../services/notice.service';
import { UnreadService } from '../services/unread.service';
import type { LookedAt, Unread } from '../store/sound';

const things: Readonly<Record<LookedAt, string>> = {
  sheets: 'Sheet',
  log: 'Log entry',
  book: 'Combination',
  runs: 'Interrupted session',
  choices: 'Saved setting',
};

/** Records that cannot be read: older, damaged or newer ones. They are kept, and go to a file as they are. */
@Component({
  selector: 'kt-unread-list',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (unread().length > 0) {
      <section aria-labelledby="unread-title">
        <h2 id="unread-title">Could not be read</h2>
        <p class="soft">
          These are damaged or from a newer version. They are kept untouched: export them, then update Keen Tempo, or
          delete them.
        </p>
        <ul class="stack">
          @for (record of unread(); track $index) {
            <li class="line">
              <span
                ><b>{{ things[record.store] }} “{{ record.name }}”</b>: {{ record.why }}</span
              >
              <span>
                <button matButton="outlined" type="button" (click)="export(record)">Export “{{ record.name }}”</button>
                <button matButton type="button" (click)="remove(record)">Delete “{{ record.name }}”</button>
              </span>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      margin-top: var(--space-5);
    }
    li {
      justify-content: space-between;
      overflow-wrap: anywhere;
    }
  `,
})
export class UnreadList {
  private readonly records = inject(UnreadService);
  private readonly files = inject(FilesService);
  private readonly notices = inject(NoticeService);
  readonly stores = input.required<readonly LookedAt[]>();
  protected readonly things = things;

  private readonly found = toSignal(toObservable(this.stores).pipe(switchMap((stores) => this.records.of(stores))));
  protected readonly unread = computed((): readonly Unread[] => this.found() ?? []);

  protected async remove(record: Unread): Promise<void> {
    const putBack = await this.records.remove(record);
    this.notices.undoable(`“${record.name}” deleted`, putBack);
  }

  /** The record as it is stored, byte for byte as JSON can say it. */
  protected async export({ store, name, row }: Unread): Promise<void> {
    await this.files.save(
      this.files.fileName(`${store} ${name}`, 'json'),
      JSON.stringify(row, null, 2),
      'application/json',
    );
  }
}
