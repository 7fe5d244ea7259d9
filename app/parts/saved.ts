import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const said = { saved: 'Saved', saving: 'Saving…', failed: 'Not saved yet' } as const;

/** Whether what is shown is also kept: on every page that edits a sheet. */
@Component({
  selector: 'kt-saved',
  template: `<span role="status" class="soft small">{{ words() }}</span>`,
  // What stands behind it does not move while a change is written: that would be drawn anew with every key.
  styles: `
    :host {
      display: inline-block;
      min-width: 3.2rem;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Saved {
  readonly saving = input.required<keyof typeof said>();
  protected readonly words = computed(() => said[this.saving()]);
}
