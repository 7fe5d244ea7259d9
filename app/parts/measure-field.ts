import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { fromUnits, inUnits, measures, type Measured } from '../../core/index';
import { SettingsService } from '../services/settings.service';

/** A measure in the coach's own units; what it gives is in SI units. */
@Component({
  selector: 'kt-measure-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label
    ><span>{{ label() }}</span>
    <span class="pair">
      <input
        class="field figures"
        type="number"
        [attr.aria-label]="label() + ', ' + unit().name"
        [step]="unit().digits === 1 ? 0.5 : 0.01"
        [value]="shown()"
        (change)="take($event)"
      />
      <span class="soft">{{ unit().name }}</span>
    </span></label
  >`,
  styles: `
    label {
      display: grid;
      gap: 0.15rem;
      color: var(--ink-soft);
      font-size: 0.82rem;
    }
    .pair {
      display: flex;
      align-items: center;
      gap: 0.3rem;
    }
    input {
      width: 5rem;
      color: var(--ink);
    }
  `,
})
export class MeasureField {
  private readonly settings = inject(SettingsService);
  readonly label = input.required<string>();
  readonly what = input<Measured>('length');
  /** In metres, kilograms or newtons. */
  readonly value = input.required<number>();
  readonly least = input(0);
  readonly most = input(100);
  readonly changed = output<number>();

  protected readonly unit = computed(() => measures[this.what()][this.settings.settings().units]);
  protected readonly shown = computed(() => inUnits(this.what(), this.value(), this.settings.settings().units));

  protected take(event: Event): void {
    const field = event.target as HTMLInputElement;
    const value = fromUnits(this.what(), Number(field.value), this.settings.settings().units);
    const inside = field.value !== '' && value >= this.least() && value <= this.most();
    if (inside) this.changed.emit(Math.round(value * 10_000) / 10_000);
    else field.value = String(this.shown());
  }
}
