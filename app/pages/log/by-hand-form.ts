import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import * as z from 'zod/mini';
import { clockIn, dayOf, logEntrySchema, momentOf, type Day } from '../../../core/index';
import { bySchema } from '../../parts/fields/by-schema';
import { ChoiceField } from '../../parts/fields/choice-field';
import { DayField } from '../../parts/fields/day-field';
import { fieldLook } from '../../parts/fields/field-look';
import { LogFilesService } from '../../services/log-files.service';
import { LogService } from '../../services/log.service';
import { NoticeService } from '../../services/notice.service';
import { SheetsService } from '../../services/sheets.service';

const limits = {
  title: z.string().check(z.maxLength(200)),
  at: z.string().check(z.refine((text) => clockIn(text) !== null, { error: 'enter a time such as 18:30' })),
  minutes: z.number().check(z.gte(1), z.lte(1440)),
  rounds: z.int().check(z.gte(0), z.lte(500)),
};
/** Sheets that are offered, the last changed first. */
const mostSheets = 200;

/** A session that was held without the application, put into the log by hand. */
@Component({
  selector: 'kt-by-hand-form',
  imports: [ChoiceField, DayField, MatButtonModule, MatFormFieldModule, MatInputModule, ReactiveFormsModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Add a session by hand</h2>
    <form class="line" aria-label="A session by hand" [formGroup]="form" (ngSubmit)="add()">
      <kt-choice-field label="From sheet" [value]="sheetId()" [choices]="choices()" (put)="sheetId.set($event)" />
      <mat-form-field class="title">
        <mat-label>Title</mat-label>
        <input matInput autocomplete="off" formControlName="title" />
        <mat-error>{{ form.controls.title.getError('mend') }}</mat-error>
      </mat-form-field>
      <kt-day-field label="Day" [value]="day()" (put)="day.set($event ?? day())" />
      <mat-form-field class="small">
        <mat-label>Start time</mat-label>
        <input matInput class="figures" autocomplete="off" formControlName="at" />
        <mat-error>{{ form.controls.at.getError('mend') }}</mat-error>
      </mat-form-field>
      @for (field of numbers; track field.name) {
        <mat-form-field class="small">
          <mat-label>{{ field.label }}</mat-label>
          <input matInput class="figures" type="number" [min]="field.least" [formControlName]="field.name" />
          <mat-error>{{ form.get(field.name)?.getError('mend') }}</mat-error>
        </mat-form-field>
      }
      <button type="submit" matButton="filled">Add</button>
    </form>
    <p class="soft">You can add the rest by editing the entry afterwards.</p>
  `,
  styles: `
    .title {
      width: 16rem;
    }
    .small {
      width: 7rem;
    }
  `,
  host: { class: 'card stack' },
})
export class ByHandForm {
  private readonly log = inject(LogService);
  private readonly logFiles = inject(LogFilesService);
  private readonly sheetsService = inject(SheetsService);
  private readonly notices = inject(NoticeService);
  /** The entry that was put in. */
  readonly added = output<string>();

  private readonly sheets = toSignal(this.sheetsService.page$(0, mostSheets));
  protected readonly choices = computed(() => [
    { value: '', name: 'none' },
    ...(this.sheets()?.rows ?? []).map(({ id, sheet }) => ({ value: id, name: sheet.title || 'Untitled' })),
  ]);
  protected readonly sheetId = signal('');
  protected readonly day = signal<Day>(dayOf(Date.now()));
  protected readonly numbers = [
    { name: 'minutes', label: 'Minutes', least: 1 },
    { name: 'rounds', label: 'Rounds', least: 0 },
    { name: 'effort', label: 'Effort', least: 0 },
    { name: 'counted', label: 'Punches', least: 0 },
  ] as const;
  protected readonly form = new FormGroup({
    title: new FormControl('', { nonNullable: true, validators: bySchema(limits.title) }),
    at: new FormControl('18:00', { nonNullable: true, validators: bySchema(limits.at) }),
    minutes: new FormControl(30, { nonNullable: true, validators: bySchema(limits.minutes) }),
    rounds: new FormControl(0, { nonNullable: true, validators: bySchema(limits.rounds) }),
    effort: new FormControl<number | null>(null, { validators: bySchema(logEntrySchema.shape.effort) }),
    counted: new FormControl<number | null>(null, { validators: bySchema(logEntrySchema.shape.counted) }),
  });

  protected async add(): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const { title, at, minutes, rounds, effort, counted } = this.form.getRawValue();
    const sheet = this.sheetId() === '' ? null : await this.sheetsService.get(this.sheetId());
    const entry = this.logFiles.byHand(
      {
        ...{ title: title || (sheet?.title ?? ''), rounds, punches: null, rehearsal: false, ms: minutes * 60_000 },
        startedAt: momentOf(this.day(), clockIn(at) ?? 0),
        said: { effort, counted, ...(counted === null ? {} : { count: { of: 'several', by: 'typed' } }) },
      },
      sheet,
    );
    await this.log.add([entry]);
    this.notices.undoable('Added to the log', () => this.log.takeOut([entry.id]));
    this.added.emit(entry.id);
  }
}
