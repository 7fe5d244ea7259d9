import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { sayGroups, spell, type LaneNow, type Scheme, shownBag } from '../../../core/index';

/** Which group is on what in this round, and what each kind of bag does in place of the piece. */
@Component({
  selector: 'kt-stage-lanes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length > 0) {
      <ul>
        @for (row of rows(); track row.bag) {
          <li>
            <b>{{ shownBag(row.bag) }}</b>
            @if (row.groups) {
              <span>{{ row.groups }}</span>
            }
            <span class="figures">{{ row.text }}</span>
          </li>
        }
      </ul>
    }
  `,
  styles: `
    ul {
      display: flex;
      flex-wrap: wrap;
      justify-content: center;
      gap: var(--space-1) var(--space-6);
      font-size: var(--wall-small);
    }
    li {
      display: flex;
      gap: var(--space-2);
    }
  `,
})
export class StageLanes {
  protected readonly shownBag = shownBag;
  readonly lanes = input.required<readonly LaneNow[]>();
  readonly scheme = input.required<Scheme>();

  protected readonly rows = computed(() =>
    this.lanes().map(({ bag, how, text, combination, groups }) => ({
      bag,
      groups: sayGroups(groups),
      text: how === 'fits' ? 'as shown' : combination ? spell(text, this.scheme()) : text,
    })),
  );
}
