import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { renamed } from '../services/older-words';
import { Store } from '../store/store';
import { Hint } from './hint';

/** The mark of a profile that was here before names changed (`store/demo-rows.ts`). */
const older = 'seeded';

/** After an update, until it is dismissed: what is called otherwise now. A first visit has nothing to unlearn. */
@Component({
  selector: 'kt-new-names',
  imports: [Hint],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (wasHere()) {
      <kt-hint name="new names"
        >Some names are new: {{ names }}. Room and Bag set-up are under Gym, Progress is under Log. Searches find the
        older names, too.</kt-hint
      >
    }
  `,
})
export class NewNames {
  protected readonly wasHere = toSignal(
    inject(Store).watch(async ({ choices }) => (await choices.get('demo'))?.value === older),
    { initialValue: false },
  );
  protected readonly names = renamed
    .filter(({ now }) => now !== 'Gym')
    .map(({ now, before: [before = ''] }) => `“${before}” is now ${now}`)
    .join(', ');
}
