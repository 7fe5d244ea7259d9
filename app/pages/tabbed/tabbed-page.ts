import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatTabsModule } from '@angular/material/tabs';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';

/** A page of a destination that has several. */
export interface PageTab {
  readonly path: string;
  readonly name: string;
}

/** A destination with a tab for each of its pages: Gym, Log. */
@Component({
  selector: 'kt-tabbed-page',
  imports: [MatTabsModule, RouterLink, RouterLinkActive, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav mat-tab-nav-bar mat-stretch-tabs="false" [attr.aria-label]="destination()" [tabPanel]="panel">
      @for (tab of tabs(); track tab.path) {
        <a
          mat-tab-link
          [routerLink]="tab.path"
          routerLinkActive
          #here="routerLinkActive"
          [active]="here.isActive"
          ariaCurrentWhenActive="page"
          >{{ tab.name }}</a
        >
      }
    </nav>
    <mat-tab-nav-panel #panel><router-outlet /></mat-tab-nav-panel>
  `,
  styles: `
    nav {
      padding-inline: clamp(var(--space-2), 2vw, var(--space-5));
    }
    @media print {
      nav {
        display: none;
      }
    }
  `,
})
export class TabbedPage {
  /** From the route's data. */
  readonly destination = input.required<string>();
  readonly tabs = input.required<readonly PageTab[]>();
}
