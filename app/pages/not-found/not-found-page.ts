import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

/** For addresses that lead nowhere. */
@Component({
  selector: 'kt-not-found-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <h1>There is no such page</h1>
      <p>The address may be misspelt, or what it named has been deleted.</p>
      <p><a routerLink="/sheets">Go to the sheets</a></p>
    </div>
  `,
})
export class NotFoundPage {}
