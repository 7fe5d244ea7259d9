import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Sheet } from '../../../core/index';
import { BoardView } from '../../parts/board/board-view';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';
import { HelpLink } from '../../parts/help-link';

/** The rotation board: which group is on what in each round, and what is done there; to be seen from the floor, or printed. */
@Component({
  selector: 'kt-board-page',
  imports: [HelpLink, MatButtonModule, RouterLink, BoardView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './board-page.html',
  styleUrl: './board-page.scss',
})
export class BoardPage {
  private readonly sheets = inject(SheetsService);
  protected readonly settings = inject(SettingsService);
  readonly id = input.required<string>();
  /** undefined while storage is asked, null where there is no such sheet. */
  protected readonly sheet = signal<Sheet | null | undefined>(undefined);

  constructor() {
    effect(() => {
      this.sheets.came();
      void this.sheets.get(this.id()).then((sheet) => {
        this.sheet.set(sheet);
      });
    });
  }

  protected print(): void {
    window.print();
  }
}
