import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { readStored, spell } from '../../../core/index';
import { ComposeService } from '../../services/compose.service';
import { StrikeStaff } from '../strike-staff/strike-staff';
import { composeActions } from './compose-actions';

/** A combination that was composed, on its staff, with what can be done with it. */
@Component({
  selector: 'kt-composed-row',
  imports: [MatButtonModule, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="what">
      @if (combination(); as combination) {
        <kt-strike-staff dense [combination]="combination" [scheme]="composer.scheme()" [scale]="0.8" />
      }
      <p>
        <b class="figures">{{ spelled() }}</b>
        @if (note()) {
          <span class="soft small">&ngsp;{{ note() }}</span>
        }
      </p>
    </div>
    <div class="line">
      <ng-content />
      @for (action of actions.each; track action.label) {
        <button
          type="button"
          [matButton]="action.main ? 'outlined' : 'text'"
          [attr.aria-label]="spelled() + ' ' + action.label.toLowerCase()"
          (click)="action.press(text())"
        >
          {{ action.label }}
        </button>
      }
    </div>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-1) var(--space-3);
      align-items: center;
      justify-content: space-between;
    }
    .what {
      flex: 1 1 14rem;
      min-width: 0;
    }
  `,
})
export class ComposedRow {
  /** Its kept text. */
  readonly text = input.required<string>();
  /** What else there is to say. */
  readonly note = input('');
  protected readonly actions = inject(composeActions);
  protected readonly composer = inject(ComposeService);
  /** As the coach's numbers have it. */
  protected readonly spelled = computed(() => spell(this.text(), this.composer.scheme()));
  protected readonly combination = computed(() => {
    const read = readStored(this.text());
    return read.ok ? read.value : null;
  });
}
