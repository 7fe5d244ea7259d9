import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router, RouterLink } from '@angular/router';
import { armReach, bodyHeights, roomBagName, sayLength, staturesOf, type RoomBag } from '../../../core/index';
import { RoomService } from '../../services/room.service';
import { SettingsService } from '../../services/settings.service';
import { BallBench } from './ball-bench';
import { HungBench } from './hung-bench';
import { SpeedBench } from './speed-bench';

const parts = ['knee', 'hip', 'elbow', 'shoulder', 'chin', 'eye'] as const;

/** The bag bench: what can be measured and worked out about bags, with the swing drawn live. */
@Component({
  selector: 'kt-bench-page',
  imports: [BallBench, HungBench, RouterLink, SpeedBench],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
})
export class BenchPage {
  protected readonly rooms = inject(RoomService);
  private readonly settings = inject(SettingsService);
  private readonly router = inject(Router);
  private readonly snack = inject(MatSnackBar);
  /** Id of the bag to measure, from the address. */
  readonly bag = input<string>();

  private readonly bags = computed(() => this.rooms.room()?.bags ?? []);
  protected readonly choices = computed(() =>
    this.bags()
      .filter(({ kind }) => kind === 'heavy' || kind === 'double-end' || kind === 'speed')
      .map((bag) => ({ id: bag.id, name: roomBagName(bag) })),
  );
  private readonly chosen = computed(() => this.bags().find(({ id }) => id === this.bag()) ?? null);
  private measured(kind: string): ReturnType<typeof this.chosen> {
    const chosen = this.chosen();
    return chosen?.kind === kind ? chosen : (this.bags().find((bag) => bag.kind === kind) ?? null);
  }
  protected readonly hung = computed(() => this.measured('heavy'));
  protected readonly ball = computed(() => this.measured('double-end'));
  protected readonly speed = computed(() => this.measured('speed'));

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
    this.snack
      .open(refused ? `Not kept: ${refused}` : `${roomBagName(bag)}: kept in the room`, refused ? 'Close' : 'Undo', {
        duration: 8000,
      })
      .onAction()
      .subscribe(() => void (refused ? undefined : putBack()));
  }

  protected pick(event: Event): void {
    const bag = (event.target as HTMLSelectElement).value || null;
    void this.router.navigate([], { queryParams: { bag }, replaceUrl: true });
  }
}
