import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import {
  bagKinds,
  faultNamed,
  faultsOn,
  sayEffort,
  seenSigns,
  spell,
  type Scheme,
  type Sheet,
  type TrainingFault,
} from '../../../core/index';
import { type Choice, ChoiceField } from '../../parts/fields/choice-field';
import { bagChoices } from '../../parts/fields/bag-choices';

/** A fault with everything that is shown of it. */
interface FaultRow {
  readonly fault: TrainingFault;
  readonly effort: string;
  readonly moves: string;
  readonly signs: readonly string[];
  readonly where: string;
}

/** Faults that coaches see: from the sign to what it means, what is said, and the drill that mends it. */
@Component({
  selector: 'kt-faults-panel',
  imports: [ChoiceField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <aside aria-label="Faults">
      <h2>Faults and fixes</h2>
      <p class="soft">
        Common practice, not medical advice: anyone in pain should stop and see a doctor. A fix is added after the
        selected row, with its cue for that block.
      </p>
      <kt-choice-field label="Bag" [value]="bag()" [choices]="bags" (put)="bag.set($event)" />
      <ul>
        @for (row of rows(); track row.fault.id) {
          <li class="remark">
            <h3>{{ row.fault.name }}</h3>
            @for (sign of row.signs; track sign) {
              <p><b>You see:</b> {{ sign }}</p>
            }
            <p class="soft">{{ row.fault.why }}{{ row.where }}</p>
            <p><b>Say:</b> {{ row.fault.reminder }}</p>
            <p>
              <b>Drill:</b> {{ row.fault.drill.name }}, {{ row.effort }}:
              <span class="figures">{{ row.moves }}</span>
            </p>
            <button
              type="button"
              matButton
              [attr.aria-label]="'Add the fix for: ' + row.fault.name"
              (click)="mended.emit(row.fault)"
            >
              Add the fix
            </button>
          </li>
        }
      </ul>
    </aside>
  `,
  styles: `
    aside {
      padding: var(--space-3) var(--space-4);
    }
    li {
      margin-top: var(--space-3);
    }
    kt-choice-field {
      margin-top: var(--space-3);
    }
  `,
})
export class FaultsPanel {
  readonly sheet = input.required<Sheet>();
  readonly scheme = input.required<Scheme>();
  readonly mended = output<TrainingFault>();

  protected readonly bags: readonly Choice<string | null>[] = [{ value: null, name: 'any bag' }, ...bagChoices];
  private readonly firstBag = computed(() => {
    const { lanes, bag } = this.sheet();
    return lanes?.find(({ places }) => places > 0)?.bag ?? bag;
  });
  /** The sheet's first bag to begin with; null for all of them. */
  protected readonly bag = linkedSignal<string | null>(() => bagKinds.find((kind) => kind === this.firstBag()) ?? null);
  protected readonly rows = computed(() =>
    faultsOn(this.bag()).map((fault): FaultRow => ({
      fault,
      effort: sayEffort(fault.drill.effort),
      moves: spell(fault.drill.text, this.scheme()),
      signs: this.signs()
        .filter(({ means }) => faultNamed(means) === fault)
        .map(({ sees }) => sees),
      where: fault.strikes.length > 0 ? `; most visible in ${fault.strikes.join(', ')}` : '',
    })),
  );
  private readonly signs = computed(() => {
    const bag = this.bag();
    return seenSigns.filter(({ bags }) => bag === null || bags.length === 0 || bags.some((each) => each === bag));
  });
}
