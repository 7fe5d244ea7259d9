import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { MatPaginatorModule } from '@angular/material/paginator';

/** Turns the pages of a long list; nothing is shown where one page holds all of it. */
@Component({
  selector: 'kt-pages',
  imports: [MatPaginatorModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (count() > size()) {
      <mat-paginator
        [attr.aria-label]="label()"
        [length]="count()"
        [pageSize]="size()"
        [pageIndex]="index()"
        [hidePageSize]="true"
        (page)="index.set($event.pageIndex)"
      />
    }
  `,
})
export class Pages {
  readonly label = input.required<string>();
  /** Rows in all, and rows of one page. */
  readonly count = input.required<number>();
  readonly size = input.required<number>();
  /** The page that is shown, from 0. */
  readonly index = model.required<number>();
}
