import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { sayClock, type Tally, type Timeline } from '../../../core/index';

/** The totals of a sheet, always in view: figures over their names, one line of figures where there is little room. */
@Component({
  selector: 'kt-sheet-totals',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl>
      @for (each of totals(); track each.name) {
        <div>
          <dd class="total figures">{{ each.figure }}</dd>
          <dt class="soft small">
            {{ each.name }}<span>{{ each.more }}</span>
          </dt>
        </div>
      }
    </dl>
  `,
  styles: `
    dl {
      display: flex;
      gap: var(--space-1) var(--space-5);
    }

    div {
      text-align: end;
      white-space: nowrap;
    }

    @media (max-width: 1100px) {
      dl {
        gap: var(--space-1) var(--space-3);
      }

      dt span {
        display: none;
      }
    }

    @media (max-width: 720px) {
      div {
        display: flex;
        align-items: baseline;
        gap: var(--space-1);
      }
    }
  `,
})
export class SheetTotals {
  readonly timeline = input.required<Timeline>();
  readonly tally = input.required<Tally | null>();

  protected readonly totals = computed(() => {
    const [{ ms, openBreaks, rounds }, sums] = [this.timeline(), this.tally()];
    const punches = Math.round(sums?.counts.punches ?? 0);
    const others = sums ? Math.round(sums.counts.strikes) - punches : 0;
    const breaks = openBreaks === 1 ? 'an open rest' : `${openBreaks} open rests`;
    return [
      { figure: sayClock(ms), name: 'total', more: openBreaks > 0 ? `, plus ${breaks}` : '' },
      { figure: rounds, name: rounds === 1 ? 'round' : 'rounds', more: ` · ${sayClock(sums?.work ?? 0)} work time` },
      { figure: punches, name: 'punches', more: others > 0 ? ` · ${others} other strikes` : ' planned' },
      { figure: this.sides(), name: 'left / right, %', more: '' },
    ];
  });

  private sides(): string {
    const { left, right } = this.tally()?.bySide ?? { left: 0, right: 0 };
    if (left + right === 0) return '–';
    const share = Math.round((100 * left) / (left + right));
    return `L ${share} · R ${100 - share}`;
  }
}
