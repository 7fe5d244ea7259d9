import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Finding } from '../../core/index';

/** What the product has to say about a sheet, with mends that are one press away. */
@Component({
  selector: 'kt-findings-panel',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <aside aria-label="Findings">
      <h2>
        Findings <span class="soft">{{ summary() }}</span>
      </h2>
      @if (findings().length === 0) {
        <p class="soft">Everything adds up.</p>
      }
      <ul>
        @for (finding of findings(); track $index) {
          <li class="remark" [class]="finding.level">
            <p>
              <b>{{ names[finding.level] }} · {{ finding.where }}</b>
            </p>
            <p>{{ finding.what }}.</p>
            <p>
              @for (mend of finding.mends; track mend.label) {
                <button matButton class="word" type="button" (click)="mended.emit({ finding, at: $index })">
                  {{ mend.label }}
                </button>
                @if (!$last) {
                  or
                }
              } @empty {
                <span class="soft">{{ finding.mend }}</span>
              }
              @if (finding.blockId) {
                <button matButton class="word" type="button" (click)="shown.emit(finding)">Show</button>
              }
            </p>
          </li>
        }
      </ul>
    </aside>
  `,
  styles: `
    aside {
      padding: var(--space-3) var(--space-4);
    }

    li {
      margin-top: var(--space-3);
    }
  `,
})
export class FindingsPanel {
  readonly findings = input.required<readonly Finding[]>();
  readonly mended = output<{ finding: Finding; at: number }>();
  readonly shown = output<Finding>();

  protected readonly names = { error: 'Error', warning: 'Warning', note: 'Note' } as const;
  protected readonly summary = computed(() => (this.findings().length > 0 ? String(this.findings().length) : ''));
}
