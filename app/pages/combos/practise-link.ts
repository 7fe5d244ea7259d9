import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import type { BookEntry } from '../../../core/index';

/** From a combination of the book to practising it alone. */
@Component({
  selector: 'kt-practise-link',
  imports: [MatButtonModule, MatIcon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a
      matButton="outlined"
      routerLink="/solo"
      [queryParams]="{ text: entry().text, name: entry().name || entry().text }"
    >
      <mat-icon svgIcon="play" />Practise solo
    </a>
  `,
})
export class PractiseLink {
  readonly entry = input.required<BookEntry>();
}
