import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import * as z from 'zod/mini';
import type { AimMet, Level } from '../../../core/index';
import { NumberField } from '../../parts/fields/number-field';
import { SettingsService } from '../../services/settings.service';

/** What a coach wants to have its share, against what has it; each least share is the coach's own to change. */
@Component({
  selector: 'kt-aims-table',
  imports: [MatButtonModule, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Minimum shares</h2>
    <p class="soft">Defaults for {{ level() }}s; 0 switches a target off.</p>
    <ul class="ruled">
      @for (each of met(); track each.aim.id) {
        <li>
          <span>{{ each.aim.of === 'working time' ? 'time ' : '' }}{{ each.aim.name }}</span>
          <b class="figures" [class.wrong]="each.missing >= 0.05">{{ said(each) }}</b>
          <kt-number-field
            unit="%"
            [label]="'Minimum, ' + each.aim.name"
            bare
            [value]="each.least"
            [schema]="percent"
            (put)="want(each.aim.id, $event)"
          />
        </li>
      }
    </ul>
    <button type="button" matButton (click)="settings.change({ aims: {} })">Restore defaults</button>
  `,
  styles: `
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto 7rem;
      gap: var(--space-3);
      align-items: center;
      padding-block: var(--space-1);
    }
    kt-number-field {
      width: 7rem;
    }
  `,
  host: { class: 'card stack' },
})
export class AimsTable {
  readonly met = input.required<readonly AimMet[]>();
  readonly level = input.required<Level>();
  protected readonly settings = inject(SettingsService);
  protected readonly percent = z.number().check(z.gte(0), z.lte(100));

  protected said({ got, missing }: AimMet): string {
    return got === null ? 'no data' : `${Math.round(got)}%${missing >= 0.05 ? ', below target' : ''}`;
  }

  protected want(id: string, least: number | null): void {
    if (least !== null) this.settings.change({ aims: { ...this.settings.settings().aims, [id]: least } });
  }
}
