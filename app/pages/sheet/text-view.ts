import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { keepIds, readTempoText, sayPlace, writeTempoText, type Sheet, type TextFault } from '../../../core/index';
import { freshId } from '../../services/fresh-id';

/** The sheet as tempo text, both ways, live: what is typed here is the sheet, and what is changed there stands here. */
@Component({
  selector: 'kt-text-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label for="tempo-text">The whole sheet as text</label>
    <textarea
      #field
      id="tempo-text"
      class="field"
      spellcheck="false"
      autocapitalize="off"
      wrap="off"
      aria-describedby="tempo-text-faults"
      [value]="text()"
      (input)="type(value($event))"
      (blur)="settle()"
    ></textarea>
    <div id="tempo-text-faults" role="status">
      @if (faults().length === 0) {
        <p class="soft">Every line is read.</p>
      }
      <ul>
        @for (fault of faults(); track $index) {
          <li [class]="fault.level">
            <button type="button" class="link-button" (click)="goTo(fault)">{{ sayPlace(fault) }}</button>
            {{ fault.what }}; {{ fault.mend }}
          </li>
        }
      </ul>
    </div>
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      gap: 0.4rem;
      height: 100%;
      padding: 0.75rem 1rem;
    }

    label {
      font-weight: 700;
    }

    textarea {
      flex: 1 1 16rem;
      min-height: 14rem;
      width: 100%;
      padding: 0.5rem;
      font:
        0.82rem/1.5 ui-monospace,
        'Liberation Mono',
        monospace;
      resize: vertical;
    }

    ul {
      max-height: 9rem;
      overflow-y: auto;
      font-size: 0.85rem;
    }

    li {
      margin-top: 0.25rem;
      padding-inline-start: 0.5rem;
      border-inline-start: 4px solid var(--ink-soft);
    }

    .error {
      border-inline-start: 8px double var(--danger);
    }
  `,
})
export class TextView {
  readonly sheet = input.required<Sheet>();
  /** The sheet that the text came to; the name keeps typing together as one step of undo. */
  readonly changed = output<{ readonly sheet: Sheet; readonly name: string }>();

  /** What stands in the field: the coach's own typing until the field is left, else the strict form. */
  protected readonly text = signal('');
  private readonly read = computed(() => readTempoText(this.text()));
  protected readonly faults = computed(() => this.read().faults);
  protected readonly sayPlace = sayPlace;
  private readonly field = viewChild.required<ElementRef<HTMLTextAreaElement>>('field');
  /** The sheet that was made from the text, which needs no rewriting while it is typed. */
  private made: Sheet | null = null;
  private turn = 0;

  constructor() {
    effect(() => {
      const sheet = this.sheet();
      if (sheet !== this.made) untracked(() => this.text.set(writeTempoText(sheet)));
    });
  }

  protected value(event: Event): string {
    return (event.target as HTMLTextAreaElement).value;
  }

  protected type(text: string): void {
    this.text.set(text.slice(0, 1_000_000));
    const sheet = keepIds(this.sheet(), this.read().sheet, freshId);
    if (JSON.stringify(sheet) === JSON.stringify(this.sheet())) return;
    this.made = sheet;
    this.changed.emit({ sheet, name: `text ${this.turn}` });
  }

  /** Typing is over: the next typing is a step of its own, and what was read whole stands there strictly. */
  protected settle(): void {
    this.turn += 1;
    if (this.faults().length > 0) return;
    this.made = null;
    this.text.set(writeTempoText(this.sheet()));
  }

  protected goTo(fault: TextFault): void {
    const field = this.field().nativeElement;
    const before = this.text()
      .split('\n')
      .slice(0, fault.line - 1);
    const at = before.reduce((sum, line) => sum + line.length + 1, 0) + fault.column - 1;
    field.focus();
    field.setSelectionRange(at, at + fault.read.length);
  }
}
