import { effect, untracked } from '@angular/core';
import { FormControl, type ValidatorFn } from '@angular/forms';

/**
 * A control that follows a value from elsewhere and never takes away what somebody is typing: what is wrong stays, with
 * the reason beside it, until it is mended or the field is left as it was. It is empty until the value is there, which is
 * before it is drawn. To be made where something is injected.
 * @example followingControl('', this.value, ({ value }) => this.fault(value))
 */
export function followingControl<T>(empty: T, value: () => T, validator: ValidatorFn): FormControl<T> {
  const control = new FormControl<T>(empty, { nonNullable: true });
  effect(() => {
    const now = value();
    untracked(() => {
      control.addValidators(validator);
      if (control.value === now) control.markAsPristine();
      else if (control.pristine) control.setValue(now, { emitEvent: false });
    });
  });
  return control;
}
