import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import {
  bagKinds,
  fromUnits,
  inUnits,
  roomBagName,
  roomSays,
  usualBag,
  type OwnBag,
  type Room,
  type RoomBag,
} from '../../../core/index';
import { MeasureField } from '../../parts/measure-field';
import { PeopleFields } from '../../parts/people-fields';
import { freshId } from '../../services/fresh-id';
import { RoomService } from '../../services/room.service';
import { SettingsService } from '../../services/settings.service';
import { BagForm } from './bag-form';
import { NextSteps } from './next-steps';
import { OwnBags } from './own-bags';
import { RoomElevation } from './room-elevation';
import { RoomPlan, type Placed } from './room-plan';

/** Who is here, which bags, and what the numbers say. */
@Component({
  selector: 'kt-room-page',
  imports: [BagForm, MeasureField, NextSteps, OwnBags, PeopleFields, RoomElevation, RoomPlan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './room-page.html',
  styleUrl: './room-page.scss',
})
export class RoomPage {
  protected readonly rooms = inject(RoomService);
  private readonly settings = inject(SettingsService);
  private readonly snack = inject(MatSnackBar);

  protected readonly selected = signal<string | null>(null);
  protected readonly kinds = computed(() => [
    ...bagKinds,
    ...(this.rooms.room()?.ownBags ?? []).map(({ name }) => name),
  ]);
  protected readonly chosen = computed(() => this.rooms.room()?.bags.find(({ id }) => id === this.selected()) ?? null);
  protected readonly says = computed(() => {
    const room = this.rooms.room();
    return room ? roomSays(room, this.settings.settings().units) : [];
  });
  protected readonly unitName = computed(() => (this.settings.settings().units === 'metric' ? 'm' : 'in'));
  protected readonly statures = computed(() =>
    (this.rooms.room()?.statures ?? []).map((one) => inUnits('length', one, this.settings.settings().units)).join(' '),
  );

  protected text(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  /** Writes a change; what is taken out can be put back. */
  protected async put(change: Partial<Room>, undo = ''): Promise<void> {
    const room = this.rooms.room();
    if (!room) return;
    const { refused, putBack } = await this.rooms.put({ ...room, ...change });
    if (refused) this.snack.open(`Not taken: ${refused}`, 'Close', { duration: 8000 });
    else if (undo)
      this.snack
        .open(undo, 'Undo', { duration: 8000 })
        .onAction()
        .subscribe(() => void putBack());
  }

  protected putStatures(event: Event): void {
    const { units } = this.settings.settings();
    const statures = this.text(event)
      .split(/[\s,;]+/)
      .filter(Boolean)
      .map((word) => Math.round(fromUnits('length', Number(word), units) * 1000) / 1000);
    if (statures.some((one) => !(one >= 0.8 && one <= 2.4)))
      this.snack.open(
        `Heights not taken: write each in ${this.unitName()}, for example ${inUnits('length', 1.72, units)}`,
        'Close',
        { duration: 8000 },
      );
    else void this.put({ statures, ...(statures.length > 0 ? { people: statures.length } : {}) });
  }

  protected change(id: string, change: Partial<RoomBag>): void {
    const bags = this.rooms
      .room()
      ?.bags.map((bag) => (bag.id === id ? this.withKind({ ...bag, ...change }, change) : bag));
    if (bags) void this.put({ bags });
  }

  /** Another kind brings its usual measures; place and name stay. */
  private withKind(bag: RoomBag, change: Partial<RoomBag>): RoomBag {
    return change.kind === undefined ? bag : { ...usualBag(bag.id, change.kind, bag.x, bag.y), name: bag.name };
  }

  protected place({ id, x, y }: Placed): void {
    this.change(id, { x, y });
  }

  protected add(kind: string): void {
    const room = this.rooms.room();
    if (!room) return;
    const bag = usualBag(freshId(), kind, room.width / 2, room.depth / 2);
    this.selected.set(bag.id);
    void this.put({ bags: [...room.bags, bag] });
  }

  protected remove(bag: RoomBag): void {
    const bags = this.rooms.room()?.bags.filter(({ id }) => id !== bag.id);
    if (bags) void this.put({ bags }, `${roomBagName(bag)} taken out`);
  }

  protected putOwn(ownBags: OwnBag[]): void {
    void this.put({ ownBags });
  }

  protected readonly roomBagName = roomBagName;
}
