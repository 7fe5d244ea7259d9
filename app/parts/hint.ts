import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { SettingsService } from '../services/settings.service';

/** A short hint where it is needed, until it is put away; it does not come again. */
@Component({
  selector: 'kt-hint',
  imports: [MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shows()) {
      <p role="note">
        <span><ng-content /></span>
        <button type="button" matIconButton aria-label="Dismiss this hint" (click)="away()">
          <mat-icon svgIcon="close" />
        </button>
      </p>
    }
  `,
  styles: `
    p {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: var(--space-2);
      padding-inline-start: var(--space-3);
      border-inline-start: 4px solid var(--line-strong);
      background: var(--paper);
    }
  `,
})
export class Hint {
  private readonly settings = inject(SettingsService);
  /** By this name it is remembered. */
  readonly name = input.required<string>();
  protected readonly shows = computed(() => !this.settings.settings().hintsSeen.includes(this.name()));

  protected away(): void {
    const seen = this.settings.settings().hintsSeen;
    this.settings.change({ hintsSeen: [...seen, this.name()].slice(-40) });
  }
}
