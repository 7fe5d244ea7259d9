import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { levels, type Level } from '../../core/index';

/** Who comes: how many, how many of them left-handed, and how far they are. */
export interface People {
  readonly people?: number | undefined;
  readonly leftHanded?: number | undefined;
  readonly level?: Level | undefined;
}

/** Fields for who comes; what is emptied is not said. */
@Component({
  selector: 'kt-people-fields',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label
      >People
      <input
        class="field figures"
        type="number"
        min="0"
        max="500"
        [value]="people().people ?? ''"
        (change)="putCount('people', $event)"
    /></label>
    <label
      >Left-handed
      <input
        class="field figures"
        type="number"
        min="0"
        max="500"
        [value]="people().leftHanded ?? ''"
        (change)="putCount('leftHanded', $event)"
    /></label>
    <label
      >Level
      <select class="field" (change)="putLevel($event)">
        <option value="">not said</option>
        @for (level of levels; track level) {
          <option [value]="level" [selected]="people().level === level">{{ level }}</option>
        }
      </select>
    </label>
  `,
  styles: `
    :host {
      display: contents;
    }
    label {
      display: grid;
      gap: 0.15rem;
      color: var(--ink-soft);
      font-size: 0.82rem;
    }
    .field {
      color: var(--ink);
    }
    input {
      width: 5rem;
    }
  `,
})
export class PeopleFields {
  readonly people = input.required<People>();
  readonly changed = output<People>();
  protected readonly levels = levels;

  protected putCount(key: 'people' | 'leftHanded', event: Event): void {
    const field = event.target as HTMLInputElement;
    const count = Math.round(Number(field.value));
    if (field.value === '') this.changed.emit({ [key]: undefined });
    else if (count >= 0 && count <= 500) this.changed.emit({ [key]: count });
    else field.value = String(this.people()[key] ?? '');
  }

  protected putLevel(event: Event): void {
    this.changed.emit({ level: levels.find((each) => each === (event.target as HTMLSelectElement).value) });
  }
}
