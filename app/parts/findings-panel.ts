import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Finding } from '../../core/index';

/** What the product has to say about a sheet, with mends that are one press away. */
@Component({
  selector: 'kt-findings-panel',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <aside aria-label="Checks">
      <h2>
        Checks <span class="soft">{{ summary() }}</span>
      </h2>
      @if (findings().length === 0) {
        <p class="soft">Everything adds up.</p>
      }
      <ul>
        @for (row of rows(); track row.key) {
          @let finding = row.finding;
          <li class="remark" [class]="finding.level">
            <p>
              <b>{{ names[finding.level] }} · {{ finding.where }}</b>
            </p>
            <p>{{ finding.what }}.</p>
            <p>
              @for (mend of finding.mends; track $index) {
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
                <button matButton class="word" type="button" (click)="shown.emit(finding)">Go to it</button>
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

  /** Each by what it is about: what a change leaves stays where it stands, with its buttons. */
  protected readonly rows = computed(() => {
    const times = new Map<string, number>();
    return this.findings().map((finding) => {
      const about = `${finding.kind} ${finding.pieceId ?? finding.blockId ?? finding.where}`;
      const nth = (times.get(about) ?? 0) + 1;
      times.set(about, nth);
      return { finding, key: `${about} ${nth}` };
    });
  });
  protected readonly names = { error: 'Problem', warning: 'Warning', note: 'Note' } as const;
  protected readonly summary = computed(() => (this.findings().length > 0 ? String(this.findings().length) : ''));
}
