import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { blockSchema, sheetLimits, type Block } from '../../../core/index';
import { ClockField } from '../../parts/fields/clock-field';
import { TextField } from '../../parts/fields/text-field';

type Say = NonNullable<Block['says']>[number];

/** A new call stands so long behind the last one. */
const apartMs = 15_000;

/** The coach's own calls of a block: what is said and when, from the block's beginning. In an open rest they come in order. */
@Component({
  selector: 'kt-own-calls',
  imports: [ClockField, TextField, MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (say of says(); track $index) {
      <div class="call">
        @if (block().ms !== null) {
          <kt-clock-field
            [ms]="say.atMs"
            [least]="0"
            [label]="'When call ' + ($index + 1) + ' is made'"
            (changed)="change($index, { atMs: $event })"
          />
        }
        <kt-text-field
          class="words"
          bare
          [label]="'Call ' + ($index + 1)"
          [value]="say.words"
          [schema]="schema"
          [focused]="$index === fresh()"
          (put)="change($index, { words: $event })"
        />
        <button type="button" matIconButton [attr.aria-label]="'Remove call ' + ($index + 1)" (click)="remove($index)">
          <mat-icon svgIcon="close" />
        </button>
      </div>
    }
    @if (says().length < most) {
      <button type="button" matButton class="word" (click)="add()">Add a call</button>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .call {
      display: flex;
      align-items: center;
      gap: var(--space-2);
    }
    .words {
      flex: 1;
    }
  `,
})
export class OwnCalls {
  readonly block = input.required<Block>();
  readonly changed = output<Block['says']>();

  protected readonly schema = blockSchema.shape.title;
  protected readonly most = sheetLimits.says;
  /** The call that was just added: its words take the keys. */
  protected readonly fresh = signal(-1);
  protected readonly says = computed((): readonly Say[] => this.block().says ?? []);

  protected change(index: number, change: Partial<Say>): void {
    if (change.words?.trim() === '') this.remove(index);
    else this.put(this.says().map((say, at) => (at === index ? { ...say, ...change } : say)));
  }

  protected remove(index: number): void {
    this.put(this.says().filter((_, at) => at !== index));
  }

  protected add(): void {
    const [last, length] = [this.says().at(-1)?.atMs, this.block().ms];
    const atMs = Math.min(last === undefined ? 0 : last + apartMs, Math.max(0, (length ?? apartMs) - 1000));
    const says = this.says();
    // It stands behind those that are made before it or with it, which may lie beyond the block's end.
    this.fresh.set(says.filter((say) => say.atMs <= atMs).length);
    this.put([...says, { words: 'Your words', atMs }]);
  }

  private put(says: readonly Say[]): void {
    this.changed.emit(says.length === 0 ? undefined : says.toSorted((a, b) => a.atMs - b.atMs));
  }
}
