import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { fitPace, studyOf, type Combination, type PaceFactor } from '../../core/index';
import { StrikeStaff } from './strike-staff/strike-staff';

/** The coach taps a key at each strike while watching somebody; the class's pace is fitted to the taps. */
@Component({
  selector: 'kt-tap-along',
  imports: [MatButtonModule, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tap-along.html',
  styleUrl: './tap-along.scss',
})
export class TapAlong {
  readonly combination = input.required<Combination>();
  readonly taken = output<PaceFactor>();

  private readonly taps = signal<readonly number[]>([]);
  protected readonly count = computed(() => this.taps().length);
  protected readonly fit = computed(() => {
    const fit = fitPace(this.taps(), studyOf(this.combination(), 'orthodox'));
    return (
      fit && { ...fit, percent: Math.round((100 * (fit.high - fit.low)) / 2 / fit.pace), shown: fit.pace.toFixed(2) }
    );
  });

  /** Taps are taken when the key goes down, by the time the browser stamped on the event. */
  protected tap(event: KeyboardEvent | PointerEvent): void {
    if (
      event instanceof KeyboardEvent &&
      (event.repeat || event.key === 'Tab' || event.key === 'Escape' || event.key === 'Shift')
    )
      return;
    event.preventDefault();
    this.taps.update((taps) => [...taps, event.timeStamp]);
  }

  protected again(): void {
    this.taps.set([]);
  }

  protected take(): void {
    const fit = this.fit();
    if (fit) this.taken.emit(Math.round(fit.pace * 100) / 100);
  }
}
