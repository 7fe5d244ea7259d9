import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  compile,
  lanesOf,
  pieceLanes,
  rotationBoard,
  sayClock,
  schemeOrSix,
  type Lane,
  type LaneVersion,
  type Schools,
  type Sheet,
  shownBag,
} from '../../../core/index';
import { StrikeStaff } from '../strike-staff/strike-staff';

/** Who is on what, round by round, and what is done there. Of a run, from the round that is on. */
@Component({
  selector: 'kt-board-view',
  imports: [StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './board-view.html',
  styleUrl: './board-view.scss',
})
export class BoardView {
  protected readonly shownBag = shownBag;
  readonly sheet = input.required<Sheet>();
  readonly schools = input<Schools>();
  /** Rounds before it are left out; null shows all. */
  readonly round = input<number | null>(null);

  protected readonly scheme = computed(() => schemeOrSix(this.sheet().numbers));
  protected readonly board = computed(() => rotationBoard(this.sheet(), compile(this.sheet())));
  /** Each turn with its lanes: their groups, and what is done there. */
  protected readonly turns = computed(() => {
    const [sheet, from] = [this.sheet(), this.round() ?? 0];
    const lanes = lanesOf(sheet, this.schools());
    return (this.board()?.turns ?? [])
      .filter(({ round }) => round >= from)
      .map((turn) => ({
        ...turn,
        clock: sayClock(turn.at),
        lanes: lanes.map((lane) => ({
          bag: lane.bag,
          groups: turn.stations.filter(({ bag }) => bag === lane.bag),
          versions: this.versions(sheet, turn.blockId, lane),
        })),
      }));
  });

  private versions(sheet: Sheet, blockId: string, lane: Lane): LaneVersion[] {
    const block = sheet.blocks.find(({ id }) => id === blockId);
    return block ? block.pieces.flatMap((piece) => pieceLanes(piece, block, [lane])) : [];
  }
}
