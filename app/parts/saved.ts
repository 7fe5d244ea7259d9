import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const said = { saved: 'Saved', saving: 'Saving…', failed: 'Not saved yet' } as const;

/** Whether what is shown is also kept: on every page that edits a sheet. */
@Component({
  selector: 'kt-saved',
  template: `<span role="status" class="soft small">{{ words() }}</span>`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Saved {
  readonly saving = input.required<keyof typeof said>();
  protected readonly words = computed(() => said[this.saving()]);
}
