import { LiveAnnouncer } from '@angular/cdk/a11y';
import { inject, Injectable } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { buffer, debounceTime, Subject } from 'rxjs';
import { sayChanges, type Sheet } from '../../core/index';
import { Editor } from './editor';

/** Keys that follow each other faster are told as one change, in milliseconds. */
const quiet = 300;

interface Deed {
  readonly before: Sheet;
  readonly words: (() => string) | null;
}

/**
 * Tells a screen reader what was done to the sheet where no field and no notice shows it: by a key of a row, by dragging, by
 * undo. For the page that has the editor. A text that stands on the page and changes is a status instead (`role="status"`).
 */
@Injectable()
export class Told {
  private readonly editor = inject(Editor);
  private readonly live = inject(LiveAnnouncer);
  private readonly deeds = new Subject<Deed>();

  constructor() {
    this.deeds.pipe(buffer(this.deeds.pipe(debounceTime(quiet))), takeUntilDestroyed()).subscribe((deeds) => {
      const [first, last, after] = [deeds[0], deeds.at(-1), this.editor.sheet()];
      const words = first && after && (last?.words?.() ?? sayChanges(first.before, after));
      if (words) void this.live.announce(words);
    });
  }

  /** Changes the sheet, and tells it. `told.apply((sheet) => moveBlock(sheet, id, 0))` */
  apply(change: (sheet: Sheet) => Sheet, words: Deed['words'] = null): void {
    this.doing(() => this.editor.apply(change), words);
  }

  /** Takes the last change back (-1), or makes it again (1). */
  step(by: -1 | 1): void {
    this.doing(() => (by === -1 ? this.editor.undo() : this.editor.redo()));
  }

  /**
   * Does it, and tells what is different then, if anything is.
   * @param words what is said instead, asked for when it is said
   * @example told.doing(() => rows.addBlock('rest')) // "Rest put in, 1:00"
   */
  doing(act: () => void, words: Deed['words'] = null): void {
    const before = this.editor.sheet();
    act();
    if (before && this.editor.sheet() !== before) this.deeds.next({ before, words });
  }
}
