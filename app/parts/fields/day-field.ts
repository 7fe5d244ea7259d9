import { ChangeDetectionStrategy, Component, computed, Injectable, input, output } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { DateAdapter, MAT_DATE_FORMATS, NativeDateAdapter, type MatDateFormats } from '@angular/material/core';
import { MatDatepickerModule } from '@angular/material/datepicker';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { dayFromIso, dayOf, isoDay, momentOf, type Day } from '../../../core/index';
import { fieldLook } from './field-look';
import { followingControl } from './following-control';

const asIso = 'iso';
const formats: MatDateFormats = {
  parse: { dateInput: asIso },
  display: {
    dateInput: asIso,
    monthYearLabel: { year: 'numeric', month: 'short' },
    dateA11yLabel: { year: 'numeric', month: 'long', day: 'numeric' },
    monthYearA11yLabel: { year: 'numeric', month: 'long' },
  },
};

/** Dates as ISO 8601 has them, in weeks that begin on Monday: what is written is read the same everywhere. */
@Injectable()
class IsoDates extends NativeDateAdapter {
  override getFirstDayOfWeek(): number {
    return 1;
  }

  override parse(value: unknown): Date | null {
    const day = dayFromIso(String(value).trim());
    if (day !== null) return new Date(momentOf(day));
    return value === '' || value === null || value === undefined ? null : this.invalid();
  }

  override format(date: Date, format: object): string {
    return (format as unknown) === asIso ? isoDay(dayOf(date.getTime())) : super.format(date, format);
  }
}

/** A day, typed as 2026-11-26 or picked from a calendar. */
@Component({
  selector: 'kt-day-field',
  imports: [MatDatepickerModule, MatFormFieldModule, MatInputModule, ReactiveFormsModule],
  providers: [
    fieldLook,
    { provide: DateAdapter, useClass: IsoDates },
    { provide: MAT_DATE_FORMATS, useValue: formats },
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        class="figures"
        autocomplete="off"
        [matDatepicker]="picker"
        [formControl]="control"
        (dateChange)="take()"
      />
      <mat-datepicker-toggle matIconSuffix [for]="picker" />
      <mat-datepicker #picker />
      <mat-error>Enter a date such as 2026-11-26</mat-error>
    </mat-form-field>
  `,
  styles: `
    :host {
      display: inline-block;
      width: 11rem;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class DayField {
  readonly label = input.required<string>();
  readonly value = input.required<Day | null>();
  readonly put = output<Day | null>();

  private readonly date = computed(() => {
    const day = this.value();
    return day === null ? null : new Date(momentOf(day));
  });
  protected readonly control = followingControl<Date | null>(null, this.date, () => null);

  protected take(): void {
    if (this.control.hasError('matDatepickerParse')) return;
    const { value } = this.control;
    this.control.markAsPristine();
    this.put.emit(value ? dayOf(value.getTime()) : null);
  }
}
