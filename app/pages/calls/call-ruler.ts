import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { sayClock, type Call, type CallTrack, type Dropped, type Timeline } from '../../../core/index';

/** A call as it stands on the ruler. */
interface Row {
  readonly call: Call;
  /** Where its moment is, and where its words are; words give way to each other. */
  readonly at: number;
  readonly y: number;
}

const rowHeight = 22;

/** The script on a time ruler beside the session: pieces, stance bands, calls at their second. */
@Component({
  selector: 'kt-call-ruler',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="ruler" [style.height.px]="height()">
      @for (tick of ticks(); track tick.at) {
        <span class="tick figures" [style.top.px]="tick.y">{{ tick.label }}</span>
      }
      @for (leaf of leaves(); track leaf.at) {
        <span
          class="leaf"
          [class.rest]="leaf.rest"
          [class.other]="leaf.other"
          [style.top.px]="leaf.y"
          [style.height.px]="leaf.height"
          [title]="leaf.label + (leaf.other ? ', other stance' : '')"
          ><span>{{ leaf.label }}{{ leaf.other ? ' (other stance)' : '' }}</span></span
        >
      }
      <svg class="lines" [attr.height]="height()" aria-hidden="true">
        @for (row of rows(); track row.call.key) {
          <path [attr.d]="'M0 ' + row.at + ' L22 ' + (row.y + 11)" />
        }
      </svg>
      <ol aria-label="Calls in order">
        @for (row of rows(); track row.call.key) {
          <li [style.top.px]="row.y">
            <button
              type="button"
              [attr.data-call]="row.call.key"
              [attr.aria-pressed]="row.call.key === selected()"
              [class.selected]="row.call.key === selected()"
              [class.bell]="row.call.kind === 'bell'"
              [class.changed]="changed().has(row.call.key)"
              (click)="picked.emit(row.call.key)"
            >
              <span class="figures">{{ clock(row.call.at) }}</span>
              <span class="say">{{ row.call.kind === 'bell' ? 'bell' : row.call.say }}</span>
              <span class="soft">{{ note(row.call) }}</span>
            </button>
          </li>
        }
      </ol>
    </div>
  `,
  styleUrl: './call-ruler.scss',
})
export class CallRuler {
  readonly timeline = input.required<Timeline>();
  readonly track = input.required<CallTrack>();
  /** Pixels for a second. */
  readonly scale = input(6);
  readonly selected = input<string | null>(null);
  /** Keys of calls that the coach has changed. */
  readonly changed = input<ReadonlySet<string>>(new Set());
  readonly picked = output<string>();

  private readonly short = computed(
    () => new Map(this.track().shortened.map((each): [string, Dropped] => [each.key, each])),
  );
  protected readonly rows = computed((): Row[] => {
    const calls = [...this.track().calls].sort((a, b) => a.at - b.at);
    let free = 0;
    return calls.map((call) => {
      const at = this.place(call.at);
      const y = Math.max(at - rowHeight / 2, free);
      free = y + rowHeight;
      return { call, at, y };
    });
  });
  protected readonly height = computed(
    () => Math.max(this.place(this.timeline().ms), this.rows().at(-1)?.y ?? 0) + rowHeight * 2,
  );
  protected readonly ticks = computed(() =>
    Array.from({ length: Math.floor(this.timeline().ms / 30_000) + 1 }, (_, index) => ({
      at: index,
      y: this.place(index * 30_000),
      label: sayClock(index * 30_000),
    })),
  );
  protected readonly leaves = computed(() =>
    this.timeline().leaves.map((leaf) => ({
      at: leaf.at + (leaf.open ? 0.5 : 0),
      y: this.place(leaf.at),
      height: Math.max(2, this.place(leaf.ms) - 1),
      label: leaf.label,
      rest: leaf.kind === 'rest',
      other: leaf.mirrored,
    })),
  );

  private place(ms: number): number {
    return (ms / 1000) * this.scale();
  }

  protected clock(at: number): string {
    return `${sayClock(Math.floor(at / 1000) * 1000)}.${Math.floor((at % 1000) / 100)}`;
  }

  protected note(call: Call): string {
    const parts = call.parts ? `${call.parts.length} parts` : '';
    const short = this.short().has(call.key) ? 'short' : '';
    return [parts, short, this.changed().has(call.key) ? 'yours' : ''].filter(Boolean).join(', ');
  }
}
