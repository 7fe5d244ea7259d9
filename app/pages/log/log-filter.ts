import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { anyEntry, faultList, logGroupings, type LogGrouping, type LogWish } from '../../../core/index';
import { ChoiceField, type Choice } from '../../parts/fields/choice-field';
import { DayField } from '../../parts/fields/day-field';
import { TextField } from '../../parts/fields/text-field';

const names: Readonly<Record<LogGrouping, string>> = {
  none: 'No grouping',
  day: 'By day',
  week: 'By week',
  sheet: 'By sheet',
};
const orAny = <T extends string>(name: string, choices: readonly Choice<T>[]): readonly Choice<T | null>[] => [
  { value: null, name },
  ...choices,
];

/** What is looked for in the log, and how it is put together. */
@Component({
  selector: 'kt-log-filter',
  imports: [ChoiceField, DayField, MatButtonModule, MatButtonToggleModule, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <search class="line">
      <kt-text-field
        class="find"
        label="Find"
        live
        placeholder="title, note, name"
        [value]="wish().words"
        (put)="put({ words: $event })"
      />
      <kt-day-field label="From" [value]="wish().from" (put)="put({ from: $event })" />
      <kt-day-field label="To" [value]="wish().to" (put)="put({ to: $event })" />
      @if (groupChoices().length > 2) {
        <kt-choice-field
          label="Class"
          [value]="wish().group"
          [choices]="groupChoices()"
          (put)="put({ group: $event })"
        />
      }
      <kt-choice-field
        label="Sheet"
        [value]="wish().sheetId"
        [choices]="sheetChoices()"
        (put)="put({ sheetId: $event })"
      />
      <kt-choice-field label="Fault" [value]="wish().fault" [choices]="faults" (put)="put({ fault: $event })" />
      <mat-button-toggle-group
        hideSingleSelectionIndicator
        aria-label="Group"
        [value]="wish().by"
        (change)="put({ by: $event.value })"
      >
        @for (by of groupings; track by.value) {
          <mat-button-toggle [value]="by.value">{{ by.name }}</mat-button-toggle>
        }
      </mat-button-toggle-group>
      @if (wish() !== any) {
        <button type="button" matButton (click)="wished.emit(any)">Show all</button>
      }
      <span class="soft push" role="status">{{ count() }} {{ count() === 1 ? 'entry' : 'entries' }}</span>
    </search>
  `,
  styles: `
    .find {
      width: 14rem;
    }
    @media (max-width: 720px) {
      .find {
        width: 100%;
      }
      kt-day-field,
      kt-choice-field {
        flex: 1 1 9rem;
        width: auto;
        min-width: 0;
      }
    }
  `,
})
export class LogFilter {
  readonly wish = input.required<LogWish>();
  readonly groups = input.required<readonly string[]>();
  readonly sheets = input.required<readonly { readonly id: string; readonly title: string }[]>();
  readonly count = input.required<number>();
  readonly wished = output<LogWish>();

  protected readonly any = anyEntry;
  protected readonly groupings = logGroupings.map((value) => ({ value, name: names[value] }));
  protected readonly faults = orAny(
    'any',
    faultList.map(({ id, name }) => ({ value: id, name })),
  );
  protected readonly groupChoices = computed(() =>
    orAny(
      'all',
      this.groups().map((name) => ({ value: name, name })),
    ),
  );
  protected readonly sheetChoices = computed(() =>
    orAny(
      'any',
      this.sheets().map(({ id, title }) => ({ value: id, name: title })),
    ),
  );

  protected put(change: Partial<LogWish>): void {
    this.wished.emit({ ...this.wish(), ...change });
  }
}
