import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import { MatToolbar } from '@angular/material/toolbar';
import { MatTooltip } from '@angular/material/tooltip';
import { MatButtonModule } from '@angular/material/button';
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
  imports: [MatMenuModule, MatToolbar, MatTooltip, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-toolbar class="bar line of-marked" role="toolbar" aria-label="Selected rows">
      <b role="status">{{ count() }} selected</b>
      <button type="button" matButton (click)="done.emit({ what: 'move', by: -1 })">Up</button>
      <button type="button" matButton (click)="done.emit({ what: 'move', by: 1 })">Down</button>
      <button type="button" matButton (click)="done.emit({ what: 'nudge', ms: -5000 })">−5 s</button>
      <button type="button" matButton (click)="done.emit({ what: 'nudge', ms: 5000 })">+5 s</button>
      <button type="button" matButton [matMenuTriggerFor]="effortMenu">Effort</button>
      <mat-menu #effortMenu="matMenu">
        @for (effort of efforts; track effort) {
          <button mat-menu-item type="button" (click)="done.emit({ what: 'effort', effort })">{{ effort }}</button>
        }
      </mat-menu>
      <button
        type="button"
        matButton
        matTooltip="Switches blocks to the opposite stance and starts drills with the other hand"
        (click)="done.emit({ what: 'mirror' })"
      >
        Mirror
      </button>
      <button type="button" matButton (click)="done.emit({ what: 'duplicate' })">Duplicate</button>
      <button type="button" matButton (click)="done.emit({ what: 'remove' })">Delete</button>
      <button type="button" matButton (click)="done.emit({ what: 'clear' })">Clear selection <kbd>Esc</kbd></button>
    </mat-toolbar>
  `,
  styles: `
    :host {
      display: block;
      position: sticky;
      z-index: 2;
      top: 0;
    }

    .bar {
      gap: 0 var(--space-1);
      padding: 0 var(--space-4);
    }
  `,
})
export class MarkedBar {
  readonly count = input.required<number>();
  readonly done = output<MarkedAction>();
  protected readonly efforts = effortNames;
}
