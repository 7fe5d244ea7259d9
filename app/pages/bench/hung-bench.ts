import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import {
  comesBack,
  hungBagPeriod,
  lowKickEdge,
  lowKicksLand,
  pendulumPeriod,
  readStored,
  sayLength,
  staturesOf,
  swingDrill,
  usualBag,
  type HungBag,
  type Room,
  type RoomBag,
} from '../../../core/index';
import { MeasureField } from '../../parts/fields/measure-field';
import { readFault } from '../../parts/fields/read-fault';
import { useMotion } from '../../parts/motion';
import { SettingsService } from '../../services/settings.service';

const usual = usualBag('bench', 'heavy', 0, 0);
/** Farthest the drawing swings, in radians. */
const amplitude = 0.32;

/** A hung bag on the bench: its swing, drawn live, and what can be done in time with it. */
@Component({
  selector: 'kt-hung-bench',
  imports: [TextField, MatButtonModule, MeasureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bench">
      <div class="figure">
        <svg
          class="on-paper"
          viewBox="-1.6 -0.1 3.2 3.1"
          role="img"
          [attr.aria-label]="'Bag swinging, one swing every ' + period().toFixed(2) + ' seconds'"
        >
          <line class="ceiling" x1="-1.5" x2="1.5" y1="0" y2="0" />
          <line class="floor" x1="-1.5" x2="1.5" [attr.y1]="hook()" [attr.y2]="hook()" />
          <g [attr.transform]="'rotate(' + angle() + ')'">
            <line class="cord" [attr.y2]="bag().chain" />
            <rect
              class="bag"
              rx="0.06"
              [attr.x]="-bag().radius"
              [attr.y]="bag().chain"
              [attr.width]="2 * bag().radius"
              [attr.height]="bag().length"
            />
          </g>
        </svg>
        <button type="button" matButton="outlined" (click)="motion.toggle()">
          {{ motion.running() ? 'Pause' : 'Play' }}
        </button>
        <span class="phase soft">{{ phase() }}</span>
      </div>
      <div class="stack">
        <div class="field-grid">
          <kt-measure-field
            label="Chain length"
            [value]="bag().chain"
            [most]="6"
            (changed)="change({ chain: $event })"
          />
          <kt-measure-field
            label="Bag length"
            [value]="bag().length"
            [least]="0.2"
            [most]="3"
            (changed)="change({ length: $event })"
          />
          <kt-measure-field
            label="Radius"
            [value]="bag().radius"
            [least]="0.05"
            [most]="0.6"
            (changed)="change({ radius: $event })"
          />
          <kt-measure-field
            label="Weight"
            what="mass"
            [value]="bag().mass"
            [least]="1"
            [most]="200"
            (changed)="change({ mass: $event })"
          />
          <kt-measure-field label="Bottom edge" [value]="bottom()" [most]="3" (changed)="bottom.set($event)" />
        </div>
        @if (measured(); as own) {
          <button type="button" matButton (click)="keep()">
            Save these measurements for {{ own.name || own.kind }}
          </button>
        }
        <dl>
          <dt class="soft">Swing time</dt>
          <dd class="figures">{{ period().toFixed(2) }} s</dd>
          <dt class="soft">Swing time, simple pendulum</dt>
          <dd class="figures">{{ point().toFixed(2) }} s</dd>
          <dt class="soft">Back to you</dt>
          <dd class="figures">{{ back().from.toFixed(2) }} to {{ back().to.toFixed(2) }} s after you push it away</dd>
          <dt class="soft">Low kick</dt>
          <dd>{{ lowKick() }}</dd>
        </dl>
        <kt-text-field
          class="figures"
          live
          label="A combination to time with the swing"
          [value]="text()"
          [fault]="readFault"
          (put)="text.set($event)"
        />
        @if (drill(); as drill) {
          <p role="status">
            {{ drill.words }}. One repetition takes {{ drill.repetition }} s, the gap {{ drill.gap }} s.
          </p>
        }
        <p class="small">
          Never meet the bag square as it swings in: step around it. Keep the swing small; a hard push takes a little
          longer.
        </p>
      </div>
    </div>
  `,
  styleUrls: ['./bench-page.scss', './bench-drawing.scss'],
})
export class HungBench {
  private readonly settings = inject(SettingsService);
  protected readonly motion = useMotion();
  readonly room = input.required<Room>();
  /** The bag of the room that is measured; usual figures without one. */
  readonly measured = input<RoomBag | null>(null);
  /** The figures, to be kept in the room. */
  readonly kept = output<Partial<RoomBag>>();

  protected readonly bag = signal<HungBag>(HungBench.figures(usual));
  protected readonly bottom = signal(usual.bottom);
  protected readonly text = signal('1 2 3');

  constructor() {
    effect(() => {
      const bag = this.measured() ?? usual;
      this.bag.set(HungBench.figures(bag));
      this.bottom.set(bag.bottom);
    });
  }

  private static figures({ mass, chain, top, bottom, radius }: RoomBag): HungBag {
    return { mass: mass ?? 36, chain: chain ?? 0.6, length: top - bottom, radius };
  }

  protected readonly period = computed(() => hungBagPeriod(this.bag()));
  protected readonly point = computed(() => pendulumPeriod(this.bag().chain + this.bag().length / 2));
  protected readonly back = computed(() => comesBack(this.period()));
  protected readonly hook = computed(() => this.bag().chain + this.bag().length + this.bottom());
  private readonly turn = computed(() => (this.motion.seconds() % this.period()) / this.period());
  /** Away from a hitter who stands on the left, back after half a period. */
  protected readonly angle = computed(() =>
    Number(((-amplitude * Math.sin(2 * Math.PI * this.turn()) * 180) / Math.PI).toFixed(2)),
  );
  protected readonly phase = computed(() => (this.turn() < 0.5 ? 'swinging away: hit' : 'coming back: step around'));
  protected readonly lowKick = computed(() => {
    const { smallest, tallest } = staturesOf(this.room());
    const { units } = this.settings.settings();
    const edge = sayLength(lowKickEdge(smallest), units);
    return lowKicksLand(this.bottom(), [smallest, tallest])
      ? `everyone can land it: the edge is below ${edge}`
      : `the shortest person’s would land at ${edge}, under the bag: kick to the body, or hang it lower`;
  });
  protected readonly readFault = readFault;
  protected readonly drill = computed(() => {
    const read = readStored(this.text());
    if (!read.ok) return null;
    const { words, repetitionMs, gapMs } = swingDrill(read.value, this.period());
    return { words, repetition: (repetitionMs / 1000).toFixed(1), gap: (gapMs / 1000).toFixed(1) };
  });

  protected keep(): void {
    const { mass, chain, length, radius } = this.bag();
    this.kept.emit({ mass, chain, radius, bottom: this.bottom(), top: this.bottom() + length });
  }

  protected change(change: Partial<HungBag>): void {
    this.bag.update((before) => ({ ...before, ...change }));
  }
}
