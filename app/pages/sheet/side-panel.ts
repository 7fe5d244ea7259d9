import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { MatTabsModule } from '@angular/material/tabs';
import type { Finding, Sheet, TrainingFault } from '../../../core/index';
import { ComposeCard } from '../../parts/compose/compose-card';
import { composeActions } from '../../parts/compose/compose-actions';
import { PickPanel } from '../../parts/pick-panel';
import { Editor } from '../../services/editor';
import { Told } from '../../services/told';
import { FindingsPanel } from '../../parts/findings-panel';
import { FaultsPanel } from './faults-panel';
import { Glance } from './glance';
import { LanesPanel } from './lanes-panel';
import { Rows } from './rows';
import { sheetComposeActions } from './sheet-compose';
import { SheetDetails } from './sheet-details';
import { TextView } from './text-view';
import { TodayForm } from './today-form';
import { WholeSheet } from './whole-sheet';

const tabs = [
  // What is composed is added, too: it opens in the same place, from the tools above and by its key.
  { id: 'add', or: 'compose', name: 'Add', icon: 'add' },
  { id: 'findings', or: null, name: 'Checks', icon: 'checks' },
  { id: 'faults', or: null, name: 'Faults', icon: 'eye' },
  { id: 'text', or: null, name: 'Text', icon: 'text' },
  { id: 'glance', or: null, name: 'Overview', icon: 'progress' },
  // How today is different is a fit, too: it opens from the sheet's head.
  { id: 'whole', or: 'today', name: 'Fit and versions', icon: 'fit' },
  { id: 'lanes', or: null, name: 'Stations', icon: 'repeat' },
] as const;
export type SideTab = (typeof tabs)[number]['id'] | 'compose' | 'today';

/** What is beside the rows of a sheet: adding, composing, checks, faults, text, overview, fit and versions, today, stations. */
@Component({
  selector: 'kt-side-panel',
  imports: [
    ComposeCard,
    FaultsPanel,
    FindingsPanel,
    Glance,
    LanesPanel,
    MatIcon,
    MatTabsModule,
    PickPanel,
    SheetDetails,
    TextView,
    TodayForm,
    WholeSheet,
  ],
  providers: [{ provide: composeActions, useFactory: sheetComposeActions }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './side-panel.html',
  styleUrl: './side-panel.scss',
})
export class SidePanel {
  protected readonly editor = inject(Editor);
  protected readonly rows = inject(Rows);
  private readonly told = inject(Told);
  readonly sheet = input.required<Sheet>();
  readonly side = model.required<SideTab>();
  protected readonly tabs = tabs;
  protected readonly findings = this.editor.shownFindings;
  /** Where something can be dropped: among the blocks, or among the pieces of one. */
  protected readonly dropLists = computed(() => ['blocks', ...this.rows.pieceLists()]);

  /** The combination of the chosen row, to tap along to. */
  protected readonly selectedCombination = computed(() => {
    const id = this.editor.selected();
    return (
      this.editor.timeline()?.leaves.findLast((leaf) => leaf.pieceId === id && leaf.combination)?.combination ?? null
    );
  });

  protected change(change: Partial<Sheet>): void {
    this.editor.apply((sheet) => ({ ...sheet, ...change }));
  }

  protected apply(sheet: Sheet, name = ''): void {
    this.editor.apply(() => sheet, name);
  }

  protected mend(finding: Finding, at: number): void {
    const mend = finding.mends[at];
    if (mend) this.told.apply(mend.edit);
  }

  protected addMend(fault: TrainingFault): void {
    this.rows.addMend(fault);
  }

  protected goTo(finding: Finding): void {
    const id = finding.pieceId ?? finding.blockId;
    if (id) this.rows.select(id, true);
  }
}
