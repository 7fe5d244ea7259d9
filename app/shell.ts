import { ChangeDetectionStrategy, Component, DOCUMENT, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatSnackBar } from '@angular/material/snack-bar';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import {
  mdiBookOpenVariantOutline,
  mdiClipboardTextOutline,
  mdiCogOutline,
  mdiFloorPlan,
  mdiNotebookOutline,
  mdiRulerSquare,
} from '@mdi/js';
import { filter, map } from 'rxjs';
import { Icon } from './parts/icon';
import { DemoService } from './services/demo.service';
import { SettingsService } from './services/settings.service';

/** The frame around every view: the rail with the views, and the demo's notice. A run has the whole screen to itself. */
@Component({
  selector: 'kt-shell',
  imports: [RouterOutlet, RouterLink, RouterLinkActive, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shell.html',
  styleUrl: './shell.scss',
  host: { '(document:keydown)': 'onKey($event)' },
})
export class Shell {
  private readonly router = inject(Router);
  private readonly snack = inject(MatSnackBar);
  private readonly document = inject(DOCUMENT);
  protected readonly demo = inject(DemoService);
  // Made here so that the remembered look is on before the first view.
  protected readonly settings = inject(SettingsService);

  protected readonly views = [
    { path: '/sheets', name: 'Sheets', key: '1', icon: mdiClipboardTextOutline },
    { path: '/combos', name: 'Combos', key: '2', icon: mdiBookOpenVariantOutline },
    { path: '/room', name: 'Room', key: '3', icon: mdiFloorPlan },
    { path: '/bench', name: 'Bench', key: '4', icon: mdiRulerSquare },
    { path: '/log', name: 'Log', key: '5', icon: mdiNotebookOutline },
    { path: '/settings', name: 'Settings', key: '6', icon: mdiCogOutline },
  ];

  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map((event) => event.urlAfterRedirects),
    ),
    { initialValue: '' },
  );

  protected bare(): boolean {
    return this.url().startsWith('/run/');
  }

  protected showsDemoNotice(): boolean {
    return this.demo.left() > 0 && /^\/(sheets|combos|room|log)$/.test(this.url());
  }

  protected onKey(event: KeyboardEvent): void {
    if (!event.altKey || event.ctrlKey || event.metaKey) return;
    const view = this.views.find(({ key }) => key === event.key);
    if (!view || this.bare()) return;
    event.preventDefault();
    void this.router.navigateByUrl(view.path);
  }

  protected skipToMain(): void {
    this.document.getElementById('main')?.focus();
  }

  protected async clearDemo(): Promise<void> {
    const putBack = await this.demo.clear();
    this.snack
      .open('Demo cleared. What you changed yourself is still here.', 'Undo', { duration: 8000 })
      .onAction()
      .subscribe(() => void putBack());
  }
}
