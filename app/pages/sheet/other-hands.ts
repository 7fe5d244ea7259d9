import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { placeOf, settled, type Choice, type Clash } from '../../../core/index';
import { Editor } from '../../services/editor';

/** What a part says, short enough for a line. */
function worded(part: unknown): string {
  if (part === undefined) return 'removed';
  const text =
    typeof part === 'string'
      ? part
      : typeof part === 'object' && part !== null && 'text' in part
        ? String(part.text)
        : JSON.stringify(part);
  return text.length > 60 ? `${text.slice(0, 59)}…` : text;
}

const choices: readonly { readonly choice: Choice; readonly name: string }[] = [
  { choice: 'mine', name: 'Keep mine' },
  { choice: 'theirs', name: 'Keep theirs' },
  { choice: 'both', name: 'Keep both' },
];

/** What another tab has done to the sheet that is open here: parts changed in both, or the sheet deleted. */
@Component({
  selector: 'kt-other-hands',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (editor.gone()) {
      <div role="alert" class="notice grave">
        <p><b>This sheet was deleted in another tab.</b> This tab still has it, but nothing else does.</p>
        <button type="button" matButton="filled" (click)="bringBack()">Restore it</button>
      </div>
    }
    @for (row of rows(); track row.clash) {
      <div role="alert" class="notice grave">
        <p>
          <b>{{ row.place }} was also changed in another tab.</b> Here: {{ row.mine }}. There: {{ row.theirs }}.
        </p>
        @for (each of row.choices; track each.choice) {
          <button type="button" matButton="outlined" (click)="editor.settle(row.clash, each.choice)">
            {{ each.name }}
          </button>
        }
      </div>
    }
    @if (editor.refused()) {
      <div role="alert" class="notice grave">
        <p><b>Not changed.</b> {{ editor.refused() }}.</p>
        <button type="button" matButton="outlined" (click)="editor.refused.set('')">Close</button>
      </div>
    }
  `,
  styles: `
    p {
      flex: 1 1 20rem;
      overflow-wrap: anywhere;
    }
  `,
})
export class OtherHands {
  protected readonly editor = inject(Editor);

  protected readonly rows = computed(() => {
    const sheet = this.editor.sheet();
    return sheet
      ? this.editor.clashes().map((clash: Clash) => ({
          clash,
          place: placeOf(sheet, clash),
          mine: worded(clash.mine),
          theirs: worded(clash.theirs),
          choices: choices.filter(
            ({ choice }) => choice === 'mine' || settled(sheet, clash, choice, () => 'a-fresh-id') !== null,
          ),
        }))
      : [];
  });

  protected bringBack(): void {
    void this.editor.bringBack();
  }
}
