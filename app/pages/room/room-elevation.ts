import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  bodyHeights,
  lowKickEdge,
  natureOf,
  roomBagName,
  sayLength,
  staturesOf,
  type BagNature,
  type Room,
  type RoomBag,
} from '../../../core/index';
import { SettingsService } from '../../services/settings.service';

const slot = 1.15;
const ceiling = 2.9;

/** The room from the side, to scale: smallest, middle and tallest with their bags, the tape line and the height of the ball. */
@Component({
  selector: 'kt-room-elevation',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width() + ' ' + (ceiling + 0.35)" role="img" [attr.aria-label]="description()">
      <line class="ground" x1="0" [attr.x2]="width()" [attr.y1]="ceiling" [attr.y2]="ceiling" />
      <line class="guide" x1="0" [attr.x2]="width()" [attr.y1]="at(chin())" [attr.y2]="at(chin())" />
      <text class="guide-name" x="0.05" [attr.y]="at(chin()) - 0.05">chin {{ say(chin()) }}</text>
      <line class="guide low" x1="0" [attr.x2]="width()" [attr.y1]="at(low())" [attr.y2]="at(low())" />
      <text class="guide-name" x="0.05" [attr.y]="at(low()) - 0.05">low kick {{ say(low()) }}</text>
      @for (person of people(); track $index) {
        <g class="person" [attr.transform]="'translate(' + person.x + ' 0)'">
          <path class="legs" [attr.d]="person.legs" />
          <path class="trunk" [attr.d]="person.trunk" />
          <path class="arms" [attr.d]="person.arms" />
          <circle [attr.cy]="at(person.eye)" [attr.r]="person.head" />
          @for (fist of person.fists; track $index) {
            <circle class="fist" [attr.cx]="fist.x" [attr.cy]="fist.y" r="0.065" />
          }
          <text [attr.y]="ceiling + 0.25">{{ person.name }}</text>
        </g>
      }
      @for (bag of bags(); track bag.id) {
        <g [attr.transform]="'translate(' + bag.x + ' 0)'">
          @if (bag.hangs) {
            <line class="cord" [attr.y1]="0" [attr.y2]="at(bag.top)" />
          }
          @if (bag.ball) {
            <line class="cord" [attr.y1]="at(bag.bottom)" [attr.y2]="ceiling" />
            <circle class="bag" [attr.cy]="at((bag.top + bag.bottom) / 2)" [attr.r]="(bag.top - bag.bottom) / 2" />
          } @else if (bag.board) {
            <line class="board" x1="-0.35" x2="0.35" [attr.y1]="at(bag.top)" [attr.y2]="at(bag.top)" />
            <ellipse
              class="bag"
              [attr.cy]="at((bag.top + bag.bottom) / 2)"
              rx="0.1"
              [attr.ry]="(bag.top - bag.bottom) / 2"
            />
          } @else {
            <rect
              class="bag"
              rx="0.06"
              [attr.x]="-bag.radius"
              [attr.y]="at(bag.top)"
              [attr.width]="2 * bag.radius"
              [attr.height]="bag.top - bag.bottom"
            />
            @if (bag.tape) {
              <line
                class="tape"
                [attr.x1]="-bag.radius"
                [attr.x2]="bag.radius"
                [attr.y1]="at(chin())"
                [attr.y2]="at(chin())"
              />
            }
          }
          <text [attr.y]="ceiling + 0.25">{{ bag.label }}</text>
        </g>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      max-height: 40vh;
    }
    .ground {
      stroke: var(--ink);
      stroke-width: 0.05;
    }
    .guide {
      stroke: var(--lead);
      stroke-width: 0.018;
      stroke-dasharray: 0.08 0.06;
    }
    .guide.low {
      stroke: var(--rear);
    }
    .bag {
      fill: var(--ink);
    }
    .tape {
      stroke: var(--warm);
      stroke-width: 0.06;
    }
    .cord,
    .board {
      stroke: var(--ink-soft);
      stroke-width: 0.03;
    }
    .board {
      stroke-width: 0.07;
    }
    .person {
      fill: var(--ink-soft);
      stroke: var(--ink-soft);
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .trunk {
      stroke-width: 0.08;
    }
    .legs,
    .arms {
      fill: none;
      stroke-width: 0.12;
    }
    .arms {
      stroke: color-mix(in srgb, var(--ink-soft) 80%, var(--canvas));
      stroke-width: 0.08;
    }
    .person circle {
      stroke: none;
    }
    .fist {
      fill: var(--lead);
      stroke: none;
    }
    text {
      fill: var(--ink);
      stroke: none;
      font-size: 0.16px;
      font-weight: 600;
      text-anchor: middle;
    }
    .guide-name {
      fill: var(--ink-soft);
      font-size: 0.13px;
      text-anchor: start;
    }
  `,
})
export class RoomElevation {
  private readonly settings = inject(SettingsService);
  readonly room = input.required<Room>();
  protected readonly ceiling = ceiling;

  private readonly statures = computed(() => staturesOf(this.room()));
  protected readonly chin = computed(() => bodyHeights(this.statures().median).chin);
  protected readonly low = computed(() => lowKickEdge(this.statures().smallest));
  private readonly hung = computed(() => this.room().bags.filter((bag) => this.natureOf(bag)?.body === 'thing'));
  protected readonly width = computed(() => 1.4 + slot * (3 + this.hung().length));
  protected readonly description = computed(
    () =>
      `Side view to scale. Chin height of the middle person: ${this.say(this.chin())}, for the tape line and the ball. ` +
      this.hung()
        .map((bag) => `${roomBagName(bag)} from ${this.say(bag.bottom)} to ${this.say(bag.top)}`)
        .join('; '),
  );
  protected readonly people = computed(() => {
    const { smallest, median, tallest } = this.statures();
    return [smallest, median, tallest].map((stature, index) => {
      const { knee, hip, elbow, shoulder, chin, eye } = bodyHeights(stature);
      const y = (height: number): number => this.at(height);
      // Half the breadths of shoulders and hips (Drillis and Contini, as above; from memory).
      const [broad, narrow] = [stature * 0.129, stature * 0.0955].map((half) => Number(half.toFixed(3)));
      const stance = Number((stature * 0.12).toFixed(3));
      return {
        x: 1.35 + index * slot,
        eye,
        head: Number(((stature - chin) / 2).toFixed(3)),
        name: this.say(stature),
        trunk: `M${-(broad ?? 0)} ${y(shoulder)} H${broad} L${narrow} ${y(hip)} H${-(narrow ?? 0)} Z`,
        legs: `M-0.07 ${y(hip)} L-0.11 ${y(knee)} L${-stance} ${y(0.04)} M0.07 ${y(hip)} L0.13 ${y(knee)} L${stance} ${y(0.04)}`,
        arms: `M${-(broad ?? 0)} ${y(shoulder)} L-0.2 ${y(elbow)} L-0.07 ${y(chin - 0.03)} M${broad} ${y(shoulder)} L0.21 ${y(elbow)} L0.12 ${y(chin - 0.06)}`,
        fists: [
          { x: -0.07, y: y(chin - 0.03) },
          { x: 0.12, y: y(chin - 0.06) },
        ],
      };
    });
  });
  protected readonly bags = computed(() =>
    this.hung().map((bag, index) => ({
      ...bag,
      // A room of an older version may have edges that cross; nothing is drawn with a negative height.
      top: Math.max(bag.top, bag.bottom),
      x: 1.35 + (3 + index) * slot,
      label: roomBagName(bag),
      hangs: bag.bottom > 0 && this.natureOf(bag)?.measured !== 'rebounds',
      ball: this.natureOf(bag)?.ball ?? false,
      board: this.natureOf(bag)?.measured === 'rebounds',
      tape: (this.natureOf(bag)?.hangs ?? false) && this.chin() < bag.top && this.chin() > bag.bottom,
    })),
  );

  private natureOf({ kind }: RoomBag): BagNature | null {
    return natureOf(kind, this.room().ownBags);
  }

  protected at(height: number): number {
    return Math.round((ceiling - height) * 1000) / 1000;
  }

  protected say(height: number): string {
    return sayLength(height, this.settings.settings().units);
  }
}
