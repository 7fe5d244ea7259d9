import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatTabsModule } from '@angular/material/tabs';
import { MatButtonModule } from '@angular/material/button';
import { ChoiceField } from '../../parts/fields/choice-field';
import { Router, RouterLink } from '@angular/router';
import {
  armReach,
  bodyHeights,
  natureOf,
  roomBagName,
  sayLength,
  staturesOf,
  type BagNature,
  type RoomBag,
} from '../../../core/index';
import { RoomService } from '../../services/room.service';
import { SettingsService } from '../../services/settings.service';
import { BallBench } from './ball-bench';
import { HungBench } from './hung-bench';
import { SpeedBench } from './speed-bench';
import { NoticeService } from '../../services/notice.service';
import { HelpLink } from '../../parts/help-link';

const parts = ['knee', 'hip', 'elbow', 'shoulder', 'chin', 'eye'] as const;

/** How the bags of each tab are measured, in their order. */
const tabs: readonly BagNature['measured'][] = ['pendulum', 'cords', 'rebounds'];

/** The bag bench: what can be measured and worked out about bags, with the swing drawn live. */
@Component({
  selector: 'kt-bench-page',
  imports: [HelpLink, MatTabsModule, MatButtonModule, ChoiceField, BallBench, HungBench, RouterLink, SpeedBench],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
})
export class BenchPage {
  protected readonly rooms = inject(RoomService);
  private readonly settings = inject(SettingsService);
  private readonly router = inject(Router);
  private readonly notices = inject(NoticeService);
  /** Id of the bag to measure, from the address. */
  readonly bag = input<string>();

  private readonly bags = computed(() => this.rooms.room()?.bags ?? []);
  protected readonly choices = computed(() => [
    { value: '', name: 'first bag of each kind' },
    ...this.bags()
      .filter((bag) => this.howMeasured(bag) !== null)
      .map((bag) => ({ value: bag.id, name: roomBagName(bag) })),
  ]);
  private readonly chosen = computed(() => this.bags().find(({ id }) => id === this.bag()) ?? null);
  private howMeasured({ kind }: RoomBag): BagNature['measured'] {
    return natureOf(kind, this.rooms.room()?.ownBags)?.measured ?? null;
  }
  /** The chosen bag where it is measured in this way, else the first that is. */
  private measured(how: BagNature['measured']): RoomBag | null {
    const those = this.bags().filter((bag) => this.howMeasured(bag) === how);
    return those.find((bag) => bag === this.chosen()) ?? those[0] ?? null;
  }
  /** The tab that is open: that of the chosen bag, until another is. */
  protected readonly tab = linkedSignal(() => {
    const chosen = this.chosen();
    return chosen ? Math.max(0, tabs.indexOf(this.howMeasured(chosen))) : 0;
  });
  protected readonly hung = computed(() => this.measured('pendulum'));
  protected readonly ball = computed(() => this.measured('cords'));
  protected readonly speed = computed(() => this.measured('rebounds'));

  protected readonly heights = computed(() => {
    const room = this.rooms.room();
    if (!room) return [];
    const { units } = this.settings.settings();
    const { smallest, median, tallest } = staturesOf(room);
    return [
      { name: 'smallest', stature: smallest },
      { name: 'middle', stature: median },
      { name: 'tallest', stature: tallest },
    ].map(({ name, stature }) => {
      const at = bodyHeights(stature);
      return {
        name,
        stature: sayLength(stature, units),
        reach: sayLength(armReach(stature), units),
        at: parts.map((part) => sayLength(at[part], units)),
      };
    });
  });
  protected readonly parts = parts;

  /** Writes a bag's measured figures into the room, with undo. */
  protected async keep(bag: RoomBag | null, figures: Partial<RoomBag>): Promise<void> {
    const room = this.rooms.room();
    if (!room || !bag) return;
    const bags = room.bags.map((each) => (each.id === bag.id ? { ...each, ...figures } : each));
    const { refused, putBack } = await this.rooms.put({ ...room, bags });
    if (refused) void this.notices.say(`Not saved: ${refused}`, { name: 'Close', press: () => undefined });
    else this.notices.undoable(`${roomBagName(bag)}: saved to the room`, putBack);
  }

  protected pick(bag: string): void {
    void this.router.navigate([], { queryParams: { bag: bag || null }, replaceUrl: true });
  }
}
