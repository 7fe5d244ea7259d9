import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MAT_BOTTOM_SHEET_DATA, MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import type { Pick } from '../../../core/index';
import { ComposeCard } from '../../parts/compose/compose-card';
import { composeActions } from '../../parts/compose/compose-actions';
import { PickPanel } from '../../parts/pick-panel';
import { Editor } from '../../services/editor';
import type { AddWay } from './add-ways';
import { Rows } from './rows';
import { sheetComposeActions } from './sheet-compose';

/**
 * What is added, on a phone: it comes over the sheet from below, and goes when something was picked. Of what is composed
 * several may be put in.
 */
@Component({
  selector: 'kt-add-drawer',
  imports: [ComposeCard, MatButtonModule, MatIcon, PickPanel],
  providers: [{ provide: composeActions, useFactory: sheetComposeActions }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" matIconButton class="close" aria-label="Close" (click)="drawer.dismiss()">
      <mat-icon svgIcon="close" />
    </button>
    @switch (way.side) {
      @case ('add') {
        <h2>{{ way.name }}</h2>
        <kt-pick-panel [besides]="editor.sheet()?.id ?? ''" (picked)="put($event)" />
      }
      @case ('compose') {
        <kt-compose-card class="frameless" focused compact [scheme]="editor.scheme()" />
      }
    }
  `,
  styles: `
    :host {
      position: relative;
      display: flex;
      flex-direction: column;
      height: 75dvh;
    }

    .close {
      position: absolute;
      z-index: 1;
      inset-inline-end: 0;
    }

    kt-pick-panel,
    kt-compose-card {
      flex: 1 1 auto;
      min-height: 0;
      padding-inline: 0;
      overflow-y: auto;
    }
  `,
})
export class AddDrawer {
  protected readonly editor = inject(Editor);
  private readonly rows = inject(Rows);
  protected readonly drawer = inject<MatBottomSheetRef<AddDrawer>>(MatBottomSheetRef);
  protected readonly way = inject<AddWay>(MAT_BOTTOM_SHEET_DATA);

  protected put(pick: Pick): void {
    this.drawer.dismiss();
    this.rows.pick(pick);
  }
}
