import { ErrorHandler, inject, Injectable, Injector } from '@angular/core';
import { NoticeService } from './notice.service';

/** What browsers say of a script that cannot be loaded (Chromium, Firefox, Safari), and Angular of a part that waits for one. */
const missing =
  /dynamically imported module|Importing a module script failed|error loading dynamically|NG0?750\b|Loading dependencies/i;
const reloadedKey = 'keen-tempo reloaded for';

/** The first script that a page of ours names; it has another name in every version. `mainOf('<script src="main-A.js">')` → `main-A.js` */
export const mainOf = (page: string): string | null => /src="(main-[^"]+\.js)"/.exec(page)?.[1] ?? null;

/** What to do about scripts that are missing: reload where the server has another version that was not tried yet. */
export function mendFor(here: string | null, served: string | null, tried: string | null): 'reload' | 'say' {
  return served !== null && served !== here && served !== tried ? 'reload' : 'say';
}

/**
 * An old page whose scripts are gone from the server reloads itself, once for each version; what is half typed is kept
 * (sheets are written as they change, lines by themselves). Where that would not help it says so.
 */
@Injectable()
export class CodeErrorHandler extends ErrorHandler {
  private readonly injector = inject(Injector);
  private said = false;

  override handleError(error: unknown): void {
    super.handleError(error);
    const { message = '', code = 0 } =
      typeof error === 'object' && error !== null ? (error as Partial<Error & { code: number }>) : {};
    if (missing.test(message) || Math.abs(code) === 750) void this.mend();
  }

  private async mend(): Promise<void> {
    const served = await this.servedMain();
    const here = mainOf(document.documentElement.outerHTML);
    if (mendFor(here, served, this.reloadedFor()) === 'reload' && this.note(served ?? '')) {
      location.reload();
      return;
    }
    if (this.said) return;
    this.said = true;
    const why = served === null ? 'the server does not answer' : 'the server does not have all of it';
    await this.injector
      .get(NoticeService)
      .say(
        `A part of this page could not be loaded: ${why}.`,
        { name: 'Reload', press: () => location.reload() },
        60_000,
      )
      .catch(() => undefined);
  }

  private reloadedFor(): string | null {
    try {
      return sessionStorage.getItem(reloadedKey);
    } catch {
      return null;
    }
  }

  /** Notes what the page is reloaded for; false where nothing can be kept, since it could then reload for ever. */
  private note(main: string): boolean {
    try {
      sessionStorage.setItem(reloadedKey, main);
      return true;
    } catch {
      return false;
    }
  }

  /** The first script of the version that is served now; null where no server answers. */
  private async servedMain(): Promise<string | null> {
    try {
      return mainOf(await (await fetch('/index.html', { cache: 'no-store' })).text());
    } catch {
      return null;
    }
  }
}
