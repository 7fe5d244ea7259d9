import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { schemeOf, type Sheet } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';

type Numbers = Exclude<Sheet['numbers'], string>;

/** The coach's own numbering beyond six. A scheme that gives a number two meanings is refused with the reason. */
@Component({
  selector: 'kt-own-numbers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>Numbers of your own</legend>
      <p class="soft">
        One to six are the same everywhere. Say what 7 and up mean to you; a sheet can then be read and typed in them.
        Sheets keep the moves, so another coach sees them in their own numbers.
      </p>
      <label
        >Name
        <input
          class="field"
          type="text"
          maxlength="60"
          [value]="draft().name"
          (input)="change({ name: value($event) })"
      /></label>
      @for (row of draft().beyondSix; track $index) {
        <div class="row">
          <label
            >Number
            <input
              class="field figures"
              type="number"
              min="7"
              max="99"
              [value]="row.number"
              (input)="changeRow($index, { number: +value($event) })"
          /></label>
          <label
            >Move
            <input
              class="field"
              type="text"
              maxlength="40"
              placeholder="bk"
              [value]="row.move"
              (input)="changeRow($index, { move: value($event) })"
          /></label>
          <button
            type="button"
            class="button"
            (click)="removeRow($index)"
            [attr.aria-label]="'Leave out ' + row.number"
          >
            Leave out
          </button>
        </div>
      }
      <p class="fault" role="status">{{ draft().beyondSix.length > 0 ? (fault() ?? 'Saved.') : '' }}</p>
      <button type="button" class="button" (click)="addRow()">Add a number</button>
    </fieldset>
  `,
  styleUrl: './settings-page.scss',
})
export class OwnNumbers {
  private readonly settings = inject(SettingsService);
  /** What stands in the form; kept in the settings only while it is a good scheme. */
  private readonly edited = signal<Numbers | null>(null);
  protected readonly draft = computed(
    (): Numbers => this.edited() ?? this.settings.settings().ownNumbers ?? { name: 'mine', beyondSix: [] },
  );
  protected readonly fault = computed(() => {
    const draft = this.draft();
    if (!draft.name.trim() || draft.name === 'six' || draft.name === 'eight') return 'Give it a name of its own.';
    const empty = draft.beyondSix.find((row) => row.move.trim() === '');
    if (empty) return `Say which move ${empty.number} is, for example bk.`;
    const read = schemeOf(draft);
    return read.ok ? null : `${read.fault.what}; ${read.fault.mend}.`;
  });

  protected value(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

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
