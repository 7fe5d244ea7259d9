import { ChangeDetectionStrategy, Component, DOCUMENT, inject, Injector } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { filter, fromEvent, map, merge, switchMap, take, timer } from 'rxjs';
import { endFirstLines } from './first/hand-over';
import { StorageNotice } from './parts/storage-notice';
import { UpdateNotice } from './parts/update-notice';
import { DemoService } from './services/demo.service';
import { KeysService, type Shortcut } from './services/keys.service';
import { SettingsService } from './services/settings.service';
import { NoticeService } from './services/notice.service';

/** What works unseen is made so long after the frame, in milliseconds, so that it is not in the way of the first view. */
const unseenAfter = 1500;

/** The frame around every view: the rail with the views, and the demo's notice. A run has the whole screen to itself. */
@Component({
  selector: 'kt-shell',
  imports: [MatIcon, MatButtonModule, RouterOutlet, RouterLink, RouterLinkActive, StorageNotice, UpdateNotice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shell.html',
  styleUrl: './shell.scss',
})
export class Shell {
  private readonly router = inject(Router);
  private readonly notices = inject(NoticeService);
  private readonly document = inject(DOCUMENT);
  private readonly injector = inject(Injector);
  protected readonly demo = inject(DemoService);
  // Made here so that the remembered look is on before the first view.
  protected readonly settings = inject(SettingsService);

  protected readonly views = [
    { path: '/sheets', name: 'Sheets', key: '1', icon: 'sheets' },
    { path: '/combos', name: 'Combos', key: '2', icon: 'combos' },
    { path: '/room', name: 'Room', key: '3', icon: 'room' },
    { path: '/bench', name: 'Bench', key: '4', icon: 'bench' },
    { path: '/log', name: 'Log', key: '5', icon: 'log' },
    { path: '/progress', name: 'Progress', key: '6', icon: 'progress' },
    { path: '/programme', name: 'Programme', key: '7', icon: 'programme' },
    { path: '/settings', name: 'Settings', key: '8', icon: 'settings' },
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
    return this.demo.left() > 0 && /^\/(sheets|combos|room|log|progress|programme)$/.test(this.url());
  }

  constructor() {
    const toView = ({ path, name, key }: (typeof this.views)[number]): Shortcut => ({
      keys: [`Alt+${key}`],
      does: name,
      repeats: false,
      typing: true,
      when: () => !this.bare(),
      press: () => void this.router.navigateByUrl(path),
    });
    // What stands before a page is there for that page alone.
    this.router.events
      .pipe(
        filter((event) => event instanceof NavigationEnd),
        takeUntilDestroyed(),
      )
      .subscribe(({ urlAfterRedirects }) => endFirstLines(urlAfterRedirects));
    // Nothing lies over a page before somebody does something.
    merge(...['pointerover', 'keydown', 'click'].map((type) => fromEvent(this.document, type)))
      .pipe(
        take(1),
        switchMap(() => import('@angular/cdk/overlay')),
        takeUntilDestroyed(),
      )
      .subscribe(({ OverlayContainer }) =>
        this.nameOverlays(this.injector.get(OverlayContainer).getContainerElement()),
      );
    // Asks, wherever the coach is, how a run was, and the browser to keep things as soon as there is something to lose.
    timer(unseenAfter)
      .pipe(
        switchMap(() =>
          Promise.all([
            import('./services/ask-again.service'),
            import('./services/persistence.service'),
            import('./services/first-list.service'),
          ]),
        ),
        takeUntilDestroyed(),
      )
      .subscribe(([{ AskAgainService }, { PersistenceService }, { FirstListService }]) => {
        this.injector.get(AskAgainService);
        this.injector.get(PersistenceService);
        this.injector.get(FirstListService);
      });
    inject(KeysService).use('Everywhere', [
      ...this.views.map(toView),
      { keys: ['Shift+?'], does: 'Show the keys', repeats: false, press: () => void this.showKeys() },
    ]);
  }

  /** What lies over the page is a landmark of its own. */
  private nameOverlays(over: HTMLElement): void {
    over.setAttribute('role', 'region');
    over.setAttribute('aria-label', 'Over the page');
  }

  protected async showKeys(): Promise<void> {
    const [{ MatDialog }, { KeysDialog }] = await Promise.all([
      import('@angular/material/dialog'),
      import('./parts/keys-dialog'),
    ]);
    this.injector
      .get(MatDialog)
      .open(KeysDialog, { injector: this.injector, width: '40rem', autoFocus: 'first-tabbable' });
  }

  protected skipToMain(): void {
    this.document.getElementById('main')?.focus();
  }

  protected async clearDemo(): Promise<void> {
    const putBack = await this.demo.clear();
    this.notices.undoable('Demo cleared. What you changed yourself is still here.', putBack);
  }
}
