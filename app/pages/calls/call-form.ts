import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Call, CallEdit } from '../../../core/index';
import { VoiceService } from '../../services/voice.service';

/** One call: its words, whether it is said, and its moment. */
@Component({
  selector: 'kt-call-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = call();
    <fieldset>
      <legend>{{ own.kind }} at {{ (own.at / 1000).toFixed(1) }} s</legend>
      <label
        >Words
        <input
          class="field"
          type="text"
          maxlength="400"
          [disabled]="own.kind === 'bell'"
          [value]="own.kind === 'bell' ? 'bell' : own.say"
          (change)="say($event)"
      /></label>
      <p class="soft">
        {{ (own.ms / 1000).toFixed(1) }} s long.
        @if (missing().length > 0) {
          No clip for <b>{{ missing().join(', ') }}</b>: this device’s voice says it where there is one, the screen
          always.
        }
      </p>
      <p class="row">
        <button type="button" class="button" (click)="mute()">Mute</button>
        <button
          type="button"
          class="button"
          [disabled]="!canMove()"
          (click)="move(-500)"
          aria-label="Half a second earlier"
        >
          − 0.5 s
        </button>
        <button
          type="button"
          class="button"
          [disabled]="!canMove()"
          (click)="move(500)"
          aria-label="Half a second later"
        >
          + 0.5 s
        </button>
        <button type="button" class="button" [disabled]="!canMove()" (click)="lock()">
          {{ locked() ? 'Let it move' : 'Lock here' }}
        </button>
        <button type="button" class="button" (click)="listen.emit()">Listen from here</button>
        @if (edit()) {
          <button type="button" class="button" (click)="changed.emit(null)">As it was</button>
        }
      </p>
    </fieldset>
  `,
  styleUrl: './calls-page.scss',
})
export class CallForm {
  private readonly voices = inject(VoiceService);
  readonly call = input.required<Call>();
  /** When its window opens. */
  readonly opens = input.required<number>();
  readonly edit = input<CallEdit | null>(null);
  /** The change of it, or null for none. */
  readonly changed = output<CallEdit | null>();
  readonly listen = output();

  protected readonly missing = computed(() =>
    this.call().kind === 'bell' ? [] : this.voices.missing(this.call().say),
  );
  /** Bells, counts and drill calls have their one moment. */
  protected readonly canMove = computed(() => !['bell', 'count', 'drill', 'strikes'].includes(this.call().kind));

  protected readonly locked = computed(() => this.edit()?.atMs !== undefined);

  private emit(change: Partial<CallEdit>): void {
    this.changed.emit({ ...(this.edit() ?? {}), key: this.call().key, ...change });
  }

  protected say(event: Event): void {
    const words = (event.target as HTMLInputElement).value.trim().slice(0, 400);
    if (words) this.emit({ say: words });
  }

  protected mute(): void {
    this.emit({ muted: true });
  }

  protected move(by: number): void {
    this.emit({ atMs: Math.max(0, this.call().at - this.opens() + by) });
  }

  protected lock(): void {
    this.emit({ atMs: this.locked() ? undefined : Math.max(0, this.call().at - this.opens()) });
  }
}
