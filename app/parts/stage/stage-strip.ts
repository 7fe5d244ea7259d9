import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { passesOf, type SessionTime, type Timeline } from '../../../core/index';

/** The whole session as a strip, to scale, with where it stands; for the eye alone, since the words say it. */
@Component({
  selector: 'kt-stage-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (pass of passes(); track $index) {
      <span [class]="pass.block" [class.now]="$index === now()" [style.flex-grow]="pass.ms"></span>
    }
  `,
  styles: `
    :host {
      display: flex;
      gap: 2px;
      height: clamp(10px, 1.6vh, 22px);
    }
    span {
      flex: 1 1 2px;
      min-width: 2px;
      border-radius: 2px;
      background: var(--line-strong);
    }
    .rest {
      background: var(--line);
    }
    .now {
      outline: 2px solid var(--ink);
      outline-offset: 1px;
      background: var(--warm);
    }
  `,
  host: { 'aria-hidden': 'true' },
})
export class StageStrip {
  readonly timeline = input.required<Timeline>();
  readonly at = input.required<SessionTime>();

  protected readonly passes = computed(() =>
    passesOf(this.timeline()).map(({ block, at, end }) => ({ block, at, end, ms: Math.max(1, end - at) })),
  );
  protected readonly now = computed(() => this.passes().findLastIndex(({ at }) => at <= this.at()));
}
