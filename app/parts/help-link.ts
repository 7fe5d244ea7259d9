import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';

/** The question mark of a view's head: to its page of the guide. */
@Component({
  selector: 'kt-help-link',
  imports: [MatButtonModule, MatIcon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a matIconButton [routerLink]="['/help', page()]" aria-label="Help with this page"><mat-icon svgIcon="help" /></a>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    @media print {
      :host {
        display: none;
      }
    }
  `,
})
export class HelpLink {
  /** The page's id: the name of its file in docs/guide. */
  readonly page = input.required<string>();
}
