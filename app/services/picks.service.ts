import { computed, inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { bookPick, libraryPicks, sheetPick, type Pick } from '../../core/index';
import { BookService } from './book.service';
import { SheetsService } from './sheets.service';

/** Sheets that are offered to take from: the last changed. */
const mostSheets = 50;

/** Everything that can be put into a sheet: ours, the book's, and what stands on other sheets. */
@Injectable({ providedIn: 'root' })
export class PicksService {
  private readonly book = inject(BookService);
  private readonly page = toSignal(inject(SheetsService).page$(0, mostSheets));
  readonly all = computed((): readonly Pick[] => [
    ...libraryPicks(),
    ...(this.book.all() ?? []).map(bookPick),
    ...(this.page()?.rows ?? []).map(({ sheet }) => sheetPick(sheet)),
  ]);
}
