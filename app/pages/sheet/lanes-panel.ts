import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  accesses,
  bagKinds,
  holderCalls,
  natureOf,
  pairUp,
  rotationBoard,
  sheetForRoom,
  type Sheet,
} from '../../../core/index';
import { RoomService } from '../../services/room.service';
import { Editor } from '../../services/editor';
import { TodayForm } from './today-form';

type SheetLane = NonNullable<Sheet['lanes']>[number];

/** The lanes of a sheet, its rotation, the pads' holder, and what is different today. */
@Component({
  selector: 'kt-lanes-panel',
  imports: [RouterLink, TodayForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lanes-panel.html',
  styleUrl: './lanes-panel.scss',
})
export class LanesPanel {
  private readonly rooms = inject(RoomService);
  private readonly editor = inject(Editor);
  readonly sheet = input.required<Sheet>();
  readonly changed = output<Partial<Sheet>>();
  readonly applied = output<Sheet>();

  protected readonly accesses = accesses;
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
      .find(({ piece }) => piece.id === id)?.lanes;
    const combination = versions?.find(({ bag }) => bag === 'pads')?.combination;
    return combination ? holderCalls(combination) : null;
  });
  protected readonly pairs = computed(() => {
    const people = this.board()?.groups[0] ?? this.sheet().class.people ?? 0;
    const [first] = people > 0 ? pairUp(people, 1) : [];
    if (!first) return 'Hitter and holder change over at half of each piece.';
    const odd = first.odd === null ? '' : ' One is over: shadows beside a pair and changes in at the next change-over.';
    return `A group of ${people}: ${first.pairs.length} ${first.pairs.length === 1 ? 'pair' : 'pairs'}. Hitter and holder change over at half of each piece.${odd}`;
  });

  protected takeRoom(): void {
    const room = this.rooms.room();
    if (room) this.applied.emit(sheetForRoom(this.sheet(), room));
  }

  /** Whether low kicks are a question on this kind: shadow takes them anywhere. */
  protected takesLow(bag: string): boolean {
    return bag !== 'shadow' && (natureOf(bag, this.sheet().ownBags)?.targets.includes('leg') ?? false);
  }

  private put(lanes: SheetLane[]): void {
    this.changed.emit({ lanes: lanes.length > 0 ? lanes : undefined });
  }

  protected patch(bag: string, change: Partial<SheetLane>): void {
    this.put((this.sheet().lanes ?? []).map((lane) => (lane.bag === bag ? { ...lane, ...change } : lane)));
  }

  protected changePlaces(bag: string, event: Event): void {
    const places = Math.round(Number((event.target as HTMLInputElement).value));
    if (places >= 0 && places <= 200) this.patch(bag, { places });
  }

  protected changeAccess(bag: string, event: Event): void {
    const access = accesses.find((each) => each === (event.target as HTMLSelectElement).value);
    this.patch(bag, { access: access === 'all round' ? undefined : access });
  }

  protected changeGroups(event: Event): void {
    const groups = Math.round(Number((event.target as HTMLInputElement).value));
    if (groups >= 1 && groups <= 100) this.changed.emit({ groups });
  }

  protected changeOver(event: Event): void {
    const seconds = Number((event.target as HTMLInputElement).value);
    if (seconds >= 0 && seconds <= 600) this.changed.emit({ changeOverMs: Math.round(seconds * 1000) });
  }

  protected add(bag: string): void {
    this.put([...(this.sheet().lanes ?? []), { bag, places: bag === 'shadow' ? 4 : 2 }]);
  }

  protected remove(bag: string): void {
    this.put((this.sheet().lanes ?? []).filter((lane) => lane.bag !== bag));
  }
}
