import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { takeWhile, timer } from 'rxjs';
import { InstalledService } from '../../services/installed.service';

const lookEveryMs = 2000;

/** Whether everything works with no network, how much room that takes, and how to put it beside the device's own applications. */
@Component({
  selector: 'kt-installed-panel',
  imports: [DecimalPipe, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="card stack" aria-labelledby="installed-title">
      <h2 id="installed-title">Offline use</h2>
      <p role="status">
        @switch (installed.state().kind) {
          @case ('here') {
            Everything is on this device, including both voices ({{ mb() | number: '1.0-1' }} MB). It works without the
            server.
          }
          @case ('fetching') {
            Downloading everything to this device…
          }
          @case ('insecure') {
            This address is not secure (http), so the browser cannot store or install it. Screens and remotes work as
            they are; to work offline, open it over https. <a href="/secure?to=/settings">Open it by https</a>
          }
          @case ('impossible') {
            This browser cannot store pages for offline use.
          }
          @default {
            Checking…
          }
        }
      </p>
      @if (installed.offer()) {
        <p>
          <button matButton="outlined" type="button" (click)="installed.install()">Install as an app</button>
        </p>
      }
    </section>
  `,
  styles: `
    :host {
      display: contents;
    }
  `,
})
export class InstalledPanel {
  protected readonly installed = inject(InstalledService);

  constructor() {
    timer(0, lookEveryMs)
      .pipe(
        takeWhile(() => ['looking', 'fetching'].includes(this.installed.state().kind)),
        takeUntilDestroyed(),
      )
      .subscribe(() => void this.installed.look());
  }

  protected mb(): number {
    const state = this.installed.state();
    return state.kind === 'here' ? state.mb : 0;
  }
}
