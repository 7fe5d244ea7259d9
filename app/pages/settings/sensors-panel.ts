import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { settingsSchema, type Settings } from '../../../core/index';
import { NumberField } from '../../parts/fields/number-field';
import { SettingsService } from '../../services/settings.service';

/** A simulated counter and strap, so that counts and pulse beside the clock can be tried with no device. */
@Component({
  selector: 'kt-sensors-panel',
  imports: [MatSlideToggle, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="card stack" aria-labelledby="sensors-title">
      <h2 id="sensors-title">Sensors (simulated)</h2>
      <p class="soft">
        No real device is read: these act like someone following the plan, getting tired and losing connection now and
        then. They are always marked simulated, and nothing is learnt from them.
      </p>
      <mat-slide-toggle [checked]="now().counter" (change)="put({ counter: $event.checked })">
        Punch counter, simulated
      </mat-slide-toggle>
      <mat-slide-toggle [checked]="now().strap" (change)="put({ strap: $event.checked })">
        Heart-rate strap, simulated
      </mat-slide-toggle>
      @if (now().strap) {
        <kt-number-field label="Age" [value]="now().age" [schema]="age" (put)="put({ age: $event ?? now().age })" />
        <kt-number-field
          label="Resting heart rate"
          [value]="now().rest"
          [schema]="rest"
          (put)="put({ rest: $event ?? now().rest })"
        />
        <p class="soft small">
          The zones are for training only and do not replace a doctor. Chest pain, dizziness or an irregular heartbeat:
          stop and see one.
        </p>
      }
    </section>
  `,
  styles: `
    :host {
      display: block;
      margin-block-start: var(--space-4);
    }
  `,
})
export class SensorsPanel {
  private readonly settings = inject(SettingsService);
  private readonly fields = settingsSchema.shape.sensors.def.innerType.shape;
  protected readonly age = this.fields.age;
  protected readonly rest = this.fields.rest;

  protected now(): Settings['sensors'] {
    return this.settings.settings().sensors;
  }

  protected put(change: Partial<Settings['sensors']>): void {
    this.settings.change({ sensors: { ...this.now(), ...change } });
  }
}
