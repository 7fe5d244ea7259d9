import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  CSP_NONCE,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import {
  keepIds,
  readTempoText,
  sayPlace,
  schemeOrSix,
  writeTempoText,
  type Sheet,
  type TextFault,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import type { TextEditor } from './text-editor';

/** The sheet as tempo text, both ways, live: what is typed here is the sheet, and what is changed there stands here. */
@Component({
  selector: 'kt-text-view',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="tempo-text-label">Sheet as text</h2>
    <div #place class="place framed"></div>
    <div id="tempo-text-faults" role="status">
      @if (faults().length === 0) {
        <p class="soft">Every line can be read.</p>
      }
      <ul>
        @for (fault of faults(); track $index) {
          <li class="remark" [class]="fault.level">
            <button type="button" matButton class="word" (click)="editor()?.goTo(fault)">{{ sayPlace(fault) }}</button>
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
      gap: var(--space-2);
      height: 100%;
      padding: var(--space-3) var(--space-4);
    }

    .place {
      flex: 1 1 16rem;
      min-height: 14rem;
      overflow: hidden;
    }

    ul {
      max-height: 9rem;
      overflow-y: auto;
    }
  `,
})
export class TextView {
  readonly sheet = input.required<Sheet>();
  /** The sheet that the text came to; the name keeps typing together as one step of undo. */
  readonly changed = output<{ readonly sheet: Sheet; readonly name: string }>();

  /** What stands in the editor: the coach's own typing until it is left, else the strict form. */
  private readonly text = signal('');
  private readonly read = computed(() => readTempoText(this.text()));
  protected readonly faults = computed((): readonly TextFault[] => this.read().faults);
  protected readonly sayPlace = sayPlace;
  private readonly place = viewChild.required<ElementRef<HTMLElement>>('place');
  protected readonly editor = signal<TextEditor | null>(null);
  /** The sheet that was made from the text, which needs no rewriting while it is typed. */
  private made: Sheet | null = null;
  private turn = 0;

  private readonly nonce = inject(CSP_NONCE);

  constructor() {
    effect(() => {
      const sheet = this.sheet();
      if (sheet !== this.made) untracked(() => this.text.set(writeTempoText(sheet)));
    });
    effect(() => this.editor()?.show(this.text(), this.faults()));
    let left = false;
    inject(DestroyRef).onDestroy(() => {
      left = true;
      this.editor()?.destroy();
    });
    // The editor's library comes only when somebody looks at the text.
    afterNextRender(() => {
      void import('./text-editor').then(({ openTextEditor }) => {
        if (left) return;
        this.editor.set(
          openTextEditor(this.place().nativeElement, {
            typed: (text) => this.type(text),
            left: () => this.settle(),
            scheme: () => schemeOrSix(this.sheet().numbers),
            nonce: this.nonce,
            parts: () => (this.sheet().parts ?? []).map(({ name }) => name),
          }),
        );
      });
    });
  }

  private type(text: string): void {
    this.text.set(text);
    const sheet = keepIds(this.sheet(), this.read().sheet, freshId);
    if (JSON.stringify(sheet) === JSON.stringify(this.sheet())) return;
    this.made = sheet;
    this.changed.emit({ sheet, name: `text ${this.turn}` });
  }

  /** Typing is over: the next typing is a step of its own, and what was read whole stands there strictly. */
  private settle(): void {
    this.turn += 1;
    if (this.faults().length > 0) return;
    this.made = null;
    this.text.set(writeTempoText(this.sheet()));
  }
}
