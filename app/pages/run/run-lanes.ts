import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  lanesOf,
  leafLanes,
  rotationBoard,
  spell,
  type Leaf,
  type Scheme,
  type Sheet,
  type Timeline,
} from '../../../core/index';
import { SettingsService } from '../../services/settings.service';

/** Which group is on what in this round, and what each kind of bag does in place of the piece. */
@Component({
  selector: 'kt-run-lanes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length > 0) {
      <ul>
        @for (row of rows(); track row.bag) {
          <li>
            <b>{{ row.bag }}</b>
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
export class RunLanes {
  private readonly settings = inject(SettingsService);
  readonly sheet = input.required<Sheet>();
  readonly timeline = input.required<Timeline>();
  readonly leaf = input.required<Leaf>();
  readonly scheme = input.required<Scheme>();

  private readonly lanes = computed(() => {
    return lanesOf(this.sheet(), this.settings.schools());
  });
  private readonly board = computed(() => rotationBoard(this.sheet(), this.timeline()));
  protected readonly rows = computed(() => {
    const turn = this.board()?.turns.find(({ round }) => round === this.leaf().round);
    return leafLanes(this.sheet(), this.leaf(), this.lanes()).map(({ bag, how, text, combination }) => {
      const groups = turn?.stations.filter((station) => station.bag === bag).map(({ group }) => group) ?? [];
      return {
        bag,
        groups: groups.length > 0 ? `group ${groups.join(' and ')}` : '',
        text: how === 'fits' ? 'as shown' : combination ? spell(text, this.scheme()) : text,
      };
    });
  });
}
