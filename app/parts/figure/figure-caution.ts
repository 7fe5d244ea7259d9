import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Hint } from '../hint';

/** What a figure is not: said where it first appears, until it was put away. */
@Component({
  selector: 'kt-figure-caution',
  imports: [Hint],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<kt-hint name="figure"
    >The figure shows the order and the shape of moves; it is no instructor. Learn form, contact and heavy work under a
    licensed coach, warm up, and take elbows and knees not to full lock.</kt-hint
  >`,
})
export class FigureCaution {}
