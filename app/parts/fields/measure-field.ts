import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import * as z from 'zod/mini';
import { boundInUnits, fromUnits, inUnits, measures, type Measured } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';
import { NumberField } from './number-field';

/** A measure in the coach's own units; what it gives is in SI units. */
@Component({
  selector: 'kt-measure-field',
  imports: [NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <kt-number-field
      [label]="label() + ', ' + unit().name"
      [value]="shown()"
      [schema]="schema()"
      [step]="unit().digits === 1 ? 0.5 : 0.01"
      (put)="take($event)"
    />
  `,
  styles: `
    :host {
      display: inline-block;
      width: 9rem;
    }
    kt-number-field {
      width: 100%;
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

  private readonly units = computed(() => this.settings.settings().units);
  protected readonly unit = computed(() => measures[this.what()][this.units()]);
  protected readonly shown = computed(() => inUnits(this.what(), this.value(), this.units()));
  /** The limits in the coach's units. */
  protected readonly schema = computed(() =>
    z
      .number()
      .check(
        z.gte(boundInUnits(this.what(), this.least(), this.units(), 'least')),
        z.lte(boundInUnits(this.what(), this.most(), this.units(), 'most')),
      ),
  );

  protected take(typed: number | null): void {
    if (typed === null) return;
    const value = fromUnits(this.what(), typed, this.units());
    this.changed.emit(Math.round(value * 10_000) / 10_000);
  }
}
