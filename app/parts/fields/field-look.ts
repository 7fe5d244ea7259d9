import type { Provider } from '@angular/core';
import { MAT_FORM_FIELD_DEFAULT_OPTIONS, type MatFormFieldDefaultOptions } from '@angular/material/form-field';

const fields: MatFormFieldDefaultOptions = { appearance: 'outline', subscriptSizing: 'dynamic' };

/**
 * How Material's fields look here: outlined, and no larger than they need. Every component that holds one provides it; the
 * frame does not, so that a view without fields loads none.
 * @example providers: [fieldLook]
 */
export const fieldLook: Provider = { provide: MAT_FORM_FIELD_DEFAULT_OPTIONS, useValue: fields };
