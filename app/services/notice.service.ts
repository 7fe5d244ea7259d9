import { EnvironmentInjector, inject, Injectable } from '@angular/core';

/** What can be done about what a notice says. */
export interface NoticeAction {
  readonly name: string;
  readonly press: () => unknown;
}

/** One thing to do in it, most often taking back what it tells of: long enough to be read and reached. */
const withActionMs = 8000;
const wordsOnlyMs = 5000;

/** Short notices at the foot of the page. What shows them is loaded with the first. */
@Injectable({ providedIn: 'root' })
export class NoticeService {
  private readonly injector = inject(EnvironmentInjector);

  /**
   * Says something for some seconds, with at most one thing to do about it.
   * @example notices.say('Deleted', { name: 'Undo', press: putBack })
   */
  async say(
    words: string,
    action?: NoticeAction,
    duration = action === undefined ? wordsOnlyMs : withActionMs,
  ): Promise<void> {
    const { MatSnackBar } = await import('@angular/material/snack-bar');
    // The page may be gone by the time it has come.
    if (this.injector.destroyed) return;
    this.injector
      .get(MatSnackBar)
      .open(words, action?.name, { duration })
      .onAction()
      .subscribe(() => action?.press());
  }

  /** Says what was done, with the way back. */
  undoable(words: string, undo: () => unknown, ms = withActionMs): void {
    void this.say(words, { name: 'Undo', press: undo }, ms);
  }
}
