import { booleanAttribute, ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type * as z from 'zod/mini';
import { boundsOf, bySchema } from './by-schema';
import { followingControl } from './following-control';
import { fieldLook } from './field-look';

/** A number within the limits of its schema; an empty field is null where the schema lets it be left out. */
@Component({
  selector: 'kt-number-field',
  imports: [MatFormFieldModule, MatInputModule, ReactiveFormsModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field>
      @if (!bare()) {
        <mat-label>{{ label() }}</mat-label>
      }
      <input
        matInput
        class="figures"
        type="number"
        inputmode="decimal"
        [attr.aria-label]="bare() ? label() : null"
        [formControl]="control"
        [min]="bounds().least"
        [max]="bounds().most"
        [step]="step()"
        [placeholder]="placeholder()"
        (input)="typed()"
        (change)="commit()"
        (keydown.enter)="commit()"
        (keydown.escape)="control.reset(shown())"
      />
      @if (unit()) {
        <span matTextSuffix>&nbsp;{{ unit() }}</span>
      }
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
      <mat-error>{{ control.getError('mend') }}</mat-error>
    </mat-form-field>
  `,
  styles: `
    :host {
      display: inline-block;
      width: 9rem;
    }
    mat-form-field {
      width: 100%;
    }
  `,
})
export class NumberField {
  readonly label = input.required<string>();
  readonly value = input.required<number | null | undefined>();
  readonly schema = input.required<z.core.$ZodType>();
  /** How many of the value's units one of the field's is: 1000 where seconds are typed and milliseconds kept. */
  readonly per = input(1);
  readonly unit = input('');
  readonly step = input<number | 'any'>(1);
  readonly placeholder = input('');
  readonly hint = input('');
  readonly bare = input(false, { transform: booleanAttribute });
  readonly live = input(false, { transform: booleanAttribute });
  readonly put = output<number | null>();

  protected readonly bounds = computed(() => {
    const { least, most } = boundsOf(this.schema());
    return {
      least: least === undefined ? null : least / this.per(),
      most: most === undefined ? null : most / this.per(),
    };
  });
  /** The value in the field's unit, without the noise of dividing. */
  protected readonly shown = computed(() => {
    const value = this.value();
    return typeof value === 'number' ? Number((value / this.per()).toFixed(6)) : null;
  });
  protected readonly control = followingControl<number | null>(null, this.shown, (control) =>
    bySchema(this.schema(), () => this.read(control.value) ?? this.nothing(), this.per())(control),
  );
  /** How the schema says that there is no number, where it lets that be. */
  private readonly nothing = computed(() => (bySchema(this.schema())(new FormControl(null)) ? undefined : null));

  private read(typed: unknown): number | null {
    if (typeof typed !== 'number' || !Number.isFinite(typed)) return null;
    const value = typed * this.per();
    return this.per() === 1 ? value : Math.round(value);
  }

  protected typed(): void {
    if (this.live() && this.control.valid) this.put.emit(this.read(this.control.value));
  }

  protected commit(): void {
    this.control.markAsTouched();
    if (this.live() || this.control.invalid || this.control.pristine) return;
    this.control.markAsPristine();
    this.put.emit(this.read(this.control.value));
  }
}
