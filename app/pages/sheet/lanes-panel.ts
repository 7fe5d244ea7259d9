import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { NumberField } from '../../parts/fields/number-field';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  accesses,
  bagKinds,
  freeFloor,
  headSchema,
  holderCalls,
  laneSchema,
  natureOf,
  pairUp,
  rotationBoard,
  sheetForRoom,
  takesLowKicks,
  type BagNature,
  type Sheet,
  shownBag,
} from '../../../core/index';
import { named, ChoiceField } from '../../parts/fields/choice-field';
import { RoomService } from '../../services/room.service';
import { Editor } from '../../services/editor';

type SheetLane = NonNullable<Sheet['lanes']>[number];

/** The lanes of a sheet, its rotation, the pads' holder, and what is different today. */
@Component({
  selector: 'kt-lanes-panel',
  imports: [MatCheckbox, ChoiceField, NumberField, MatButtonModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lanes-panel.html',
  styleUrl: './lanes-panel.scss',
})
export class LanesPanel {
  protected readonly shownBag = shownBag;
  private readonly rooms = inject(RoomService);
  private readonly editor = inject(Editor);
  readonly sheet = input.required<Sheet>();
  readonly changed = output<Partial<Sheet>>();
  readonly applied = output<Sheet>();

  protected readonly accesses = named(accesses);
  protected readonly laneSchemas = laneSchema.shape;
  protected readonly schemas = headSchema.shape;
  protected readonly canTakeRoom = computed(() => (this.rooms.room()?.bags ?? []).some(({ down }) => !down));
  protected readonly missing = computed(() => {
    const there = (this.sheet().lanes ?? []).map(({ bag }) => bag);
    return [...bagKinds, ...(this.sheet().ownBags ?? []).map(({ name }) => name)].filter(
      (kind) => !there.includes(kind),
    );
  });
  protected readonly board = computed(() => rotationBoard(this.sheet(), this.editor.timeline() ?? undefined));
  /** What the holder does for the chosen piece, where somebody is on pads. */
  protected readonly holder = computed(() => {
    const id = this.editor.selected();
    const versions = this.editor
      .rows()
      .flatMap(({ pieces }) => pieces)
      .find(({ row }) => row.piece.id === id)?.row.lanes;
    const combination = versions?.find(({ bag }) => this.natureOf(bag)?.body === 'held')?.combination;
    return combination ? holderCalls(combination) : null;
  });
  protected readonly pairs = computed(() => {
    const people = this.board()?.groups[0] ?? this.sheet().class.people ?? 0;
    const [first] = people > 0 ? pairUp(people, 1) : [];
    if (!first) return 'Hitter and holder swap halfway through each drill.';
    const odd = first.odd === null ? '' : ' One left over: shadow boxes beside a pair and swaps in at the next change.';
    return `A group of ${people}: ${first.pairs.length} ${first.pairs.length === 1 ? 'pair' : 'pairs'}. Hitter and holder swap halfway through each drill.${odd}`;
  });

  protected takeRoom(): void {
    const room = this.rooms.room();
    if (room) this.applied.emit(sheetForRoom(this.sheet(), room));
  }

  private natureOf(bag: string): BagNature | null {
    return natureOf(bag, this.sheet().ownBags);
  }

  /** Whether low kicks are a question on this kind: shadow takes them anywhere. */
  protected takesLow(bag: string): boolean {
    return takesLowKicks(this.natureOf(bag));
  }

  private put(lanes: SheetLane[]): void {
    this.changed.emit({ lanes: lanes.length > 0 ? lanes : undefined });
  }

  protected patch(bag: string, change: Partial<SheetLane>): void {
    this.put((this.sheet().lanes ?? []).map((lane) => (lane.bag === bag ? { ...lane, ...change } : lane)));
  }

  protected add(bag: string): void {
    this.put([...(this.sheet().lanes ?? []), { bag, places: bag === freeFloor ? 4 : 2 }]);
  }

  protected remove(bag: string): void {
    this.put((this.sheet().lanes ?? []).filter((lane) => lane.bag !== bag));
  }
}
