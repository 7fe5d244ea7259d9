import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { effortPercent, sayClock, type Timeline } from '../../../core/index';
import type { BlockRow } from '../../services/editor';

/** The whole session to scale: a block as wide as it is long, a bar as high as the work is hard. Rows are the way by keyboard. */
@Component({
  selector: 'kt-session-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="strip" role="group" [attr.aria-label]="description()">
      @for (segment of segments(); track segment.id) {
        <button
          type="button"
          tabindex="-1"
          [class]="segment.kind"
          [class.selected]="segment.selected"
          [style.flex-grow]="segment.ms"
          [title]="segment.title"
          [attr.aria-label]="segment.title"
          (click)="picked.emit(segment.id)"
        >
          @for (bar of segment.bars; track $index) {
            <i [style.flex-grow]="bar.ms" [style.height.%]="bar.height"></i>
          }
        </button>
      }
    </div>
  `,
  styles: `
    .strip {
      display: flex;
      gap: 2px;
      height: 30px;
      padding: 3px 1rem;
      border-bottom: 1px solid var(--line);
    }

    button {
      display: flex;
      align-items: flex-end;
      flex: 0 1 0;
      min-width: 3px;
      padding: 0;
      border: 0;
      border-bottom: 2px solid var(--line-strong);
      background: transparent;
      cursor: pointer;

      &.selected {
        border-bottom-width: 4px;
      }
    }

    i {
      flex: 0 1 0;
      background: var(--ink-soft);
    }

    .round i {
      background: var(--ink);
    }

    .rest,
    .show {
      border-bottom-style: dotted;
    }
  `,
})
export class SessionStrip {
  readonly rows = input.required<readonly BlockRow[]>();
  readonly timeline = input.required<Timeline>();
  readonly selected = input<string | null>(null);
  readonly picked = output<string>();

  protected readonly segments = computed(() => {
    const selected = this.selected();
    const bars = new Map<string, { ms: number; height: number }[]>();
    for (const leaf of this.timeline().leaves) {
      const quiet = leaf.kind === 'rest' || leaf.kind === 'show' || leaf.doing === 'unplanned';
      const own = bars.get(leaf.blockId) ?? [];
      own.push({ ms: leaf.ms, height: quiet ? 0 : effortPercent(leaf.effort) });
      bars.set(leaf.blockId, own);
    }
    return this.rows().map(({ block, ms, round, at }) => ({
      id: block.id,
      kind: block.kind,
      // An open break takes no time; it still can be seen.
      ms: Math.max(ms, 5000),
      bars: bars.get(block.id) ?? [],
      selected: block.id === selected || block.pieces.some(({ id }) => id === selected),
      title: `${round === null ? block.kind : `Round ${round}`}${block.title ? ` · ${block.title}` : ''}, at ${sayClock(at)}, ${block.ms === null ? 'open' : sayClock(ms)}`,
    }));
  });
  protected readonly description = computed(
    () => `The session to scale, ${this.rows().length} blocks, ${sayClock(this.timeline().ms)}`,
  );
}
