import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal } from '@angular/core';
import { ChoiceField } from '../../parts/fields/choice-field';
import { NumberField } from '../../parts/fields/number-field';
import { MatButtonModule } from '@angular/material/button';
import { roomSchema, sayFault, speedBagRate, speedRhythm, speedRhythms, type RoomBag } from '../../../core/index';
import { SoundService } from '../../services/sound.service';

/** Rounds of a rhythm that are played at once. */
const heardRounds = 4;

/** A speed bag on the bench: touches per minute, and its rhythms by ear. */
@Component({
  selector: 'kt-speed-bench',
  imports: [ChoiceField, NumberField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field-grid">
      <kt-number-field
        label="Rebounds per minute"
        [value]="rate()"
        [schema]="rebounds"
        (put)="rate.set($event ?? rate())"
      />
      <kt-choice-field label="Rhythm" [value]="chosen()" [choices]="rhythmNames" (put)="chosen.set($event)" />
      <button type="button" matButton="outlined" (click)="hear()">Listen</button>
    </div>
    <dl>
      @for (each of rates(); track each.rebounds) {
        <dt class="soft">{{ each.rebounds }} {{ each.rebounds === 1 ? 'rebound' : 'rebounds' }} per touch</dt>
        <dd class="figures">{{ each.perMinute }} touches per minute</dd>
      }
    </dl>
    @if (rhythm(); as rhythm) {
      <svg class="beat on-paper" viewBox="0 0 100 16" role="img" [attr.aria-label]="said()">
        <line x1="0" x2="100" y1="8" y2="8" class="guide" />
        @for (touch of rhythm.touches; track touch.at) {
          <rect
            class="bag"
            [attr.x]="(touch.at / rhythm.seconds) * 98"
            [attr.y]="touch.side === 'lead' ? 1 : 9"
            width="1.6"
            height="6"
          />
        }
      </svg>
      <p class="soft">
        Lead hand above, rear hand below; {{ rhythm.seconds.toFixed(2) }} s per cycle. Big bags are slow, small ones
        fast.
      </p>
    } @else {
      <p class="wrong" role="alert">{{ fault() }}</p>
    }
    <p class="small">Hit straight, never downwards: the board hurts. The number of rebounds between touches is odd.</p>
  `,
  styleUrls: ['./bench-page.scss', './bench-drawing.scss'],
})
export class SpeedBench {
  private readonly sound = inject(SoundService);
  readonly measured = input<RoomBag | null>(null);
  private readonly rhythms = speedRhythms;
  protected readonly rhythmNames = speedRhythms.map(({ name }, value) => ({ value, name }));
  protected readonly rebounds = roomSchema.shape.bags.def.element.shape.rebounds;
  protected readonly rate = signal(360);
  protected readonly chosen = signal(2);

  private left = false;

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.left = true;
      this.sound.silence();
    });
    effect(() => {
      this.rate.set(this.measured()?.rebounds ?? 360);
    });
  }

  protected readonly rates = computed(() =>
    [7, 5, 3, 1].map((rebounds) => {
      const read = speedBagRate(this.rate(), rebounds);
      return { rebounds, perMinute: read.ok ? Math.round(read.value) : 0 };
    }),
  );
  private readonly read = computed(() => speedRhythm(this.rhythms[this.chosen()]?.rebounds ?? [3], this.rate()));
  protected readonly rhythm = computed(() => {
    const read = this.read();
    return read.ok ? read.value : null;
  });
  protected readonly fault = computed(() => {
    const read = this.read();
    return read.ok ? '' : sayFault(read.fault);
  });
  protected readonly said = computed(() =>
    (this.rhythm()?.touches ?? []).map(({ at, side }) => `${side} at ${at.toFixed(2)} s`).join(', '),
  );

  protected async hear(): Promise<void> {
    await this.sound.unlock();
    if (this.left) return;
    this.sound.silence();
    const [now, rhythm] = [this.sound.now(), this.rhythm()];
    if (now === null || !rhythm) return;
    for (let round = 0; round < heardRounds; round += 1)
      for (const { at } of rhythm.touches) this.sound.playAt('count', now + 100 + (round * rhythm.seconds + at) * 1000);
  }
}
