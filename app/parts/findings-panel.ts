import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Finding } from '../../core/index';

/** What the product has to say about a sheet, with mends that are one press away. */
@Component({
  selector: 'kt-findings-panel',
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
          <li [class]="finding.level">
            <p>
              <b>{{ names[finding.level] }} · {{ finding.where }}</b>
            </p>
            <p>{{ finding.what }}.</p>
            <p class="mend">
              @for (mend of finding.mends; track mend.label) {
                <button type="button" class="link-button" (click)="mended.emit({ finding, at: $index })">
                  {{ mend.label }}
                </button>
                @if (!$last) {
                  or
                }
              } @empty {
                <span class="soft">{{ finding.mend }}</span>
              }
              @if (finding.blockId) {
                <button type="button" class="link-button show" (click)="shown.emit(finding)">Show</button>
              }
            </p>
          </li>
        }
      </ul>
    </aside>
  `,
  styles: `
    aside {
      padding: 0.75rem 1rem;
      font-size: 0.9rem;
    }

    li {
      margin-top: 0.75rem;
      padding-inline-start: 0.75rem;
      border-inline-start: 4px solid var(--ink-soft);
    }

    .error {
      border-color: var(--danger);
      border-inline-start-style: double;
      border-inline-start-width: 8px;
    }

    .warning {
      border-color: var(--mark);
    }

    .show {
      margin-inline-start: 0.5rem;
      font-weight: 400;
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
