import { Directive, inject, input } from '@angular/core';
import type { Sheet } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';

/** On a link to Run: while the pointer or the focus is on it, the script of its sheet is made. */
@Directive({ selector: 'a[ktAboutToRun]', host: { '(pointerover)': 'makeAhead()', '(focus)': 'makeAhead()' } })
export class AboutToRun {
  readonly sheet = input.required<Sheet>({ alias: 'ktAboutToRun' });
  private readonly settings = inject(SettingsService);

  protected async makeAhead(): Promise<void> {
    const { makeScriptAhead } = await import('../../services/script-worker');
    makeScriptAhead(this.sheet(), this.settings.wishes());
  }
}
