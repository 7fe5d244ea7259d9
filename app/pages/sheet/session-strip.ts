import { FocusKeyManager } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injector,
  input,
  output,
  viewChildren,
} from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import { leafPercent, sayClock, type Leaf, type Milliseconds, type Timeline } from '../../../core/index';
import { Focusable } from '../../parts/focusable';
import type { BlockRow } from '../../services/block-rows';

/** The work of a block as one outline, a bar for each leaf: an hour may have hundreds. */
interface Bars {
  readonly path: string;
  readonly length: Milliseconds;
}

const mostEffort = 100;

function barsOf(leaves: readonly Leaf[]): Bars {
  let length = 0;
  const bars = leaves.map((leaf) => {
    const [from, percent] = [length, leafPercent(leaf)];
    length += leaf.ms;
    return percent === 0 ? '' : `M${from} ${mostEffort}v${-percent}h${leaf.ms}V${mostEffort}z`;
  });
  return { path: bars.join(''), length: length || 1 };
}

/**
 * The whole session to scale, a map to jump by: a block as wide as it is long, a bar as high as the work is hard; its name
 * on hover and on focus.
 */
@Component({
  selector: 'kt-session-strip',
  imports: [Focusable, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown)': 'keys.onKeydown($event)' },
  template: `
    <div class="strip" role="toolbar" [attr.aria-label]="description()">
      @for (segment of segments(); track segment.id) {
        <button
          type="button"
          matTooltipPosition="above"
          [ktFocusable]="segment.id"
          [class]="segment.kind"
          [class.selected]="segment.selected"
          [tabIndex]="segment.selected ? 0 : -1"
          [style.flex-grow]="segment.ms"
          [matTooltip]="segment.title"
          [attr.aria-label]="segment.title"
          (click)="picked.emit(segment.id)"
        >
          <svg
            aria-hidden="true"
            preserveAspectRatio="none"
            [attr.viewBox]="'0 0 ' + segment.length + ' ' + mostEffort"
          >
            <path [attr.d]="segment.bars" />
          </svg>
        </button>
      }
    </div>
  `,
  styles: `
    .strip {
      display: flex;
      gap: 2px;
      height: 32px;
      padding: 3px var(--space-4);
      border-bottom: 1px solid var(--line);
    }

    button {
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

    svg {
      display: block;
      width: 100%;
      height: 100%;
      fill: var(--ink-soft);
    }

    .round svg {
      fill: var(--ink);
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

  private readonly all = viewChildren(Focusable);
  protected readonly keys = this.keyManager();

  /** Arrow keys go from block to block and show each where it stands. */
  private keyManager(): FocusKeyManager<Focusable> {
    const keys = new FocusKeyManager(this.all, inject(Injector)).withHorizontalOrientation('ltr').withHomeAndEnd();
    keys.change.subscribe(() => {
      if (keys.activeItem) this.picked.emit(keys.activeItem.id());
    });
    return keys;
  }

  protected readonly mostEffort = mostEffort;
  /** The bars of each block as they were last drawn: a change draws those of one block anew. */
  private readonly drawn = new WeakMap<BlockRow, Bars>();
  protected readonly segments = computed(() => {
    const [rows, { leaves }, selected] = [this.rows(), this.timeline(), this.selected()];
    return rows.map((row) => {
      const { block, ms, round, at } = row;
      const { path, length } = this.drawn.get(row) ?? barsOf(leaves.filter(({ blockId }) => blockId === block.id));
      this.drawn.set(row, { path, length });
      return {
        id: block.id,
        kind: block.kind,
        // An open break takes no time; it still can be seen.
        ms: Math.max(ms, 5000),
        bars: path,
        length,
        selected: block.id === selected || block.pieces.some(({ id }) => id === selected),
        title: `${round === null ? block.kind : `Round ${round}`}${block.title ? ` · ${block.title}` : ''}, at ${sayClock(at)}, ${block.ms === null ? 'open' : sayClock(ms)}`,
      };
    });
  });
  protected readonly description = computed(
    () => `Timeline: ${this.rows().length} blocks, ${sayClock(this.timeline().ms)}`,
  );
}
