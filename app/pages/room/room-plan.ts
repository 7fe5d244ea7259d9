import { LiveAnnouncer } from '@angular/cdk/a11y';
import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, viewChild } from '@angular/core';
import { natureOf, roomBagName, roomFloor, sayLength, standsOf, type Room, type RoomBag } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';

/** A bag put somewhere else. */
export interface Placed {
  readonly id: string;
  readonly x: number;
  readonly y: number;
}

const margin = 0.35;
/** Room that a bag's name takes, in metres of the drawing. */
const nameHeight = 0.26;

/** The room from above, to scale: bags with the circles they need. Moved by mouse, finger or arrow keys. */
@Component({
  selector: 'kt-room-plan',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg #plan [attr.viewBox]="box()" role="group" aria-label="Plan of the room, to scale">
      <clipPath id="room-walls">
        <rect x="0" y="0" [attr.width]="room().width" [attr.height]="room().depth" />
      </clipPath>
      <rect class="floor" x="0" y="0" [attr.width]="room().width" [attr.height]="room().depth" />
      @for (line of grid(); track $index) {
        <line class="grid" [attr.x1]="line.x1" [attr.y1]="line.y1" [attr.x2]="line.x2" [attr.y2]="line.y2" />
      }
      <g clip-path="url(#room-walls)">
        @for (bag of bags(); track bag.id) {
          @if (bag.circle > 0) {
            <circle class="reach" [class.meets]="bag.meets" [attr.cx]="bag.x" [attr.cy]="bag.y" [attr.r]="bag.circle" />
          }
        }
      </g>
      @for (person of people(); track $index) {
        <g class="person" aria-hidden="true" [attr.transform]="person.place">
          <ellipse rx="0.12" ry="0.23" />
          <path d="M0.02 -0.2 L0.26 -0.1 M0.02 0.2 L0.3 0.06" />
          <circle cx="0.03" r="0.1" />
        </g>
      }
      @for (bag of bags(); track bag.id) {
        <g
          role="button"
          tabindex="0"
          [attr.aria-label]="bag.label"
          [attr.aria-pressed]="bag.id === selected()"
          [class.selected]="bag.id === selected()"
          [class.down]="bag.down"
          [attr.transform]="'translate(' + bag.x + ' ' + bag.y + ')'"
          (focus)="picked.emit(bag.id)"
          (pointerdown)="grab(bag, $event)"
          (pointermove)="drag($event)"
          (pointerup)="drop()"
          (pointercancel)="drop()"
          (keydown)="nudge(bag, $event)"
        >
          <circle class="bag" [class.open]="bag.nature?.body === 'none'" [attr.r]="bag.radius" />
          <text [attr.y]="bag.nameAt">{{ bag.name }}</text>
          @if (bag.meets) {
            <text class="mark" [attr.y]="-bag.radius - 0.1">too close</text>
          }
        </g>
      }
      <text class="scale" x="0" [attr.y]="room().depth + 0.27">{{ size() }}</text>
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      max-height: 52vh;
      touch-action: none;
    }
    .floor {
      fill: var(--paper);
      stroke: var(--ink);
      stroke-width: 0.06;
    }
    .grid {
      stroke: var(--line);
      stroke-width: 0.012;
    }
    g {
      cursor: grab;
      outline: none;
    }
    .reach {
      fill: color-mix(in srgb, var(--rear) 9%, transparent);
      stroke: var(--rear);
      stroke-width: 0.025;
      stroke-dasharray: 0.12 0.08;
    }
    .reach.meets {
      stroke: var(--mark);
      stroke-dasharray: none;
      stroke-width: 0.035;
    }
    .bag {
      fill: var(--ink);
    }
    .bag.open {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 0.03;
      stroke-dasharray: 0.05 0.09;
    }
    .down .bag {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 0.04;
    }
    .selected .bag {
      stroke: var(--lead);
      stroke-width: 0.1;
    }
    g:focus-visible .bag {
      stroke: var(--focus);
      stroke-width: 0.12;
    }
    text {
      fill: var(--ink);
      font-size: 0.21px;
      font-weight: 650;
      text-anchor: middle;
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 0.05px;
    }
    .person {
      fill: var(--ink-soft);
      pointer-events: none;

      circle {
        fill: var(--canvas);
        stroke: var(--ink-soft);
        stroke-width: 0.03;
      }

      path {
        stroke: var(--ink-soft);
        stroke-width: 0.08;
        stroke-linecap: round;
      }
    }
    .mark {
      fill: var(--mark);
    }
    .scale {
      text-anchor: start;
      fill: var(--ink-soft);
      stroke: none;
    }
  `,
})
export class RoomPlan {
  private readonly settings = inject(SettingsService);
  private readonly live = inject(LiveAnnouncer);
  readonly room = input.required<Room>();
  readonly selected = input<string | null>(null);
  readonly picked = output<string>();
  readonly placed = output<Placed>();

  private readonly plan = viewChild.required<ElementRef<SVGSVGElement>>('plan');
  private readonly dragged = signal<Placed | null>(null);

  protected readonly box = computed(
    () => `${-margin} ${-margin} ${this.room().width + 2 * margin} ${this.room().depth + 2 * margin}`,
  );
  protected readonly size = computed(() => {
    const [{ width, depth }, { units }] = [this.room(), this.settings.settings()];
    return `${sayLength(width, units)} × ${sayLength(depth, units)}; grid of 1 m squares`;
  });
  protected readonly grid = computed(() => {
    const { width, depth } = this.room();
    const steps = (length: number): number[] => Array.from({ length: Math.ceil(length) - 1 }, (_, at) => at + 1);
    return [
      ...steps(width).map((x) => ({ x1: x, x2: x, y1: 0, y2: depth })),
      ...steps(depth).map((y) => ({ x1: 0, x2: width, y1: y, y2: y })),
    ];
  });
  /** The room as it would be with what is being dragged. */
  private readonly shown = computed((): Room => {
    const [room, moved] = [this.room(), this.dragged()];
    return moved ? { ...room, bags: room.bags.map((bag) => (bag.id === moved.id ? { ...bag, ...moved } : bag)) } : room;
  });
  protected readonly bags = computed(() => {
    const floors = new Map(roomFloor(this.shown()).map((floor) => [floor.id, floor]));
    return this.shown().bags.map((bag) => {
      const floor = floors.get(bag.id);
      const name = roomBagName(bag);
      const meets = (floor?.overlaps.length ?? 0) > 0;
      const free = floor ? `, ${floor.access} clear${meets ? ', overlaps another bag' : ''}` : '';
      return {
        ...bag,
        nature: natureOf(bag.kind, this.shown().ownBags),
        name: bag.down ? `${name} (out of use)` : name,
        circle: floor?.circle ?? 0,
        // Where nobody stands: at the edge of the circle, and inside the room.
        nameAt: Math.max(
          bag.radius + nameHeight,
          Math.min((floor?.circle ?? 0) - nameHeight / 2, this.shown().depth - bag.y - nameHeight / 2),
        ),
        meets,
        label: `${name}, ${this.sayPlace(bag)}${free}. Use the arrow keys to move it.`,
      };
    });
  });

  /** Everybody at a bag, shoulders and guard turned to it. */
  protected readonly people = computed(() =>
    standsOf(this.shown()).map(({ x, y, facing }) => ({
      place: `translate(${x} ${y}) rotate(${Math.round((facing * 180) / Math.PI)})`,
    })),
  );

  private sayPlace({ x, y }: { readonly x: number; readonly y: number }): string {
    const { units } = this.settings.settings();
    return `${sayLength(x, units)} from the left, ${sayLength(y, units)} from the front`;
  }

  private inside(id: string, x: number, y: number): Placed {
    const { width, depth } = this.room();
    const within = (value: number, most: number): number => Math.round(Math.min(most, Math.max(0, value)) * 20) / 20;
    return { id, x: within(x, width), y: within(y, depth) };
  }

  protected grab(bag: RoomBag, event: PointerEvent): void {
    this.picked.emit(bag.id);
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.dragged.set({ id: bag.id, x: bag.x, y: bag.y });
  }

  protected drag(event: PointerEvent): void {
    const moved = this.dragged();
    const matrix = this.plan().nativeElement.getScreenCTM();
    if (!moved || !matrix) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    this.dragged.set(this.inside(moved.id, x, y));
  }

  protected drop(): void {
    const moved = this.dragged();
    this.dragged.set(null);
    const before = this.room().bags.find(({ id }) => id === moved?.id);
    if (moved && before && (before.x !== moved.x || before.y !== moved.y)) this.placed.emit(moved);
  }

  protected nudge(bag: RoomBag, event: KeyboardEvent): void {
    const by = event.shiftKey ? 0.5 : 0.1;
    const steps: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    };
    const step = steps[event.key];
    if (!step) return;
    event.preventDefault();
    const to = this.inside(bag.id, bag.x + step[0], bag.y + step[1]);
    this.placed.emit(to);
    void this.live.announce(this.sayPlace(to));
  }
}
