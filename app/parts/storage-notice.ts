import { ChangeDetectionStrategy, Component, computed, inject, Injector } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { NoticeService } from '../services/notice.service';
import { Store } from '../store/store';

/** Says where things are kept when it is not the device, and what could not be written yet. Nothing is shown otherwise. */
@Component({
  selector: 'kt-storage-notice',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (why(); as reason) {
      <div role="alert" class="notice">
        <p>
          <b>Nothing is being saved on this device:</b> {{ reason }}. Everything works in this tab and will be saved as
          soon as possible.
        </p>
        <button matButton="outlined" type="button" (click)="export()">Export everything</button>
      </div>
    }
    @if (waiting().length > 0) {
      <div role="alert" class="notice">
        <p>
          <b>Not saved yet: {{ what() }}.</b> {{ reason() }}. Your changes are still here and will be saved
          automatically; keep this tab open.
        </p>
        <button matButton="outlined" type="button" (click)="store.tryAgain()">Try now</button>
        <button matButton="outlined" type="button" (click)="export()">Export everything</button>
      </div>
    }
  `,
  styles: `
    div {
      border-color: var(--danger);
      border-radius: 0;
    }
    p {
      flex: 1 1 20rem;
    }
  `,
})
export class StorageNotice {
  protected readonly store = inject(Store);
  private readonly injector = inject(Injector);
  private readonly notices = inject(NoticeService);

  protected readonly waiting = this.store.waiting;
  protected readonly why = computed(() => {
    const keeping = this.store.keeping();
    return keeping.where === 'tab' ? keeping.why : null;
  });
  protected readonly what = computed(() => [...new Set(this.waiting().map(({ what }) => what))].join(', '));
  protected readonly reason = computed(() => {
    const why = this.waiting()[0]?.why ?? '';
    return why.charAt(0).toUpperCase() + why.slice(1);
  });

  /** What a backup needs is loaded when somebody asks for one. */
  protected async export(): Promise<void> {
    const { BackupService } = await import('../services/backup.service');
    const made = await this.injector.get(BackupService).backUp(new Date());
    if (!made.ok) void this.notices.say(`No backup was made: ${made.problems[0]?.what ?? ''}.`);
    else if (!made.value.all) void this.notices.say('Storage does not answer: the file holds what is not saved yet.');
  }
}
