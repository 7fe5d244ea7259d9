import { ChangeDetectionStrategy, Component, DOCUMENT, inject, Injector } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import { filter, firstValueFrom, fromEvent, map, merge, switchMap, take, timer } from 'rxjs';
import { destinations, type Destination } from './destinations';
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
  imports: [MatIcon, MatButtonModule, RouterOutlet, RouterLink, StorageNotice, UpdateNotice],
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

  protected readonly destinations = destinations;

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

  /** Whether a session is up: a run or a solo has its own keys, and nothing else lies over it. */
  private inSession(): boolean {
    return /^\/(run\/|solo)/.test(this.url());
  }

  protected isHere({ pages }: Destination): boolean {
    return pages.includes(this.url().split(/[/?#]/)[1] ?? '');
  }

  protected showsDemoNotice(): boolean {
    return this.demo.left() > 0 && /^\/(sheets|combos|room|log|progress|programme)$/.test(this.url());
  }

  constructor() {
    const toView = ({ path, name }: Destination, at: number): Shortcut => ({
      keys: [`Alt+${at + 1}`],
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
      ...destinations.map(toView),
      {
        keys: ['$mod+k'],
        does: 'Search for anything',
        repeats: false,
        typing: true,
        when: () => !this.inSession(),
        press: () => void this.showPalette(),
      },
      { keys: ['Shift+?'], does: 'Show all shortcuts', repeats: false, press: () => void this.showKeys() },
    ]);
  }

  /** What lies over the page is a landmark of its own. */
  private nameOverlays(over: HTMLElement): void {
    over.setAttribute('role', 'region');
    over.setAttribute('aria-label', 'In a dialog');
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

  /** Every action, sheet, combination and setting, to be searched. */
  protected async showPalette(): Promise<void> {
    const before = this.document.activeElement;
    const { openPalette } = await import('./parts/palette/palette');
    openPalette(this.injector, before ?? this.document.body);
  }

  /** On a phone: what has no room in the bar. */
  protected async showMore(): Promise<void> {
    const [{ MatBottomSheet }, { MoreSheet }] = await Promise.all([
      import('@angular/material/bottom-sheet'),
      import('./parts/more-sheet'),
    ]);
    const chosen = await firstValueFrom(
      this.injector
        .get(MatBottomSheet)
        .open<unknown, unknown, 'search' | 'shortcuts'>(MoreSheet, { injector: this.injector, ariaLabel: 'More' })
        .afterDismissed(),
    );
    if (chosen === 'search') await this.showPalette();
    if (chosen === 'shortcuts') await this.showKeys();
  }

  protected skipToMain(): void {
    this.document.getElementById('main')?.focus();
  }

  protected async clearDemo(): Promise<void> {
    const putBack = await this.demo.clear();
    this.notices.undoable('Examples cleared. Anything you changed yourself is still here.', putBack);
  }
}
