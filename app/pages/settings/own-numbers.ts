import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { MatTooltip } from '@angular/material/tooltip';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import { ownNumbersSchema, schemeOf, type Sheet } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';

type Numbers = Exclude<Sheet['numbers'], string>;

/** The coach's own numbering beyond six. A scheme that gives a number two meanings is refused with the reason. */
@Component({
  selector: 'kt-own-numbers',
  imports: [MatIcon, MatTooltip, NumberField, TextField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="stack" aria-labelledby="numbers-title">
      <h2 id="numbers-title">Your own numbers</h2>
      <p class="soft small">
        One to six are the same everywhere. Set what 7 and up mean for you; sheets can then be shown and typed that way.
        Sheets store the moves, so other coaches see their own numbers.
      </p>
      <kt-text-field
        label="Name of your numbering"
        live
        [value]="draft().name"
        [schema]="schemas.name"
        (put)="change({ name: $event })"
      />
      @for (row of draft().beyondSix; track $index) {
        <div class="row">
          <kt-number-field
            label="Number"
            live
            [value]="row.number"
            [schema]="rowSchemas.number"
            (put)="changeRow($index, { number: $event ?? row.number })"
          />
          <kt-text-field
            label="Move"
            live
            placeholder="bk"
            [value]="row.move"
            (put)="changeRow($index, { move: $event })"
          />
          <button
            type="button"
            matIconButton
            matTooltip="Remove"
            (click)="removeRow($index)"
            [attr.aria-label]="'Remove ' + row.number"
          >
            <mat-icon svgIcon="bin" />
          </button>
        </div>
      }
      <p class="fault" role="status">
        {{ draft().beyondSix.length > 0 ? (fault() ?? (settings.saving() ? 'Saving…' : 'Saved.')) : '' }}
      </p>
      <button type="button" matButton="outlined" (click)="addRow()">Add a number</button>
    </section>
  `,
  styles: `
    .row {
      display: grid;
      grid-template-columns: 6rem minmax(0, 1fr) auto;
      gap: var(--space-2);
      align-items: start;
    }
    kt-number-field {
      width: 100%;
    }
  `,
})
export class OwnNumbers {
  protected readonly settings = inject(SettingsService);
  /** What stands in the form; kept in the settings only while it is a good scheme. */
  private readonly edited = signal<Numbers | null>(null);
  protected readonly draft = computed(
    (): Numbers => this.edited() ?? this.settings.settings().ownNumbers ?? { name: 'mine', beyondSix: [] },
  );
  protected readonly fault = computed(() => {
    const draft = this.draft();
    if (!draft.name.trim() || draft.name === 'six' || draft.name === 'eight') return 'Give it a name.';
    const empty = draft.beyondSix.find((row) => row.move.trim() === '');
    if (empty) return `Say which move ${empty.number} is, for example bk.`;
    const read = schemeOf(draft);
    return read.ok ? null : `${read.fault.what}; ${read.fault.mend}.`;
  });

  protected readonly schemas = ownNumbersSchema.shape;
  protected readonly rowSchemas = ownNumbersSchema.shape.beyondSix.def.element.shape;

  protected change(change: Partial<Numbers>): void {
    this.edited.set({ ...this.draft(), ...change });
    if (this.fault() === null)
      this.settings.change({ ownNumbers: this.draft().beyondSix.length > 0 ? this.draft() : null });
  }

  protected changeRow(at: number, change: Partial<Numbers['beyondSix'][number]>): void {
    this.change({
      beyondSix: this.draft().beyondSix.map((row, index) => (index === at ? { ...row, ...change } : row)),
    });
  }

  protected addRow(): void {
    const free = Math.max(6, ...this.draft().beyondSix.map((row) => row.number)) + 1;
    this.change({ beyondSix: [...this.draft().beyondSix, { number: free, move: '' }] });
  }

  protected removeRow(at: number): void {
    this.change({ beyondSix: this.draft().beyondSix.filter((_, index) => index !== at) });
  }
}
