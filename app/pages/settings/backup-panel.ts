import { DatePipe, DecimalPipe } from '@angular/common';
import type { ElementRef } from '@angular/core';
import { MatRadioModule } from '@angular/material/radio';
import { ChoiceField } from '../../parts/fields/choice-field';
import { MatButtonModule } from '@angular/material/button';
import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import type { Problem, Settings } from '../../../core/index';
import type { Choice } from '../../parts/fields/choice-field';
import { BackupDueService } from '../../services/backup-due.service';
import { BackupService, type Restorable } from '../../services/backup.service';
import { PersistenceService } from '../../services/persistence.service';
import { SettingsService } from '../../services/settings.service';
import { Store } from '../../store/store';
import { NoticeService } from '../../services/notice.service';

const stores = [
  { key: 'sheets', name: 'Sheets' },
  { key: 'log', name: 'Log entries' },
  { key: 'book', name: 'Combinations' },
  { key: 'choices', name: 'Settings, room and preferences' },
] as const;

const spans: readonly Choice<Settings['backupEvery']>[] = [
  { value: 0, name: 'Never' },
  { value: 7, name: 'After a week' },
  { value: 30, name: 'After a month' },
  { value: 90, name: 'After three months' },
];

/** Everything to one file and back, how safe this browser keeps it, and how much room is left. */
@Component({
  selector: 'kt-backup-panel',
  imports: [MatRadioModule, ChoiceField, MatButtonModule, DatePipe, DecimalPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './backup-panel.html',
  styleUrl: './backup-panel.scss',
})
export class BackupPanel {
  private readonly backups = inject(BackupService);
  private readonly backupDue = inject(BackupDueService);
  private readonly notices = inject(NoticeService);
  protected readonly settings = inject(SettingsService);
  protected readonly persistence = inject(PersistenceService);
  protected readonly store = inject(Store);
  private readonly file = viewChild.required<ElementRef<HTMLInputElement>>('file');

  protected readonly last = this.backupDue.last;
  protected readonly due = this.backupDue.due;
  protected readonly spans = spans;
  protected readonly busy = signal(false);
  protected readonly problems = signal<readonly Problem[]>([]);
  /** Whether what is wrong is that no backup could be made. */
  protected readonly madeNone = signal(false);
  /** A backup that was read, until it is decided on. */
  protected readonly read = signal<Restorable | null>(null);
  protected readonly how = signal<'merge' | 'replace'>('merge');
  protected readonly rows = computed(() => {
    const plan = this.read()?.plan;
    return plan
      ? stores.map(({ key, name }) => ({
          name,
          fresh: plan[key].fresh.length,
          same: plan[key].same.length,
          different: plan[key].different.length,
        }))
      : [];
  });

  protected async backUp(): Promise<void> {
    this.busy.set(true);
    const made = await this.backups.backUp(new Date()).finally(() => this.busy.set(false));
    this.madeNone.set(!made.ok);
    this.problems.set(made.ok ? [] : made.problems.slice(0, 8));
  }

  protected choose(): void {
    this.file().nativeElement.click();
  }

  protected async open(): Promise<void> {
    const field = this.file().nativeElement;
    const [file] = field.files ?? [];
    if (!file) return;
    this.busy.set(true);
    const read = await this.backups.read(file).finally(() => this.busy.set(false));
    field.value = '';
    this.madeNone.set(false);
    this.problems.set(read.ok ? [] : read.problems.slice(0, 8));
    this.read.set(read.ok ? read.value : null);
  }

  protected cancel(): void {
    this.read.set(null);
  }

  protected async restore(): Promise<void> {
    const read = this.read();
    if (!read) return;
    this.busy.set(true);
    const putBack = await this.backups.restore(read, this.how()).finally(() => this.busy.set(false));
    this.read.set(null);
    this.notices.undoable('Restored', putBack, 20_000);
  }
}
