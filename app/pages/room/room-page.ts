import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import { MatIcon } from '@angular/material/icon';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import {
  fromUnits,
  inUnits,
  roomBagName,
  roomSays,
  roomSchema,
  usualBag,
  usualStature,
  type OwnBag,
  type Room,
  type RoomBag,
} from '../../../core/index';
import { MeasureField } from '../../parts/fields/measure-field';
import { PeopleFields } from '../../parts/people-fields';
import { freshId } from '../../services/fresh-id';
import { RoomService } from '../../services/room.service';
import { SettingsService } from '../../services/settings.service';
import { BagForm } from './bag-form';
import { NextSteps } from './next-steps';
import { bagChoicesWith } from '../../parts/fields/bag-choices';
import { OwnBags } from './own-bags';
import { RoomElevation } from './room-elevation';
import { UnreadList } from '../../parts/unread-list';
import { RoomPlan, type Placed } from './room-plan';
import { NoticeService } from '../../services/notice.service';
import { HelpLink } from '../../parts/help-link';

/** Who is here, which bags, and what the numbers say. */
@Component({
  selector: 'kt-room-page',
  imports: [
    HelpLink,
    MatMenuModule,
    MatIcon,
    TextField,
    MatButtonModule,
    BagForm,
    MeasureField,
    NextSteps,
    OwnBags,
    PeopleFields,
    RoomElevation,
    RoomPlan,
    UnreadList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './room-page.html',
  styleUrl: './room-page.scss',
})
export class RoomPage {
  protected readonly unreadStores = ['choices'] as const;
  protected readonly rooms = inject(RoomService);
  private readonly settings = inject(SettingsService);
  private readonly notices = inject(NoticeService);

  protected readonly selected = signal<string | null>(null);
  protected readonly kinds = computed(() => bagChoicesWith((this.rooms.room()?.ownBags ?? []).map(({ name }) => name)));
  protected readonly chosen = computed(() => this.rooms.room()?.bags.find(({ id }) => id === this.selected()) ?? null);
  protected readonly says = computed(() => {
    const room = this.rooms.room();
    return room ? roomSays(room, this.settings.settings().units) : [];
  });
  protected readonly unitName = computed(() => (this.settings.settings().units === 'metric' ? 'm' : 'in'));
  protected readonly statures = computed(() =>
    (this.rooms.room()?.statures ?? []).map((one) => inUnits('length', one, this.settings.settings().units)).join(' '),
  );

  protected readonly schemas = roomSchema.shape;

  /** Writes a change; what is taken out can be put back. */
  protected async put(change: Partial<Room>, undo = ''): Promise<void> {
    const room = this.rooms.room();
    if (!room) return;
    const { refused, putBack } = await this.rooms.put({ ...room, ...change });
    if (refused) void this.notices.say(`Not changed: ${refused}`, { name: 'Close', press: () => undefined });
    else if (undo) this.notices.undoable(undo, putBack);
  }

  private staturesOf(text: string): number[] {
    return text
      .split(/[\s,;]+/)
      .filter(Boolean)
      .map((word) => Math.round(fromUnits('length', Number(word), this.settings.settings().units) * 1000) / 1000);
  }

  protected readonly staturesFault = (text: string): string => {
    const usual = inUnits('length', usualStature, this.settings.settings().units);
    return this.schemas.statures.safeParse(this.staturesOf(text)).success
      ? ''
      : `Enter each height in ${this.unitName()}, for example ${usual}`;
  };

  protected putStatures(text: string): void {
    const statures = this.staturesOf(text);
    void this.put({ statures, ...(statures.length > 0 ? { people: statures.length } : {}) });
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
    if (bags) void this.put({ bags }, `${roomBagName(bag)} removed`);
  }

  protected putOwn(ownBags: OwnBag[]): void {
    void this.put({ ownBags });
  }

  protected readonly roomBagName = roomBagName;
}
