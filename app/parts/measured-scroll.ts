import { CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import { DestroyRef, Directive, ElementRef, inject } from '@angular/core';

/** Height of a row of a long table by density, as the styles have it (`--row`): only the rows in sight, and a few beside them, are drawn. */
export const rowHeights = { close: 56, roomy: 64 } as const;

/**
 * Tells the rows of a long table apart by where they stand: what is found at the next key is written into the rows that are
 * there. By what stands in them, each row would be taken out and put in again, styled and measured anew.
 */
export const byPlace = (place: number): number => place;

/**
 * A virtual list whose place grows and shrinks with what is in it, or is hidden for a while: the CDK measures it anew only
 * when the window changes, and would leave the lower half of a place that has grown empty.
 * @example <cdk-virtual-scroll-viewport ktMeasured [itemSize]="56">
 */
@Directive({ selector: 'cdk-virtual-scroll-viewport[ktMeasured]' })
export class MeasuredScroll {
  constructor() {
    const viewport = inject(CdkVirtualScrollViewport);
    const observer = new ResizeObserver(() => viewport.checkViewportSize());
    observer.observe(inject<ElementRef<HTMLElement>>(ElementRef).nativeElement);
    inject(DestroyRef).onDestroy(() => observer.disconnect());
  }
}
