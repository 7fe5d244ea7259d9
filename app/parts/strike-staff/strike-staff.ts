import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import {
  countCombination,
  describeCombination,
  six,
  studyOf,
  type Combination,
  type Scheme,
} from '../../../core/index';
import { SettingsService } from '../../services/settings.service';
import { layoutStaff } from './layout';
import { outlinePath } from './outlines';

/**
 * The strike staff: a combination drawn on two staves, lead above rear, each with its levels. One component from list
 * row to wall; sizes are set by `scale`, or by the room it is given where `scale` is null.
 */
@Component({
  selector: 'kt-strike-staff',
  imports: [MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './strike-staff.html',
  styleUrl: './strike-staff.scss',
})
export class StrikeStaff {
  private readonly settings = inject(SettingsService);
  readonly combination = input.required<Combination>();
  readonly scheme = input<Scheme>(six);
  /** Places of new moves among the listed ones. */
  readonly added = input<readonly number[]>([]);
  readonly levels = input<'used' | 'all'>('used');
  /** Pixels for one unit of the layout; null fills the width it is given. */
  readonly scale = input<number | null>(1);
  /** Most pixels for one unit where the drawing fills its room, so that a single jab is not a poster. */
  readonly maxScale = input(4);
  readonly seams = input(true);
  readonly nonStop = input(false);
  /** Numbers the strikes of a combination with leg strikes, as kickboxing coaches count steps. */
  readonly steps = input(false);

  private readonly study = computed(() =>
    this.seams() ? studyOf(this.combination(), 'orthodox', this.nonStop()) : null,
  );
  protected readonly layout = computed(() =>
    layoutStaff(this.combination(), {
      scheme: this.scheme(),
      added: this.added(),
      levels: this.levels(),
      study: this.study(),
      steps:
        this.steps() && countCombination(this.combination()).strikes > countCombination(this.combination()).punches,
      school: this.settings.settings().kickSchool,
    }),
  );
  protected readonly description = computed(() =>
    describeCombination(this.combination(), this.added(), this.study(), this.settings.settings().kickSchool),
  );
  protected readonly outlinePath = outlinePath;
}
