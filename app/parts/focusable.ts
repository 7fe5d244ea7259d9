import { Directive, ElementRef, inject, input } from '@angular/core';

/** One of several things that arrow keys go through by the CDK's `FocusKeyManager`. `<button [ktFocusable]="row.id">` */
@Directive({ selector: '[ktFocusable]' })
export class Focusable {
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef);
  /** What it stands for, where somebody asks. */
  readonly id = input('', { alias: 'ktFocusable' });

  focus(): void {
    this.element.nativeElement.focus();
  }
}
