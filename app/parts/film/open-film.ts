import type { Injector } from '@angular/core';
import type { Sheet } from '../../../core/index';

/** Opens what makes a film of a sheet; it is loaded when it is wanted first. */
export async function openFilm(sheet: Sheet, injector: Injector): Promise<void> {
  const [{ MatDialog }, { FilmDialog }] = await Promise.all([
    import('@angular/material/dialog'),
    import('./film-dialog'),
  ]);
  // Nothing beside it ends a film that is being made: only its own button does.
  injector
    .get(MatDialog)
    .open(FilmDialog, { data: sheet, width: '60rem', maxWidth: '96vw', disableClose: true, injector });
}
