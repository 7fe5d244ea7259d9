import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** A picture from the icon package, drawn in the colour of the text around it; always beside or inside something with a name. */
@Component({
  selector: 'kt-icon',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg viewBox="0 0 24 24" aria-hidden="true" [attr.width]="size()" [attr.height]="size()">
    <path [attr.d]="path()" fill="currentColor" />
  </svg>`,
  styles: `
    :host {
      display: inline-grid;
    }
  `,
})
export class Icon {
  readonly path = input.required<string>();
  readonly size = input(22);
}
