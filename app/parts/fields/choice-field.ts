import { booleanAttribute, ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { followingControl } from './following-control';
import { fieldLook } from './field-look';

/** One of several, by its name. */
export interface Choice<T> {
  readonly value: T;
  readonly name: string;
}

/** Choices whose values are their names. `named(['easy', 'steady'])` */
export function named<T extends string | number>(values: readonly T[]): readonly Choice<T>[] {
  return values.map((value) => ({ value, name: String(value) }));
}

/** Choices with one before them that says nothing. `orNothing('none', focusNames)` */
export function orNothing<T extends string>(name: string, values: readonly T[]): readonly Choice<T | undefined>[] {
  return [{ value: undefined, name }, ...named(values)];
}

/** Takes one of several. */
@Component({
  selector: 'kt-choice-field',
  imports: [MatFormFieldModule, MatSelectModule, ReactiveFormsModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field>
      @if (!bare()) {
        <mat-label>{{ label() }}</mat-label>
      }
      <mat-select
        panelWidth=""
        canSelectNullableOptions
        [aria-label]="bare() ? label() : ''"
        [formControl]="control"
        [placeholder]="placeholder()"
        (selectionChange)="take()"
      >
        @for (choice of choices(); track choice.value) {
          <mat-option [value]="choice.value">{{ choice.name }}</mat-option>
        }
      </mat-select>
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
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
export class ChoiceField<T> {
  readonly label = input.required<string>();
  readonly value = input.required<T>();
  readonly choices = input.required<readonly Choice<T>[]>();
  readonly placeholder = input('');
  readonly hint = input('');
  readonly bare = input(false, { transform: booleanAttribute });
  readonly put = output<T>();

  protected readonly control = followingControl<T | null>(null, this.value, () => null);

  protected take(): void {
    const taken = this.control.value as T;
    this.control.markAsPristine();
    this.put.emit(taken);
  }
}
