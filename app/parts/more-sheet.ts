import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatIcon } from '@angular/material/icon';
import { MatListModule } from '@angular/material/list';
import { RouterLink } from '@angular/router';
import { destinations } from '../destinations';

/** What has no room in a phone's bar. Closes with what was chosen, where that opens over the page. */
@Component({
  selector: 'kt-more-sheet',
  imports: [MatIcon, MatListModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-nav-list>
      @for (each of under; track each.path) {
        <a mat-list-item [routerLink]="each.path" (click)="sheet.dismiss()"
          ><mat-icon matListItemIcon [svgIcon]="each.icon" />{{ each.name }}</a
        >
      }
      <a mat-list-item routerLink="/help" (click)="sheet.dismiss()"><mat-icon matListItemIcon svgIcon="help" />Help</a>
    </mat-nav-list>
    <mat-action-list>
      <button mat-list-item type="button" (click)="sheet.dismiss('search')">
        <mat-icon matListItemIcon svgIcon="find" />Search
      </button>
      <button mat-list-item type="button" (click)="sheet.dismiss('shortcuts')">
        <mat-icon matListItemIcon svgIcon="keys" />Shortcuts
      </button>
    </mat-action-list>
  `,
})
export class MoreSheet {
  protected readonly sheet = inject<MatBottomSheetRef<unknown, 'search' | 'shortcuts'>>(MatBottomSheetRef);
  protected readonly under = destinations.filter(({ underMore }) => underMore);
}
