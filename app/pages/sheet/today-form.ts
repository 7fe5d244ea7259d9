import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { forToday, type ForToday, type Sheet, type Today } from '../../../core/index';

/** The one place to say how today is different; sheet, lanes and rotation follow, and what changes is listed first. */
@Component({
  selector: 'kt-today-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Today</h2>
    <p class="soft">Fewer came, a bag is down, the room is needed earlier: say it here.</p>
    <form (submit)="$event.preventDefault(); show()">
      <label
        >People who came
        <input
          class="field figures"
          type="number"
          min="0"
          max="500"
          [value]="people()"
          (input)="people.set(value($event))"
      /></label>
      <label
        >Minutes less
        <input
          class="field figures"
          type="number"
          min="0"
          max="300"
          step="1"
          [value]="less()"
          (input)="less.set(value($event))"
      /></label>
      @for (lane of kinds(); track lane.bag) {
        <label
          >{{ lane.bag }}, places left
          <input
            class="field figures"
            type="number"
            min="0"
            [max]="lane.places"
            [value]="places()[lane.bag] ?? lane.places"
            (input)="setPlaces(lane.bag, value($event))"
        /></label>
      }
      <button type="submit" class="button">Show what changes</button>
    </form>
    @if (outcome(); as outcome) {
      @if (outcome.ok) {
        <div class="proposal" role="status">
          <ul>
            @for (change of outcome.changes; track $index) {
              <li>{{ change }}</li>
            } @empty {
              <li>Nothing changes.</li>
            }
          </ul>
          <button
            type="button"
            class="button main"
            [disabled]="outcome.changes.length === 0"
            (click)="apply(outcome.sheet)"
          >
            Run it so today
          </button>
          <button type="button" class="button" (click)="proposed.set(null)">Leave it</button>
        </div>
      } @else {
        <p class="fault" role="alert">{{ outcome.what }}; {{ outcome.mend }}.</p>
      }
    }
  `,
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      align-items: end;
      gap: 0.4rem 0.8rem;
      margin: 0.4rem 0;
    }
    label {
      display: grid;
      gap: 0.1rem;
      color: var(--ink-soft);
      font-size: 0.82rem;
    }
    input {
      width: 5rem;
      color: var(--ink);
    }
    .proposal {
      padding: 0.6rem 0.75rem;
      border: 2px solid var(--ink);
      border-radius: 6px;
      font-size: 0.9rem;
    }
    li + li {
      margin-top: 0.2rem;
    }
    .proposal .button {
      margin-top: 0.5rem;
    }
    .fault {
      color: var(--danger);
    }
  `,
})
export class TodayForm {
  readonly sheet = input.required<Sheet>();
  /** The sheet as it is run today; undo takes it back. */
  readonly applied = output<Sheet>();

  protected readonly people = signal('');
  protected readonly less = signal('');
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
    return lanes ?? (bag === 'shadow' ? [] : [{ bag, places: 1 }]);
  });

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected setPlaces(bag: string, text: string): void {
    const count = Math.round(Number(text));
    if (text !== '' && count >= 0) this.places.update((before) => ({ ...before, [bag]: count }));
  }

  protected show(): void {
    const people = Math.round(Number(this.people()));
    const minutes = Number(this.less());
    const today: Today = {
      ...(this.people() !== '' && people >= 0 && people <= 500 ? { people } : {}),
      ...(minutes > 0 ? { earlierMs: Math.round(minutes * 60_000) } : {}),
      places: this.places(),
    };
    this.proposed.set({ of: this.sheet(), outcome: forToday(this.sheet(), today) });
  }

  protected apply(sheet: Sheet): void {
    this.people.set('');
    this.less.set('');
    this.places.set({});
    this.proposed.set(null);
    this.applied.emit(sheet);
  }
}
