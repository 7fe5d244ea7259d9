import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

/** For addresses that lead nowhere. */
@Component({
  selector: 'kt-not-found-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>Page not found</h1>
      <p>The address may be mistyped, or the item may have been deleted.</p>
      <p><a routerLink="/sheets">Go to Sheets</a></p>
    </div>
  `,
})
export class NotFoundPage {}
