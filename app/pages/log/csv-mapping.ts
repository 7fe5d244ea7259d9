import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  resource,
  signal,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { mappedFields, type CsvMapping, type DateOrder, type MappedField } from '../../../core/index';
import { ChoiceField, named } from '../../parts/fields/choice-field';
import { LogFilesService, type Incoming, type TakenIn } from '../../services/log-files.service';

/** Lines with faults that are shown. */
const shownFaults = 5;

/** Which column of a file of other origin is what; nothing is taken in before that is said. */
@Component({
  selector: 'kt-csv-mapping',
  imports: [ChoiceField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Match the columns</h2>
    <p class="soft">
      {{ file().table.rows.length }} rows. Every session needs a date and minutes; anything without a column is left
      blank.
    </p>
    <div class="line">
      @for (field of fields; track field) {
        <kt-choice-field [label]="field" [value]="mapping()[field]" [choices]="columns()" (put)="map(field, $event)" />
      }
      <kt-choice-field label="Read 3/4 as" [value]="order()" [choices]="orders" (put)="order.set($event)" />
    </div>
    @if (read.value(); as read) {
      <p role="status">
        {{ read.sessions.length }} can be imported{{
          read.faults.length > 0 ? ', ' + read.faults.length + ' cannot:' : '.'
        }}
      </p>
      <ul>
        @for (fault of read.faults.slice(0, most); track fault.line) {
          <li class="wrong">Line {{ fault.line }}: {{ fault.what }}; {{ fault.mend }}.</li>
        }
      </ul>
      <p class="line">
        <button type="button" matButton="filled" [disabled]="read.sessions.length === 0" (click)="take(read)">
          Import {{ read.sessions.length }}
        </button>
        <button type="button" matButton (click)="cancelled.emit()">Cancel</button>
      </p>
    }
  `,
  host: { class: 'card stack', role: 'region', 'aria-label': 'Columns of the file' },
})
export class CsvMappingForm {
  readonly file = input.required<Extract<Incoming, { kind: 'other' }>>();
  readonly taken = output<TakenIn>();
  readonly cancelled = output();

  private readonly logFiles = inject(LogFilesService);
  protected readonly fields = mappedFields;
  protected readonly most = shownFaults;
  protected readonly orders = named<DateOrder>(['day first', 'month first']);
  protected readonly order = signal<DateOrder>('day first');
  protected readonly mapping = linkedSignal((): CsvMapping => this.file().mapping);
  protected readonly columns = computed(() => [
    { value: null, name: 'none' },
    ...this.file().table.header.map((name, value) => ({ value, name: name || `column ${value + 1}` })),
  ]);
  protected readonly read = resource({
    params: () => ({ table: this.file().table, mapping: this.mapping(), order: this.order() }),
    loader: ({ params: { table, mapping, order } }) => this.logFiles.sessions(table, mapping, order),
  });

  protected map(field: MappedField, column: number | null): void {
    this.mapping.update((mapping) => ({ ...mapping, [field]: column }));
  }

  protected async take(read: Extract<Incoming, { kind: 'sessions' }>): Promise<void> {
    this.taken.emit(await this.logFiles.takeIn(read));
  }
}
