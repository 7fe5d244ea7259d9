import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  compile,
  lanesOf,
  pieceLanes,
  rotationBoard,
  sayClock,
  schemeOrSix,
  type Lane,
  type LaneVersion,
  type Sheet,
} from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';

/** The rotation board: which group is on what in each round, and what is done there; to be seen from the floor, or printed. */
@Component({
  selector: 'kt-board-page',
  imports: [MatButtonModule, RouterLink, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './board-page.html',
  styleUrl: './board-page.scss',
})
export class BoardPage {
  private readonly sheets = inject(SheetsService);
  private readonly settings = inject(SettingsService);
  readonly id = input.required<string>();
  /** undefined while storage is asked, null where there is no such sheet. */
  protected readonly sheet = signal<Sheet | null | undefined>(undefined);

  constructor() {
    effect(() => {
      void this.sheets.get(this.id()).then((sheet) => {
        this.sheet.set(sheet);
      });
    });
  }

  protected readonly scheme = computed(() => schemeOrSix(this.sheet()?.numbers ?? 'six'));
  protected readonly board = computed(() => {
    const sheet = this.sheet();
    return sheet ? rotationBoard(sheet, compile(sheet)) : null;
  });
  /** Round by round: each lane with its groups and what is done there. */
  protected readonly turns = computed(() => {
    const [sheet, board] = [this.sheet(), this.board()];
    if (!sheet || !board) return [];
    const lanes = lanesOf(sheet, this.settings.schools());
    return board.turns.map((turn) => ({
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

  protected print(): void {
    window.print();
  }
}
