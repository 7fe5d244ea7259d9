import { ChangeDetectionStrategy, Component, type ElementRef, input, output, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';

/** A button that lets files be chosen. */
@Component({
  selector: 'kt-file-button',
  imports: [MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" matButton="outlined" (click)="field.click()">
      <mat-icon svgIcon="import" />{{ label() }}
    </button>
    <input
      #field
      type="file"
      hidden
      [attr.aria-label]="label()"
      [multiple]="multiple()"
      [accept]="accept()"
      (change)="take()"
    />
  `,
})
export class FileButton {
  readonly label = input.required<string>();
  readonly accept = input('');
  readonly multiple = input(false);
  readonly chosen = output<readonly File[]>();
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  protected take(): void {
    const field = this.field().nativeElement;
    const files = [...(field.files ?? [])];
    // So that the same file can be chosen once more.
    field.value = '';
    if (files.length > 0) this.chosen.emit(files);
  }
}
