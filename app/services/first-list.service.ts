import { inject, Injectable } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { combineLatest, debounceTime } from 'rxjs';
import { keepFirstList, mostFirstRows } from '../first/first-list';
import { firstRowOf } from '../store/figures';
import { SettingsService } from './settings.service';
import { SheetsService } from './sheets.service';

/** Changes that follow each other are remembered once, in milliseconds. */
const restMs = 300;

/** Remembers the first rows of the list of sheets, so that the next visit draws them before the application is there. */
@Injectable({ providedIn: 'root' })
export class FirstListService {
  constructor() {
    combineLatest([inject(SheetsService).page$(0, mostFirstRows), toObservable(inject(SettingsService).settings)])
      .pipe(debounceTime(restMs), takeUntilDestroyed())
      .subscribe(([{ rows }, { hintsSeen }]) =>
        keepFirstList({ rows: rows.map(firstRowOf), hint: !hintsSeen.includes('sheets') }),
      );
  }
}
