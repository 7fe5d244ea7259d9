import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  afterNextRender,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { readTime, sayClock, type Milliseconds } from '../../../core/index';
import { followingControl } from './following-control';
import { fieldLook } from './field-look';

/**
 * A length: text until it is pressed, then a field to type over. Arrow keys nudge it by five seconds, with Shift by thirty.
 */
@Component({
  selector: 'kt-clock-field',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, ReactiveFormsModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open() || !folded()) {
      <mat-form-field>
        @if (!folded()) {
          <mat-label>{{ label() }}</mat-label>
        }
        <input
          #field
          matInput
          class="figures"
          type="text"
          inputmode="numeric"
          autocomplete="off"
          [attr.aria-label]="folded() ? label() : null"
          [formControl]="control"
          (change)="commit()"
          (blur)="close()"
          (keydown.enter)="finish($event)"
          (keydown.escape)="leave($event)"
          (keydown.arrowUp)="nudge($event, 5000)"
          (keydown.arrowDown)="nudge($event, -5000)"
          (keydown.shift.arrowUp)="nudge($event, 30000)"
          (keydown.shift.arrowDown)="nudge($event, -30000)"
        />
        <mat-error>{{ control.getError('mend') }}</mat-error>
      </mat-form-field>
    } @else {
      <button
        #button
        type="button"
        matButton
        class="figures"
        [attr.aria-label]="label()"
        [attr.aria-description]="shown()"
        (click)="unfold()"
      >
        {{ shown() }}
      </button>
    }
  `,
  styles: `
    :host {
      display: inline-block;
      width: 4.6rem;

      &.wide {
        width: 9rem;
      }
    }
    mat-form-field,
    button {
      width: 100%;
      text-align: end;
    }
  `,
})
export class ClockField {
  private readonly injector = inject(Injector);
  readonly ms = input.required<Milliseconds>();
  readonly label = input.required<string>();
  /** Zero where a moment is meant, not a length. */
  readonly least = input<Milliseconds>(1000);
  /** Text until it is pressed; else always a field with its label. */
  readonly folded = input(true, { transform: booleanAttribute });
  readonly changed = output<Milliseconds>();

  protected readonly open = signal(false);
  private readonly field = viewChild<ElementRef<HTMLInputElement>>('field');
  private readonly button = viewChild('button', { read: ElementRef });
  protected readonly shown = computed(() => sayClock(this.ms()));
  protected readonly control = followingControl('', this.shown, ({ value }) =>
    this.read(String(value ?? '')) === null ? { mend: 'Enter m:ss, for example 1:30' } : null,
  );

  private read(text: string): Milliseconds | null {
    const ms = readTime(text);
    return ms !== null && ms >= this.least() ? ms : null;
  }

  protected unfold(): void {
    this.open.set(true);
    afterNextRender(() => this.field()?.nativeElement.select(), { injector: this.injector });
  }

  protected commit(): void {
    const ms = this.read(this.control.value);
    if (ms === null) return;
    this.control.markAsPristine();
    if (ms === this.ms()) this.control.setValue(this.shown());
    else this.changed.emit(ms);
  }

  protected close(): void {
    if (this.control.valid) this.open.set(false);
  }

  protected finish(event: Event): void {
    event.stopPropagation();
    this.commit();
    if (this.control.valid) this.fold();
  }

  protected leave(event: Event): void {
    event.stopPropagation();
    this.control.reset(this.shown());
    this.fold();
  }

  private fold(): void {
    if (!this.folded()) return;
    this.open.set(false);
    afterNextRender(() => this.button()?.nativeElement.focus(), { injector: this.injector });
  }

  protected nudge(event: Event, by: Milliseconds): void {
    event.preventDefault();
    const from = this.read(this.control.value) ?? this.ms();
    this.control.reset(this.shown());
    this.changed.emit(Math.max(this.least(), from + by));
  }
}
