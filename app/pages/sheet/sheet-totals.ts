import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { sayClock, type Tally, type Timeline } from '../../../core/index';

/** The totals of a sheet, always in view. */
@Component({
  selector: 'kt-sheet-totals',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl>
      <div>
        <dd class="figures">{{ sayClock(timeline().ms) }}</dd>
        <dt>{{ breaks() }}</dt>
      </div>
      <div>
        <dd class="figures">{{ timeline().rounds }}</dd>
        <dt>{{ timeline().rounds === 1 ? 'round' : 'rounds' }} · {{ work() }}</dt>
      </div>
      <div>
        <dd class="figures">{{ punches() }}</dd>
        <dt>punches planned{{ kicks() }}</dt>
      </div>
      <div>
        <dd class="figures">{{ sides() }}</dd>
        <dt>body sides, %</dt>
      </div>
    </dl>
  `,
  styles: `
    dl {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 1.5rem;
    }

    div {
      text-align: end;
    }

    dd {
      font-size: 1.5rem;
      font-weight: 750;
      line-height: 1.1;
    }

    dt {
      color: var(--ink-soft);
      font-size: 0.8rem;
    }

    @media (max-width: 1000px) {
      dl {
        gap: 0.1rem 1.1rem;
      }

      div {
        text-align: start;
      }

      dd {
        font-size: 1.15rem;
      }
    }

    @media (max-width: 560px) {
      dl {
        gap: 0.1rem 0.8rem;
      }

      dt {
        font-size: 0.74rem;
      }
    }
  `,
})
export class SheetTotals {
  readonly timeline = input.required<Timeline>();
  readonly tally = input.required<Tally | null>();

  protected readonly sayClock = sayClock;
  protected readonly breaks = computed(() => {
    const breaks = this.timeline().openBreaks;
    return breaks === 0 ? 'in all' : breaks === 1 ? 'plus an open break' : `plus ${breaks} open breaks`;
  });
  protected readonly work = computed(() => `${sayClock(this.tally()?.work ?? 0)} of work`);
  protected readonly punches = computed(() => String(Math.round(this.tally()?.counts.punches ?? 0)));
  protected readonly kicks = computed(() => {
    const counts = this.tally()?.counts;
    const others = counts ? Math.round(counts.strikes - counts.punches) : 0;
    return others > 0 ? ` · ${others} other strikes` : '';
  });
  protected readonly sides = computed(() => {
    const { left, right } = this.tally()?.bySide ?? { left: 0, right: 0 };
    if (left + right === 0) return '–';
    const share = Math.round((100 * left) / (left + right));
    return `L ${share} · R ${100 - share}`;
  });
}
