import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { Router } from '@angular/router';
import {
  compile,
  fitToMinutes,
  listChanges,
  readClock,
  sayClock,
  versionKinds,
  versionOf,
  type Sheet,
  type VersionKind,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { SheetsService } from '../../services/sheets.service';
import { fieldLook } from '../../parts/fields/field-look';
import { NoticeService } from '../../services/notice.service';

/** A change of the whole sheet as it would come out, not yet made. */
interface Proposal {
  readonly title: string;
  readonly sheet: Sheet;
  readonly changes: readonly string[];
}

/** Changes of the whole sheet: to a length, and into versions, shown before they are made. */
@Component({
  selector: 'kt-whole-sheet',
  imports: [ReactiveFormsModule, MatInputModule, MatFormFieldModule, MatButtonModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './whole-sheet.html',
  styles: `
    :host {
      display: grid;
      gap: var(--space-2);
      padding: var(--space-3) var(--space-4);
    }

    mat-form-field {
      width: 8rem;
    }

    .changes {
      padding-inline-start: var(--space-4);
      list-style: disc;
    }
  `,
})
export class WholeSheet {
  private readonly sheets = inject(SheetsService);
  private readonly router = inject(Router);
  private readonly notices = inject(NoticeService);
  readonly sheet = input.required<Sheet>();
  /** The sheet as it shall be. */
  readonly applied = output<Sheet>();

  protected readonly form = new FormGroup({ minutes: new FormControl('', { nonNullable: true }) });
  protected readonly kinds = versionKinds;
  protected readonly length = computed(() => sayClock(compile(this.sheet()).ms));
  protected readonly proposal = signal<Proposal | null>(null);
  protected readonly refusal = signal<{ readonly what: string; readonly nearest: readonly string[] } | null>(null);

  /** `30`, `30:00` and `30 min` are all half an hour. */
  protected fit(text: string): void {
    const plain = /^\d{1,3}$/.test(text.trim()) ? `${text.trim()} min` : text;
    const ms = readClock(plain);
    this.proposal.set(null);
    this.refusal.set(null);
    if (ms === null) {
      this.refusal.set({ what: 'Enter a length in minutes, for example 30 or 30:00.', nearest: [] });
      return;
    }
    const fitted = fitToMinutes(this.sheet(), ms);
    if (fitted.ok) this.proposal.set({ title: `Fit to ${sayClock(ms)}`, sheet: fitted.sheet, changes: fitted.changes });
    else
      this.refusal.set({
        what: `${sayClock(ms)} is not possible with complete rounds and rests of 30 to 90 s. Nearest:`,
        nearest: fitted.nearest.map(sayClock),
      });
  }

  protected version(kind: VersionKind): void {
    const { sheet } = versionOf(this.sheet(), kind);
    this.refusal.set(null);
    this.proposal.set({
      title: sheet.title,
      sheet,
      changes: listChanges({ ...this.sheet(), title: sheet.title }, sheet),
    });
  }

  protected apply(): void {
    const proposal = this.proposal();
    if (proposal) this.applied.emit(proposal.sheet);
    this.proposal.set(null);
  }

  /** Keeps the proposed sheet beside this one, under an id of its own. */
  protected async keep(): Promise<void> {
    const proposal = this.proposal();
    if (!proposal) return;
    this.proposal.set(null);
    const kept = await this.sheets.addImported({ ...proposal.sheet, id: freshId() });
    void this.notices.say(`“${kept.title}” saved as a new sheet`, {
      name: 'Open',
      press: () => this.router.navigate(['/sheets', kept.id]),
    });
  }
}
