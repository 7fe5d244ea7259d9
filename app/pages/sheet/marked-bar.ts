import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { effortNames, type Effort } from '../../../core/index';

/** What can be done to all marked rows at once. */
export type MarkedAction =
  | { readonly what: 'effort'; readonly effort: Effort }
  | { readonly what: 'nudge'; readonly ms: number }
  | { readonly what: 'move'; readonly by: -1 | 1 }
  | { readonly what: 'mirror' | 'duplicate' | 'remove' | 'clear' };

/** The bar over the rundown while rows are marked. */
@Component({
  selector: 'kt-marked-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bar" role="toolbar" aria-label="Marked rows">
      <b role="status">{{ count() }} marked</b>
      <button type="button" class="link-button" (click)="done.emit({ what: 'move', by: -1 })">Up</button>
      <button type="button" class="link-button" (click)="done.emit({ what: 'move', by: 1 })">Down</button>
      <button type="button" class="link-button" (click)="done.emit({ what: 'nudge', ms: -5000 })">−5 s</button>
      <button type="button" class="link-button" (click)="done.emit({ what: 'nudge', ms: 5000 })">+5 s</button>
      <label
        >Effort
        <select class="quiet" (change)="setEffort($event)">
          <option value="">…</option>
          @for (effort of efforts; track effort) {
            <option [value]="effort">{{ effort }}</option>
          }
        </select>
      </label>
      <button
        type="button"
        class="link-button"
        title="Blocks in the other stance, pieces begun by the other hand"
        (click)="done.emit({ what: 'mirror' })"
      >
        Mirror
      </button>
      <button type="button" class="link-button" (click)="done.emit({ what: 'duplicate' })">Duplicate</button>
      <button type="button" class="link-button" (click)="done.emit({ what: 'remove' })">Delete</button>
      <button type="button" class="link-button" (click)="done.emit({ what: 'clear' })">Unmark <kbd>Esc</kbd></button>
    </div>
  `,
  styles: `
    :host {
      display: block;
      position: sticky;
      z-index: 2;
      top: 0;
    }

    .bar {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0 1rem;
      min-height: 42px;
      padding: 0 1.25rem;
      border-bottom: 2px dashed var(--ink);
      background: var(--paper);
    }
  `,
})
export class MarkedBar {
  readonly count = input.required<number>();
  readonly done = output<MarkedAction>();
  protected readonly efforts = effortNames;

  protected setEffort(event: Event): void {
    const field = event.target as HTMLSelectElement;
    const effort = effortNames.find((name) => name === field.value);
    if (effort) this.done.emit({ what: 'effort', effort });
    field.value = '';
  }
}
