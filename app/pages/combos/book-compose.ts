import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { practiceSheet, themeSheet } from '../../../core/index';
import type { ComposeActions } from '../../parts/compose/compose-actions';
import { keepInBook } from '../../parts/compose/keep-in-book';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';

/** What can be done beside the book: keep it there, or begin a sheet with it. For injection. */
export function bookComposeActions(): ComposeActions {
  const [sheets, router, settings] = [inject(SheetsService), inject(Router), inject(SettingsService)];
  const open = async (sheet: ReturnType<typeof practiceSheet>): Promise<void> => {
    await sheets.add(sheet);
    await router.navigate(['/sheets', sheet.id]);
  };
  const level = () => settings.settings().draft.level;
  return {
    each: [
      { label: 'Save to combinations', main: true, press: keepInBook() },
      { label: 'New sheet', main: false, press: (text) => void open(practiceSheet(text, text, level(), freshId)) },
    ],
    rounds: { label: 'One sheet with all', press: (texts) => void open(themeSheet(texts, level(), freshId)) },
  };
}
