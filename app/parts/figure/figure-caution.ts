import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Hint } from '../hint';

/** What a figure is not: said where it first appears, until it was put away. */
@Component({
  selector: 'kt-figure-caution',
  imports: [Hint],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<kt-hint name="figure"
    >The figure shows the order and shape of the moves; it is not an instructor. Learn technique, contact and heavy work
    with a licensed coach. Warm up first, and don’t lock your elbows or knees.</kt-hint
  >`,
})
export class FigureCaution {}
