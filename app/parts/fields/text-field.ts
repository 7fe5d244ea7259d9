import {
  afterRenderEffect,
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type * as z from 'zod/mini';
import { bySchema } from './by-schema';
import { followingControl } from './following-control';
import { fieldLook } from './field-look';

/** Words that are changed in place: handed on when they are done, or with each key where they are `live`. */
@Component({
  selector: 'kt-text-field',
  imports: [MatFormFieldModule, MatInputModule, ReactiveFormsModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field>
      @if (!bare()) {
        <mat-label>{{ label() }}</mat-label>
      }
      @if (rows() > 1) {
        <textarea
          matInput
          [attr.aria-label]="bare() ? label() : null"
          [formControl]="control"
          [rows]="rows()"
          [placeholder]="placeholder()"
          (input)="typed()"
          (change)="commit()"
          (blur)="settle()"
        ></textarea>
      } @else {
        <input
          matInput
          type="text"
          autocomplete="off"
          [attr.aria-label]="bare() ? label() : null"
          [formControl]="control"
          [placeholder]="placeholder()"
          (input)="typed()"
          (change)="commit()"
          (keydown.enter)="commit()"
          (keydown.escape)="leave()"
          (blur)="settle()"
        />
      }
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
      <mat-error>{{ control.getError('mend') ?? why() }}</mat-error>
    </mat-form-field>
  `,
  styles: `
    :host,
    mat-form-field {
      display: block;
      width: 100%;
    }
  `,
})
export class TextField {
  readonly label = input.required<string>();
  readonly value = input.required<string>();
  readonly schema = input<z.core.$ZodType>();
  /** Why what is typed cannot be read, with its mend; empty where it can. */
  readonly fault = input<(typed: string) => string>(() => '');
  readonly rows = input(1);
  readonly placeholder = input('');
  readonly hint = input('');
  /** Without a label that is seen, where what stands around says what it is. */
  readonly bare = input(false, { transform: booleanAttribute });
  readonly live = input(false, { transform: booleanAttribute });
  /** For a field that appears because somebody wants to write in it. */
  readonly focused = input(false, { transform: booleanAttribute });
  readonly put = output<string>();
  /** The field was left, whether or not anything was put. */
  readonly left = output();

  private readonly bySchema = computed(() => {
    const schema = this.schema();
    return schema ? bySchema(schema) : null;
  });
  protected readonly control = followingControl('', this.value, (control) => {
    const why = this.fault()(String(control.value ?? ''));
    return this.bySchema()?.(control) ?? (why ? { mend: why } : null);
  });
  /** Another fault than one of the text alone, told from outside. */
  readonly why = input('');

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef);
    // Also where a field that stands already becomes the one to write in.
    afterRenderEffect(() => {
      if (!this.focused()) return;
      const field = host.nativeElement.querySelector<HTMLInputElement | HTMLTextAreaElement>('input, textarea');
      field?.focus();
      field?.select();
    });
  }

  protected typed(): void {
    if (this.live() && this.control.valid) this.put.emit(this.control.value);
  }

  protected commit(): void {
    this.control.markAsTouched();
    if (this.live() || this.control.invalid || this.control.pristine) return;
    this.control.markAsPristine();
    this.put.emit(this.control.value);
  }

  protected leave(): void {
    if (!this.live()) this.control.reset(this.value());
    this.left.emit();
  }

  /** What was taken is shown as it is kept. */
  protected settle(): void {
    if (this.control.invalid && this.control.dirty) return;
    if (this.control.pristine) this.control.setValue(this.value(), { emitEvent: false });
    this.left.emit();
  }
}
