import { FocusKeyManager } from '@angular/cdk/a11y';
import { CdkDrag, type CdkDragEnd } from '@angular/cdk/drag-drop';
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
import {
  isMovable,
  leafName,
  sayClock,
  sayTenths,
  six,
  writeCombination,
  type Call,
  type Script,
  type Dropped,
  type Leaf,
  type Milliseconds,
  type Scheme,
  type SessionTime,
  type Timeline,
} from '../../../core/index';
import { Focusable } from '../../parts/focusable';

/** A call, or what is not said, as it stands on the ruler. */
interface Row {
  readonly key: string;
  readonly clock: string;
  readonly words: string;
  readonly note: string;
  readonly kind: string;
  readonly unsaid: boolean;
  /** Where it is on the clock and how long, in pixels … */
  readonly at: number;
  readonly length: number;
  /** … and where its words stand; words give way to each other. */
  readonly y: number;
}

/** Large enough to be hit by a finger (WCAG 2.2, 2.5.8: 24 CSS pixels at least). */
const rowHeight = 26;
const tickMs: Milliseconds = 30_000;
/** Moments of calls lie on this grid. */
const gridMs: Milliseconds = 100;

/** The script on a time ruler beside the session: work and rest, stance bands, calls to scale at their moment, what is not said. */
@Component({
  selector: 'kt-call-ruler',
  imports: [CdkDrag, Focusable],
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
          [title]="leaf.label + (leaf.other ? ', opposite stance' : '')"
        >
          <span>{{ leaf.label }}</span>
          @if (leaf.text) {
            <span class="figures">{{ leaf.text }}</span>
          }
          @if (leaf.other) {
            <span class="soft">opposite stance</span>
          }
        </span>
      }
      <svg class="lines" [attr.height]="height()" aria-hidden="true">
        @if (window(); as window) {
          <rect class="window" x="1" width="13" rx="3" [attr.y]="window.y" [attr.height]="window.height" />
        }
        @for (row of rows(); track row.key) {
          <rect x="4" width="7" rx="2" [class.unsaid]="row.unsaid" [attr.y]="row.at" [attr.height]="row.length" />
          <path [attr.d]="'M11 ' + (row.at + 1) + ' L30 ' + (row.y + 13)" />
        }
        @if (playing() !== null) {
          <path class="now" [attr.d]="'M0 ' + place(playing()!) + ' h30'" />
        }
      </svg>
      @if (window(); as window) {
        @if (window.movable) {
          <span
            class="handle"
            cdkDrag
            cdkDragLockAxis="y"
            title="Drag to move within its window"
            [style.top.px]="window.at - 6"
            [style.height.px]="window.length + 12"
            (cdkDragEnded)="drop($event)"
          ></span>
        }
      }
      <ol aria-label="Calls in order">
        @for (row of rows(); track row.key) {
          <li [style.top.px]="row.y">
            <button
              type="button"
              [ktFocusable]="row.key"
              [attr.data-call]="row.unsaid ? null : row.key"
              [attr.data-unsaid]="row.unsaid ? row.key : null"
              [attr.aria-pressed]="row.key === selected()"
              [class.selected]="row.key === selected()"
              [class.bell]="row.kind === 'bell'"
              [class.unsaid]="row.unsaid"
              [class.changed]="changed().has(row.key)"
              (click)="picked.emit(row.key)"
            >
              <span class="figures">{{ row.clock }}</span>
              <span class="say">{{ row.words }}</span>
              <span class="soft">{{ row.note }}</span>
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
  readonly script = input.required<Script>();
  /** Pixels for a second. */
  readonly scale = input(6);
  readonly selected = input<string | null>(null);
  /** Keys of calls that the coach has changed. */
  readonly changed = input<ReadonlySet<string>>(new Set());
  /** By which numbers the work is written. */
  readonly scheme = input<Scheme>(six);
  /** What is being listened to, on the session's clock. */
  readonly playing = input<SessionTime | null>(null);
  readonly picked = output<string>();
  /** A call dragged to another moment of its window. */
  readonly moved = output<{ readonly call: Call; readonly at: SessionTime }>();

  private readonly all = viewChildren(Focusable);
  private readonly keys = new FocusKeyManager(this.all, inject(Injector));

  /** Gives the focus to a call, said or not, by its key in the script. */
  focus(key: string): void {
    const at = this.all().findIndex(({ id }) => id() === key);
    if (at >= 0) this.keys.setActiveItem(at);
  }

  /** Gives the focus to the one above it (-1) or below it (1). */
  go(key: string, by: -1 | 1): void {
    this.focus(key);
    if (by === -1) this.keys.setPreviousItemActive();
    else this.keys.setNextItemActive();
  }

  private readonly short = computed(() => new Set(this.script().shortened.map(({ key }) => key)));
  protected readonly rows = computed((): Row[] => {
    // The clock stands in an open break, so all that is said there has one place.
    const open = this.script().breaks.flatMap(({ at, calls }) =>
      calls.map((call) => ({ ...this.rowOf(call), clock: sayTenths(at), at: this.place(at), note: 'open rest' })),
    );
    const said = this.script().calls.map((call) => this.rowOf(call));
    const unsaid = this.script().dropped.map((each) => this.unsaidRow(each));
    let free = 0;
    return [...open, ...said, ...unsaid]
      .sort((a, b) => a.at - b.at)
      .map((row) => {
        const y = Math.max(row.at - rowHeight / 2, free);
        free = y + rowHeight;
        return { ...row, y };
      });
  });
  /** Where the chosen call may go. */
  protected readonly window = computed(() => {
    const call = this.chosen();
    if (!call) return null;
    return {
      y: this.place(call.opens),
      height: Math.max(2, this.place(call.closes - call.opens)),
      at: this.place(call.at),
      length: Math.max(2, this.place(call.ms)),
      movable: isMovable(call),
    };
  });
  protected readonly height = computed(
    () => Math.max(this.place(this.timeline().ms), this.rows().at(-1)?.y ?? 0) + rowHeight * 2,
  );
  protected readonly ticks = computed(() =>
    Array.from({ length: Math.floor(this.timeline().ms / tickMs) + 1 }, (_, index) => ({
      at: index,
      y: this.place(index * tickMs),
      label: sayClock(index * tickMs),
    })),
  );
  protected readonly leaves = computed(() =>
    this.timeline().leaves.map((leaf) => ({
      at: leaf.at + (leaf.open ? 0.5 : 0),
      y: this.place(leaf.at),
      height: Math.max(2, this.place(leaf.ms) - 1),
      label: leafName(leaf),
      text: this.textOf(leaf),
      rest: leaf.kind === 'rest',
      other: leaf.mirrored,
    })),
  );

  private chosen(): Call | undefined {
    return this.script().calls.find(({ key }) => key === this.selected());
  }

  private textOf({ combination }: Leaf): string {
    return combination ? writeCombination(combination, this.scheme()) : '';
  }

  protected place(ms: Milliseconds): number {
    return (ms / 1000) * this.scale();
  }

  private rowOf(call: Call): Row {
    const { key, at, ms, kind, say, parts } = call;
    const notes = [
      parts ? `${parts.length} parts` : '',
      this.short().has(key) ? 'short' : '',
      this.changed().has(key) ? 'yours' : '',
    ];
    return {
      key,
      clock: sayTenths(at),
      words: kind === 'bell' ? 'bell' : say,
      note: notes.filter(Boolean).join(', '),
      kind,
      unsaid: false,
      at: this.place(at),
      length: Math.max(2, this.place(ms)),
      y: 0,
    };
  }

  private unsaidRow({ key, kind, say, opens }: Dropped): Row {
    const at = this.place(opens);
    return { key, clock: sayTenths(opens), words: say, note: 'left out', kind, unsaid: true, at, length: 2, y: 0 };
  }

  protected drop(event: CdkDragEnd): void {
    const call = this.chosen();
    event.source.reset();
    if (!call) return;
    const wished = call.at + (event.distance.y / this.scale()) * 1000;
    const at = Math.min(call.closes - call.ms, Math.max(call.opens, Math.round(wished / gridMs) * gridMs));
    this.moved.emit({ call, at });
  }
}
