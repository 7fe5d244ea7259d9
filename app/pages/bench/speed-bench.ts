import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { sayFault, speedBagRate, speedRhythm, speedRhythms, type RoomBag } from '../../../core/index';
import { SoundService } from '../../services/sound.service';

/** Rounds of a rhythm that are played at once. */
const heardRounds = 4;

/** A speed bag on the bench: touches a minute, and its rhythms by ear. */
@Component({
  selector: 'kt-speed-bench',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Speed bag</h2>
    <div class="fields">
      <label
        >Rebounds a minute
        <input class="field figures" type="number" min="10" max="2000" [value]="rate()" (change)="setRate($event)"
      /></label>
      <label
        >Rhythm
        <select class="field" (change)="pick($event)">
          @for (each of rhythms; track each.name; let at = $index) {
            <option [value]="at" [selected]="at === chosen()">{{ each.name }}</option>
          }
        </select>
      </label>
      <button type="button" class="button" (click)="hear()">Hear it</button>
    </div>
    <dl>
      @for (each of rates(); track each.rebounds) {
        <dt>{{ each.rebounds }} {{ each.rebounds === 1 ? 'rebound' : 'rebounds' }} a touch</dt>
        <dd class="figures">{{ each.perMinute }} touches a minute</dd>
      }
    </dl>
    @if (rhythm(); as rhythm) {
      <svg class="beat" viewBox="0 0 100 16" role="img" [attr.aria-label]="said()">
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
        Lead above, rear below; {{ rhythm.seconds.toFixed(2) }} s a round. Thick bags are slow, small ones fast.
      </p>
    } @else {
      <p class="fault" role="alert">{{ fault() }}</p>
    }
    <p class="caution">Straight touches, no downward blows: the board hurts. Rebounds between touches are odd.</p>
  `,
  styleUrl: './bench-page.scss',
})
export class SpeedBench {
  private readonly sound = inject(SoundService);
  readonly measured = input<RoomBag | null>(null);
  protected readonly rhythms = speedRhythms;
  protected readonly rate = signal(360);
  protected readonly chosen = signal(2);

  constructor() {
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

  protected setRate(event: Event): void {
    const value = Number((event.target as HTMLInputElement).value);
    if (value >= 10 && value <= 2000) this.rate.set(value);
  }

  protected pick(event: Event): void {
    this.chosen.set(Number((event.target as HTMLSelectElement).value));
  }

  protected async hear(): Promise<void> {
    await this.sound.unlock();
    this.sound.silence();
    const [now, rhythm] = [this.sound.now(), this.rhythm()];
    if (now === null || !rhythm) return;
    for (let round = 0; round < heardRounds; round += 1)
      for (const { at } of rhythm.touches) this.sound.playAt('count', now + 100 + (round * rhythm.seconds + at) * 1000);
  }
}
