import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { EntryForm } from '../../parts/entry-form';
import { RunEntry } from './run-entry';
import { Runner } from './runner';

/** What follows a stop: it goes on, or it is ended, which is a press of its own. Its entry is in the log already. */
@Component({
  selector: 'kt-stop-panel',
  imports: [EntryForm, MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Stopped</h2>
    <ng-content />
    <button type="button" matButton="filled" (click)="runner.toggle()"><mat-icon svgIcon="play" />Resume</button>
    <button type="button" matButton="outlined" (click)="runner.end()"><mat-icon svgIcon="stop" />End session</button>
    @if (runner.entry(); as entry) {
      <p class="soft">Everything so far is in the log. Anything you add here saves as you type.</p>
      <kt-entry-form [entry]="entry" (changed)="entries.amend($event)" />
    }
  `,
  styleUrl: './_side-panel.scss',
  host: { class: 'beside', role: 'region', 'aria-label': 'Stopped' },
})
export class StopPanel {
  protected readonly runner = inject(Runner);
  protected readonly entries = inject(RunEntry);
}
