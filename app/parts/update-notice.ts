import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { InstalledService } from '../services/installed.service';

/** Says that a newer version is ready. It is taken when the coach asks for it, and never in a run. */
@Component({
  selector: 'kt-update-notice',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (installed.ready() && !quiet()) {
      <div role="status" class="notice">
        <p>A new version of Keen Tempo is ready. This page keeps the old one until you update.</p>
        <button matButton="outlined" type="button" (click)="installed.take()">Update now</button>
      </div>
    }
  `,
})
export class UpdateNotice {
  /** In a run nothing is said of it, though it is heard of. */
  readonly quiet = input(false);
  protected readonly installed = inject(InstalledService);
}
