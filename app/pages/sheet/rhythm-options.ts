import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';
import { pieceSchema, pieceSchemas, rhythmHands, usualRebounds, type PieceOf } from '../../../core/index';
import { named, ChoiceField } from '../../parts/fields/choice-field';

type Rhythm = PieceOf<'rhythm'>;

/** What a rhythm on the speed bag can be told: the row, the hand, the growth, and the board's rebounds a minute. */
@Component({
  selector: 'kt-rhythm-options',
  imports: [MatCheckbox, ChoiceField, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = rhythm();
    <div class="options of-selected" role="group" aria-label="Rhythm options">
      <kt-text-field
        class="wide figures"
        label="Rebounds after each touch"
        hint="Start with 7 or 5; 3 for triplets, 1 for singles, 0 for a soft touch. Example: 3, 3, 1"
        [value]="own.row.join(', ')"
        [fault]="rowFault"
        (put)="change({ row: rowOf($event) })"
      />
      <kt-choice-field label="Hand" [value]="own.hand ?? 'lead'" [choices]="hands" (put)="change({ hand: $event })" />
      <mat-checkbox [checked]="own.elbow ?? false" (change)="change({ elbow: $event.checked || undefined })"
        >with the elbow</mat-checkbox
      >
      <kt-number-field
        label="Repeat last number, from"
        [value]="own.growFrom ?? 1"
        [schema]="schemas.growFrom"
        (put)="change({ growFrom: $event ?? undefined })"
      />
      <kt-number-field
        label="up to"
        placeholder="once"
        [value]="own.growTo"
        [schema]="schemas.growTo"
        (put)="change({ growTo: $event ?? undefined })"
      />
      <kt-number-field
        label="Rebounds per minute"
        [value]="own.rebounds ?? usual"
        [schema]="schemas.rebounds"
        (put)="change({ rebounds: $event ?? undefined })"
      />
      @if (fault()) {
        <p class="wrong" role="alert">{{ fault() }}</p>
      }
    </div>
  `,
  styleUrl: './options.scss',
})
export class RhythmOptions {
  readonly rhythm = input.required<Rhythm>();
  readonly changed = output<Rhythm>();

  protected readonly hands = named(rhythmHands);
  protected readonly schemas = pieceSchemas.rhythm.shape;
  protected readonly usual = usualRebounds;
  protected readonly fault = signal('');

  /** Keeps a change that the sheet could hold; of any other it says why. */
  protected change(change: Partial<Rhythm>): void {
    const changed = { ...this.rhythm(), ...change };
    const read = pieceSchema.safeParse(changed);
    this.fault.set(read.success ? '' : (read.error.issues[0]?.message ?? ''));
    if (read.success) this.changed.emit(changed);
  }

  protected rowOf(text: string): number[] {
    return text
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
  }

  protected readonly rowFault = (text: string): string => {
    const read = this.schemas.row.safeParse(this.rowOf(text));
    return read.success ? '' : `${read.error.issues[0]?.message ?? ''}; for example 3, 3, 1`;
  };
}
