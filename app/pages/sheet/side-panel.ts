import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import type { Finding, Sheet } from '../../../core/index';
import { Editor } from '../../services/editor';
import { FindingsPanel } from '../../parts/findings-panel';
import { Glance } from './glance';
import { LanesPanel } from './lanes-panel';
import { Rows } from './rows';
import { SheetDetails } from './sheet-details';
import { TextView } from './text-view';
import { WholeSheet } from './whole-sheet';

const tabs = [
  { id: 'findings', name: 'Findings' },
  { id: 'text', name: 'Text' },
  { id: 'glance', name: 'Glance' },
  { id: 'whole', name: 'Whole' },
  { id: 'lanes', name: 'Lanes' },
] as const;
export type SideTab = (typeof tabs)[number]['id'];

/** What stands beside the rundown: findings, text, glance, changes of the whole, lanes. */
@Component({
  selector: 'kt-side-panel',
  imports: [FindingsPanel, Glance, LanesPanel, SheetDetails, TextView, WholeSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './side-panel.html',
  styleUrl: './side-panel.scss',
})
export class SidePanel {
  protected readonly editor = inject(Editor);
  private readonly rows = inject(Rows);
  readonly sheet = input.required<Sheet>();
  readonly side = model.required<SideTab>();
  protected readonly tabs = tabs;

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
    if (mend) this.editor.apply(mend.edit);
  }

  protected goTo(finding: Finding): void {
    const id = finding.pieceId ?? finding.blockId;
    if (id) this.rows.select(id, true);
  }
}
