import { DestroyRef, Directive, DOCUMENT, effect, ElementRef, inject, input } from '@angular/core';

/**
 * What opens elsewhere than where it was pressed: the cursor goes into it, it comes into sight, and when it closes the cursor
 * is again where it was opened.
 * @example <section [ktOpened]="entry.id" aria-label="Entry">
 */
@Directive({ selector: '[ktOpened]', host: { tabindex: '-1' } })
export class Opened {
  /** What is open: for another one the cursor comes again. */
  readonly ktOpened = input.required<string>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly document = inject(DOCUMENT);
  private by: Element | null = null;

  constructor() {
    effect(() => {
      this.ktOpened();
      if (!this.hasFocus()) this.by = this.document.activeElement;
      this.host.focus({ preventScroll: true });
      // Its beginning, where it lies above what is seen: it may be higher than the screen.
      this.host.scrollIntoView({ block: this.host.getBoundingClientRect().top < 0 ? 'start' : 'nearest' });
    });
    inject(DestroyRef).onDestroy(() => {
      // Whoever has gone elsewhere meanwhile stays there.
      const free = this.hasFocus() || this.document.activeElement === this.document.body;
      if (free && this.by instanceof HTMLElement) this.by.focus();
    });
  }

  private hasFocus(): boolean {
    return this.host.contains(this.document.activeElement);
  }
}
