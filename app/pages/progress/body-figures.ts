import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { of, switchMap } from 'rxjs';
import { pulseRanges, settingsSchema } from '../../../core/index';
import { NumberField } from '../../parts/fields/number-field';
import { ProgressService } from '../../services/progress.service';
import { SettingsService } from '../../services/settings.service';

/** Energy of the last session for a weight, and pulse ranges for an age and a pulse at rest; both optional, estimates, no advice. */
@Component({
  selector: 'kt-body-figures',
  imports: [NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Energy and heart rate</h2>
    <div class="line">
      <kt-number-field
        label="Weight (optional)"
        unit="kg"
        [value]="settings.settings().weight"
        [schema]="schemas.weight"
        (put)="settings.change({ weight: $event })"
      />
      <kt-number-field
        label="Age"
        [value]="sensors().age"
        [schema]="age"
        (put)="put({ age: $event ?? sensors().age })"
      />
      <kt-number-field
        label="Resting heart rate"
        [value]="sensors().rest"
        [schema]="rest"
        (put)="put({ rest: $event ?? sensors().rest })"
      />
    </div>
    @if (energy(); as last) {
      <p>
        “{{ last.title }}”: about <b class="figures">{{ last.kcal }} kcal</b> for one person of that weight.
      </p>
    } @else {
      <p class="soft">Enter a weight to estimate energy.</p>
    }
    <ul class="line">
      @for (range of pulses(); track range.name) {
        <li>
          {{ range.name }} <b class="figures">{{ range.from }}–{{ range.to }}</b>
        </li>
      }
    </ul>
    <p class="soft small">
      Estimates from published tables (Compendium of METs 2011; Tanaka 2001 and Karvonen 1957 for heart rate). Not
      medical advice: after a long break, with a heart or joint condition or when pregnant, ask a doctor first.
    </p>
  `,
  styles: `
    kt-number-field:first-child {
      width: 13rem;
    }
  `,
  host: { class: 'card stack' },
})
export class BodyFigures {
  private readonly progress = inject(ProgressService);
  protected readonly settings = inject(SettingsService);
  protected readonly schemas = settingsSchema.shape;
  protected readonly sensors = computed(() => this.settings.settings().sensors);
  protected readonly age = this.schemas.sensors._zod.def.innerType.shape.age;
  protected readonly rest = this.schemas.sensors._zod.def.innerType.shape.rest;
  private readonly weight = computed(() => this.settings.settings().weight);
  protected readonly energy = toSignal(
    toObservable(this.weight).pipe(
      switchMap((weight) =>
        weight === null ? of(null) : this.progress.watch((progress) => progress.ask('lastEnergy', weight)),
      ),
    ),
  );
  protected readonly pulses = computed(() => {
    const { age, rest } = this.sensors();
    return pulseRanges(age, rest);
  });

  protected put(change: Partial<{ age: number; rest: number }>): void {
    this.settings.change({ sensors: { ...this.sensors(), ...change } });
  }
}
