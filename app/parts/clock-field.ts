import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { readClock, sayClock, type Milliseconds } from '../../core/index';

/** A length that can be typed over in place; arrow keys nudge it by five seconds, with Shift by thirty. */
@Component({
  selector: 'kt-clock-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <input
      class="figures quiet"
      type="text"
      inputmode="numeric"
      autocomplete="off"
      [attr.aria-label]="label()"
      [attr.aria-invalid]="wrong()"
      [title]="wrong() ? 'Write minutes and seconds, for example 1:30' : label()"
      [value]="shown()"
      (input)="typed.set(text($event))"
      (blur)="commit()"
      (keydown)="onKey($event)"
    />
    @if (wrong()) {
      <span class="wrong" role="alert">Write m:ss, for example 1:30</span>
    }
  `,
  styles: `
    :host {
      position: relative;
      display: inline-block;
    }

    input {
      width: 4.1rem;
      font-weight: 700;
      text-align: end;

      &[aria-invalid='true'] {
        border-color: var(--danger);
      }
    }

    .wrong {
      position: absolute;
      z-index: 3;
      top: 100%;
      left: 0;
      padding: 0.3rem 0.5rem;
      border: 1px solid var(--danger);
      border-radius: 4px;
      background: var(--paper);
      color: var(--danger);
      font-size: 0.8rem;
      white-space: nowrap;
    }
  `,
})
export class ClockField {
  readonly ms = input.required<Milliseconds>();
  readonly label = input.required<string>();
  readonly changed = output<Milliseconds>();

  protected readonly typed = signal<string | null>(null);
  protected readonly shown = computed(() => this.typed() ?? sayClock(this.ms()));
  protected readonly wrong = computed(() => {
    const typed = this.typed();
    return typed !== null && readClock(typed) === null;
  });

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected commit(): void {
    const typed = this.typed();
    this.typed.set(null);
    const ms = typed === null ? null : readClock(typed);
    if (ms !== null && ms !== this.ms()) this.changed.emit(ms);
  }

  protected onKey(event: KeyboardEvent): void {
    if (event.key === 'Enter' && !this.wrong()) this.commit();
    else if (event.key === 'Escape') this.typed.set(null);
    else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && !event.altKey) {
      event.preventDefault();
      const by = (event.shiftKey ? 30_000 : 5000) * (event.key === 'ArrowUp' ? 1 : -1);
      const from = this.typed() === null ? this.ms() : (readClock(this.typed() ?? '') ?? this.ms());
      this.typed.set(null);
      this.changed.emit(Math.max(1000, from + by));
    }
  }
}
