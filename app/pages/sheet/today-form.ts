import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { NumberField } from '../../parts/fields/number-field';
import { FormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import * as z from 'zod/mini';
import {
  forToday,
  freeFloor,
  headSchema,
  laneSchema,
  type ForToday,
  type Sheet,
  type Today,
  shownBag,
} from '../../../core/index';

/** The one place to say how today is different; sheet, lanes and rotation follow, and what changes is listed first. */
@Component({
  selector: 'kt-today-form',
  imports: [NumberField, FormsModule, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Today</h2>
    <p class="soft">Fewer people, a bag out of use, an early finish? Enter it here.</p>
    <form class="line" (ngSubmit)="show()">
      <kt-number-field
        label="People here today"
        live
        [value]="people()"
        [schema]="schemas.people"
        (put)="people.set($event)"
      />
      <kt-number-field
        label="Finish earlier by (min)"
        live
        [value]="less()"
        [schema]="schemas.less"
        (put)="less.set($event)"
      />
      @for (lane of kinds(); track lane.bag) {
        <kt-number-field
          live
          [label]="shownBag(lane.bag) + ', places available'"
          [value]="places()[lane.bag] ?? lane.places"
          [schema]="schemas.places"
          (put)="setPlaces(lane.bag, $event)"
        />
      }
      <button type="submit" matButton="outlined">Show changes</button>
    </form>
    @if (outcome(); as outcome) {
      @if (outcome.ok) {
        <div class="card stack" role="status">
          <ul>
            @for (change of outcome.changes; track $index) {
              <li>{{ change }}</li>
            } @empty {
              <li>No changes needed.</li>
            }
          </ul>
          <button
            type="button"
            matButton="filled"
            [disabled]="outcome.changes.length === 0"
            (click)="apply(outcome.sheet)"
          >
            Use for today
          </button>
          <button type="button" matButton="outlined" (click)="proposed.set(null)">Cancel</button>
        </div>
      } @else {
        <p class="wrong" role="alert">{{ outcome.what }}; {{ outcome.mend }}.</p>
      }
    }
  `,
})
export class TodayForm {
  protected readonly shownBag = shownBag;
  readonly sheet = input.required<Sheet>();
  /** The sheet as it is run today; undo takes it back. */
  readonly applied = output<Sheet>();

  protected readonly schemas = {
    people: headSchema.shape.class.def.innerType.shape.people,
    less: z.optional(z.number().check(z.gte(0), z.lte(300))),
    places: laneSchema.shape.places,
  };
  protected readonly people = signal<number | null>(null);
  protected readonly less = signal<number | null>(null);
  protected readonly places = signal<Readonly<Record<string, number>>>({});
  protected readonly proposed = signal<{ readonly of: Sheet; readonly outcome: ForToday } | null>(null);
  /** Only while the sheet is the one it was worked out from. */
  protected readonly outcome = computed(() => {
    const shown = this.proposed();
    return shown?.of === this.sheet() ? shown.outcome : null;
  });
  /** What can be down: the lanes, or the one bag of the sheet. */
  protected readonly kinds = computed(() => {
    const { lanes, bag } = this.sheet();
    return lanes ?? (bag === freeFloor ? [] : [{ bag, places: 1 }]);
  });

  protected setPlaces(bag: string, count: number | null): void {
    if (count !== null) this.places.update((before) => ({ ...before, [bag]: count }));
  }

  protected show(): void {
    const [people, less] = [this.people(), this.less()];
    const today: Today = {
      ...(people === null ? {} : { people }),
      ...(less ? { earlierMs: Math.round(less * 60_000) } : {}),
      places: this.places(),
    };
    this.proposed.set({ of: this.sheet(), outcome: forToday(this.sheet(), today) });
  }

  protected apply(sheet: Sheet): void {
    this.people.set(null);
    this.less.set(null);
    this.places.set({});
    this.proposed.set(null);
    this.applied.emit(sheet);
  }
}
