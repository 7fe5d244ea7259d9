import {
  afterNextRender,
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
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

/** A staff in a row gives way to what stands beside it, but not so far that its numbers cannot be read; then it is cut. */
const leastShare = 0.75;

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
  host: { '[class.dense]': 'dense()' },
})
export class StrikeStaff {
  private readonly settings = inject(SettingsService);
  readonly combination = input.required<Combination>();
  readonly scheme = input<Scheme>(six);
  /** Places of new moves among the listed ones. */
  readonly added = input<readonly number[]>([]);
  readonly levels = input<'used' | 'all'>('used');
  /** Levels close together, for rows of a list. */
  readonly dense = input(false, { transform: booleanAttribute });
  /** Fills its place from side to side, where it is the largest thing on a screen. */
  readonly fill = input(false, { transform: booleanAttribute });
  /** Width to height of its place. */
  private readonly aspect = signal(1);
  readonly names = input(false, { transform: booleanAttribute });
  /** Place of the step that is done at this moment. `2.1` */
  readonly lit = input<string | null>(null);
  /** What stands over the moves: when each comes in. */
  readonly moments = input<readonly string[]>([]);
  /** Pixels for one unit of the layout; null fills the width it is given. */
  readonly scale = input<number | null>(1);
  /** Most pixels for one unit where the drawing fills its room, so that a single jab is not a poster. */
  readonly maxScale = input(4);
  readonly seams = input(true);
  readonly nonStop = input(false);
  /** Numbers the strikes of a combination with leg strikes, as kickboxing coaches count steps. */
  readonly steps = input(false);

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const observer = new ResizeObserver(() => {
      const { clientWidth, clientHeight } = host;
      if (clientHeight > 0) this.aspect.set(Math.round((20 * clientWidth) / clientHeight) / 20);
    });
    afterNextRender(() => {
      if (this.fill()) observer.observe(host);
    });
    inject(DestroyRef).onDestroy(() => observer.disconnect());
  }

  private readonly study = computed(() =>
    this.seams() ? studyOf(this.combination(), 'orthodox', this.nonStop()) : null,
  );
  protected readonly layout = computed(() =>
    layoutStaff(this.combination(), {
      scheme: this.scheme(),
      added: this.added(),
      levels: this.levels(),
      study: this.study(),
      dense: this.dense(),
      moments: this.moments(),
      names: this.names(),
      ...(this.fill() ? { aspect: this.aspect() } : {}),
      steps:
        this.steps() && countCombination(this.combination()).strikes > countCombination(this.combination()).punches,
      school: this.settings.settings().kickSchool,
    }),
  );
  protected readonly description = computed(() =>
    describeCombination(this.combination(), this.added(), this.study(), this.settings.settings().kickSchool),
  );
  protected readonly outlinePath = outlinePath;
  protected readonly leastShare = leastShare;
}
