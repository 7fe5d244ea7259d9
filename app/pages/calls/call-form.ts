import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import {
  callEditSchema,
  callNature,
  isMovable,
  sayTenths,
  type Call,
  type CallEdit,
  type CallKind,
  type Dropped,
} from '../../../core/index';
import { VoiceService } from '../../services/voice.service';

/** One call: its words, whether it is said, and its moment; or one that is not said, and why. */
@Component({
  selector: 'kt-call-form',
  imports: [TextField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (call(); as own) {
      <section class="card stack" aria-label="Selected call">
        <h2>{{ name(own.kind) }} at {{ clock(own.at) }}</h2>
        @if (own.kind === 'bell') {
          <p>bell</p>
        } @else {
          <kt-text-field label="Words" [value]="own.say" [schema]="words" (put)="emit({ say: $event.trim() })" />
        }
        <p class="soft">
          {{ (own.ms / 1000).toFixed(1) }} s long{{
            canMove() ? ', anywhere from ' + clock(own.opens) + ' to ' + clock(own.closes) : ', at a fixed time'
          }}.
          @if (short()) {
            Shortened because {{ short()!.why }}. In full: “{{ short()!.say }}”.
          }
          @if (missing().length > 0) {
            <b>{{ missing().join(', ') }}</b> is not recorded: this device’s voice says it if there is one; the screen
            always shows it.
          }
        </p>
        <p class="line">
          <button type="button" matButton="outlined" (click)="emit({ muted: true })"><kbd>M</kbd> Mute</button>
          <button
            type="button"
            matButton="outlined"
            [disabled]="!canMove()"
            (click)="move(-500)"
            aria-label="Half a second earlier"
          >
            − 0.5 s
          </button>
          <button
            type="button"
            matButton="outlined"
            [disabled]="!canMove()"
            (click)="move(500)"
            aria-label="Half a second later"
          >
            + 0.5 s
          </button>
          <button type="button" matButton="outlined" [disabled]="!canMove()" (click)="lock()">
            <kbd>L</kbd> {{ locked() ? 'Unlock' : 'Lock here' }}
          </button>
          <button type="button" matButton="outlined" (click)="listen.emit()"><kbd>P</kbd> Listen from here</button>
          @if (edit()) {
            <button type="button" matButton="outlined" (click)="changed.emit(null)">Reset</button>
          }
        </p>
      </section>
    } @else if (unsaid(); as own) {
      <section class="card stack" aria-label="Selected call">
        <h2>{{ name(own.kind) }} at {{ clock(own.opens) }}, left out</h2>
        <p>“{{ own.say }}”: {{ own.why }}.</p>
        <p class="line">
          @if (edit()) {
            <button type="button" matButton="outlined" (click)="changed.emit(null)">Unmute</button>
          } @else {
            <button type="button" matButton="outlined" (click)="emit({ atMs: 0 })">Give it priority</button>
          }
        </p>
      </section>
    }
  `,
})
export class CallForm {
  private readonly voices = inject(VoiceService);
  readonly call = input<Call | null>(null);
  readonly unsaid = input<Dropped | null>(null);
  /** Where it is said in its short form: the full one, and why. */
  readonly short = input<Dropped | null>(null);
  readonly edit = input<CallEdit | null>(null);
  /** The change of it, or null for none. */
  readonly changed = output<CallEdit | null>();
  readonly listen = output();

  protected readonly missing = computed(() => {
    const call = this.call();
    return call && call.kind !== 'bell' ? this.voices.missing(call) : [];
  });
  protected readonly canMove = computed(() => {
    const call = this.call();
    return call !== null && isMovable(call);
  });
  protected readonly locked = computed(() => this.edit()?.atMs !== undefined);
  protected readonly clock = sayTenths;
  /** A kind of call as it heads the form. */
  protected name(kind: CallKind): string {
    const { name } = callNature(kind);
    return name.charAt(0).toUpperCase() + name.slice(1);
  }
  protected readonly words = callEditSchema.shape.say;

  protected emit(change: Partial<CallEdit>): void {
    const key = (this.call() ?? this.unsaid())?.key;
    if (key !== undefined) this.changed.emit({ ...(this.edit() ?? {}), key, ...change });
  }

  protected move(by: number): void {
    const call = this.call();
    if (call) this.emit({ atMs: Math.max(0, Math.min(call.closes - call.ms, call.at + by) - call.opens) });
  }

  protected lock(): void {
    const call = this.call();
    if (call) this.emit({ atMs: this.locked() ? undefined : Math.max(0, call.at - call.opens) });
  }
}
